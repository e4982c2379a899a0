import { noViolations, openEngine, ready } from './helpers.ts';
import { expect, test } from './test.ts';

test.use({ spec: 'card' });

test('a card is taken over from the sister, with its sources; another kind of engine’s is refused', async ({
  page
}) => {
  await openEngine(page, 'Dunlin');
  await page.getByRole('link', { name: /The engine’s card/ }).click();
  await ready(page);
  const sister = page.getByRole('region', { name: 'Same model as Knot: take its card?' });
  // What differs, and what was only guessed, is left alone.
  await expect(sister.getByRole('checkbox', { name: /Gear oil: grade/ })).not.toBeChecked();
  await expect(sister.getByRole('checkbox', { name: /Head gasket/ })).not.toBeChecked();
  await expect(sister.getByRole('checkbox', { name: /Pump kit/ })).toBeChecked();
  await noViolations(page);
  await sister.getByRole('button', { name: 'Take what is ticked' }).click();
  await expect(page.getByText(/entries were taken over/)).toBeVisible();
  await expect(page.getByText('PE-20114 · manual, page 41, from the card of Knot')).toBeVisible();

  const card = (entries: object[]) => ({
    name: 'card.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ format: 'indaga-card', version: 1, maker: 'Petrelle', model: 'P20', entries }))
  });
  await page.getByLabel('Card from a file').setInputFiles(card([{ path: 'profile.strokes', value: 'four' }]));
  await page.getByRole('button', { name: 'Lay it beside' }).click();
  await expect(page.getByText(/Of another kind of engine, so nothing of it is taken/)).toBeVisible();
  await page
    .getByLabel('Card from a file')
    .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"x"') });
  await page.getByRole('button', { name: 'Lay it beside' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'it is no JSON' })).toBeVisible();
});

test('the log of an engine that makes oil: told with its interval, one outing more, and that one taken back', async ({
  page
}) => {
  await openEngine(page, 'Fulmar');
  await page.getByRole('link', { name: 'Care and single jobs' }).click();
  await page.getByRole('link', { name: 'Outings' }).click();
  // The care list says the same of it.
  await page.waitForURL('**/outings');
  await expect(page.getByText(/At idle it makes oil: the level rises .* under load it does not/)).toBeVisible();
  await expect(page.getByText(/run it warm under load at the end of each outing/)).toBeVisible();
  await noViolations(page);
  await page.getByLabel('or it ran about').fill('3 h');
  await page.getByLabel('Oil after, settled').fill('3/4');
  await page.getByLabel('Remarks').fill('off the bar, choppy');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
  await expect(page.getByText('10 outings, 26.5 h')).toBeVisible();
  await expect(page.getByText('off the bar, choppy')).toBeVisible();
  await page
    .getByRole('button', { name: /^Take back/ })
    .first()
    .click();
  await expect(page.getByText(/Taken back; it stays/)).toBeVisible();
  await expect(page.getByText('9 outings, 23.5 h')).toBeVisible();
});

test('the year of an engine on one page, for its owner to keep', async ({ page }) => {
  await openEngine(page, 'Fulmar');
  await page.getByRole('link', { name: 'Care and single jobs' }).click();
  await page.getByRole('link', { name: 'The year' }).click();
  await expect(page.getByRole('heading', { name: /^Fulmar, the year/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /^Hours by month: .* h in month/ })).toBeVisible();
  await expect(page.getByText('Engine oil changed')).toBeVisible();
  await noViolations(page);
});

test('an engine beside its sister: what differs is named, hours and care of both', async ({ page }) => {
  await openEngine(page, 'Knot');
  await page.getByRole('link', { name: 'Beside its sister' }).click();
  await expect(page.getByText(/Knot is the weaker one: where the head settles/)).toBeVisible();
  await expect(page.getByRole('row', { name: /Compression, mean of its cylinders/ })).toContainText('The same');
  await expect(page.getByText('Knot: 700 engine hours')).toBeVisible();
  await noViolations(page);
});

test('two boats of a school laid up together on a phone: one step for both, then the next', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/care/fleet?owner=Sailing+school');
  await expect(page.getByRole('heading', { name: 'Lay-up, 2 engines of Sailing school' })).toBeVisible();
  await noViolations(page);
  await page.getByRole('button', { name: 'Done for those chosen' }).click();
  await expect(page.getByRole('alert')).toHaveText('Choose at least one engine.');
  await page.getByRole('checkbox', { name: 'Dunlin' }).check();
  await page.getByRole('checkbox', { name: 'Knot' }).check();
  await page.getByRole('button', { name: 'Done for those chosen' }).click();
  await expect(page.getByText('Ticked for 2 engines.')).toBeVisible();
  await expect(page.getByText('Every engine that has this step is through.')).toBeVisible();
  await expect(page.getByRole('row', { name: /^Dunlin/ }).getByText('done', { exact: true })).toHaveCount(1);
  await page.getByText('Give engines to somebody').click();
  await page.getByRole('group', { name: 'Engines', exact: true }).getByText('Knot').click();
  await page.getByLabel(/^To/).fill('Mo');
  await page.getByRole('button', { name: 'Give', exact: true }).click();
  await expect(page.getByText('1 engine in Mo’s hands.')).toBeVisible();
  await page.getByRole('link', { name: 'Mo', exact: true }).click();
  await expect(page.getByRole('heading', { name: /Lay-up, 1 engine of Sailing school in Mo’s hands/ })).toBeVisible();
  await noViolations(page);
});
