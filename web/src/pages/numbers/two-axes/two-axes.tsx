import { accuracyAndPrecision } from '@green-beam/core';
import { useMemo, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { Button } from '../../../ui/button.tsx';
import { LabelledSlider } from '../../../ui/labelled-slider.tsx';
import { Plane } from './plane.tsx';
import { AT_FIRST, BOUNDS, readingsOf, TRUTH, type Reader } from './readings.ts';
import { ReadingsShown } from './readings-shown.tsx';
import { verdictInWords } from './verdict-in-words.ts';

/** Accuracy and precision on two axes: what is dragged changes the readings at once, and what can be said of them. */
export default function TwoAxes(): ReactNode {
  const numerals = useNumerals();
  const [reader, setReader] = useState<Reader>(AT_FIRST);
  const [seed, setSeed] = useState(1);
  const readings = useMemo(() => readingsOf(reader, seed), [reader, seed]);
  const verdict = useMemo(
    () => verdictInWords(accuracyAndPrecision(readings, TRUTH, reader.tolerance)),
    [readings, reader.tolerance],
  );
  const change = (changed: Partial<Reader>): void => setReader((before) => ({ ...before, ...changed }));
  const { bias, scatter, count, tolerance } = reader;
  return (
    <main className="mx-auto w-full max-w-7xl px-4 py-6 wide:px-7">
      <p className="text-small">
        <Link to="/numbers/practice" className="inline-block py-1 underline decoration-hairline underline-offset-4">
          Practice
        </Link>
      </p>
      <h1 className="text-2xl font-bold">Accurate and precise are two things</h1>
      <p className="mt-1 max-w-prose text-muted">
        A pipette should deliver {numerals(TRUTH.toFixed(2))} mL. Drag the black mark, and watch what its readings do.
      </p>
      <div className="mt-4 grid grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-4 wide:grid-cols-2">
        <Plane reader={reader} onChange={change} />
        <div className="min-w-0">
          <ReadingsShown reader={reader} readings={readings} />
          <div role="status" className="mt-2 min-h-36 border-l-[3px] border-beam pl-4">
            <p className="text-lg font-bold">{verdict.title}</p>
            {verdict.sentences.map((sentence) => (
              <p key={sentence}>{numerals(sentence)}</p>
            ))}
          </div>
        </div>
      </div>
      <div className="mt-4 grid gap-x-10 gap-y-1 sm:grid-cols-2 wide:grid-cols-4">
        <LabelledSlider
          label="Bias"
          value={bias}
          {...BOUNDS.bias}
          text={numerals(`${bias > 0 ? '+' : ''}${bias.toFixed(2).replace('-', '−')} mL`)}
          onChange={(next) => change({ bias: next })}
        />
        <LabelledSlider
          label="Scatter"
          value={scatter}
          {...BOUNDS.scatter}
          text={numerals(`${scatter.toFixed(3)} mL`)}
          onChange={(next) => change({ scatter: next })}
        />
        <LabelledSlider
          label="Number of readings"
          value={count}
          {...BOUNDS.count}
          text={String(count)}
          onChange={(next) => change({ count: next })}
        />
        <LabelledSlider
          label="Tolerance"
          value={tolerance}
          {...BOUNDS.tolerance}
          text={numerals(`± ${tolerance.toFixed(2)} mL`)}
          onChange={(next) => change({ tolerance: next })}
        />
      </div>
      <div className="mt-2 flex flex-wrap gap-3">
        <Button look="plain" onClick={() => setSeed(seed + 1)}>
          New readings
        </Button>
        <Button
          look="quiet"
          onClick={() => {
            setReader(AT_FIRST);
            setSeed(1);
          }}
        >
          As at first
        </Button>
      </div>
    </main>
  );
}
