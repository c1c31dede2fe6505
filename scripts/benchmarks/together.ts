import { setTimeout as pause } from 'node:timers/promises';
import { weakWifi } from '../../e2e/tests/weak-wifi.ts';
import { asTeacher } from './as-teacher.ts';
import { classOf, post } from './students.ts';

const WRITERS = 35;
const ROUNDS = 6;
/** All of them answer within so many ms. */
const WITHIN = 20_000;
const AIM = 1000;

const base = process.env['BASE_URL'] ?? '';
const wifi = await weakWifi(Number(new URL(base).port), 20_261_128);
const throughWifi = `http://127.0.0.1:${wifi.port}`;
const students = await classOf(base, WRITERS);
const classId = students[0]?.classId ?? '';
const { browser, page } = await asTeacher(throughWifi);
await page.getByLabel('Class', { exact: true }).selectOption(classId);
const ids = await Promise.all(
  students.map(async ({ headers }) => {
    const { signedIn } = (await (await fetch(`${base}/api/session`, { headers })).json()) as {
      signedIn: { person: { id: string } };
    };
    return signedIn.person.id;
  }),
);
const late: number[] = [];
for (let round = 0; round < ROUNDS; round += 1) {
  await page.goto('/read-together');
  await page.getByLabel('Where it stands, mL').fill('27.54');
  await page.getByRole('button', { name: 'Start' }).click();
  await page.getByText(`0 of ${WRITERS}`).waitFor();
  const roundId = page.url().split('/').at(-2) ?? '';
  const sent: number[] = [];
  // The page says itself when its count changes: asking for it again and again would slow what is measured.
  await page.evaluate(() => {
    const seen: { count: number; at: number }[] = [];
    Object.assign(window, { seen });
    const count = document.querySelector('[role=status]');
    // No function here has a name: what names it is not known to the page.
    if (count)
      new MutationObserver(() => seen.push({ count: parseInt(count.textContent, 10), at: Date.now() })).observe(count, {
        childList: true,
        characterData: true,
        subtree: true,
      });
  });
  await Promise.all(
    students.map(async (student, i) => {
      await pause(Math.random() * WITHIN);
      sent.push(Date.now());
      const path = `/classes/${classId}/together/${roundId}/answers`;
      await post(throughWifi, student, path, { personId: ids[i], entry: `27.5${i % 10} mL`, eyeHeight: 0 });
    }),
  );
  await page.getByText(`${WRITERS} of ${WRITERS}`).waitFor();
  const seen = (await page.evaluate(() => (window as unknown as { seen: unknown }).seen)) as {
    count: number;
    at: number;
  }[];
  // Answers are nobody’s on the wall: the count has reached k when k of them are there.
  sent.forEach((at, k) => {
    const reached = seen.find(({ count }) => count > k);
    late.push((reached?.at ?? Infinity) - at);
  });
  await page.getByRole('button', { name: 'Stop' }).click();
}
late.sort((a, b) => a - b);
const part = (share: number): number => Math.round(late[Math.floor(share * (late.length - 1))] ?? NaN);
process.stdout.write(
  `an answer of ${WRITERS} on the wall’s count, over 1 Mbit/s, 300 ms and 2 % loss: ${part(0.5)} ms median, ${part(0.95)} ms at the 95th percentile (aim: under ${AIM} ms)\n`,
);
await browser.close();
await wifi.close();
