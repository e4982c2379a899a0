import { noViolations, open, ready, saved } from './helpers.ts';
import { expect, test } from './test.ts';

test.use({ spec: 'procedures' });

test('a pump kit on a phone: the bench, step by step, a reading from elsewhere, handed on, finished', async ({
  page
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const base = await open(page, 'Fulmar', '/jobs');
  await page.getByRole('link', { name: /Water pump: kit or impeller: step by step/ }).click();
  await expect(page.getByRole('heading', { name: 'On the bench before the first bolt' })).toBeVisible();
  await ready(page);
  await noViolations(page);
  // Nothing is finished with nothing done.
  await expect(page.getByRole('button', { name: /^Finish/ })).toBeDisabled();
  await page.getByRole('button', { name: 'All is here: begin' }).click();
  await expect(page.getByText(/leg straight down/).first()).toBeVisible();
  // What comes off is on the tray from where the hands are, and goes back from there.
  const off = page.getByRole('list', { name: 'Off, in this order' });
  await expect(off.getByRole('listitem').first()).toContainText('shift-rod joint');
  await page.getByRole('button', { name: /^Put (it|these \d+) on the tray$/ }).click();
  await expect(off.getByText('on the tray').first()).toBeVisible();
  await page.getByRole('button', { name: 'Done, step 1' }).click();
  await expect(page.getByRole('heading', { name: '2 of 13' })).toBeVisible();
  await page.getByRole('button', { name: 'Done, step 2' }).click();
  await saved(page);

  // Read on the check's own sheet: the step is ticked by it.
  await page.goto(`${base}/cooling`);
  await ready(page);
  const fold = page.locator('details', { hasText: 'vanes, housing, bush, assembly' }).first();
  if (!(await fold.evaluate((d: HTMLDetailsElement) => d.open))) await fold.locator('summary').first().click();
  await page
    .getByRole('group', { name: /seal cover/ })
    .getByText('good', { exact: true })
    .click();
  await saved(page);

  await page.goto(`${base}/work/pump-kit`);
  await ready(page);
  await expect(page.getByText('3 of 13').last()).toBeVisible();
  await expect(page.getByRole('heading', { name: '3 of 13' })).toBeVisible();

  // The only way the shaft may be turned is drawn and said.
  await page.goto(`${base}/work/pump-kit?step=vanes`);
  await ready(page);
  await expect(page.getByText(/Only clockwise, seen from above|Only the way its arrow/)).toBeVisible();
  await noViolations(page);

  // What is left out needs its reason; the job is closed with it, and asks for its proof.
  await page.getByRole('button', { name: 'Finish, with steps left out' }).click();
  await expect(page.getByText('Say in a few words why the rest was left out.')).toBeVisible();
  await page.getByLabel('Why steps are left out').fill('went on by paper');
  await page.getByRole('button', { name: 'Finish, with steps left out' }).click();
  await expect(page.getByText('It stands in the engine’s record.')).toBeVisible();
  await saved(page);
  await page.goto(`${base}/jobs#job-pump`);
  await expect(page.getByText('done, not proved yet').first()).toBeVisible();
});

test('procedures are read in the reference, without scripts too; one that is none is not found', async ({
  browser,
  baseURL
}) => {
  const context = await browser.newContext({ javaScriptEnabled: false, baseURL: baseURL! });
  const page = await context.newPage();
  await page.goto('/reference/procedures?q=reed');
  await page.getByRole('link', { name: /Reeds and crank seals/ }).click();
  await expect(page.getByRole('heading', { name: /Reeds and crank seals/ })).toBeVisible();
  await expect(page.getByText('Pumped to 0.4 bar by hand: falls?')).toBeVisible();
  const missing = await page.goto('/reference/procedures/constructor');
  expect(missing!.status()).toBe(404);
  await context.close();
});

test('a step at which the engine is started is refused while a hold stands', async ({ page }) => {
  const base = await open(page, 'Eel', '/work/pump-kit');
  await page.getByRole('button', { name: 'All is here: begin' }).click();
  await saved(page);
  await page.goto(`${base}/work/pump-kit?step=stream`);
  await ready(page);
  await expect(page.getByText(/^Refused: Drowned/).first()).toBeVisible();
  await expect(page.getByRole('button', { name: /^Done, step/ })).toBeDisabled();
  await page.goto(`${base}/work/pump-kit?step=impeller`);
  await ready(page);
  await expect(page.getByRole('button', { name: /^Done, step/ })).toBeEnabled();
});

test('an assessment goes out with its photographs and comes in again; a bundle that was altered is refused by name', async ({
  page
}) => {
  const base = await open(page, 'Gannet', '/gear');
  const bundle = await (await page.request.get(`${base}/bundle.zip`)).body();
  await page.goto('/import');
  await ready(page);
  const file = page.getByLabel(/Survey file/);
  const altered = Buffer.from(bundle);
  altered.write('Xannet', altered.lastIndexOf('manifest.json') > 0 ? 60 : 40);
  await file.setInputFiles({ name: 'altered.zip', mimeType: 'application/zip', buffer: altered });
  await page.getByRole('button', { name: 'Import' }).click();
  await expect(page.getByText('Nothing was imported.')).toBeVisible();
  await file.setInputFiles({ name: 'gannet.zip', mimeType: 'application/zip', buffer: bundle });
  await page.getByRole('button', { name: 'Import' }).click();
  await page.waitForURL(/\/surveys\/[0-9a-f-]{36}/);
  await expect(page.getByRole('link', { name: 'Gannet' }).or(page.getByText('Gannet')).first()).toBeVisible();
});
