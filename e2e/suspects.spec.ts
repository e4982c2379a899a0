import { follow, open, prefer, ready, saved, takeIn } from './helpers.ts';
import { expect, test } from './test.ts';

test.use({ spec: 'suspects' });

test('six cylinders: the gasket with its reasons, the check that pays most, and the sum against the ceiling', async ({
  page
}) => {
  await prefer(page, {});
  const base = await open(page, 'Gannet', '/suspects');
  const first = page.getByRole('article').first();
  await expect(first).toContainText('Head gasket between cylinders 3 and 5');
  await expect(first).toContainText('likely');
  await expect(first).toContainText('for, strongly: cylinder 5: air comes out at its neighbour');
  await expect(page.getByText(/[34]\d in 100 pass what the owner’s word still reaches to\./)).toBeVisible();
  await expect(page.getByRole('radio', { name: /Repair if it stays under a sum/ })).toHaveAttribute(
    'aria-checked',
    'true'
  );
  await expect(page.getByText('20,000 draws')).toBeVisible();
  // What the air at the neighbour has established leads to its job, and waits for its gasket.
  const now = page.getByRole('complementary', { name: 'What now' });
  await expect(now).toContainText(/Waits for head gasket \(expected/);
  await now.getByRole('link', { name: 'Lift the head and renew the gasket' }).click();
  await expect(page).toHaveURL(new RegExp(`${base}/jobs#job-head-gasket$`));
  await page.goto(`${base}/compression`);
  await ready(page);
  await expect(page.getByRole('region', { name: 'Suspects' })).toContainText('Head gasket between cylinders 3 and 5');
});

test('a gauge that is doubted is measured again before anything is believed', async ({ page }) => {
  await prefer(page, {});
  const base = await open(page, 'Wren', '/compression');
  await expect(page.getByRole('region', { name: 'Now' })).toContainText(
    'Repeat with the valve at the plug end before believing it'
  );
  await page.goto(`${base}/suspects`);
  await ready(page);
  await expect(page.getByText('Not known enough yet.')).toBeVisible();
});

test('taking one reading away turns the suspects round, and the page says why', async ({ page }) => {
  await prefer(page, {});
  const base = await takeIn(page, 'Widgeon', 'Neglected');
  await follow(page, `${base}/cooling`);
  const group = (name: string | RegExp) => page.getByRole('group', { name });
  await group('Within about half a minute of running on water').getByText('weak').click();
  const card = page.getByRole('region', { name: 'Suspects' });
  await expect(card).toContainText(/outlet or its line blocked/);
  await group(/Probe the outlet/)
    .getByText('blocked', { exact: true })
    .click();
  await expect(card).toContainText(/Indicator outlet or its line blocked\s*likely/);
  await saved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(card).toContainText(/Indicator outlet or its line blocked\s*possible/);
  await page.getByRole('link', { name: 'Suspects', exact: true }).click();
  await expect(page.getByText('What the last entry changed')).toBeVisible();
  await expect(page.getByText(/was likely, now possible \(no longer: the stream outlet was blocked\)/)).toBeVisible();
});

test('a decision is recorded with its reason and its date, and money may be missing or zero', async ({ page }) => {
  await prefer(page, {});
  const base = await takeIn(page, 'Smew', 'Neglected');
  await follow(page, `${base}/suspects`);
  await expect(page.getByText('What it is worth in running order is not known')).toBeVisible();
  await page.getByRole('button', { name: 'Record the decision' }).click();
  await expect(page.getByRole('alert')).toContainText('Say why in a few words');
  await page.getByRole('textbox', { name: 'The sum over which the owner wants to be asked' }).fill('0');
  await page.getByRole('textbox', { name: 'The sum over which the owner wants to be asked' }).press('Enter');
  await expect(page.getByText('It passes what the owner’s word still reaches to in nearly every case')).toBeVisible();
  await page.getByRole('textbox', { name: 'Worth in running order' }).fill('a lot');
  await page.getByRole('textbox', { name: 'Worth in running order' }).press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: /\w/ }).last()).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Worth in running order' })).toHaveValue('a lot');
  await page.getByRole('radio', { name: /Keep for parts/ }).click();
  await page.getByLabel('Because').fill('Nobody asks for it back.');
  await page.getByLabel('The owner’s answer, word for word').fill('Keep it.');
  await page.getByRole('button', { name: 'Record the decision' }).click();
  await saved(page);
  await page.reload();
  const taken = page.getByRole('listitem').filter({ hasText: 'Nobody asks for it back.' });
  await expect(taken).toContainText('Keep for parts');
  await expect(taken).toContainText('“Keep it.”');
  await page.goto(`${base}/record`);
  await ready(page);
  await expect(page.getByText('Nobody asks for it back.')).toBeVisible();
});

test('without scripts the suspects, the next checks and the sum are there all the same', async ({
  browser,
  baseURL
}) => {
  const context = await browser.newContext({ javaScriptEnabled: false, baseURL });
  const page = await context.newPage();
  await page.goto('/?q=Bittern');
  const href = await page.getByRole('heading', { name: 'Bittern', exact: true }).getByRole('link').getAttribute('href');
  await page.goto(`${href}/suspects`);
  await expect(page.getByText('Stop circuit grounded: switch, lanyard or chafed wire', { exact: true })).toBeVisible();
  await expect(page.getByText(/4,000 draws/)).toBeVisible();
  await context.close();
});

test('what is known is searched, and a strength of the shop’s own changes the advice and is kept beside the rules', async ({
  page
}) => {
  await prefer(page, {});
  await page.goto('/reference/knowledge?q=milky+carrier');
  await expect(page.getByRole('link', { name: 'Carrier O-ring' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Impeller set or torn' })).toHaveCount(0);
  await page.goto('/reference/knowledge?q=kraken');
  await expect(page.getByText('Nothing here is called “kraken”')).toBeVisible();
  await page.goto('/reference/knowledge/mounts');
  await ready(page);
  await page.getByLabel(/In your yard/).fill('120');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('A share from 0 to 100');
  await page.getByLabel(/In your yard/).fill('9');
  await page.getByLabel('it shakes').selectOption('never');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Saved. Advice follows')).toBeVisible();
  // Saving the other rules keeps it.
  await page.goto('/reference/house-rules');
  await page.getByRole('button', { name: 'Save the rules' }).first().click();
  await page.goto('/reference/knowledge/mounts');
  await expect(page.getByLabel('it shakes')).toHaveValue('never');
  await page.getByLabel('it shakes').selectOption('ours');
  await page.getByLabel(/In your yard/).fill('');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Saved. Advice follows')).toBeVisible();
});
