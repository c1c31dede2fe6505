import type { BeamPicture, CaliperPicture, DisplayPicture, MicrometerPicture } from '@green-beam/core';
import type { Page } from '@playwright/test';
import { begunLike, expect } from './world.ts';

const entered = async (page: Page): Promise<void> => {
  await page.getByRole('textbox', { name: 'Your reading, with its unit' }).fill('1.0 mL');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/second try next/)).toBeVisible();
};

/** The sample class’s round on paper. */
const PRINT = '/rounds/5a17a4b0-0000-4000-8000-00000000e003/print';

/** Views that are reached by doing something, each with what is done and what then has to be there. */
export const REACHED: readonly [
  name: string,
  role: 'visitor' | 'student' | 'teacher',
  path: string,
  reach: (page: Page) => Promise<void>,
][] = [
  ['a verdict', 'visitor', '/', entered],
  [
    'the answer',
    'visitor',
    '/',
    async (page) => {
      await entered(page);
      await page.getByRole('button', { name: 'Show me' }).click();
      await expect(page.getByText('The unit: mL')).toBeVisible();
    },
  ],
  [
    'the loupe and the description',
    'visitor',
    '/',
    async (page) => {
      await page.getByRole('button', { name: 'Loupe' }).click();
      await page.getByRole('button', { name: 'In words' }).click();
      await expect(page.getByText(/^The surface lies/)).toBeVisible();
    },
  ],
  [
    'an exercise with its working',
    'visitor',
    '/numbers/practice',
    async (page) => {
      await page.getByRole('button', { name: 'Several steps' }).click();
      await page.getByRole('textbox').fill('777 km');
      await page.keyboard.press('Enter');
      await page.getByRole('button', { name: 'Show me' }).click();
      await expect(page.locator('.katex').first()).toBeVisible();
    },
  ],
  [
    'a table with a mark',
    'visitor',
    '/numbers/practice',
    async (page) => {
      await page.getByRole('button', { name: 'Errors in a table' }).click();
      await page.getByRole('table').getByRole('button').first().click();
      await expect(page.getByRole('combobox', { name: /What is wrong with/ })).toBeVisible();
    },
  ],
  [
    'a table that is checked',
    'visitor',
    '/numbers/check-table',
    async (page) => {
      await page.getByRole('button', { name: 'Try an example' }).click();
      await page.getByRole('button', { name: /^2\.5, E4/ }).click();
      await expect(page.getByRole('heading', { name: '4 things to look at' })).toBeVisible();
    },
  ],
  [
    'readings on strips',
    'visitor',
    '/numbers/practice',
    async (page) => {
      await page.getByRole('button', { name: 'Accuracy and precision' }).click();
      await page.getByRole('radio').first().check();
      await page.getByRole('button', { name: 'Check' }).click();
      await expect(page.getByRole('status').first()).toBeVisible();
    },
  ],
  [
    'a plan with something in the way, being changed',
    'teacher',
    '/plan-lesson',
    async (page) => {
      await page.getByRole('link', { name: /^Ingot and thermometers/ }).click();
      await page.getByRole('combobox', { name: 'Step' }).selectOption('clear-up');
      await page.getByRole('button', { name: '1 minute earlier' }).click();
      await expect(page.getByText(/things? do(es)? not work/)).toBeVisible();
      await page.getByRole('button', { name: 'Change the lesson' }).click();
    },
  ],
  [
    'a plan on the wall',
    'teacher',
    '/plan-lesson',
    async (page) => {
      await page.getByRole('link', { name: /^Ingot and thermometers/ }).click();
      await page.getByRole('button', { name: 'Show on the wall' }).click();
      await expect(page.getByRole('button', { name: /Begin now|Stop the clock/ })).toBeVisible();
    },
  ],
  [
    'class results on the wall',
    'teacher',
    '/class-results',
    async (page) => {
      await page.getByRole('link', { name: 'Show on the wall' }).click();
      await expect(page.getByText('Letters stand for the groups.')).toBeVisible();
    },
  ],
  [
    'two groups in a pair',
    'student',
    '/notebook',
    async (page) => {
      await page
        .getByRole('link', { name: /25 mL of water/ })
        .first()
        .click();
      await page.getByRole('link', { name: /paired with another/ }).click();
      await expect(page.getByRole('textbox', { name: 'What explains the difference?' })).toBeVisible();
    },
  ],
  [
    'a choice',
    'visitor',
    '/numbers/practice',
    async (page) => {
      await page.getByRole('button', { name: 'True statements' }).click();
      await page.getByRole('radio').first().check();
      await page.getByRole('button', { name: 'Check' }).click();
      await expect(page.getByRole('status').first()).toBeVisible();
    },
  ],
  [
    'the house rules',
    'visitor',
    '/',
    async (page) => {
      await page.getByRole('button', { name: /Class rules/ }).click();
      await expect(page.getByRole('dialog')).toBeVisible();
    },
  ],
  [
    'the keys',
    'visitor',
    '/',
    async (page) => {
      await page.getByRole('button', { name: 'Keys' }).click();
      await expect(page.getByRole('dialog')).toBeVisible();
    },
  ],
  [
    'a laboratory',
    'student',
    '/notebook',
    async (page) => {
      await page.getByText('Bronze deck nail').click();
      await expect(page.getByText('Where the uncertainty comes from')).toBeVisible();
    },
  ],
  [
    'a working',
    'student',
    '/notebook',
    async (page) => {
      await page.getByText('Bronze deck nail').click();
      await page.getByRole('button', { name: /^Density, trial 1, .*: show the working/ }).click();
      await expect(page.locator('.katex').first()).toBeVisible();
    },
  ],
  [
    'a cell being written',
    'student',
    '/notebook',
    async (page) => {
      await page.getByText('Tin ballast ingot').click();
      await page.getByRole('button', { name: /^Dry mass, trial 1/ }).click();
      await expect(page.getByLabel('Reason for the correction')).toBeVisible();
    },
  ],
  [
    'leaving a trial out',
    'student',
    '/notebook',
    async (page) => {
      await page.getByText('Tin ballast ingot').click();
      await page.getByRole('button', { name: 'Exclude trial 1' }).click();
      await expect(page.getByRole('dialog')).toBeVisible();
    },
  ],
  [
    'a round being set',
    'teacher',
    '/rounds',
    async (page) => {
      await page.getByRole('button', { name: 'New practice set' }).click();
      await page.getByLabel('Title').fill('');
      await page.getByRole('button', { name: 'Set this practice' }).click();
      await expect(page.getByText('Give the practice set a title.')).toBeVisible();
    },
  ],
  [
    'a student with an open attempt',
    'teacher',
    '/class',
    async (page) => {
      await page
        .getByRole('row', { name: /Ines V\./ })
        .getByRole('link')
        .click();
      await page.locator('button[aria-expanded]').first().click();
      await expect(page.getByText(/As it stood at Enter\.|\d+ s, /)).toBeVisible();
    },
  ],
  [
    'a key to be printed',
    'teacher',
    PRINT,
    async (page) => {
      await page.getByLabel('key only').check();
      await expect(page.getByRole('article', { name: 'Key' })).toBeVisible();
    },
  ],
  [
    'a sheet being typed in',
    'teacher',
    PRINT,
    async (page) => {
      const code = await page
        .getByRole('article', { name: /^Sheet of/ })
        .first()
        .getByText(/^[A-Z]{3}-\d{4}$/)
        .textContent();
      await page.goto(`/sheets/${code}`);
      await expect(page.getByRole('button', { name: 'Save the answers' })).toBeVisible();
    },
  ],
  [
    'a balance of the cabinet',
    'teacher',
    '/cabinet',
    async (page) => {
      await page.getByRole('link', { name: 'B-01' }).click();
      await expect(page.getByRole('img', { name: /checks/ })).toBeVisible();
    },
  ],
  [
    'a list of tools being added',
    'teacher',
    '/cabinet',
    async (page) => {
      await page.getByRole('button', { name: 'Add a list' }).click();
      await expect(page.getByRole('textbox', { name: /Paste the list/ })).toBeVisible();
    },
  ],
  [
    'a beam balance in use',
    'student',
    '/',
    async (page) => {
      await begunLike<BeamPicture>(page, {
        tool: 'beam-balance-tenth',
        aims: ['container-included'],
        wanted: ({ handled, laden }) => handled === 'weigh' && !laden,
      });
      await page
        .getByRole('button', { name: /^Put the/ })
        .last()
        .click();
      await expect(page.getByRole('slider', { name: /^Sliding rider/ })).toBeVisible();
    },
  ],
  [
    'a digital balance in use',
    'student',
    '/',
    async (page) => {
      await begunLike<DisplayPicture>(page, {
        tool: 'digital-balance-milligram',
        aims: ['container-included'],
        wanted: ({ weighables }) => weighables !== null,
      });
      await page.getByRole('button', { name: 'Switch on' }).click();
      await expect(page.getByText('stable', { exact: true })).toBeVisible();
    },
  ],
  [
    'a caliper in use, its parts named',
    'student',
    '/',
    async (page) => {
      await begunLike<CaliperPicture>(page, {
        tool: 'caliper-fiftieth',
        aims: ['zero-ignored'],
        wanted: ({ handled }) => handled === 'close',
      });
      await page.getByRole('button', { name: 'Name the parts' }).click();
      await expect(page.getByText('depth rod')).toBeVisible();
    },
  ],
  [
    'a micrometer in use',
    'student',
    '/',
    async (page) => {
      await begunLike<MicrometerPicture>(page, {
        tool: 'micrometer-thousandth',
        aims: ['zero-ignored'],
        wanted: ({ handled }) => handled === 'close',
      });
      await page.getByRole('button', { name: 'Turn by the ratchet' }).click();
      await expect(page.getByText(/^The faces touch/)).toBeVisible();
    },
  ],
  [
    'a laboratory as its teacher reads it',
    'teacher',
    '/notebook',
    async (page) => {
      await page.getByText('Slate tile, a corner').click();
      await expect(page.getByRole('button', { name: 'Return it' })).toBeVisible();
    },
  ],
  [
    'a report being marked',
    'teacher',
    '/marking',
    async (page) => {
      await page.getByRole('link', { name: /^Tomasz/ }).click();
      await expect(page.getByRole('heading', { name: 'Your comment' })).toBeVisible();
    },
  ],
  [
    'groups being formed',
    'teacher',
    '/notebook/open',
    async (page) => {
      await page.getByRole('button', { name: 'Threes by chance' }).click();
      await expect(page.getByRole('listitem', { name: 'Group 8' })).toBeVisible();
    },
  ],
  ...['Tools and repeats', 'Results', 'Technique', 'Questions', 'Advanced', 'Use it'].map(
    (name): (typeof REACHED)[number] => [
      `a lab sheet being written: ${name}`,
      'teacher',
      '/lab-sheets',
      async (page: Page) => {
        await page.getByRole('button', { name: 'Copy and change: One plate, measured twice' }).click();
        await page.getByRole('button', { name }).click();
        await expect(page.getByRole('heading', { name, level: 2 })).toBeVisible();
        if (name === 'Advanced') await page.locator('summary').filter({ hasText: 'Volume' }).first().click();
      },
    ],
  ),
  [
    'a table being taken in',
    'student',
    '/notebook',
    async (page) => {
      await page.getByRole('link', { name: /^Slate tile, a chip/ }).click();
      await page.getByRole('button', { name: 'Take in a table (CSV)' }).click();
      await page.getByRole('dialog').getByRole('textbox').fill('Trial;Dry mass (g);Note\n1;54,31;\n2;x;bubble');
      await expect(page.getByText(/Row 3, column 2/)).toBeVisible();
    },
  ],
  [
    'files of a class',
    'teacher',
    '/notebook',
    async (page) => {
      await page
        .locator('summary')
        .filter({ hasText: /^Files$/ })
        .click();
      await page
        .getByLabel('Take in a saved page (JSON)')
        .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('[]') });
      await expect(page.getByText('This is no saved laboratory.')).toBeVisible();
    },
  ],
  [
    'a lab sheet being tried',
    'teacher',
    '/lab-sheets',
    async (page) => {
      await page.getByRole('button', { name: 'Copy and change: Which glass delivers best?' }).click();
      await page.getByRole('button', { name: 'Try it' }).click();
      await page.getByRole('main').getByRole('button', { name: 'Try it' }).click();
      await expect(page.getByRole('button', { name: 'Back to the lab sheet' })).toBeVisible();
    },
  ],
  [
    'a report that has come back',
    'student',
    '/notebook',
    async (page) => {
      await page.getByRole('link', { name: /^Nickel washers/ }).click();
      await expect(page.getByRole('heading', { name: 'Your report is back' })).toBeVisible();
    },
  ],
  [
    'a report being written',
    'student',
    '/notebook',
    async (page) => {
      await page.getByRole('link', { name: /^Slate tile, a chip/ }).click();
      await page.getByRole('textbox', { name: 'Causes of error' }).click();
    },
  ],
  [
    'what the class has read together, with names',
    'teacher',
    '/read-together',
    async (page) => {
      await page.getByRole('link', { name: '50 mL burette, reading 2' }).last().click();
      await expect(page.getByRole('heading', { name: '50 mL burette, reading 2' })).toBeVisible();
    },
  ],
  [
    'the wall on which a room’s readings stand',
    'teacher',
    '/read-together',
    async (page) => {
      await page.getByRole('link', { name: '50 mL burette, reading 2' }).last().click();
      await expect(page.getByRole('heading', { name: '50 mL burette, reading 2' })).toBeVisible();
      await page.goto(`${new URL(page.url()).pathname}/wall`);
      await page.getByRole('button', { name: 'Which digits agree?' }).click();
    },
  ],
];
