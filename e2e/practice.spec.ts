import { expect, type Page } from '@playwright/test';
import fs from 'node:fs';
import { noViolations, prefer, ready } from './helpers.ts';
import { test } from './test.ts';

test.use({ spec: 'practice' });

const begin = async (page: Page, title: string): Promise<void> => {
  await page.goto('/practice');
  await ready(page);
  await page.getByRole('button', { name: new RegExp(`: ${title}$`) }).click();
  await page.waitForURL(/\/practice\/[0-9a-f-]{36}\/safe$/);
  await ready(page);
};

test('an exercise from its beginning to its debrief', async ({ page }) => {
  await prefer(page, { who: 'Ada' });
  await begin(page, 'One of two');
  await noViolations(page);
  for (let k = 0; k < 4; k++) {
    await page.getByRole('button', { name: 'Do this', exact: true }).click();
    await expect(page.getByRole('region', { name: 'So far' }).getByRole('listitem')).toHaveCount(k + 1);
  }
  await page.getByRole('link', { name: /Cooling/ }).click();
  await page.getByRole('button', { name: /^Open the water pump/ }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Last: Open the water pump, 45 min' })).toBeVisible();
  // What a hold forbids is refused with its sentence.
  await page.getByRole('link', { name: /First run/ }).click();
  await page.getByRole('button', { name: /^First run on water/ }).click();
  await expect(page.getByRole('alert')).toContainText('It lifts when');
  await expect(page.getByRole('button', { name: 'Do it anyway, and see' })).toBeVisible();
  await page.getByRole('link', { name: 'I know enough' }).click();
  await expect(page.getByRole('heading', { name: 'What is wrong with it?' })).toBeVisible();
  await noViolations(page);
  await page.getByLabel('Find', { exact: true }).fill('plug lead');
  await page.getByRole('radiogroup', { name: 'Plug lead or cap, cylinder 1' }).getByText('likely').click();
  await page.getByLabel('What its faults cost in all, cr').fill('a lot');
  await page.getByRole('button', { name: 'Say it, and see' }).click();
  // What was marked and typed is kept beside the sentence.
  await expect(page.getByRole('alert')).toHaveText('“a lot” is no sum.');
  await page.getByLabel('What its faults cost in all, cr').fill('40');
  await page.getByRole('button', { name: 'Say it, and see' }).click();
  await expect(page.getByRole('heading', { name: 'You named it.' })).toBeVisible();
  await expect(page.getByText('Open the water pump, 45 min.').first()).toBeVisible();
  await noViolations(page);
  // No practice engine is among those of the yard, nor found by a search.
  await page.goto('/');
  await expect(page.getByText('Practice: a made-up engine')).toHaveCount(0);
  await page.goto('/search?q=Practice');
  await expect(page.getByRole('link', { name: /^Practice$/ })).toHaveCount(1);
});

test('a set: a mistyped code, three browsers, the board and its CSV', async ({ page, browser, baseURL }) => {
  await prefer(page, { who: 'Teacher' });
  await page.goto('/practice');
  await ready(page);
  await page.getByLabel('Its code').fill('7K3M-0QDX');
  await page.getByRole('button', { name: 'Open it' }).click();
  await expect(page.getByRole('alert')).toContainText('mistyped');
  await expect(page.getByLabel('Its code')).toHaveValue('7K3M-0QDX');
  await page.getByText('Make a set', { exact: true }).click();
  await page.getByLabel('Engines', { exact: true }).fill('2');
  await page.getByRole('button', { name: /^Make it/ }).click();
  await page.waitForURL(/\/practice\/sets\//);
  await noViolations(page);
  const code = page.url().split('/').at(-1)!;
  for (const who of ['Ada', 'Bo']) {
    const context = await browser.newContext({ baseURL: baseURL! });
    const other = await context.newPage();
    await prefer(other, { who });
    await other.goto('/practice');
    await ready(other);
    await other.getByLabel('Its code').fill(code.toLowerCase().replace('-', ''));
    await other.getByRole('button', { name: 'Open it' }).click();
    await other.getByRole('button', { name: 'Engine 1' }).click();
    await other.waitForURL(/\/safe$/);
    await ready(other);
    await other.getByRole('button', { name: /^Make it safe/ }).click();
    await expect(other.getByRole('status').filter({ hasText: 'Last: Make it safe' })).toBeVisible();
    await context.close();
  }
  await expect(page.getByRole('row', { name: /Ada 1 under way, 1 step/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /Bo 1 under way, 1 step/ })).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'CSV' }).click();
  const csv = fs.readFileSync(await (await download).path(), 'utf8');
  expect(csv.split('\r\n')[0]).toMatch(/^who,engine,started/);
  expect(csv.split('\r\n').filter((l) => /^(Ada|Bo),1,/.test(l))).toHaveLength(2);
});

test('five minutes: one sheet, four answers, and why', async ({ page }) => {
  await page.goto('/practice/five?q=abc');
  await ready(page);
  await noViolations(page);
  await page
    .getByRole('button', { name: /./ })
    .filter({ hasNotText: /Save name|bar|psi/ })
    .locator('visible=true')
    .last()
    .click();
  await expect(page.getByText(/^(That is it\.|First: .*)$/)).toBeVisible();
  await page.getByRole('link', { name: 'Another one' }).click();
  await expect(page).not.toHaveURL(/q=abc$/);
});
