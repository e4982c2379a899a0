import { follow, noViolations, open, prefer, ready, saved, takeIn } from './helpers.ts';
import { expect, test } from './test.ts';

test.use({ spec: 'safety' });

test.beforeEach(({ page }) => prefer(page, {}));

test('a drowned engine is refused a start and a spin, on the page and by the server', async ({ page }) => {
  const base = await open(page, 'Eel', '/run');
  await expect(page.getByText(/Refused: Drowned/)).toBeVisible();
  await expect(page.getByRole('group', { name: 'First run' }).getByRole('radio').first()).toBeDisabled();
  await page.goto(`${base}/compression`);
  await ready(page);
  await expect(page.getByRole('textbox', { name: 'Cylinder 1' })).toBeDisabled();
  const answer = await page.request.post(`/api${base}/entries`, {
    data: {
      since: 0,
      factSince: 0,
      facts: [],
      entries: [
        { type: 'reading', body: { id: 'forced', at: new Date().toISOString(), what: 'run.outcome', value: 'ran' } }
      ]
    }
  });
  expect((await answer.json()).refused[0].message).toMatch(/Refused: Drowned/);
  for (const place of ['/jobs', '/ready', '/turn']) {
    await page.goto(base + place);
    await expect(page.getByRole('region', { name: 'Holds' })).toContainText(
      'Drowned: no cranking with plugs in, no start'
    );
  }
});

test('an override takes one reason and stays in the record', async ({ page }) => {
  const base = await open(page, 'Tern', '/fuel');
  await page.getByText('Old or watered fuel aboard', { exact: true }).first().click();
  await page.getByRole('button', { name: 'Override with a reason' }).first().click();
  await page.getByRole('button', { name: 'Override', exact: true }).click();
  await expect(page.getByText('Say why in a few words')).toBeVisible();
  await page.getByLabel('Reason').fill('Run from a portable tank with fresh fuel');
  await page.getByRole('button', { name: 'Override', exact: true }).click();
  await saved(page);
  await page.goto(`${base}/record`);
  await ready(page);
  await expect(
    page.getByRole('listitem').filter({ hasText: 'Run from a portable tank with fresh fuel' })
  ).toBeVisible();
});

test('a reload in the middle of an entry loses nothing', async ({ page }) => {
  await takeIn(page, 'Reload');
  await page.keyboard.press('6');
  await page.getByRole('textbox', { name: 'Cylinder 1' }).fill('118');
  await page.getByRole('textbox', { name: 'Cylinder 2' }).click();
  await page.getByRole('textbox', { name: 'Cylinder 2' }).pressSequentially('12');
  await page.reload();
  await ready(page);
  await expect(page.getByRole('textbox', { name: 'Cylinder 2' })).toHaveValue('12');
  await expect(page.getByRole('button', { name: '118 psi' })).toBeVisible();
});

test('an intake half typed survives a reload', async ({ page }) => {
  await page.goto('/engines/new');
  await ready(page);
  await page.getByLabel('The tag you hang on this engine').fill('Half');
  await page.getByRole('group', { name: 'Strokes' }).getByText('four-stroke').click();
  await page.reload();
  await ready(page);
  await expect(page.getByLabel('The tag you hang on this engine')).toHaveValue('Half');
  await expect(page.getByRole('radio', { name: 'four-stroke' })).toBeChecked();
});

test('kill -9 during entry loses nothing confirmed, and what was not confirmed is kept and sent', async ({
  page,
  server
}) => {
  const base = await takeIn(page, 'Killed');
  await page.keyboard.press('6');
  await page.getByRole('textbox', { name: 'Cylinder 1' }).fill('118');
  await page.getByRole('textbox', { name: 'Cylinder 1' }).press('Enter');
  await saved(page);
  await server.kill();
  await page.getByRole('textbox', { name: 'Cylinder 2' }).fill('117');
  await page.getByRole('textbox', { name: 'Cylinder 2' }).press('Enter');
  await expect(page.getByText('Kept here, not sent')).toBeVisible();
  await server.start();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible({ timeout: 30_000 });
  await page.goto(`${base}/compression`);
  await ready(page);
  await expect(page.getByRole('button', { name: '118 psi' })).toBeVisible();
  await expect(page.getByRole('button', { name: '117 psi' })).toBeVisible();
});

test('two tabs on the same engine: both entries stand, and both see them', async ({ page, context }) => {
  const base = await takeIn(page, 'Two tabs');
  const other = await context.newPage();
  await page.goto(`${base}/fuel`);
  await ready(page);
  await other.goto(`${base}/fuel`);
  await ready(page);
  await ready(other);
  await page.getByRole('group', { name: 'Look into the tank' }).getByText('full').click();
  await saved(page);
  await other
    .getByRole('group', { name: 'Jar sample' })
    .or(other.getByRole('group', { name: 'A sample in a clear jar' }))
    .getByText('clear, one layer')
    .click();
  await saved(other);
  await expect(
    other.getByRole('group', { name: 'Look into the tank' }).getByRole('radio', { name: 'full' })
  ).toBeChecked();
  await page.reload();
  await expect(page.getByRole('radio', { name: 'clear, one layer' })).toBeChecked();
  await expect(page.getByRole('radio', { name: 'full' })).toBeChecked();
});

test('bad input gets a sentence beside the field and keeps what was typed', async ({ page }) => {
  await takeIn(page, 'Bad input');
  await page.keyboard.press('6');
  const field = page.getByRole('textbox', { name: 'Cylinder 1' });
  for (const [typed, message] of [
    ['ninety', /does not start with a number/],
    ['-5', /under zero/],
    ['9999 psi', /cannot be true here/],
    ['12 mm', /a unit of length/]
  ] as const) {
    await field.fill(typed);
    await field.press('Enter');
    await expect(page.getByRole('alert')).toHaveText(message);
    await expect(field).toHaveValue(typed);
  }
  await field.fill('98 psi');
  await field.press('Enter');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.getByRole('heading', { name: 'Compression' }).click();
  await page.keyboard.press('0');
  await expect(page).toHaveURL(/run$/);
  const huge = await page.request.post(page.url().replace(/\/surveys\/([^/]+)\/run/, '/api/surveys/$1/entries'), {
    data: {
      since: 0,
      factSince: 0,
      facts: [],
      entries: [
        {
          type: 'reading',
          body: { id: 'huge', at: new Date().toISOString(), what: 'run.cause', value: 'x'.repeat(400_000) }
        }
      ]
    }
  });
  expect((await huge.json()).refused[0].message).toMatch(/longer than 20000 characters/);
  const flood = await page.request.post(page.url().replace(/\/surveys\/([^/]+)\/run/, '/api/surveys/$1/entries'), {
    data: 'x'.repeat(5_000_000)
  });
  expect(flood.status()).toBeGreaterThanOrEqual(400);
  expect(flood.status()).toBeLessThan(500);
});

test('an address that is not there says so, without a trace', async ({ page }) => {
  for (const path of ['/surveys/nowhere/safe', '/engines/nowhere', '/surveys/nowhere/record.pdf', '/nothing']) {
    const response = await page.goto(path);
    expect(response?.status()).toBe(404);
    expect(await page.content()).not.toMatch(/node_modules|\.ts:\d/);
  }
});

test('a wait runs on through a reload and a killed server, is seen in the yard, and ends by hand', async ({
  page,
  server
}) => {
  const base = await takeIn(page, 'Waiting');
  await follow(page, `${base}/gear`);
  const bar = page.getByRole('region', { name: 'Running waits' });
  await page.getByText('Start a wait').click();
  await page.getByRole('button', { name: /Gear oil draining, 20 min/ }).click();
  await expect(bar.getByRole('timer', { name: /Gear oil draining: (20:00|1[89]:\d\d) left/ })).toBeVisible();
  await page.getByText('Start a wait').click();
  await page.getByLabel('What waits').fill('Battery on charge');
  await page.getByLabel('For', { exact: true }).fill('soon');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('does not start with a number');
  await page.getByLabel('For', { exact: true }).fill('3 h');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(bar.getByRole('timer', { name: /Battery on charge: (2 h 59|3 h 0) min left/ })).toBeVisible();
  await saved(page);
  await server.kill();
  await server.start();
  await expect(() => page.reload()).toPass({ timeout: 20_000 });
  await ready(page);
  await expect(bar.getByRole('timer')).toHaveCount(2);
  await page.goto('/?q=Waiting');
  await expect(page.getByText(/Gear oil draining (20:00|1[89]:\d\d) left/)).toBeVisible();
  await page.goto(`${base}/safe`);
  await ready(page);
  await bar.getByRole('button', { name: 'End it: Gear oil draining' }).click();
  await expect(bar.getByRole('timer')).toHaveCount(1);
  await page.getByRole('button', { name: 'Undo' }).isVisible();
  await saved(page);
});

test('without a connection every check still opens, and what is entered is kept until there is one', async ({
  page,
  context
}) => {
  const base = await takeIn(page, 'Cut off');
  await page.waitForTimeout(4000);
  await context.setOffline(true);
  await page.keyboard.press('6');
  await expect(page.getByRole('heading', { name: 'Compression', exact: true })).toBeVisible();
  await page.getByRole('textbox', { name: 'Cylinder 1' }).fill('117');
  await page.getByRole('textbox', { name: 'Cylinder 1' }).press('Enter');
  await page.getByRole('heading', { name: 'Compression', exact: true }).click();
  await page.keyboard.press('4');
  await page.getByRole('group', { name: 'Plug 1 reads' }).getByRole('button', { name: 'oily' }).click();
  await expect(page.getByText('Kept here, not sent')).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText('Saved', { exact: true })).toBeVisible({ timeout: 30_000 });
  const file = (await (await page.request.get(`${base}/file.json`)).json()) as { readings: { what: string }[] };
  expect(file.readings.map((r) => r.what)).toEqual(['compression.pressure', 'plugs.read']);
});

test('a form that cannot be read is refused with a sentence, wherever it is sent', async ({ request, baseURL }) => {
  const kinds = ['multipart/form-data; boundary=x', 'multipart/form-data', 'text/plain'];
  for (const path of ['/engines/new', '/import', '/preferences', '/reference/house-rules', '/parts?/state'])
    for (const kind of kinds) {
      const answer = await request.post(path, {
        headers: { origin: baseURL!, 'content-type': kind },
        data: '--x\r\nContent-Disposition: form-data; name="a"\r\n\r\ngarb'
      });
      expect([path, kind, answer.status()]).toEqual([path, kind, 400]);
    }
});

test('what the server did not take stands in a list with its reason, until it is forgotten', async ({ page }) => {
  const base = await open(page, 'Eel', '/look');
  await page.evaluate((surveyId) => {
    const body = { id: 'late-run', at: new Date().toISOString(), what: 'run.outcome', value: 'ran' };
    const kept = { surveyId, id: body.id, queued: { kind: 'entry', entry: { type: 'reading', body } } };
    localStorage.setItem(`indaga-unsent:${body.id}`, JSON.stringify(kept));
  }, base.split('/').at(-1)!);
  await page.goto('/settings');
  await page.getByRole('link', { name: 'One entry was not taken: see why' }).click();
  await expect(page.getByRole('heading', { name: 'Not taken by the server' })).toBeVisible();
  const one = page.getByRole('listitem').filter({ hasText: 'Refused: Drowned' });
  await expect(one).toContainText('ran');
  await expect(one.getByRole('link', { name: 'Enter it again there' })).toHaveAttribute('href', `${base}/run`);
  await noViolations(page);
  await one.getByRole('button', { name: /^Forget it/ }).click();
  await expect(page.getByText('Nothing: all that was entered here has been taken')).toBeVisible();
  await expect(page.getByRole('link', { name: /not taken: see why/ })).toHaveCount(0);
});

test('what comes in pieces and does not say how long it is is counted while it is read', async ({ page, baseURL }) => {
  const base = await open(page, 'Eel', '/look');
  const inPieces = async (first: string, spaces: number): Promise<number> => {
    let left = spaces;
    const body = new ReadableStream<Uint8Array>({
      start: (c) => c.enqueue(new TextEncoder().encode(first)),
      pull: (c) => (left-- > 0 ? c.enqueue(new Uint8Array(1_000_000).fill(32)) : c.close())
    });
    // A server that has heard enough may close before all of it was sent.
    const answer = await fetch(`${baseURL}/api${base}/entries`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
      duplex: 'half'
    } as RequestInit).catch(() => undefined);
    return answer?.status ?? 413;
  };
  const batch = JSON.stringify({ since: 0, factSince: 0, entries: [], facts: [] });
  expect(await inPieces(batch, 0)).toBe(200);
  expect(await inPieces(batch, 5)).toBe(413);
  expect(await inPieces(batch, 40)).toBe(413);
});
