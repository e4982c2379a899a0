import { expect, type Page } from '@playwright/test';
import axe from 'axe-core';
import { addressOf } from './global-setup.ts';

type Axe = typeof axe;

/** Opens the assessment of an engine by its tag: one of the demo at once, any other from the yard. */
export async function open(page: Page, tag: string, path = ''): Promise<string> {
  const href = addressOf(tag) ?? (await addressInYard(page, tag));
  await page.goto(`${href}${path}`);
  await ready(page);
  return href;
}

async function addressInYard(page: Page, tag: string): Promise<string> {
  await page.goto(`/?q=${tag}`);
  const link = page.getByRole('heading', { name: tag, exact: true }).getByRole('link');
  return (await link.getAttribute('href')) ?? '';
}

/** Opens the page of a demo engine, as somebody does who is at work on it. */
export async function openEngine(page: Page, tag: string): Promise<void> {
  await open(page, tag, '/jobs');
  await page
    .getByRole('navigation', { name: 'This engine' })
    .first()
    .getByRole('link', { name: 'Engine', exact: true })
    .click();
}

/** Waits until scripts have taken over, so that what is typed is heard. */
export async function ready(page: Page): Promise<void> {
  await page.locator('html[data-live]').waitFor({ state: 'attached' });
}

/** Goes to an address of the application by a link, from whatever page is open, or opens it where none is yet. */
export async function follow(page: Page, address: string): Promise<void> {
  if (page.url() === 'about:blank') {
    await page.goto(address);
    await ready(page);
    return;
  }
  await page.evaluate((href) => {
    const link = document.createElement('a');
    link.href = href;
    document.body.append(link);
    link.click();
    link.remove();
  }, address);
  await page.waitForURL(address);
  await ready(page);
}

export const saved = (page: Page): Promise<void> =>
  expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();

/** Runs axe in the page, with all its rules or with some; what it finds, a line for each rule. */
async function violations(page: Page, rules?: string[]): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  // A colour on its way from one state to the next is none of the page's: what moves is brought to its end.
  await page.evaluate(() => {
    for (const a of document.getAnimations())
      if (Number.isFinite(Number(a.effect?.getComputedTiming().endTime))) a.finish();
  });
  return page.evaluate(async (runOnly) => {
    const here = (window as unknown as { axe: Axe }).axe;
    // Only violations are read, so only they are gathered.
    const found = await here.run(document, { resultTypes: ['violations'], ...(runOnly ? { runOnly } : {}) });
    return found.violations.map((v) => {
      const places = v.nodes.slice(0, 4).map((n) => n.target.join(' '));
      return `${v.id}: ${places.join(', ')}`;
    });
  }, rules);
}

/** Nothing for axe to find. */
export async function noViolations(page: Page): Promise<void> {
  expect(await violations(page)).toEqual([]);
}

/** Nothing for axe to find in either theme: the page is the same in both, so in the second only colours are looked at. */
export async function noViolationsInBothThemes(page: Page): Promise<void> {
  await noViolations(page);
  await page.evaluate(() => {
    const { dataset } = document.documentElement;
    dataset.theme = dataset.theme === 'night' ? 'chart' : 'night';
  });
  expect(await violations(page, ['color-contrast'])).toEqual([]);
}

/** Sets theme, units and name for this browser. */
export async function prefer(
  page: Page,
  prefs: { theme?: 'chart' | 'night'; units?: 'us' | 'metric'; who?: string }
): Promise<void> {
  const value = encodeURIComponent(JSON.stringify({ theme: 'chart', units: 'us', who: 'Ines', ...prefs }));
  // A cookie belongs to a host, whatever its port.
  await page.context().addCookies([{ name: 'indaga-prefs', value, domain: '127.0.0.1', path: '/' }]);
}

/** Takes in a small two-stroke single through the form; ends on its first check. */
export async function takeIn(page: Page, tag: string, kind = 'Spring return'): Promise<string> {
  await page.goto('/engines/new');
  await ready(page);
  await page.getByRole('radio', { name: new RegExp(`^${kind}`) }).check({ force: true });
  await page.getByLabel('The tag you hang on this engine').fill(tag);
  await page.getByLabel('Serial number').fill('E2E-1');
  await page.getByRole('group', { name: 'Strokes' }).getByText('two-stroke').click();
  await page.getByLabel('Cylinders').fill('2');
  await page.getByRole('button', { name: 'Take it in and begin' }).click();
  await expect(page.getByRole('heading', { name: 'Make it safe' })).toBeVisible();
  await ready(page);
  return page.url().replace(/\/safe$/, '');
}

/**
 * A page whose clock is set by the test: the server's answers do not say what time it is, since the page would believe them before its own
 * device.
 */
export async function deviceTime(page: Page): Promise<void> {
  await page.route('**/api/surveys/*/entries', async (route) => {
    try {
      const response = await route.fetch();
      const answer = (await response.json()) as Record<string, unknown>;
      delete answer.now;
      await route.fulfill({ response, json: answer });
    } catch {
      // The page went on: nobody waits for this answer.
    }
  });
}
