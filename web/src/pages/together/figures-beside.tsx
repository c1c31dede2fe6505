import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { unitText } from '../../numbers/unit-text.ts';
import type { Room, RoomFigures } from './room-in-words.ts';

interface FiguresBesideProps {
  readonly room: Room;
  readonly figures: RoomFigures | null;
}

function biasInWords({ bias, isOff }: RoomFigures, unit: string): string | null {
  if (bias === null) return null;
  const size = bias.replace('-', '');
  if (isOff === null) return `The one reading lies ${size} ${unit} from the true value.`;
  if (!isOff || Number(size) === 0) return 'On average the room reads the true value: no bias can be seen.';
  return `On average the room reads ${size} ${unit} ${bias.startsWith('-') ? 'too low' : 'too high'}. That is a bias.`;
}

/** Mean and spread of the room; once the true value is shown the bias first, and what many eyes do and do not mend. */
export function FiguresBeside({ room, figures }: FiguresBesideProps): ReactNode {
  const numerals = useNumerals();
  const { farOff } = room;
  const unit = unitText(room.unit);
  if (!figures) return <p>Your readings lie so far apart that no mean would say anything.</p>;
  const bias = biasInWords(figures, unit);
  return (
    <div className="text-lg">
      {bias !== null && <p className="mb-2 text-xl font-bold">{numerals(bias)}</p>}
      <p>
        Mean <span className="font-mono">{numerals(figures.mean.replace('-', '−'))}</span> {unit}
        {figures.spread === null ? (
          '. One reading has no spread.'
        ) : (
          <>
            , spread <span className="font-mono">{numerals(figures.spread)}</span> {unit} (standard deviation)
          </>
        )}
      </p>
      {farOff.length > 0 && (
        <p className="text-muted">
          {farOff.length === 1 ? 'One reading is' : `${farOff.length} readings are`} far off and not counted in it.
        </p>
      )}
      {bias !== null && figures.standardError !== null && (
        <details className="mt-1">
          <summary className="inline-flex min-h-11 cursor-pointer items-center underline decoration-hairline underline-offset-4">
            Standard error
          </summary>
          <p>
            <span className="font-mono">{numerals(figures.standardError)}</span> {unit}: so well is the mean of this
            room known. More eyes make it smaller. They do not mend a tool that reads wrong, or a room that looks from
            too high.
          </p>
        </details>
      )}
    </div>
  );
}
