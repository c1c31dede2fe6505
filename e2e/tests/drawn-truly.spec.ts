import {
  instrumentById,
  onThimble,
  seededRandom,
  SLEEVE_VERNIER,
  vernierReading,
  type VernierCaliper,
} from '@green-beam/core';
import type { Page } from '@playwright/test';
import { expect, signIn, test } from './world.ts';

/** How many values are looked at; `SETTINGS` says more. */
const SETTINGS = Number(process.env['SETTINGS'] ?? 60);

/** Types one value after the other into the field at the front of the room, and reads back what is drawn each time. Runs in the page. */
async function throughAll<Read>(values: readonly number[], read: () => Read): Promise<Read[]> {
  const field = document.querySelector<HTMLInputElement>('input[aria-label^="Value in"]')!;
  const write = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
  const drawn = (): Promise<void> => new Promise((done) => requestAnimationFrame(() => done()));
  const all: Read[] = [];
  for (const value of values) {
    write.call(field, String(value));
    field.dispatchEvent(new Event('input', { bubbles: true }));
    field.form!.requestSubmit();
    await drawn();
    all.push(read());
  }
  return all;
}

/** Shows a tool at each of many values. @param read runs in the page, and needs nothing but it. */
async function shownAt<Read>(page: Page, tool: string, values: readonly number[], read: () => Read): Promise<Read[]> {
  await page.getByRole('combobox', { name: 'Tool' }).selectOption(tool);
  await expect(page.locator('[data-main], [data-sleeve]').first()).toBeAttached();
  return page.evaluate(`(${throughAll.toString()})(${JSON.stringify(values)}, ${read.toString()})`);
}

interface Lines {
  readonly main: readonly { readonly at: number; readonly x: number }[];
  readonly lines: readonly { readonly line: number; readonly x: number }[];
}

/** The whole vernier as it is drawn: middles of its lines and of the main marks, in pixels of the screen. Runs in the page. */
function verniersLines(): Lines {
  const middle = (group: Element): number => {
    const box = group.querySelector('line')!.getBoundingClientRect();
    return box.x + box.width / 2;
  };
  const first = (selector: string): HTMLElement[] => [
    ...([...document.querySelectorAll('svg')]
      .find((sheet) => sheet.querySelector(selector))
      ?.querySelectorAll<HTMLElement>(selector) ?? []),
  ];
  return {
    main: first('[data-main]').map((group) => ({ at: Number(group.dataset['main']), x: middle(group) })),
    lines: first('[data-line]').map((group) => ({ line: Number(group.dataset['line']), x: middle(group) })),
  };
}

interface Turned {
  readonly edge: number;
  readonly sleeve: readonly { readonly at: number; readonly x: number }[];
  readonly datum: number;
  readonly thimble: readonly { readonly number: number; readonly y: number }[];
  readonly vernier: readonly { readonly line: number; readonly y: number }[];
}

/** Sleeve and thimble as they are drawn, in pixels of the screen. Runs in the page. */
function sleeveAndThimble(): Turned {
  const box = (element: Element): DOMRect => element.getBoundingClientRect();
  const all = (selector: string): HTMLElement[] => [...document.querySelectorAll<HTMLElement>(selector)];
  const line = (group: Element): DOMRect => box(group.querySelector('line')!);
  return {
    edge: box(document.querySelector('[data-thimble-edge]')!).x,
    datum: box(document.querySelector('[data-sleeve]')!.parentElement!.querySelector('line')!).y,
    sleeve: all('[data-sleeve]').map((group) => ({
      at: Number(group.dataset['sleeve']),
      x: line(group).x + line(group).width / 2,
    })),
    thimble: all('[data-thimble]').map((group) => ({
      number: Number(group.dataset['thimble']),
      y: line(group).y + line(group).height / 2,
    })),
    vernier: all('[data-sleeve-line]').map((group) => ({
      line: Number(group.dataset['sleeveLine']),
      y: line(group).y + line(group).height / 2,
    })),
  };
}

test.beforeEach(async ({ page }) => {
  await signIn(page, 'teacher');
  await page.goto('/demonstrate');
  await expect(page.getByRole('combobox', { name: 'Tool' })).toBeVisible();
});

for (const tool of ['caliper-tenth', 'caliper-twentieth', 'caliper-fiftieth']) {
  test(`${tool}: the line nearest to a main mark is the one core says coincides`, async ({ page }) => {
    const { vernier, division } = instrumentById(tool) as VernierCaliper;
    const random = seededRandom(tool.length);
    // Not midway between two lines, where either is as near.
    const values = Array.from({ length: SETTINGS }, () =>
      Number(
        (
          Math.round((2 + 146 * random.uniform()) / division) * division +
          0.7 * (random.uniform() - 0.5) * division
        ).toFixed(4),
      ),
    );
    const drawn = await shownAt(page, tool, values, verniersLines);
    const read = drawn.map(({ main, lines }, i) => {
      const off = (x: number): number => Math.min(...main.map((mark) => Math.abs(mark.x - x)));
      const { line } = lines.slice(0, vernier.lines).reduce((best, one) => (off(one.x) < off(best.x) ? one : best));
      const zero = lines[0]!.x;
      // The last main mark before the vernier's zero, but for a zero that lies on its mark.
      const before =
        line === 0
          ? main.reduce((best, one) => (Math.abs(one.x - zero) < Math.abs(best.x - zero) ? one : best))
          : main.filter(({ x }) => x < zero).sort((a, b) => b.x - a.x)[0]!;
      return { value: values[i], main: before.at, line };
    });
    expect(read).toEqual(
      values.map((value) => ({
        value,
        main: vernierReading(vernier, value).main,
        line: vernierReading(vernier, value).line,
      })),
    );
  });
}

/** What of a drawn micrometer is not as core says, in words. */
function untrue(value: number, { edge, datum, sleeve, thimble, vernier }: Turned): string[] {
  const { sleeve: uncovered, divisions } = onThimble(value);
  const perMillimetre = (sleeve[2]!.x - sleeve[0]!.x) / (sleeve[2]!.at - sleeve[0]!.at);
  // A line that lies under the very edge, within a hair, is not judged.
  const covered = sleeve
    .filter(({ at, x }) => Math.abs(x - edge) > 0.01 * perMillimetre && x < edge !== at <= uncovered + 1e-9)
    .map(({ at }) => `the sleeve’s line ${at}`);
  const perDivision = Math.abs(thimble[1]!.y - thimble[0]!.y);
  const at = thimble
    .filter(({ y }) => Math.abs(y - datum) <= perDivision)
    .sort((a, b) => Math.abs(a.y - datum) - Math.abs(b.y - datum))[0]!;
  const read = at.number + (at.y - datum) / perDivision;
  const turned =
    Math.abs(((read - divisions + 75) % 50) - 25) < 0.06 ? [] : [`the thimble stands at ${read}, not ${divisions}`];
  const off = (y: number): number => Math.min(...thimble.map((line) => Math.abs(line.y - y)));
  // The datum line is the vernier's zero.
  const { line } = [{ line: 0, y: datum }, ...vernier.slice(0, 9)].reduce((best, one) =>
    off(one.y) < off(best.y) ? one : best,
  );
  const coincides =
    vernier.length === 0 || line === vernierReading(SLEEVE_VERNIER, value).line
      ? []
      : [`the sleeve’s vernier line ${line}`];
  return [...covered, ...turned, ...coincides].map((words) => `${value}: ${words}`);
}

for (const tool of ['micrometer-hundredth', 'micrometer-thousandth']) {
  test(`${tool}: lines of the sleeve are uncovered exactly when core says so, and the thimble stands where it says`, async ({
    page,
  }) => {
    const random = seededRandom(tool.length);
    const values = Array.from({ length: SETTINGS }, () =>
      Number((0.3 + 24.4 * random.uniform()).toFixed(tool === 'micrometer-thousandth' ? 3 : 4)),
    );
    const drawn = await shownAt(page, tool, values, sleeveAndThimble);
    expect(drawn.flatMap((turned, i) => untrue(values[i]!, turned))).toEqual([]);
  });
}
