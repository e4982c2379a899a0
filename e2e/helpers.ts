import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** Opens the assessment of a demo engine from the yard. */
export async function open(page: Page, tag: string, path = ''): Promise<string> {
  await page.goto(`/?q=${tag}`);
  const href = await page.getByRole('heading', { name: tag, exact: true }).getByRole('link').getAttribute('href');
  await page.goto(`${href}${path}`);
  await ready(page);
  return href ?? '';
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

export const saved = (page: Page): Promise<void> =>
  expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();

/** Nothing for axe to find; of some rules where only those can have changed. */
export async function noViolations(page: Page, rules?: string[]): Promise<void> {
  // Legacy mode runs in the page instead of collecting over frames in a blank one: our pages have none. Only violations
  // are read, so only they are gathered. Together a third of the time.
  const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });
  const { violations } = await (rules ? axe.withRules(rules) : axe).analyze();
  expect(
    violations.map(
      (v) =>
        `${v.id}: ${v.nodes
          .map((n) => n.target.join(' '))
          .slice(0, 4)
          .join(', ')}`
    )
  ).toEqual([]);
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
