import { resolve } from 'node:path';
import { build } from './build.mjs';
import { checkNode, chromiumPath, installPackages } from './packages.mjs';
import { ROOT } from './processes.mjs';
import { orSayWhy, withOwnDatabase, withSampleServer } from './serve.mjs';

const FOLDER = resolve(ROOT, 'docs', 'screenshots');
const ENTRY = { name: 'Your reading, with its unit' };

/** A round of certain tools whose first picture is as wanted. */
async function round(page, subjectIds, wanted = () => true) {
  // The bench draws a round of its own where there is none; that one has to be there first.
  await page.goto('/');
  await page.getByText(/Reading \d+ of|Round finished/).waitFor();
  for (let tried = 0; tried < 300; tried += 1) {
    const { signedIn, csrfToken } = await (await page.request.get('/api/session')).json();
    const drawn = await (
      await page.request.post(`/api/classes/${signedIn.class.id}/rounds`, {
        data: { subjectIds },
        headers: { 'x-csrf-token': csrfToken },
      })
    ).json();
    // Somebody who draws as many is asked to wait.
    if (!drawn.tasks) await page.waitForTimeout(1500);
    else if (wanted(drawn.tasks[0].picture)) return drawn;
  }
  throw new Error(`No such picture of ${subjectIds.join()} in 300 rounds.`);
}

/** Values read from the picture at the wall and at the lowest point, as a student with a ruler would. */
async function readings(page) {
  const clear = ({ opaque, profile, scaleSide }) => !opaque && scaleSide === 'near' && profile.at(-1)[1] > 0;
  const { tasks } = await round(page, ['cylinder-50'], clear);
  const { marks, surfaceY, profile } = tasks[0].picture;
  const y = (label) => marks.find((mark) => mark.label === label).y;
  const at = (height) => (50 * (y('0') - height)) / (y('0') - y('50'));
  return { right: at(surfaceY).toFixed(1), wall: at(surfaceY - profile.at(-1)[1]).toFixed(1) };
}

async function level(page) {
  const eye = page.getByRole('slider');
  await eye.focus();
  for (let i = 0; i < 150 && Math.abs(Number(await eye.getAttribute('aria-valuenow'))) >= 1; i += 1) {
    await page.keyboard.press(Number(await eye.getAttribute('aria-valuenow')) > 0 ? 'ArrowDown' : 'ArrowUp');
  }
}

async function answer(page, text) {
  await page.getByRole('textbox', ENTRY).fill(text);
  await page.getByRole('textbox', ENTRY).press('Enter');
}

const VIEWS = {
  'bench-wall': async (page, enter) => {
    await enter('student');
    const { wall } = await readings(page);
    await page.goto('/');
    await level(page);
    await answer(page, `${wall} mL`);
    await page.getByText('second try next').waitFor();
  },
  numbers: async (page) => {
    await page.goto('/numbers');
    await page.getByRole('combobox', { name: 'In another unit' }).selectOption('kg/m^3');
    await page.getByText('Why two figures?').click();
    await page.locator('.katex .cancel-lap').first().waitFor({ state: 'attached' });
  },
  practice: async (page) => {
    // The volume of a rod with all the digits that a calculator gives.
    const { tasks } = await round(page, ['multiply-divide'], ({ story }) => /rod is/.test(story[0]));
    const [diameter, length] = tasks[0].picture.story.filter((part) => typeof part !== 'string');
    const wrong = `${(Math.PI * (diameter.text / 2) ** 2 * length.text).toPrecision(9)} cm^3`;
    await page.goto('/numbers/practice');
    const answer = page.getByRole('textbox', { name: 'Your result, with its unit' });
    for (const then of [/second try next/, /the right result/]) {
      await answer.fill(wrong);
      await answer.press('Enter');
      await page.getByText(then).waitFor();
    }
    await page.locator('.katex').first().waitFor();
    await page.getByText(/^Why /).first().click();
  },
  'my-record': async (page) => {
    await page.goto('/record');
    await page.getByRole('heading', { name: 'Practice sets' }).waitFor();
    await page.getByRole('button', { expanded: false }).first().waitFor();
  },
  laboratory: async (page) => {
    await page.goto('/notebook');
    await page.getByText('Slate tile, whole').click();
    await page.getByText('Where the uncertainty comes from').waitFor();
  },
  calculate: async (page) => {
    await page.goto('/notebook');
    await page.getByText('Slate tile, a chip').click();
    await page.getByRole('button', { name: /^Volume, trial 2/ }).click();
    await page.getByLabel('Your result, with its unit').fill('after - before = 6.20 mL');
    await page.getByRole('button', { name: 'Check' }).click();
    await page.getByText('What the digits say').waitFor();
    await page
      .getByRole('table')
      .first()
      .evaluate((table) => table.scrollIntoView());
  },
  report: async (page) => {
    await page.goto('/notebook');
    await page.getByRole('link', { name: /^Nickel washers/ }).click();
    await page.getByRole('link', { name: 'See and print the whole report' }).click();
    await page.getByText('Typesetting').first().waitFor({ state: 'hidden' });
  },
  'class-board': async (page, enter) => {
    await enter('teacher');
    await page.goto('/class');
    await page.getByRole('table').waitFor();
  },
  'start-lesson': async (page) => {
    await page.goto('/class/start');
    await page.getByText(/\d+ of \d+ in/).waitFor();
  },
  rounds: async (page) => {
    await page.goto('/rounds');
    await page.getByRole('button', { name: 'New practice set' }).click();
    await page.getByLabel('Cylinders').check();
    await page.getByLabel('Burettes').check();
    await page.getByText('All slips that can happen here').waitFor();
    await page.getByText('Loading the slips').waitFor({ state: 'hidden' });
    await page.getByRole('img', { name: 'The tool of the example' }).waitFor();
  },
  'class-work': async (page) => {
    await page.goto('/notebook');
    await page.getByRole('table').waitFor();
  },
  'class-results': async (page) => {
    await page.goto('/class-results');
    await page
      .getByRole('region', { name: 'The tools beside each other' })
      .getByRole('button', { name: 'cylinder' })
      .click();
    await page.getByText('Worth checking').waitFor();
  },
  'plan-lesson': async (page) => {
    await page.goto('/plan-lesson');
    await page.getByRole('link', { name: /^Ingot and thermometers/ }).click();
    await page.getByText('4 hot plates, 32 minutes each').waitFor();
  },
  'check-table': async (page) => {
    await page.goto('/numbers/check-table');
    await page.getByRole('button', { name: 'Try an example' }).click();
    await page.getByRole('button', { name: /^2\.5, E4/ }).click();
  },
  'lab-sheet': async (page) => {
    await page.goto('/lab-sheets');
    await page.getByText('How much does a centimetre weigh?').click();
    await page.getByRole('button', { name: 'Advanced' }).click();
    await page.locator('summary').filter({ hasText: 'Mass for each' }).click();
    await page
      .getByRole('textbox', { name: 'Formula', exact: true })
      .fill('mean(mass over trial) * mean(len over trial)');
    await page
      .getByText(/units of different kinds/)
      .first()
      .waitFor();
    await page.getByRole('button', { name: 'Add a quantity' }).scrollIntoViewIfNeeded();
  },
  marking: async (page) => {
    await page.goto('/marking');
    await page.getByRole('link', { name: /^Tomasz/ }).click();
    await page.getByRole('heading', { name: 'Your comment' }).waitFor();
  },
  cabinet: async (page) => {
    await page.goto('/cabinet');
    await page.getByRole('table').waitFor();
  },
  'house-rules': async (page) => {
    await page.goto('/rules');
    await page.getByRole('button', { name: 'Half a division' }).click();
  },
  'read-together': async (page) => {
    await page.goto('/read-together');
    await page.getByRole('link', { name: '50 mL burette, reading 2' }).first().click();
    await page.getByRole('heading', { name: '50 mL burette, reading 2' }).waitFor();
    await page.goto(`${new URL(page.url()).pathname}/wall`);
    await page.getByRole('button', { name: 'Which digits agree?' }).click();
    await page.getByText(/agree on/).waitFor();
    await page.waitForTimeout(2500);
  },
};

async function shoot(base) {
  const { chromium } = await import('playwright-core');
  const browser = await chromium.launch({
    executablePath: chromiumPath(),
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--no-first-run',
    ],
  });
  const page = await browser.newPage({
    viewport: { width: 1280, height: 800 },
    baseURL: base,
    reducedMotion: 'reduce',
  });
  const enter = async (role) => {
    // Nothing that a page still asks for meets the new session.
    await page.goto('about:blank');
    await page.context().clearCookies();
    const { csrfToken } = await (await page.request.get('/api/session')).json();
    await page.request.post('/api/session/demo', { data: { role }, headers: { 'x-csrf-token': csrfToken } });
    await page.goto('/');
    await page.getByRole('button', { name: 'Sign out' }).waitFor();
  };
  for (const [name, show] of Object.entries(VIEWS)) {
    await show(page, enter);
    await page.evaluate('document.fonts.ready.then(() => true)');
    await page.screenshot({ path: resolve(FOLDER, `${name}.png`), animations: 'disabled' });
    console.log(`docs/screenshots/${name}.png`);
  }
  await browser.close();
}

async function screenshots() {
  checkNode();
  installPackages();
  build();
  await withOwnDatabase('screenshots', (url) => withSampleServer(url, shoot));
}

orSayWhy(screenshots());
