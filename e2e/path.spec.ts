import type { Page } from '@playwright/test';
import { prefer, ready, saved, takeIn } from './helpers.ts';
import { expect, test } from './test.ts';

test.use({ spec: 'path' });

test.beforeEach(({ page }) => prefer(page, {}));

/** One tap on a chip, by the name of its group. */
const tap = (page: Page, group: string, word: string) =>
  page
    .getByRole('group', { name: group })
    .locator('label', { hasText: new RegExp(`^\\s*${word}`) })
    .first()
    .click();
/** To a check by its link; the next check has a field of the same name, so its heading is waited for. */
async function go(page: Page, link: RegExp): Promise<void> {
  await page.getByRole('link', { name: link }).click();
  await expect(page.getByRole('heading', { level: 2, name: link.source.slice(2) })).toBeVisible();
}
const button = (page: Page, group: string, name: string) =>
  page.getByRole('group', { name: group }).getByRole('button', { name }).click();

test('a new user takes an engine from intake to ready for service by mouse, with one repair and its proof', async ({
  page
}) => {
  const base = await takeIn(page, 'Mouse');
  await tap(page, 'Stop lanyard out', 'out');
  await tap(page, 'Battery', 'not fitted');
  await tap(page, 'Propeller', 'clear, nobody near');
  await tap(page, 'Stand rated for the weight, leg locked', 'yes');
  await tap(page, 'Where it will run', 'outdoors');
  await expect(page.getByText('It is safe to work on.')).toBeVisible();

  await go(page, /2 Look-over/);
  await tap(page, 'Nests, corrosion', 'clean');
  await page.getByRole('button', { name: 'The rest looks sound' }).click();
  await page.getByRole('button', { name: 'Yes, seen and sound' }).click();
  await expect(page.getByText('Nothing amiss on the walk around it.')).toBeVisible();
  await go(page, /3 Turn and shift/);
  await button(page, 'Turn it slowly by hand', 'free, with bumps');
  await tap(page, 'Neutral: spin the propeller', 'spins freely');
  for (const gear of ['Forward', 'Reverse']) await tap(page, `${gear}: turn it by hand`, 'propeller follows');
  await go(page, /4 Plugs/);
  for (const c of [1, 2]) {
    await page.getByRole('button', { name: `Plug ${c}: ` }).click();
    await page
      .getByRole('group', { name: `Plug ${c} reads` })
      .getByRole('button', { name: 'tan, dry' })
      .click();
  }
  await expect(page.getByText('Every plug reads as it should.')).toBeVisible();
  await go(page, /5 Spark/);
  await tap(page, 'Lanyard in and switch on run', 'yes');
  for (const c of [1, 2]) await button(page, `Cylinder ${c}`, 'good');
  await go(page, /6 Compression/);
  await page.getByRole('textbox', { name: 'Cylinder 1' }).fill('118');
  await page.getByRole('textbox', { name: 'Cylinder 2' }).click();
  await page.getByRole('textbox', { name: 'Cylinder 2' }).fill('121 psi');
  await page.getByRole('textbox', { name: 'Cylinder 2' }).blur();
  await expect(page.getByText('The cylinders are alike')).toBeVisible();
  await go(page, /7 Gear oil/);
  await tap(page, 'Upright a while', 'oil');
  await button(page, 'The oil looks like', 'clear');
  await tap(page, 'Wipe the magnet', 'clean');
  await go(page, /8 Fuel/);
  await page.getByRole('textbox', { name: 'Age of the fuel' }).fill('2 weeks');
  await page.getByRole('textbox', { name: 'Age of the fuel' }).blur();
  await go(page, /9 Cooling/);
  await tap(page, 'Intake screens', 'blocked');
  await tap(page, 'Water for running', 'test tank');
  await page.getByRole('textbox', { name: 'Impeller age' }).fill('1');
  await page.getByRole('textbox', { name: 'Impeller age' }).blur();
  await expect(page.getByText('clear them before blaming the pump').first()).toBeVisible();

  await page.getByRole('link', { name: 'Job list' }).first().click();
  // What the blocked screens ask for has been weighed: nothing moves under the pointer any more.
  const now = page.getByRole('region', { name: 'Now' });
  await expect(now.getByRole('link', { name: /Clear the intake screens/ })).toBeVisible();
  await page.getByLabel('Note').fill('weed in every slot');
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await page.getByRole('link', { name: /Prove it: Cooling/ }).click();
  await expect(page.getByText('re-check 1')).toBeVisible();
  await expect(page.getByText('before: blocked')).toBeVisible();
  await tap(page, 'Intake screens', 'clear');
  await go(page, /0 First run/);
  await tap(page, 'First run', 'ran and settled');
  await button(page, 'Indicator stream', 'strong');
  await tap(page, 'Leaks', 'none');
  await page.getByRole('textbox', { name: 'Ran for' }).fill('20 min');
  await page.getByRole('textbox', { name: 'Ran for' }).blur();

  await page.getByRole('link', { name: 'Ready for service' }).first().click();
  await expect(page.getByRole('row', { name: /Intake screens blocked clear changed/ })).toBeVisible();
  await tap(page, 'Everything tight', 'yes');
  await tap(page, 'Service counters', 'not fitted');
  await page.getByRole('textbox', { name: 'Engine hours' }).fill('212');
  await page.getByRole('textbox', { name: 'Engine hours' }).blur();
  await expect(page.getByText('Every gate is through.')).toBeVisible();
  await saved(page);
  await page.getByLabel('Your name').fill('Mo Usher');
  await page.getByRole('button', { name: 'Sign: ready for service' }).click();
  await expect(page).toHaveURL(`${base}/record`);
  await expect(page.getByText(/signed by Mo Usher/)).toBeVisible();
  await expect(page.getByText(/[0-9a-f]{64}/).first()).toBeVisible();
  const pdf = await page.request.get(`${base}/record.pdf`);
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
});

test('the same by keyboard alone: keys, quick line, arrows', async ({ page }) => {
  const base = await takeIn(page, 'Keys');
  const press = (keys: string) => page.keyboard.press(keys);
  /** Focuses a radio of a group and chooses it with the space bar. */
  const choose = async (group: string, word: string) => {
    await page.getByRole('group', { name: group }).getByRole('radio', { name: word }).focus();
    await press('Space');
  };
  await choose('Where it will run', 'outdoors');
  await press('2');
  await choose('Nests, corrosion', 'clean');
  await page.getByRole('button', { name: 'The rest looks sound' }).focus();
  await press('Enter');
  await page.getByRole('button', { name: 'Yes, seen and sound' }).focus();
  await press('Enter');
  await press('3');
  await expect(page.getByRole('heading', { name: 'Turn and shift' })).toBeVisible();
  await page
    .getByRole('group', { name: 'Turn it slowly by hand' })
    .getByRole('button', { name: 'free, with bumps' })
    .focus();
  await press('Enter');
  await choose('Neutral: spin the propeller', 'spins freely');
  for (const gear of ['Forward', 'Reverse']) await choose(`${gear}: turn it by hand`, 'propeller follows');
  await press('4');
  for (const c of [1, 2]) {
    await page.getByRole('button', { name: `Plug ${c}: ` }).focus();
    await press('Enter');
    await page
      .getByRole('group', { name: `Plug ${c} reads` })
      .getByRole('button', { name: 'tan, dry' })
      .focus();
    await press('Enter');
  }
  await press('5');
  await choose('Lanyard in and switch on run', 'yes');
  await press('/');
  await page.keyboard.type('spark 1 good 2 good');
  await press('Enter');
  await expect(page.getByText('Good spark on every cylinder.')).toBeVisible();
  await press('Tab');
  await press('Tab');
  await page.getByRole('heading', { name: 'Spark', exact: true }).click();
  await press('6');
  await expect(page.getByRole('heading', { name: 'Compression', exact: true })).toBeVisible();
  await press('/');
  await page.keyboard.type('comp 1 118 2 x');
  await expect(page.getByText(/does not start with a number/)).toBeVisible();
  await press('Backspace');
  await page.keyboard.type('12');
  await press('Backspace');
  await page.keyboard.type('16');
  await press('Enter');
  await expect(page.getByText('The cylinders are alike')).toBeVisible();
  await page.getByRole('textbox', { name: 'Cylinder 1' }).focus();
  await page.keyboard.type('119');
  await press('Enter');
  await expect(page.getByRole('textbox', { name: 'Cylinder 2' })).toBeFocused();
  await press('ArrowUp');
  await expect(page.getByRole('textbox', { name: 'Cylinder 1' })).toBeFocused();
  await page.keyboard.press('Tab');
  await press('7');
  await choose('Upright a while', 'oil');
  await page.getByRole('group', { name: 'The oil looks like' }).getByRole('button', { name: 'clear' }).focus();
  await press('Enter');
  await choose('Wipe the magnet', 'clean');
  await press('8');
  await page.getByRole('textbox', { name: 'Age of the fuel' }).focus();
  await page.keyboard.type('1 month');
  await press('Tab');
  await press('9');
  await choose('Intake screens', 'clear');
  await choose('Water for running', 'muffs');
  await page.getByRole('textbox', { name: 'Impeller age' }).focus();
  await page.keyboard.type('2');
  await press('Tab');
  await press('0');
  await choose('First run', 'ran and settled');
  await press('u');
  await expect(page.getByText('Undone: First run')).toBeVisible();
  await choose('First run', 'ran and settled');
  await page.getByRole('group', { name: 'Indicator stream' }).getByRole('button', { name: 'strong' }).focus();
  await press('Enter');
  await choose('Leaks', 'none');
  await page.getByRole('textbox', { name: 'Ran for' }).focus();
  await page.keyboard.type('20 min');
  await press('Tab');
  await page.getByRole('link', { name: 'Ready for service' }).first().focus();
  await press('Enter');
  await choose('Everything tight', 'yes');
  await choose('Service counters', 'not fitted');
  await page.getByRole('textbox', { name: 'Engine hours' }).focus();
  await page.keyboard.type('212');
  await press('Tab');
  await expect(page.getByText('212 engine hours.')).toBeVisible();
  const give = page.getByLabel('May stay open, because').first();
  await give.focus();
  await page.keyboard.type('done in the yard before');
  await press('Tab');
  await press('Enter');
  await expect(page.getByText('Every gate is through.')).toBeVisible();
  await saved(page);
  await page.getByLabel('Your name').focus();
  await press('Enter');
  await expect(page).toHaveURL(`${base}/record`);
});

test('an intake without scripts works, and keeps what was typed', async ({ browser, baseURL }) => {
  const page = await (await browser.newContext({ javaScriptEnabled: false, baseURL })).newPage();
  await page.goto('/engines/new');
  await page.getByLabel('Cylinders').fill('two and a half');
  await page.getByLabel('Owner', { exact: true }).fill('עומר 🚤');
  await page.getByRole('button', { name: 'Take it in and begin' }).click();
  await expect(page.getByText('3 fields need another look')).toBeVisible();
  await expect(page.getByLabel('Cylinders')).toHaveValue('two and a half');
  await expect(page.getByLabel('Owner', { exact: true })).toHaveValue('עומר 🚤');
  await page.getByRole('radio', { name: /^Neglected/ }).check({ force: true });
  await page.getByLabel('The tag you hang on this engine').fill('Plain');
  await page.getByLabel('Cylinders').fill('2');
  await page.getByRole('button', { name: 'Take it in and begin' }).click();
  await expect(page.getByRole('heading', { name: 'Plain' })).toBeVisible();
  await page.goto('/?q=Plain');
  await expect(page.getByText('עומר 🚤')).toBeVisible();
});

test('a survey goes out as a file and comes in again; bad files are refused with their path', async ({ page }) => {
  await page.goto('/?q=Curlew');
  await page.getByRole('heading', { name: 'Curlew' }).getByRole('link').click();
  await page.waitForURL(/\/now$/);
  const file = await page.request.get(page.url().replace(/\/now$/, '/file.json'));
  const text = await file.text();
  const send = async (name: string, body: string) => {
    await page.goto('/import');
    await page
      .getByLabel('Survey file (.json)')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(body) });
    await page.getByRole('button', { name: 'Import' }).click();
  };
  await send('cut.json', text.slice(0, 900));
  await expect(page.getByRole('alert')).toContainText('stops in the middle');
  await send('later.json', text.replace(/"version": \d+/, '"version": 9'));
  await expect(page.getByRole('alert')).toContainText('newer than this application reads');
  await send('wrong.json', text.replace('"weak"', '"wobbly"').replace('"kind": "neglected"', '"kind": "lost"'));
  await expect(page.getByRole('alert')).toContainText('assessment.kind');
  await send('photo.json', 'not json at all');
  await expect(page.getByRole('alert')).toContainText('not JSON');
  await page.goto('/?q=Curlew');
  await expect(page.getByText('1 engine', { exact: false }).or(page.getByText(/engines; 1 found/))).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Curlew' })).toHaveCount(1);
  await send('good.json', text);
  await ready(page);
  await expect(page.getByRole('heading', { name: 'Curlew' })).toBeVisible();
});
