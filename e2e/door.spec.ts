import type { Browser, Page } from '@playwright/test';
import { noViolations, open, openEngine, ready, saved } from './helpers.ts';
import { expect, test } from './test.ts';

test.use({ spec: 'door', env: { INDAGA_ACCESS: 'on' } });
test.describe.configure({ mode: 'serial' });

const PASSPHRASE = 'grey goose in the wind';

const device = async (browser: Browser, baseURL: string): Promise<Page> =>
  (await browser.newContext({ baseURL, serviceWorkers: 'block' })).newPage();

async function openWith(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByLabel('Passphrase').fill(PASSPHRASE);
  await page.getByRole('button', { name: 'Open' }).click();
  await page.waitForURL((url) => url.pathname !== '/door');
}
async function signIn(page: Page, name: string, pin: string): Promise<void> {
  await page.goto('/people');
  await page.getByRole('combobox', { name: /^Name/ }).selectOption(name);
  await page.getByLabel('PIN', { exact: true }).fill(pin);
  await page.getByRole('button', { name: 'Sign in' }).click();
}

test('before there is a passphrase nobody comes in; the printed address sets it, once', async ({
  page,
  server,
  browser,
  baseURL
}) => {
  await page.goto('/bench');
  await expect(page.getByText('Nobody has set a passphrase yet.')).toBeVisible();
  await noViolations(page);
  const address = /http\S+\/setup\?key=\S+/.exec(server.printed)![0];
  await page.goto('/setup?key=guess');
  await expect(page.getByText('This is not the address that was printed')).toBeVisible();

  await page.goto(new URL(address).pathname + new URL(address).search);
  await noViolations(page);
  await page.getByLabel(/^Passphrase/).fill(PASSPHRASE);
  await page.getByLabel('Your name').fill('Maud');
  await page.getByLabel(/^Your PIN/).fill('4711');
  await page.getByRole('button', { name: 'Set them' }).click();
  await expect(page.getByText('Maud, technician')).toBeVisible();
  const other = await device(browser, baseURL!);
  await other.goto(new URL(address).pathname + new URL(address).search);
  await expect(other.getByText('this address has done its work')).toBeVisible();

  await page.getByLabel('Name', { exact: true }).last().fill('Lin');
  await page.getByRole('radio', { name: /apprentice/ }).check();
  await page.getByLabel('PIN, 4 to 12 digits').fill('1234');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByText('Lin is added.')).toBeVisible();
  await noViolations(page);
});

test('a second browser without the passphrase sees nothing', async ({ browser, baseURL, request }) => {
  const page = await device(browser, baseURL!);
  for (const path of ['/', '/bench', '/care', '/search?q=Curl', '/reference/house-rules', '/import', '/practice']) {
    await page.goto(path);
    await expect(page).toHaveURL(/\/door\?back=/);
    expect(await page.content()).not.toContain('Curlew');
  }
  for (const path of [
    '/__data.json',
    '/parts/order.csv',
    '/care/__data.json',
    `/photos/${'a'.repeat(64)}`,
    '/instruments/live'
  ]) {
    const answer = await request.get(path, { maxRedirects: 0 });
    expect([path, answer.status()]).toEqual([path, 401]);
  }
  expect(await (await request.get('/health')).json()).toEqual({ ok: true });
  await page.goto('/');
  await page.getByLabel('Passphrase').fill('grey goose');
  await page.getByRole('button', { name: 'Open' }).click();
  await expect(page.getByRole('alert')).toHaveText('This is not the yard’s passphrase.');
  await page.getByLabel('Passphrase').fill(PASSPHRASE);
  await page.getByRole('button', { name: 'Open' }).click();
  await expect(page.getByRole('heading', { name: 'Curlew', exact: true })).toBeVisible();
});

test('an apprentice takes readings and signs nothing', async ({ browser, baseURL }) => {
  const page = await device(browser, baseURL!);
  await openWith(page);
  await signIn(page, 'Lin', '9999');
  await expect(page.getByRole('alert')).toHaveText('This is not the PIN of that name.');
  await signIn(page, 'Lin', '1234');
  const base = await open(page, 'Swift', '/ready');
  await page.getByRole('button', { name: 'Sign: ready for service' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Lin is an apprentice' })).toBeVisible();
  await page.goto('/reference/house-rules');
  await page.getByRole('button', { name: /Save/ }).first().click();
  await expect(page.getByRole('alert').filter({ hasText: 'Lin is an apprentice' })).toBeVisible();
  await page.goto(`${base}/fuel`);
  await ready(page);
  await saved(page);
});

test('a technician signs with his name; the owner’s address shows that engine alone, until it is withdrawn', async ({
  browser,
  baseURL
}) => {
  const page = await device(browser, baseURL!);
  await openWith(page);
  await signIn(page, 'Maud', '4711');
  await open(page, 'Swift', '/ready');
  await page.getByRole('button', { name: 'Sign: ready for service' }).click();
  await expect(page.getByText(/signed by Maud/)).toBeVisible();

  await openEngine(page, 'Swift');
  await page.getByRole('button', { name: 'Make an address' }).click();
  const address = /http\S+\/o\/[\w-]+/.exec(await page.getByRole('status').filter({ hasText: '/o/' }).innerText())![0];

  const owner = await device(browser, baseURL!);
  await owner.goto(new URL(address).pathname);
  await expect(owner.getByRole('heading', { name: 'Swift' })).toBeVisible();
  await expect(owner.getByText(/Ready for service/).first()).toBeVisible();
  await noViolations(owner);
  expect(await owner.content()).not.toContain('Curlew');
  expect((await owner.request.get(`${new URL(address).pathname}/record.pdf`)).headers()['content-type']).toBe(
    'application/pdf'
  );
  await owner.getByLabel('or it ran about').fill('quite long');
  await owner.getByRole('button', { name: 'Keep' }).click();
  await expect(owner.getByRole('alert').filter({ hasText: 'does not start with a number' })).toBeVisible();
  await expect(owner.getByLabel('or it ran about')).toHaveValue('quite long');
  await owner.getByLabel('or it ran about').fill('2.5 h');
  await owner.getByRole('button', { name: 'Keep' }).click();
  await expect(owner.getByText('Kept. The yard sees it too.')).toBeVisible();
  await expect(owner.getByText(/^Last: .* 2\.5 h\.$/)).toBeVisible();
  const calendar = await owner.request.get(`${new URL(address).pathname}/care.ics`);
  expect(calendar.headers()['content-type']).toContain('text/calendar');
  expect(await calendar.text()).toContain('Swift: ');
  await owner.goto('/');
  await expect(owner).toHaveURL(/\/door/);

  await page.reload();
  await page.getByRole('button', { name: 'Withdraw' }).click();
  const gone = await owner.goto(new URL(address).pathname);
  expect(gone?.status()).toBe(404);
  expect((await owner.request.get(`${new URL(address).pathname}/care.ics`)).status()).toBe(404);
});

test('what is recorded while the device is closed is kept, and sent when it is opened again', async ({
  browser,
  baseURL
}) => {
  const page = await device(browser, baseURL!);
  await openWith(page);
  await open(page, 'Dunlin', '/fuel');
  const cookies = await page.context().cookies();
  await page.context().clearCookies();
  await page.getByRole('group', { name: /Tank/ }).first().getByRole('radio').first().check({ force: true });
  await expect(page.getByText(/the yard’s passphrase comes first/)).toBeVisible();
  await page.context().addCookies(cookies);
  await saved(page);
});
