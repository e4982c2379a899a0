import { test, type Page } from '@playwright/test';
import { follow, noViolationsInBothThemes, open, ready } from './helpers.ts';

type Look = () => Promise<void>;

/** Pages that belong to no engine. */
export const places = [
  '/',
  '/bench?minutes=30',
  '/bench/settings',
  '/bench/tonight',
  '/parts',
  '/care',
  '/care/fleet',
  '/search?q=oil',
  '/engines/new',
  '/import',
  '/reference',
  '/reference/mixture',
  '/reference/house-rules',
  '/reference/house-rules/gearOil',
  '/reference/knowledge',
  '/reference/knowledge/head-gasket',
  '/reference/instruments',
  '/reference/procedures',
  '/reference/procedures/carburettor-strip',
  '/reference/sources',
  '/reference/adapter',
  '/reference/wet-dose?wet=101+psi',
  '/reference/spark-gap',
  '/reference/altitude',
  '/reference/resistance',
  '/reference/leak-down',
  '/reference/case-test',
  '/reference/shed-air',
  '/reference/cooling-water'
];
/** Pages of an assessment. */
export const checks = [
  'safe',
  'look',
  'turn',
  'plugs',
  'spark',
  'compression',
  'gear',
  'fuel',
  'cooling',
  'oil',
  'run',
  'suspects',
  'jobs',
  'tray',
  'flow/lay-up',
  'work/pump-kit',
  'work/gear-oil?step=fill',
  'ready',
  'record'
];

/** The longest that one page may take to open and to be looked at: a bound for what hangs. */
const pageTimeout = 240_000;

/** Makes a test of many pages bounded page by page, so that no walk is too long for a slow machine. */
export function boundPages(): void {
  test.setTimeout(0);
}

const step = (name: string, body: () => Promise<void>): Promise<void> =>
  test.step(name, body, { timeout: pageTimeout });

/**
 * Looks at each page of one assessment. Goes from page to page by links, as people do: the scripts of the application and of
 * axe are compiled once then, which is more than half of the time of such a walk.
 */
export async function walk(page: Page, base: string, paths: readonly string[], look: Look): Promise<void> {
  for (const path of paths) {
    await step(path || 'the yard', async () => {
      await follow(page, `${base}/${path}`);
      await look();
    });
  }
}

/** Engines whose pages show what the others do not: a case under test, a dead cylinder, six cylinders, a tray. */
export async function special(page: Page, look: Look): Promise<void> {
  const laid = await open(page, 'Avocet', '/gear');
  await step('gear, already open', look);
  await walk(page, laid, ['fuel', 'oil', 'run'], look);
  await walk(page, await open(page, 'Knot', '/cooling'), ['cooling', 'tray'], look);
  await walk(page, await open(page, 'Plover', '/gear'), ['gear'], look);
  await walk(page, await open(page, 'Bittern', '/spark'), ['spark', 'look'], look);
  const six = await open(page, 'Gannet', '/compression');
  await step('compression, already open', look);
  await step('suspects with their sum', async () => {
    await page.goto(`${six}/suspects`);
    await page.getByText('Is it worth it?').waitFor();
    await look();
  });
  await walk(page, six, ['plugs', 'jobs'], look);
  await step('the first engine', async () => {
    await page.goto('/');
    await page
      .getByRole('link', { name: /engine and history/ })
      .first()
      .click();
    // The yard is ready as well: the next page is there once its address is.
    await page.waitForURL('**/engines/*');
    await ready(page);
    await look();
  });
  const engine = new URL(page.url()).pathname;
  await walk(page, engine, ['care', 'history', 'tag'], look);
}

/** In both themes. */
export const everything =
  (page: Page): Look =>
  () =>
    noViolationsInBothThemes(page);
