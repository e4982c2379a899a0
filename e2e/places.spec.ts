import { noViolations, open, prefer, ready, saved, takeIn } from './helpers.ts';
import { expect, test } from './test.ts';

test.use({ spec: 'places' });

test.beforeEach(({ page }) => prefer(page, {}));

test('the yard answers what to do now, and search finds by tag, serial and owner', async ({ page }) => {
  await page.goto('/');
  const first = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('heading') })
    .first();
  await expect(first).toContainText('Heron');
  await expect(first).toContainText(/left|past/);
  await expect(first.getByRole('link', { name: /Stop here: ask the owner.* 5 min/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Now Heron: Stop here/ })).toBeVisible();
  await page.getByRole('navigation', { name: 'Show' }).getByRole('link', { name: 'Waiting for parts' }).click();
  await expect(page.getByRole('status').first()).toContainText(/13\s+engines; \d found/);
  for (const [words, tag] of [
    ['plov', 'Plover'],
    ['TW150', 'Gannet'],
    ['ostrand', 'Gannet']
  ] as const) {
    await page.getByRole('searchbox').or(page.getByLabel('Search by tag, serial or owner')).fill(words);
    await page.getByRole('button', { name: 'Search' }).click();
    await expect(page.getByRole('heading', { level: 2 }).first()).toHaveText(tag);
  }
  await page.goto('/?q=nothing%20like%20it');
  await expect(page.getByText('Nothing here is called')).toBeVisible();
});

test('the engine page saves each field by itself, in the unit that was typed, and keeps the history', async ({
  page
}) => {
  await takeIn(page, 'Fields');
  await page.getByRole('link', { name: 'Engine', exact: true }).click();
  await ready(page);
  await page.getByLabel('Boat’s number or name').fill('SG 77 ⚓');
  await page.getByLabel('Boat’s number or name').blur();
  await page.getByRole('group', { name: 'Leg: does it belong' }).getByText('odd paint').click();
  await page.getByText('What kind of engine', { exact: true }).click();
  await page.getByRole('textbox', { name: 'Gear oil capacity' }).fill('7 1/2 oz');
  await page.getByRole('textbox', { name: 'Gear oil capacity' }).blur();
  await expect(page.getByRole('textbox', { name: 'Gear oil capacity' })).toHaveValue('7.5 fl oz');
  await page.getByRole('textbox', { name: 'Compression ratio' }).fill('99');
  await page.getByRole('textbox', { name: 'Compression ratio' }).blur();
  await expect(page.getByRole('alert')).toContainText('cannot be true here; it lies between 3:1 to 14:1');
  await saved(page);
  await page.reload();
  await ready(page);
  await expect(page.getByLabel('Boat’s number or name')).toHaveValue('SG 77 ⚓');
  await expect(page.getByRole('checkbox', { name: 'odd paint' })).toBeChecked();
  await expect(page.getByText('Gear oil capacity: 7.5 fl oz')).toBeVisible();
});

test('undo takes back, and a wrong reading is corrected without being erased', async ({ page }) => {
  const base = await takeIn(page, 'Undo');
  await page.keyboard.press('6');
  const field = page.getByRole('textbox', { name: 'Cylinder 1' });
  for (const value of ['118', '180']) {
    await field.fill(value);
    await field.press('Enter');
    await field.focus();
  }
  await page.getByRole('button', { name: '180 psi' }).click();
  await page.getByLabel('Correct this reading').fill('119');
  await page.getByLabel('Correct this reading').press('Enter');
  await expect(page.getByRole('button', { name: '119 psi' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: '180 psi' })).toBeVisible();
  await saved(page);
  const file = (await (await page.request.get(`${base}/file.json`)).json()) as { readings: { typed?: string }[] };
  expect(file.readings.map((r) => r.typed)).toEqual(['118', '180', '119', '180']);
});

test('another assessment of the same engine begins clean and keeps the engine', async ({ page }) => {
  await takeIn(page, 'Again');
  await page.getByRole('link', { name: 'Engine', exact: true }).click();
  await page.getByText('Begin another').click();
  await page.getByLabel('Kind of case').selectOption('lay-up');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Again' })).toBeVisible();
  await expect(page.getByText('unknown make · Lay-up')).toBeVisible();
  await page.getByRole('link', { name: 'Engine', exact: true }).click();
  await expect(page.getByRole('link', { name: /Spring return/ })).toBeVisible();
});

test('an instrument is entered once, refused where it cannot be, and picked at the engine', async ({ page }) => {
  await page.goto('/reference/instruments');
  await page.getByLabel('Name').fill('Long hose gauge');
  await page.getByLabel('Range').fill('300 mm');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('alert')).toContainText('a unit of length');
  await page.getByLabel('Range').fill('20 bar');
  await page.getByLabel('Volume before the check valve').fill('12 mL');
  await page.getByLabel('Check valve sits').selectOption('gauge end');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('heading', { name: 'Long hose gauge' })).toBeVisible();
  await open(page, 'Dunlin', '/compression');
  await page.getByText('change', { exact: true }).click();
  await page.getByLabel('Gauge').selectOption({ label: 'Long hose gauge · 0.4 fl oz before the valve' });
  await page.getByLabel('Volts cranking').fill('eleven');
  await page.getByLabel('Volts cranking').blur();
  await expect(page.getByRole('alert')).toContainText('does not start with a number');
});

test('removing a finding changes what is asked next', async ({ page }) => {
  await open(page, 'Dunlin', '/cooling');
  await expect(page.getByText('points to the outlet or its line, not to the pump')).toBeVisible();
  await page.getByRole('group', { name: 'Probe the outlet' }).getByText('was blocked, now clear').click();
  await expect(page.getByText('One cured fault does not clear the other')).toBeVisible();
  await page.getByRole('textbox', { name: 'Hottest at the head' }).fill('97 °C');
  await page.getByRole('textbox', { name: 'Hottest at the head' }).blur();
  await expect(page.getByText(/Stop; no more running until the cause is found/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Holds' })).toContainText('First run stopped by lamp, stream or heat');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('region', { name: 'Holds' })).toHaveCount(0);
});

test('a name is saved with Enter and signs what is recorded; units and theme stay as they were', async ({ page }) => {
  await page.goto('/settings');
  await ready(page);
  await page.getByLabel('Who is working').fill('Bo');
  await page.getByLabel('Who is working').press('Enter');
  await page.getByRole('link', { name: 'Settings: Bo' }).click();
  await expect(page.getByLabel('Who is working')).toHaveValue('Bo');
  await expect(page.getByRole('radio', { name: /^psi/ })).toBeChecked();
  const base = await takeIn(page, 'Named');
  await page.getByRole('group', { name: 'Where it will run' }).getByText('outdoors').click();
  await saved(page);
  const file = (await (await page.request.get(`${base}/file.json`)).json()) as { readings: { by?: string }[] };
  expect(file.readings[0]?.by).toBe('Bo');
});

test('an engine of which nobody said how many cylinders it has asks for that where they are read', async ({ page }) => {
  await page.goto('/engines/new');
  await ready(page);
  await page.getByRole('radio', { name: /^Neglected/ }).check({ force: true });
  await page.getByLabel('The tag you hang on this engine').fill('Uncounted');
  await page.getByRole('button', { name: 'Take it in and begin' }).click();
  await expect(page.getByRole('heading', { name: 'Make it safe' })).toBeVisible();
  await ready(page);
  const asked = page.getByRole('group', { name: 'How many cylinders has it?' });
  await expect(asked).toHaveCount(0);
  await page.goto(page.url().replace(/\/safe$/, '/spark'));
  await ready(page);
  await page
    .getByRole('group', { name: /^Spark/ })
    .getByText('none', { exact: true })
    .first()
    .click();
  await noViolations(page);
  await asked.getByRole('button', { name: '1', exact: true }).click();
  await expect(asked).toHaveCount(0);
  await expect(page.getByText(/Forgetting them is the commonest/).first()).toBeVisible();
  await saved(page);
});
