import type { HouseRules } from '@green-beam/core';
import { useState, type ReactNode } from 'react';
import { useTape } from '../../../numbers/use-tape.ts';
import { Button } from '../../../ui/button.tsx';
import { Tape } from '../../numbers/tape.tsx';
import type { Chip } from './names.ts';

interface NumbersBesideProps {
  readonly chips: readonly Chip[];
  readonly rules: HouseRules;
  /** Takes over what the chosen line came to. */
  readonly onTake: (result: string) => void;
}

/** The Numbers desk beside the table, with the numbers of the cell under their names. */
export default function NumbersBeside({ chips, rules, onTake }: NumbersBesideProps): ReactNode {
  const [lines, setLines] = useState<readonly string[]>(() => [
    ...chips.map(({ label, text, unit }) => `${label} = ${text} ${unit.replace('Δ', '')}`.trim()),
    '',
  ]);
  const [selected, setSelected] = useState(chips.length);
  const [goTo, setGoTo] = useState<{ readonly line: number } | null>({ line: chips.length });
  const tape = useTape(lines, rules);
  const calculation = tape.lines[selected] === lines[selected] ? (tape.results[selected]?.calculation ?? null) : null;
  return (
    <div className="mt-4 max-w-2xl border-t border-hairline pt-2">
      <Tape
        lines={lines}
        workedLines={tape.lines}
        results={tape.results}
        selected={selected}
        goTo={goTo}
        onGoTo={(line) => setGoTo({ line })}
        onWrite={setLines}
        onSelect={setSelected}
      />
      <Button
        look="plain"
        className="mt-3"
        disabled={!calculation}
        onClick={() => calculation && onTake(`${calculation.text} ${calculation.unit}`.trim())}
      >
        Take the result over
      </Button>
    </div>
  );
}
