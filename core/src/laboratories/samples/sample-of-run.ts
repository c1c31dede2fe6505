import type { WorkedRun } from '../engine/evaluate.ts';
import { placesOf } from '../engine/setting.ts';
import type { Quantity, SampleEntries, SampleRun } from '../protocol/protocol.ts';
import type { Members } from '../run/address.ts';

/** What was entered at a place; undefined where nothing was. A reading that is another one again has its text. */
function enteredAt(run: WorkedRun, quantity: string, members: Members): string | undefined {
  const cell = run.cellAt(quantity, members);
  return cell?.kind === 'entry' || cell?.kind === 'chosen' || cell?.kind === 'unusable' ? cell.text : undefined;
}

/** The texts of a quantity along its dimensions, a list where its members are numbered from 1 without a gap. */
function alongDimensions(run: WorkedRun, { id, over, only }: Quantity): SampleEntries | undefined {
  const along = (rest: readonly string[], at: Members): SampleEntries | undefined => {
    const [dimension, ...further] = rest;
    if (dimension === undefined) return enteredAt(run, id, at);
    const each = placesOf(run.setting, [dimension], only).flatMap((place) => {
      const inner = along(further, { ...at, ...place });
      return inner === undefined ? [] : [[place[dimension] ?? '', inner] as const];
    });
    if (each.length === 0) return undefined;
    const texts = each.flatMap(([member, inner], i) =>
      member === String(i + 1) && typeof inner === 'string' ? [inner] : [],
    );
    return texts.length === each.length ? texts : Object.fromEntries(each);
  };
  return along(over, {});
}

/** A run as one of its protocol’s samples: `sampleRun` makes the same run of it, without what was struck or left out. */
export function sampleOfRun(run: WorkedRun): SampleRun {
  const { layout, members, slots } = run.setting;
  const chosen = [...layout.dimensions.values()].flatMap((dimension) =>
    dimension.kind === 'case' && dimension.choose
      ? [[dimension.id, (members.get(dimension.id) ?? []).map(({ id }) => id)] as const]
      : [],
  );
  const accepted = [...slots.values()].find(({ current }) => current.address.kind === 'accepted')?.current.text ?? '';
  return {
    ...(Object.keys(layout.chosen).length > 0 ? { options: layout.chosen } : {}),
    ...(chosen.length > 0 ? { members: Object.fromEntries(chosen) } : {}),
    ...(accepted === '' ? {} : { accepted }),
    entries: Object.fromEntries(
      [...layout.quantities.values()].flatMap((quantity) => {
        const entries = alongDimensions(run, quantity);
        return entries === undefined ? [] : [[quantity.id, entries] as const];
      }),
    ),
  };
}
