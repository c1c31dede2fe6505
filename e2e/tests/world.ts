import type { BenchRound } from '@green-beam/contract';
import type { LiquidColumnPicture } from '@green-beam/core';
import { test as base, expect, request, type APIRequestContext, type Locator, type Page } from '@playwright/test';

/** Every page fails its test when the browser reports an error or a violation of the content security policy. */
export const test = base.extend<{ page: Page }>({
  page: async ({ page }, use) => {
    const complaints: string[] = [];
    page.on('pageerror', (error) => complaints.push(error.message));
    page.on('console', (message) => {
      if (/content security policy/i.test(message.text())) complaints.push(message.text());
    });
    await use(page);
    expect(complaints).toEqual([]);
  },
});
export { expect };

type Role = 'student' | 'teacher' | 'administrator';

/** Takes a door of the sample world without the page that has it. @returns the token that what is then sent has to carry. */
async function entered(request: APIRequestContext, role: Role): Promise<string> {
  const { csrfToken } = await (await request.get('/api/session')).json();
  const answer = await request.post('/api/session/demo', { data: { role }, headers: { 'x-csrf-token': csrfToken } });
  expect(answer.status()).toBe(200);
  return (await answer.json()).csrfToken;
}

/** Signs a browser in; the next page it opens is that person’s. */
export async function signIn(page: Page, role: Role): Promise<void> {
  await entered(page.request, role);
}

/** Signs in and opens a page. */
export async function enterAs(page: Page, role: Role, path = '/'): Promise<void> {
  await signIn(page, role);
  await page.goto(path);
  await expect(page.getByRole('button', { name: 'Sign out' })).toBeVisible();
}

/** Signs out, and waits until the server has ended the session: what is asked next carries a new token. */
export async function signOut(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('link', { name: 'Sign in' })).toBeVisible();
}

/** What a class decides of a laboratory. */
interface Arranged {
  readonly byStudent: readonly string[];
  readonly ownWork: 'each-student' | 'group';
  readonly reveals: 'with-own-answer' | 'from-the-start' | 'after-handing-in';
  readonly sums: 'page' | 'student';
}

const BY_THE_BOOK: Arranged = { byStudent: [], ownWork: 'group', reveals: 'from-the-start', sums: 'page' };

/** Has a teacher decide who calculates in a laboratory of this student’s class. */
async function arrange(page: Page, title: string, arranged: Arranged): Promise<void> {
  // Some pages are opened under a name that only their browser knows.
  const { port } = new URL(page.url());
  const signedIn = await page.evaluate(async () => (await (await fetch('/api/session')).json()).signedIn);
  const laboratories = `/api/classes/${signedIn.class.id as string}/laboratories`;
  const teacher = await request.newContext({ baseURL: `http://127.0.0.1:${port}` });
  const token = await entered(teacher, 'teacher');
  const all = (await (await teacher.get(laboratories)).json()) as { id: string; title: string }[];
  const id = all.find((one) => one.title === title)?.id ?? '';
  const answer = await teacher.put(`${laboratories}/${id}`, { data: arranged, headers: { 'x-csrf-token': token } });
  expect(answer.status()).toBe(200);
  await teacher.dispose();
}

/** Begins a laboratory from the notebook; the page works everything out, where it is not arranged otherwise. */
export async function beginLaboratory(
  page: Page,
  specimen: string,
  title = 'Density by displacement',
  arranged: Arranged = BY_THE_BOOK,
): Promise<void> {
  await arrange(page, title, arranged);
  await page.getByRole('combobox', { name: 'Laboratory' }).selectOption({ label: title });
  await page.getByLabel('What you measure').fill(specimen);
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('heading', { name: specimen })).toBeVisible();
}

/** Writes into an empty cell of a page of the notebook. */
export async function fillCell(page: Page, name: string, text: string): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
  const cell = page.getByRole('textbox', { name, exact: true });
  await cell.fill(text);
  await cell.press('Enter');
  await expect(page.getByRole('button', { name: `${name}, ${text}` })).toBeVisible();
}

/** Unfolds a part of a form. */
export async function unfold(page: Page, summary: RegExp): Promise<void> {
  await page.locator('summary').filter({ hasText: summary }).click();
}

/** A slip that a practice set can aim at, wherever it stands in the form. */
export async function aim(page: Page, name: string): Promise<Locator> {
  await expect(page.getByText('Loading the slips')).toHaveCount(0);
  const tick = page.getByLabel(new RegExp(`^${name}( \\(|$)`));
  if (!(await tick.isVisible())) await unfold(page, /All slips that can happen here/);
  return tick;
}

/** What a person with a ruler knows of an upright scale: two labels, and the spaces between them. */
function measured({ marks }: LiquidColumnPicture): {
  first: { y: number; number: number };
  perMillimetre: number;
  division: number;
} {
  const labelled = marks
    .flatMap(({ y, label }) => (label === null ? [] : [{ y, number: Number(label) }]))
    .sort((a, b) => a.number - b.number);
  const [first, second] = [labelled[0]!, labelled[1]!];
  const spaces = marks.filter(({ y }) => y > Math.min(first.y, second.y) && y <= Math.max(first.y, second.y)).length;
  return {
    first,
    perMillimetre: (second.number - first.number) / (second.y - first.y),
    division: (second.number - first.number) / spaces,
  };
}

/** Reads a height on a picture as a person with a ruler would: from the numerals and the lines, knowing nothing of core’s reckoning. */
export function readAt(picture: LiquidColumnPicture, y: number): number {
  const { first, perMillimetre } = measured(picture);
  return first.number + (y - first.y) * perMillimetre;
}

/** A number as the class writes it on this tool: by tenths of a power of ten, by fifths where the divisions count by fives. */
export function writtenOn(picture: LiquidColumnPicture, value: number): string {
  const { division } = measured(picture);
  const power = 10 ** Math.floor(Math.log10(division) + 1e-9);
  const step = Math.round(division / power) === 5 ? division / 5 : power / 10;
  return (Math.round(value / step) * step).toFixed(Math.max(0, Math.round(-Math.log10(step))));
}

export function readPicture(picture: LiquidColumnPicture): { text: string; y: number } {
  return { text: writtenOn(picture, readAt(picture, picture.surfaceY)), y: picture.surfaceY };
}

/** Begins a round with the page’s own session, whatever was under way before. */
export async function newRound(page: Page, subjectIds: readonly string[]): Promise<BenchRound> {
  const session = await (await page.request.get('/api/session')).json();
  const answer = await page.request.post(`/api/classes/${session.signedIn.class.id}/rounds`, {
    data: { subjectIds },
    headers: { 'x-csrf-token': session.csrfToken },
  });
  expect(answer.status()).toBe(201);
  return answer.json() as Promise<BenchRound>;
}

/** Begins a round of certain tools, and shows it. A bench that is open has its round by then: it draws one where there is none. */
export async function startRound(page: Page, subjectIds: readonly string[]): Promise<BenchRound> {
  const round = await newRound(page, subjectIds);
  await page.goto('/');
  await expect(page.getByText('Reading 1 of 10')).toBeVisible();
  return round;
}

/** The round the page is showing, asked for with the page's own session. */
export async function currentRound(page: Page): Promise<BenchRound> {
  const session = await (await page.request.get('/api/session')).json();
  const classId = session.signedIn.class?.id;
  return (await page.request.get(`/api/classes/${classId}/rounds/current`)).json() as Promise<BenchRound>;
}

/** Brings the eye to the level by keys, as its slider says how far it is off. */
export async function levelTheEye(page: Page): Promise<void> {
  const eye = page.getByRole('slider', { name: 'Height of your eye' });
  await eye.focus();
  for (let pressed = 0; pressed < 120; pressed += 1) {
    const height = Number(await eye.getAttribute('aria-valuenow'));
    if (Math.abs(height) < 1) return;
    const coarse = Math.abs(height) >= 10;
    await page.keyboard.press(`${coarse ? 'Shift+' : ''}${height > 0 ? 'ArrowDown' : 'ArrowUp'}`);
  }
  throw new Error('The eye did not come to the level.');
}

/**
 * Sets rounds of one reading for the student on the page, as the class’s teacher would, until its picture is as wanted, and shows it.
 * What was set is withdrawn each time, so that nothing is left over.
 * @param aims slips the picture shows; without, the tutor would choose the same one each time, by what the student has done before.
 */
export async function begunLike<Picture>(
  page: Page,
  {
    tool,
    aims,
    wanted,
  }: { readonly tool: string; readonly aims: readonly string[]; readonly wanted: (picture: Picture) => boolean },
): Promise<Picture> {
  const desk = await request.newContext({ baseURL: base.info().project.use.baseURL! });
  const token = await entered(desk, 'teacher');
  const here = await (await page.request.get('/api/session')).json();
  const rounds = `/api/classes/${here.signedIn.class.id}`;
  try {
    for (let tried = 0; tried < 150; tried += 1) {
      const set = await desk.post(`${rounds}/set-rounds`, {
        data: { title: 'One of these', subjectIds: [tool], length: 1, aims, studentIds: [here.signedIn.person.id] },
        headers: { 'x-csrf-token': token },
      });
      const [{ id }] = await set.json();
      const round = (await (
        await page.request.post(`${rounds}/rounds`, {
          data: { setRoundId: id },
          headers: { 'x-csrf-token': here.csrfToken },
        })
      ).json()) as BenchRound;
      await desk.post(`${rounds}/set-rounds/${id}/withdraw`, { headers: { 'x-csrf-token': token } });
      const picture = round.tasks[0]!.picture as Picture;
      if (!wanted(picture)) continue;
      await page.goto('/');
      await expect(page.getByText('Reading 1 of 1')).toBeVisible();
      return picture;
    }
  } finally {
    await desk.dispose();
  }
  throw new Error(`No picture of ${tool} as wanted in so many rounds.`);
}
