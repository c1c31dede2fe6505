import {
  holds,
  runOfEntries,
  settingOf,
  type HouseRules,
  type Protocol,
  type Quantity,
  type Setting,
} from '@green-beam/core';
import { useState, type ReactNode } from 'react';
import { useParams } from 'react-router';
import { inTheWay } from '../../api/in-the-way.ts';
import { unitText } from '../../numbers/unit-text.ts';
import { useHouseRules } from '../../rules/house-rules.ts';
import { Waiting } from '../../ui/waiting.tsx';
import { withUnit } from '../notebook/tables/with-unit.ts';
import { useLaboratory } from '../notebook/use-laboratories.ts';
import { planOf, standsIn, type Column, type Row, type TablePlan } from '../notebook/tables/table-plan.ts';
import { PrintBar, type PaperSize } from '../print/print-bar.tsx';

/** So many more rows than needed, for who measures once more. */
const SPARE = 2;
const CELL = 'h-[9mm] border border-ink px-[1.5mm]';

/** What is written by hand: everything but what is looked up. */
const byHand = ({ kind }: Quantity): boolean => kind !== 'looked-up';

function Heading({ quantity, group }: Column): ReactNode {
  return (
    <>
      {group !== '' && <span className="block font-normal">{group}</span>}
      {quantity.name}
      {'unit' in quantity && <span className="block font-normal">{unitText(quantity.unit)}</span>}
      {quantity.kind === 'observed' && (
        <span className="block font-normal">{quantity.choices.map(({ name }) => name).join(' / ')}</span>
      )}
    </>
  );
}

function Cell({ column, row }: { readonly column: Column; readonly row: Row }): ReactNode {
  return <td className={`${CELL} ${standsIn(column, row) ? '' : 'bg-ink/10'}`} />;
}

/** A table to be filled in with a pen. */
function BlankTable({ plan }: { readonly plan: TablePlan }): ReactNode {
  const columns = plan.columns.filter(({ quantity }) => byHand(quantity));
  const head = `${CELL} text-left text-small align-bottom font-semibold`;
  return (
    <table className="mt-[4mm] w-full break-inside-avoid border-collapse">
      <tbody>
        {plan.isWide ? (
          <>
            <tr>
              <td className={CELL} />
              {plan.rows.map((row) => (
                <th key={row.key} scope="col" className={head}>
                  {row.name}
                </th>
              ))}
            </tr>
            {columns.map((column) => (
              <tr key={column.key}>
                <th scope="row" className={head}>
                  <Heading {...column} />
                </th>
                {plan.rows.map((row) => (
                  <Cell key={row.key} column={column} row={row} />
                ))}
              </tr>
            ))}
          </>
        ) : (
          <>
            <tr>
              <td className={CELL} />
              {columns.map((column) => (
                <th key={column.key} scope="col" className={head}>
                  <Heading {...column} />
                </th>
              ))}
            </tr>
            {plan.rows.map((row) => (
              <tr key={row.key}>
                <th scope="row" className={`${CELL} w-[28mm] text-left font-normal`}>
                  {row.name}
                </th>
                {columns.map((column) => (
                  <Cell key={column.key} column={column} row={row} />
                ))}
              </tr>
            ))}
          </>
        )}
      </tbody>
    </table>
  );
}

/** A quantity that is entered once: with its unit where it has one, or with what there is to choose from. */
function singleLabel(quantity: Quantity): string {
  const choices = quantity.kind === 'observed' ? ` (${quantity.choices.map(({ name }) => name).join(' / ')})` : '';
  return `${withUnit(quantity)}${choices}`;
}

/** A line to write on. */
function Line({ label }: { readonly label: string }): ReactNode {
  return (
    <p className="flex min-h-[9mm] items-end gap-2">
      {label} <span className="h-[6mm] flex-1 border-b border-ink" />
    </p>
  );
}

/** Tools, each with the zero that was found and its smallest division, since a page on paper knows neither. */
function Tools({ setting }: { readonly setting: Setting }): ReactNode {
  const read = [...setting.layout.quantities.values()].flatMap((quantity) =>
    quantity.kind === 'read' && !('sameAs' in quantity.tools) ? [quantity.name] : [],
  );
  return (
    <table className="mt-[4mm] w-full break-inside-avoid border-collapse text-small">
      <thead>
        <tr>
          {['Read with this tool', 'Tool, and its number', 'Smallest division', 'Shows at zero'].map((title) => (
            <th key={title} scope="col" className={`${CELL} text-left font-semibold`}>
              {title}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {[...new Set(read)].map((name) => (
          <tr key={name}>
            <th scope="row" className={`${CELL} text-left font-normal`}>
              {name}
            </th>
            <td className={CELL} />
            <td className={CELL} />
            <td className={CELL} />
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Sheet({ protocol, setting }: { readonly protocol: Protocol; readonly setting: Setting }): ReactNode {
  const { layout } = setting;
  const spare = Object.fromEntries(
    [...layout.dimensions.values()].flatMap((dimension) => (dimension.kind === 'case' ? [] : [[dimension.id, SPARE]])),
  );
  const { single, tables } = planOf(setting, spare);
  return (
    <article className="printed-page">
      <h1 className="text-xl font-bold">{protocol.title}</h1>
      <div className="grid grid-cols-[2fr_1fr] gap-x-[6mm]">
        <Line label="Names" />
        <Line label="Date" />
      </div>
      <Line label="What is measured" />
      <h2 className="mt-[5mm] font-bold text-slip">Cautions</h2>
      <ul className="list-disc pl-5 text-small">
        {protocol.cautions.map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
      </ul>
      <h2 className="mt-[5mm] font-bold">Steps</h2>
      <ol className="list-decimal pl-5 text-small">
        {protocol.steps
          .filter(({ when }) => holds(when, layout.chosen))
          .map(({ id, title, text }) => (
            <li key={id}>
              <strong>{title}.</strong> {text}
            </li>
          ))}
      </ol>
      <Tools setting={setting} />
      {single.filter(byHand).length > 0 && (
        <div className="mt-[4mm] grid break-inside-avoid grid-cols-2 gap-x-[6mm]">
          {single.filter(byHand).map((quantity) => (
            <Line key={quantity.id} label={singleLabel(quantity)} />
          ))}
        </div>
      )}
      {tables.map((plan) => (
        <BlankTable key={plan.key} plan={plan} />
      ))}
      <h2 className="mt-[5mm] font-bold">Questions</h2>
      {protocol.questions
        .filter(({ when }) => holds(when, layout.chosen))
        .map(({ id, text }) => (
          <div key={id} className="break-inside-avoid">
            <p className="mt-[2mm]">{text}</p>
            <span className="block h-[8mm] border-b border-ink" />
            <span className="block h-[8mm] border-b border-ink" />
          </div>
        ))}
    </article>
  );
}

function Pages({ protocol, rules }: { readonly protocol: Protocol; readonly rules: HouseRules }): ReactNode {
  const [size, setSize] = useState<PaperSize>('a4');
  const [chosen, setChosen] = useState<Readonly<Record<string, string>>>({});
  const setting = settingOf(protocol, { events: chosenEvents(chosen) }, rules);
  return (
    <>
      <PrintBar
        size={size}
        onSize={setSize}
        title={
          <>
            <strong>{protocol.title}</strong>: blank, to be entered later
          </>
        }
      >
        {protocol.options.map((option) => (
          <label key={option.id} className="flex min-h-11 items-center gap-2">
            {option.name}
            <select
              className="min-h-11 border-b-2 border-ink bg-surface px-2"
              value={setting.layout.chosen[option.id] ?? ''}
              onChange={(event) => setChosen({ ...chosen, [option.id]: event.target.value })}
            >
              {option.choices.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        ))}
      </PrintBar>
      <main className={`printed printed-${size}`}>
        <Sheet protocol={protocol} setting={setting} />
      </main>
    </>
  );
}

function chosenEvents(chosen: Readonly<Record<string, string>>): Parameters<typeof settingOf>[1]['events'] {
  return runOfEntries(
    Object.entries(chosen).map(([option, text]) => ({ address: { kind: 'option' as const, option }, text })),
  ).events;
}

/** A laboratory on paper, for the day without a network: what is written there is entered later. */
export default function BlankSheet({ classId }: { readonly classId: string | null }): ReactNode {
  const { protocolId = '' } = useParams();
  const { rules, error: noRules } = useHouseRules(classId);
  const { data: protocol, error } = useLaboratory(classId, protocolId);
  const failed = inTheWay(error, protocol) ?? inTheWay(noRules, rules);
  if (failed || !protocol || !rules) return <Waiting what="the laboratory" error={failed} />;
  return <Pages protocol={protocol} rules={rules.rules} />;
}
