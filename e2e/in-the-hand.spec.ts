import sharp from 'sharp';
import { follow, noViolations, open, prefer, ready, saved, takeIn } from './helpers.ts';
import { expect, test } from './test.ts';

test.use({ spec: 'in-the-hand', serviceWorkers: 'allow' });

const picture = (): Promise<Buffer> =>
  sharp({ create: { width: 320, height: 240, channels: 3, background: '#47a' } })
    .jpeg()
    .toBuffer();

test('who only ever taps on Now is led through the first checks, hazards before each field', async ({ page }) => {
  await prefer(page, {});
  await page.setViewportSize({ width: 390, height: 844 });
  const base = await takeIn(page, 'Tapped');
  await follow(page, `${base}/now`);
  const title = page.locator('#move-title');
  await expect(title).toHaveText('Make it safe');
  await expect(page.getByRole('region', { name: 'Hazards of this act' })).toBeVisible();
  // One tap a question: the next one comes by itself, though what is left of the danger is weighed after each.
  for (const [k, [group, answer]] of (
    [
      ['Stop lanyard out', 'out'],
      ['Battery', 'off'],
      ['Propeller', 'taken off'],
      ['Stand rated for the weight', 'yes'],
      ['Where it will run', 'outdoors']
    ] as const
  ).entries()) {
    await expect(page.getByText(`${k + 1} of 5`)).toBeVisible();
    await page
      .getByRole('group', { name: new RegExp(`^${group}`) })
      .getByText(answer, { exact: true })
      .click();
  }
  await expect(page.getByText('5 of 5, answered')).toBeVisible();
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(page.getByText('4 of 5, answered')).toBeVisible();
  await page.getByRole('button', { name: /what next/ }).click();
  await expect(title).toHaveText(/Look it over/);
  await page.getByRole('button', { name: 'Later' }).click();
  await expect(title).not.toHaveText(/Look it over/);
  await noViolations(page);
});

test('one question at a time: answered, could not tell, and then what is next', async ({ page }) => {
  await prefer(page, {});
  await open(page, 'Knot', '/now');
  const title = page.locator('#move-title');
  await expect(title).toHaveText(/Renew the water pump/);
  await expect(page.getByRole('region', { name: 'Hazards of this act' })).toBeVisible();
  await page.getByRole('button', { name: 'Later' }).click();
  await expect(title).not.toHaveText(/Renew the water pump/);
});

test('big figures: the question and the field fill the screen, and Escape makes them small again', async ({ page }) => {
  await prefer(page, {});
  await open(page, 'Tern', '/now');
  const figures = page.getByRole('button', { name: 'Big figures' });
  // Put off until a move asks for a figure or an answer of its own.
  for (let k = 0; k < 8 && !(await figures.isVisible()); k++) await page.getByRole('button', { name: 'Later' }).click();
  await figures.click();
  await expect(page.locator('.big-figures')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.locator('.big-figures')).toHaveCount(0);
});

test('what one person enters is on the other’s screen at once, and nothing of either is lost', async ({
  browser,
  server
}) => {
  const [one, two] = await Promise.all([
    browser.newContext({ baseURL: server.url }),
    browser.newContext({ baseURL: server.url })
  ]);
  const [here, there] = await Promise.all([one.newPage(), two.newPage()]);
  await prefer(here, { who: 'Ines' });
  await prefer(there, { who: 'Bo' });
  await open(here, 'Dunlin', '/compression');
  await open(there, 'Dunlin', '/compression');
  await here.getByRole('textbox', { name: /^Cylinder 1/ }).fill('131 psi');
  await there.getByRole('textbox', { name: /^Cylinder 2/ }).fill('133 psi');
  await Promise.all([
    here.getByRole('textbox', { name: /^Cylinder 1/ }).press('Enter'),
    there.getByRole('textbox', { name: /^Cylinder 2/ }).press('Enter')
  ]);
  for (const page of [here, there])
    for (const figure of ['131', '133'])
      await expect(page.getByRole('button', { name: new RegExp(`^${figure} psi`) })).toBeVisible();
  await Promise.all([one.close(), two.close()]);
});

test('the server gone, the page reloaded: readings and photographs are taken, and sent from whatever page is open', async ({
  page,
  context,
  server
}) => {
  await prefer(page, {});
  const base = await takeIn(page, 'Far out');
  await follow(page, `${base}/compression`);
  // Each page of this engine is copied a few seconds after one of them was opened.
  const copied = (): Promise<boolean> =>
    page.evaluate(async (path) => (await caches.match(path)) !== undefined, `${base}/run`);
  await expect.poll(copied, { timeout: 60_000 }).toBe(true);
  await page.getByRole('textbox', { name: /^Cylinder 1/ }).fill('120 psi');
  await page.getByRole('textbox', { name: /^Cylinder 1/ }).press('Enter');
  await saved(page);

  await server.kill();
  await page.reload();
  await ready(page);
  await expect(page.getByRole('button', { name: /^120 psi/ })).toBeVisible();
  for (let k = 0; k < 5; k++)
    for (const c of [1, 2]) {
      const field = page.getByRole('textbox', { name: new RegExp(`^Cylinder ${c}`) });
      await field.fill(`${121 + 2 * k + c} psi`);
      await field.press('Enter');
    }
  await expect(page.getByText('Kept here, not sent')).toBeVisible();
  await page.goto(`${base}/look`);
  await ready(page);
  for (const name of ['one', 'two'])
    await page
      .getByLabel('Photograph: Identity plate')
      .setInputFiles({ name: `${name}.jpg`, mimeType: 'image/jpeg', buffer: await picture() });
  const line = page.getByRole('region', { name: 'Not sent yet' });
  await expect(line).toContainText('10 entries and 2 photographs');
  await page.goto('/');
  await ready(page);
  await expect(line).toContainText('10 entries and 2 photographs');

  await server.start();
  await expect(line).toHaveCount(0, { timeout: 60_000 });
  const file = (await (await context.request.get(`${base}/file.json`)).json()) as {
    readings: { what: string; value: unknown }[];
  };
  expect(file.readings.filter((r) => r.what === 'compression.pressure')).toHaveLength(11);
  expect(file.readings.filter((r) => /^[0-9a-f]{64}$/.test(String(r.value)))).toHaveLength(2);
});

test('settings: units, dates and theme of this browser, kept and gone back from', async ({ page }) => {
  await prefer(page, {});
  const base = await open(page, 'Curlew', '/record');
  await page.getByRole('link', { name: /^Settings/ }).click();
  await page.getByRole('radio', { name: 'bar, °C, mL, mm' }).check();
  await page.getByRole('radio', { name: '2026-11-03' }).check();
  await noViolations(page);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page).toHaveURL(`${base}/record`);
  await expect(page.getByText(/signed by .* on \d{4}-\d{2}-\d{2}/)).toBeVisible();
});
