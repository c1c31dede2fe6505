import { compareTools, writtenAtPlace, type HouseRules, type ToolCompared } from '@green-beam/core';
import { useMemo, useState, type ReactNode } from 'react';
import { BiasSpreadChart } from '../../charts/bias-spread-chart.tsx';
import { DotStrip } from '../../charts/dot-strip.tsx';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { unitText } from '../../numbers/unit-text.ts';
import { oneMoreInWords, placeOf, sequenceInWords, signed, testsInWords, toleranceInWords } from './in-words.ts';
import { ToolsTable } from './tools-table.tsx';

interface ToolsOfRunProps {
  readonly tools: readonly ToolCompared[];
  readonly rules: HouseRules;
}

/** The tools that a group compared: on two axes, in numbers, the readings of one of them on a strip, and what tests say where that is asked. */
export function ToolsOfRun({ tools, rules }: ToolsOfRunProps): ReactNode {
  const numerals = useNumerals();
  const [asked, setAsked] = useState('');
  const comparison = useMemo(() => compareTools(tools), [tools]);
  const { figures } = comparison;
  const chosen = figures.find(({ tool }) => tool.member === asked) ?? figures[0];
  if (!chosen) return <p className="text-muted">No tool has an error yet: it needs a reading and what is accepted.</p>;
  const { tool, summary, byTolerance } = chosen;
  const unit = unitText(tool.unit);
  const place = placeOf(summary.sampleStandardDeviation, summary.mean);
  const textOf = (value: number): string => writtenAtPlace(value, Math.min(place, -2));
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-8 wide:grid-cols-2">
      <BiasSpreadChart
        marks={figures.map(({ tool: one, summary: { mean, sampleStandardDeviation }, oneMore }) => ({
          key: one.member,
          name: one.name,
          bias: mean,
          half: oneMore?.now ?? null,
          spread: sampleStandardDeviation,
        }))}
        chosen={tool.member}
        onChoose={setAsked}
        tolerance={tool.tolerance}
        unit={unit}
        textOf={textOf}
      />
      <div className="flex min-w-0 flex-col gap-5">
        <ToolsTable
          lines={figures.map(({ tool: one, summary: of, ...rest }) => ({
            key: one.member,
            name: one.name,
            error: of.mean,
            averageDeviation: of.averageDeviation,
            spread: of.sampleStandardDeviation,
            standardError: of.standardError,
            ...rest,
          }))}
          unit={unit}
          rules={rules}
          chosen={tool.member}
          onChoose={setAsked}
        />
        <DotStrip
          title={`Each reading of the ${tool.name}: how far off`}
          repeats={tool.errors.map((value, i) => ({ name: `reading ${i + 1}`, text: signed(value, place), value }))}
          mean={summary.mean}
          meanText={signed(summary.mean, place)}
          spread={summary.sampleStandardDeviation}
          accepted={
            tool.tolerance === null ? null : { name: 'Its tolerance', least: -tool.tolerance, most: tool.tolerance }
          }
          unit={unit}
        />
        <p>
          The {numerals(tool.name)} is {toleranceInWords(byTolerance)}
          {tool.tolerance === null ? '' : numerals(` (± ${tool.tolerance} ${unit})`)}.{' '}
          {numerals(oneMoreInWords(chosen))}
        </p>
        {sequenceInWords(comparison).map((sentence) => (
          <p key={sentence}>{numerals(sentence)}</p>
        ))}
        {testsInWords(comparison).map(({ name, sentences }) => (
          <details key={name} className="border-t border-hairline">
            <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">{name}</summary>
            {sentences.map((sentence) => (
              <p key={sentence} className="pb-2">
                {numerals(sentence)}
              </p>
            ))}
          </details>
        ))}
      </div>
    </div>
  );
}
