import { follow, noViolations, open, prefer } from './helpers.ts';
import { expect, test } from './test.ts';

test.use({ spec: 'views' });

test('phone width: the worksheet first, drawing and findings one tap away, nothing wider than the screen', async ({
  page
}) => {
  await prefer(page, {});
  await page.setViewportSize({ width: 390, height: 800 });
  const leg = await open(page, 'Avocet');
  const wet = await open(page, 'Eel');
  const base = await open(page, 'Gannet', '/compression');
  await expect(page.getByRole('textbox', { name: /^Cylinder 1/ })).toBeVisible();
  const faces = page.getByRole('navigation', { name: 'Faces of this engine' });
  await faces.getByRole('link', { name: 'Engine' }).click();
  await expect(page.getByRole('navigation', { name: 'Checks' })).toBeVisible();
  await faces.getByRole('link', { name: /Points to/ }).click();
  await expect(page.getByRole('heading', { name: 'What it points to' })).toBeVisible();
  await noViolations(page);
  for (const path of [
    '/',
    '/engines/new',
    '/settings',
    `${leg}/now`,
    '/reference/mixture',
    `${base}/look`,
    `${base}/turn`,
    `${base}/plugs`,
    `${base}/spark`,
    '/reference/spark-gap',
    `${leg}/gear`,
    `${leg}/fuel`,
    `${leg}/cooling`,
    `${leg}/oil`,
    `${leg}/run`,
    `${wet}/drowned`,
    `${wet}/labels`,
    '/bench?minutes=20',
    '/bench/settings',
    '/bench/tonight',
    '/parts',
    '/care',
    '/search?q=oil',
    `${base}/tray`,
    `${base}/flow/spring`,
    `${base}/jobs`,
    `${base}/ready`,
    `${base}/record`
  ]) {
    await follow(page, path);
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    expect([path, wide]).toEqual([path, 0]);
  }
});

test('units and theme are a user’s own and hold across pages', async ({ page }) => {
  await prefer(page, {});
  await open(page, 'Gannet', '/compression');
  await expect(page.getByTitle(/112 · 114 psi/).first()).toBeVisible();
  await page.getByRole('link', { name: /^Settings/ }).click();
  await page.getByRole('radio', { name: 'bar, °C, mL, mm' }).check();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: /7\.86 bar/ }).first()).toBeVisible();
  await page.getByRole('link', { name: /^Settings/ }).click();
  await page.getByRole('radio', { name: /Night watch/ }).check();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'night');
});

test('a keystroke moves the finding before anything is saved', async ({ page }) => {
  await prefer(page, {});
  await open(page, 'Gannet', '/compression');
  const status = page.getByRole('img', { name: /^Compression:/ });
  const before = await status.getAttribute('aria-label');
  await page.getByRole('textbox', { name: /^Cylinder 1/ }).fill('60');
  await expect(status).not.toHaveAttribute('aria-label', before ?? '');
  await page.getByRole('textbox', { name: /^Cylinder 1/ }).fill('');
  await expect(status).toHaveAttribute('aria-label', before ?? '');
});

test('the manual’s own value wins and is named with its page', async ({ page }) => {
  await prefer(page, {});
  await open(page, 'Wren', '/compression');
  const row = page.locator('details', { hasText: 'Spread between cylinders' });
  await row.getByText('the manual’s value wins: enter it').click();
  await row.getByLabel('Manual’s value').fill('12 %');
  await row.getByLabel('Page').fill('31');
  await row.getByRole('button', { name: 'Use it' }).click();
  await expect(row.getByText('12 % from the manual, page 31')).toBeVisible();
});

test('the mixture sum is linkable and catches the cup that was meant as 50:1', async ({ page }) => {
  await prefer(page, { units: 'metric' });
  await page.goto('/reference/mixture?ratio=50:1&fuel=4%20L&poured=100%20mL&cup=10%20mL');
  await expect(page.getByText('That makes 40.0:1')).toBeVisible();
  await page.getByLabel('Ratio').fill('0:1');
  await expect(page.getByText('This has to be above zero.')).toBeVisible();
});

test('what is entered before the scripts have taken over is kept, and counts', async ({ page }) => {
  let release = (): void => {};
  const hold = (): Promise<void> => new Promise((resolve) => (release = resolve));
  let held = hold();
  await page.route('**/_app/**/*.js', async (route) => {
    await held;
    await route.continue();
  });
  await prefer(page, { units: 'metric' });
  await page.goto('/reference/mixture', { waitUntil: 'commit' });
  await page.getByLabel('Ratio').fill('0:1');
  release();
  await expect(page.getByText('This has to be above zero.')).toBeVisible();
  await expect(page.getByLabel('Ratio')).toHaveValue('0:1');

  held = hold();
  await page.goto('/settings', { waitUntil: 'commit' });
  await page.getByLabel('Who is working').fill('Ada');
  release();
  await page.locator('html[data-live]').waitFor({ state: 'attached' });
  await expect(page.getByLabel('Who is working')).toHaveValue('Ada');
});

test('house rules: a number out of range is refused, a school takes effect', async ({ page }) => {
  await prefer(page, {});
  await page.goto('/reference/house-rules');
  await page.getByLabel('Fuel is drained beyond', { exact: true }).fill('900 years');
  await page.getByRole('button', { name: 'Save the rules' }).first().click();
  await expect(page.getByText(/Between 1 month and/)).toBeVisible();
  await expect(page.getByLabel('Fuel is drained beyond', { exact: true })).toHaveValue('900 years');
  await page.getByLabel('Fuel is drained beyond', { exact: true }).fill('6 months');
  await page.getByRole('button', { name: 'Save the rules' }).first().click();
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();
});
