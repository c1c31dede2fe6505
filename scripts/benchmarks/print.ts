import { asTeacher } from './as-teacher.ts';

/** The sample class has 24 students; with so many readings each a set has as many pictures as 30 students × 10. */
const READINGS = 13;
const AIM = 5000;

/** Sets a round on paper and times it from asking for its sheets to the last of them, and the key, standing on the page. */
async function printed(name: string, subjectIds: readonly string[]): Promise<void> {
  const classes = (await (await page.request.get('/api/classes')).json()) as { id: string }[];
  const { csrfToken } = (await (await page.request.get('/api/session')).json()) as { csrfToken: string };
  const set = await page.request.post(`/api/classes/${classes[0]?.id ?? ''}/set-rounds`, {
    data: { title: name, subjectIds, length: READINGS, onPaper: true },
    headers: { 'x-csrf-token': csrfToken },
  });
  if (!set.ok()) throw new Error(`No round on paper: ${await set.text()}`);
  const [round] = (await set.json()) as { id: string }[];
  const start = performance.now();
  await page.goto(`/rounds/${round?.id ?? ''}/print`);
  await page.getByRole('article', { name: 'Key' }).waitFor();
  const pictures = await page.locator('article li svg').count();
  const time = performance.now() - start;
  process.stdout.write(
    `printing ${pictures} pictures, ${name}: ready after ${(time / 1000).toFixed(1)} s (aim: under ${AIM / 1000} s)\n`,
  );
}

const { browser, page } = await asTeacher();
await printed('every tool', []);
await printed('burettes', ['burette-50']);
await browser.close();
