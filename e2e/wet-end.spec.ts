import type { Page } from '@playwright/test';
import { deviceTime, follow, noViolations, open, prefer, ready, saved, takeIn } from './helpers.ts';
import { expect, test } from './test.ts';

test.use({ spec: 'wet-end' });

/** Makes an engine of these tests free to start: outdoors, in a tank, with nothing held. */
async function freeToRun(page: Page, base: string): Promise<void> {
  await follow(page, `${base}/safe`);
  await page.getByRole('group', { name: 'Where it will run' }).getByText('outdoors').click();
  await follow(page, `${base}/cooling`);
  await page.getByRole('group', { name: 'Water for running' }).getByText('test tank').click();
  await saved(page);
  await page.goto(`${base}/run`);
  await ready(page);
}

async function temperatures(page: Page, celsius: readonly number[], every = '00:30'): Promise<void> {
  for (const t of celsius) {
    await page.getByLabel('Temperature, °F').fill(`${t} °C`);
    await page.getByRole('button', { name: /^Take .*°C/ }).click();
    await page.clock.fastForward(every);
  }
}

test('a first run by a fake clock: weak stream and a rising fit lead to stop, with a cause', async ({ page }) => {
  await page.clock.install();
  await deviceTime(page);
  const base = await takeIn(page, 'Hot');
  await follow(page, `${base}/run`);
  await expect(page.getByRole('button', { name: /start the clock/ })).toBeDisabled();
  await freeToRun(page, base);
  await page.getByRole('button', { name: 'It runs: start the clock' }).click();
  await expect(page.getByRole('timer', { name: /Running for/ })).toBeVisible();
  await page.clock.fastForward('00:31');
  await expect(page.getByText('Lamp and horn: out?', { exact: true })).toBeVisible();
  await page.getByRole('group', { name: 'Lamp and horn: out?' }).getByRole('button', { name: 'none' }).click();
  await page
    .getByRole('group', { name: 'Indicator stream', exact: true })
    .getByRole('button', { name: 'weak' })
    .click();
  const hot = (s: number): number => Math.round(150 - 136 * Math.exp(-s / 260));
  await temperatures(
    page,
    Array.from({ length: 9 }, (_, k) => hot(31 + 30 * k))
  );
  await expect(page.getByRole('alert').filter({ hasText: /Stop it: it heads for|It reached/ })).toBeVisible();
  await noViolations(page);
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await page.getByRole('button', { name: 'temperature', exact: true }).click();
  await expect(page.getByText(/Stopped early because of temperature: find the cause/).first()).toBeVisible();
  await saved(page);
  await page.goto(`${base}/cooling`);
  await ready(page);
  await expect(page.getByText(/weak and the temperature still climbs: stop it|and it runs hot/).first()).toBeVisible();
});

test('a run outlives a reload; weak stream at a normal temperature is the outlet, and the pump is not cleared', async ({
  page
}) => {
  await page.clock.install();
  await deviceTime(page);
  const base = await takeIn(page, 'Dribble');
  await freeToRun(page, base);
  await page.getByRole('button', { name: 'It runs: start the clock' }).click();
  await saved(page);
  await page.clock.fastForward('00:40');
  await page.reload();
  await ready(page);
  await expect(page.getByRole('timer', { name: /Running for 0:4/ })).toBeVisible();
  await page
    .getByRole('group', { name: 'Indicator stream', exact: true })
    .getByRole('button', { name: 'weak' })
    .click();
  await temperatures(
    page,
    Array.from({ length: 14 }, (_, k) => Math.round(62 - 46 * Math.exp(-(40 + 60 * k) / 180))),
    '01:00'
  );
  await expect(page.getByText(/Steady at|It settles between/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await page.getByRole('button', { name: 'It ran and settled; stopped on purpose' }).click();
  await saved(page);
  await page.goto(`${base}/cooling`);
  await ready(page);
  await expect(
    page.getByText(/points to the outlet or its line, not to the pump.*does not clear the pump/).first()
  ).toBeVisible();
});

test('a logger’s file: decimal commas, columns chosen, cancelled and read, saved again as CSV', async ({ page }) => {
  await prefer(page, { units: 'metric' });
  await open(page, 'Dunlin', '/run');
  await page.getByText('CSV in').click();
  const long = [
    'Zeit;Temp °C;rpm',
    ...Array.from({ length: 400_000 }, (_, k) => `${k};${(20 + k / 20_000).toFixed(1).replace('.', ',')};900`)
  ];
  const choose = page.getByLabel('Choose a logger’s file');
  await choose.setInputFiles({ name: 'long.csv', mimeType: 'text/csv', buffer: Buffer.from(long.join('\r\n')) });
  // What the file does not say is asked, and until then nothing is read.
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByRole('alert')).toContainText('does not say what');
  await page.getByLabel('It counts').selectOption('s');
  await page.getByLabel('Where “Temp °C” was').selectOption('head');
  await expect(page.getByText(/It would be read as: head .* 400000 rows/)).toBeVisible();
  await page.getByRole('button', { name: 'Read it' }).click();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText(/rows read/)).toHaveCount(0);
  const rows = [
    '"Run, ""warm"" up";;',
    'Zeit;Temp °C;rpm',
    ...Array.from(
      { length: 120 },
      (_, k) => `${k * 5};${(70 - 52 * Math.exp((-k * 5) / 150)).toFixed(1).replace('.', ',')};${850 + (k % 7)}`
    )
  ];
  await choose.setInputFiles({ name: 'deck.csv', mimeType: 'text/csv', buffer: Buffer.from(rows.join('\r\n')) });
  await expect(page.getByLabel('Decimal sign')).toHaveValue(',');
  await page.getByLabel('It counts').selectOption('s');
  await page.getByLabel('Where “Temp °C” was').selectOption('head');
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByText('deck.csv: 120 rows read, kept as 120.')).toBeVisible();
  await expect(page.getByRole('heading', { name: /logger, deck\.csv/ })).toBeVisible();
  await saved(page);
  const download = page.waitForEvent('download');
  await page.getByRole('listitem').filter({ hasText: 'deck.csv' }).getByRole('button', { name: 'Save as CSV' }).click();
  expect((await download).suggestedFilename()).toMatch(/Dunlin logger, deck\.csv\.csv/);
  await choose.setInputFiles({
    name: 'note.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from('no figures here\njust words\n')
  });
  await expect(page.getByRole('alert').filter({ hasText: 'no rows of figures' })).toBeVisible();
});

test('drowned: steps in their order, passes counted, put to sleep for the night with its labels', async ({ page }) => {
  await prefer(page, {});
  const base = await open(page, 'Eel', '/drowned');
  const now = page.locator('[aria-current="step"]');
  await expect(now).toContainText('plugs out, holes lowest');
  await page.getByRole('group', { name: 'Plug holes lowest: what comes out?' }).getByText('nothing more').click();
  await expect(now).toContainText('Drain the sump before anything spins');
  await page.getByRole('button', { name: /Water-displacing oil in/ }).click();
  await page
    .getByRole('group', { name: 'Water-displacing oil in, turned, blown dry: what came out this time?' })
    .getByRole('button', { name: 'oil only', exact: true })
    .click();
  await expect(page.getByText('3 passes so far')).toBeVisible();
  await noViolations(page);
  await page.getByLabel(/Bores filled with oil/).check();
  await saved(page);
  await page.getByRole('link', { name: 'Print the labels' }).click();
  for (const label of ['DO NOT CRANK', 'OIL IN BORES', 'NO OIL'])
    await expect(page.getByRole('region', { name: label })).toBeVisible();
  await noViolations(page);
  await page.goto(`${base}/run`);
  await ready(page);
  await expect(page.getByRole('button', { name: /start the clock/ })).toBeDisabled();
});

test('fuel: the line part by part, what starves it, and the oil this tank needs with the cup at hand', async ({
  page
}) => {
  await prefer(page, { units: 'metric' });
  await open(page, 'Dunlin', '/fuel');
  await page.getByRole('button', { name: /^Filters/ }).click();
  await page
    .getByRole('group', { name: /Filters and clear bowls/ })
    .getByText('clogged')
    .click();
  await expect(page.getByText('Filters: clogged: it starves at speed.').first()).toBeVisible();
  await page.getByText('dies, floods, runs on choke only').click();
  await page.getByRole('group', { name: 'It dies after running a little' }).getByText('after minutes').click();
  await expect(page.getByText(/It is the clogged filter/)).toBeVisible();
  await page.getByText('Mixture and stabiliser').click();
  await page.getByRole('textbox', { name: 'In the tank now' }).fill('10 L');
  await page.getByRole('textbox', { name: 'In the tank now' }).press('Enter');
  await page.getByRole('group', { name: 'Oil in it' }).getByText('mixed at').click();
  await page.getByRole('textbox', { name: 'Mixed at' }).fill('100:1');
  await page.getByRole('textbox', { name: 'Mixed at' }).press('Enter');
  await page.getByRole('textbox', { name: 'The cup at hand' }).fill('25 mL');
  await page.getByRole('textbox', { name: 'The cup at hand' }).press('Enter');
  await expect(page.getByText(/With this cup: pour 100 mL/)).toBeVisible();
  await page.getByRole('button', { name: /Poured it/ }).click();
  await saved(page);
});

test('engine oil: two dips on the drawn stick, rivals weighed, cups counted', async ({ page }) => {
  await prefer(page, {});
  await open(page, 'Tern', '/oil');
  await expect(page.getByText(/One dip says 19 mm over the low mark/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Record this dip' }).click();
  await expect(page.getByText(/overfilled or diluted cannot be told yet/).first()).toBeVisible();
  await page.getByRole('group', { name: 'Smell on the stick' }).getByText('of fuel', { exact: true }).click();
  await page.getByRole('group', { name: 'Where it stood after that fill' }).getByText('between the marks').click();
  await expect(page.getByText('Fuel in the oil, rather than overfilled.')).toBeVisible();
  await page.getByText('drain, filter, pour').click();
  await page.getByRole('button', { name: /\+1 cup/ }).click();
  await page.getByRole('button', { name: /\+1 cup/ }).click();
  await expect(page.getByRole('region', { name: 'Pour tally' })).toContainText(/6\.8 fl oz\s+in 2\s+cups/);
  await saved(page);
});

test('cooling and gear: vanes tapped on the drawing, a bucket timed, bubbles on the section', async ({ page }) => {
  await prefer(page, { units: 'metric' });
  const base = await open(page, 'Knot', '/cooling');
  await page.getByRole('button', { name: 'Vane 6: good' }).click();
  await expect(page.getByRole('img', { name: /2 missing, 3 cracked/ })).toBeVisible();
  await page.getByText('the stream is a bleed, not the flow').click();
  await page.getByLabel('Into the bucket').fill('0.8 L');
  await page.getByLabel('In seconds').fill('64');
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByText('The stream gives 0.75 L/min.', { exact: false }).first()).toBeVisible();
  await page.goto(`${base}/gear`);
  await ready(page);
  await page.getByRole('button', { name: 'creamy' }).click();
  await expect(page.getByText(/Water in the gear oil/).first()).toBeVisible();
  await page.getByText('drained, before oil goes in').click();
  await page.getByRole('button', { name: 'shift shaft: no bubbles noted' }).click();
  await expect(page.getByText('It bubbles at: shift shaft.').first()).toBeVisible();
  await saved(page);
});
