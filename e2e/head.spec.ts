import sharp from 'sharp';
import { deviceTime, follow, open, prefer, ready, saved, takeIn } from './helpers.ts';
import { expect, test } from './test.ts';

test.use({ spec: 'head' });

test.beforeEach(({ page }) => prefer(page, {}));

const picture = (): Promise<Buffer> =>
  sharp({ create: { width: 640, height: 480, channels: 3, background: '#4a7' } })
    .jpeg()
    .toBuffer();

test('the walk around: a place on the drawing, an answer, a note and a photograph; the rest in one tap', async ({
  page
}) => {
  const base = await takeIn(page, 'Walk');
  await follow(page, `${base}/look`);
  await page.getByRole('button', { name: 'B, Wiring and main fuse' }).click();
  await page.getByRole('group', { name: 'Chafed or chewed wires' }).getByText('chewed or chafed').click();
  await expect(page.getByText('the stop wire first, then the rest of the loom')).toBeVisible();
  await page.getByRole('textbox', { name: 'Note' }).fill('behind the coils');
  await page.getByRole('textbox', { name: 'Note' }).blur();
  const photo = page.getByLabel('Photograph: Wiring and main fuse');
  await photo.setInputFiles({ name: '../../etc/a/b.jpg', mimeType: 'image/jpeg', buffer: await picture() });
  const shown = page.getByRole('img', { name: 'Wiring and main fuse, photograph 1' });
  await expect(shown).toBeVisible();
  const src = await shown.getAttribute('src');
  expect(src).toMatch(/^\/photos\/[0-9a-f]{64}\?size=thumb$/);
  expect((await page.request.get(src!)).headers()['content-type']).toBe('image/jpeg');
  await photo.setInputFiles({ name: 'picture.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('only words') });
  await expect(page.getByRole('alert')).toContainText('not a picture that can be opened');
  await photo.setInputFiles({ name: 'huge.jpg', mimeType: 'image/jpeg', buffer: Buffer.alloc(40_000_000) });
  await expect(page.getByRole('alert')).toContainText('40 MB; 20 MB is the most');
  await page.getByRole('button', { name: 'The rest looks sound' }).click();
  await page.getByRole('button', { name: 'Yes, seen and sound' }).click();
  await expect(page.getByText('Every place is answered.')).toBeVisible();
  await saved(page);
  await page.reload();
  await ready(page);
  await page.getByRole('button', { name: 'B, Wiring and main fuse' }).click();
  await expect(shown).toBeVisible();
  await page.getByRole('button', { name: 'Take back photograph 1' }).click();
  await expect(shown).toHaveCount(0);
});

test('a photograph taken without a connection is kept and sent when there is one again', async ({ page, context }) => {
  const base = await takeIn(page, 'Offline');
  await follow(page, `${base}/look`);
  await context.setOffline(true);
  await page
    .getByLabel('Photograph: Identity plate')
    .setInputFiles({ name: 'plate.jpg', mimeType: 'image/jpeg', buffer: await picture() });
  await expect(page.getByText('kept here, on its way')).toBeVisible();
  await context.setOffline(false);
  await page.reload();
  await expect(page.getByRole('img', { name: 'Identity plate, photograph 1' })).toBeVisible();
  await saved(page);
});

test('an apprentice goes from no spark at all to the part, each step saying why', async ({ page }) => {
  const base = await takeIn(page, 'Apprentice');
  await follow(page, `${base}/spark`);
  for (const c of [1, 2])
    await page
      .getByRole('group', { name: `Cylinder ${c}` })
      .getByRole('button', { name: 'none' })
      .click();
  const panel = page.getByRole('region', { name: 'Which part it is' });
  await expect(panel).toContainText('commonest “no spark”');
  const why: string[] = [];
  for (const [group, word] of [
    ['Lanyard in', /^\s*yes/],
    ['Plugs out, good battery', /^\s*yes/],
    ['Main fuse whole', /^\s*yes/],
    ['Jumper from the tester', /still none/],
    ['No spark anywhere', /still none/],
    ['Trigger or sensor', /within the manual/]
  ] as const) {
    why.push(await panel.locator('p.my-1').innerText());
    await panel.getByRole('group', { name: group }).locator('label', { hasText: word }).first().click();
  }
  expect(new Set(why).size).toBe(6);
  await expect(panel).toContainText('It is the coil or power pack: everything else is cleared.');
  await expect(
    page.getByRole('article').getByText('by elimination. Dear: prove it with a known good one')
  ).toBeVisible();
  await panel.getByRole('button', { name: 'Take back: Trigger or sensor' }).click();
  await expect(panel).toContainText('Without a trigger a good pack waits for ever');
});

test('locked: plugs, neutral, leg, and only then the bores', async ({ page }) => {
  const base = await takeIn(page, 'Locked');
  await follow(page, `${base}/turn`);
  await page.getByRole('group', { name: 'Turn it slowly by hand' }).getByRole('button', { name: 'locked' }).click();
  const panel = page.getByRole('region', { name: 'What locks it' });
  await panel.getByRole('group', { name: 'Spark plugs while turning' }).getByText('out, kept in order').click();
  await panel
    .getByRole('group', { name: 'Still locked with the plugs out' })
    .getByText('still locked', { exact: true })
    .click();
  await panel.getByRole('group', { name: 'Pull the starter pinion' }).getByText('not fitted').click();
  await panel.getByRole('group', { name: 'Drop the leg' }).getByText('comes free').click();
  await expect(panel).toContainText('It is the drive shaft, pump or gear case.');
});

test('pull by pull: the curve, the leak from the worker, and the one repeat that settles most', async ({ page }) => {
  await open(page, 'Gannet', '/compression');
  await expect(page.getByRole('region', { name: 'What would settle most' })).toContainText(
    'No repeat would tell more here'
  );
  const leak = page.getByRole('region', { name: 'Leak beyond the best cylinder' });
  await expect(leak).toContainText(/2\.\d mm/);
  await expect(leak).toContainText('none told, under');
  await expect(page.getByText(/Cylinder 3 leaks like a hole of 2\.\d mm more than cylinder 4/)).toBeVisible();
  // Fetched when somebody is about to see it.
  await page.getByText('where air is available').scrollIntoViewIfNeeded();
  await expect(page.getByRole('img', { name: /^Needle after each pull/ })).toBeVisible();
  await page.getByRole('textbox', { name: /^Cylinder 2/ }).fill('85 104 90 psi');
  await page.getByRole('textbox', { name: /^Cylinder 2/ }).press('Enter');
  await expect(page.getByText('On cylinder 2 the needle fell from one pull to the next')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('the needle fell')).toHaveCount(0);
  await open(page, 'Wren', '/compression');
  await expect(page.getByRole('region', { name: 'What would settle most' })).toContainText('without the adapter');
  await expect(page.getByRole('region', { name: 'Leak beyond the best cylinder' })).toContainText('Not identifiable');
});

test('leak-down is judged by its tester, and air at a neighbour is the gasket', async ({ page }) => {
  const base = await takeIn(page, 'Air');
  await follow(page, `${base}/compression`);
  await page.getByText('where air is available').click();
  await page.getByRole('textbox', { name: 'Leak-down, cylinder 1' }).fill('32 %');
  await page.getByRole('textbox', { name: 'Leak-down, cylinder 1' }).press('Enter');
  await expect(
    page.getByRole('article').getByText(/like a hole of 1.1 mm.*Listen where the air comes out/)
  ).toBeVisible();
  await page
    .getByRole('group', { name: 'Air of cylinder 1 comes out at' })
    .getByText('the neighbour’s plug hole')
    .click();
  await expect(page.getByText('the gasket between the two')).toBeVisible();
});

test('plugs read by drawn examples, and the gap gives spark its verdict', async ({ page }) => {
  const base = await takeIn(page, 'Reader');
  await follow(page, `${base}/plugs`);
  await page.getByRole('group', { name: 'Plug 1 reads' }).getByRole('button', { name: 'oily' }).click();
  await expect(page.getByText('On this engine oily: on a two-stroke')).toBeVisible();
  await page.getByRole('textbox', { name: 'Plug gap, cylinder 1' }).fill('0.9 mm');
  await page.getByRole('textbox', { name: 'Plug gap, cylinder 1' }).press('Enter');
  await page.goto(`${base}/compression`);
  await ready(page);
  await page.getByRole('textbox', { name: 'Cylinder 1' }).fill('118 psi');
  await page.getByRole('textbox', { name: 'Cylinder 1' }).press('Enter');
  await page.goto(`${base}/spark`);
  await ready(page);
  await page.getByRole('textbox', { name: 'Open gap jumped, cylinder 1' }).fill('10 mm');
  await page.getByRole('textbox', { name: 'Open gap jumped, cylinder 1' }).press('Enter');
  await expect(page.getByText(/kV were shown: to spare/)).toBeVisible();
  await page.getByText('Voltage over compression and gap').click();
  await expect(page.getByRole('img', { name: /cylinder 1 needs/ })).toBeVisible();
});

test('reference sums can be linked with their inputs, and say what cannot be', async ({ page, browser, baseURL }) => {
  await page.goto('/reference/adapter?swept=211.5+cc&ratio=6.5&dead=8+mL&read=90+psi');
  await ready(page);
  await expect(page.getByText('8 mL before the valve')).toBeVisible();
  await expect(page.getByRole('row', { name: '8 mL before the valve 122 psi' })).toBeVisible();
  await page.getByLabel('Volume before the check valve').fill('8 mm');
  await expect(page.getByText('a unit of length')).toBeVisible();
  await page.getByLabel('Volume before the check valve').fill('5 mL');
  await expect(page).toHaveURL(/dead=5\+mL/);
  await page.goto('/reference/wet-dose?dose=90+mL');
  await expect(page.getByText('This dose would fill the chamber')).toBeVisible();
  const plain = await (await browser.newContext({ javaScriptEnabled: false, baseURL })).newPage();
  await plain.goto('/reference/altitude');
  await plain.getByLabel('Read here').fill('90 psi');
  await plain.getByLabel('Altitude').fill('1500 m');
  await plain.getByRole('button', { name: 'Work it out' }).click();
  await expect(plain.getByText('108 psi', { exact: true })).toBeVisible();
});

test('a case test by a fake clock: held on the low stage after being told to hold longer, a leak with its interval on the high one', async ({
  page
}) => {
  await page.clock.install();
  await deviceTime(page);
  const base = await takeIn(page, 'Case');
  await follow(page, `${base}/gear`);
  await page.getByText('drained, before oil goes in').click();
  const read = async (value: string): Promise<void> => {
    await page.getByLabel('Gauge reads').fill(value);
    await page.getByRole('button', { name: 'Take the reading' }).click();
  };
  await page.getByRole('textbox', { name: 'Air in the empty case' }).fill('250 mL');
  await page.getByRole('textbox', { name: 'Air in the empty case' }).press('Enter');
  await read('20 psi');
  await expect(page.getByRole('alert')).toContainText('Refused: 20 psi is over 15 psi');
  await read('4 psi');
  await expect(page.getByText('Read it again after five minutes').first()).toBeVisible();
  // An answer belongs to the stage that stands under pressure.
  await page.getByRole('button', { name: 'Both shafts turned, shift moved: yes' }).click();
  await expect(page.getByRole('button', { name: 'Shafts turned and shift moved at this stage' })).toBeDisabled();
  await page.clock.fastForward('05:00');
  await read('4 psi');
  await expect(
    page.getByText(/only a leak of over 2\.3 mL a minute would have shown\. Hold it 7 min more/).first()
  ).toBeVisible();
  await page.clock.fastForward('10:00');
  await read('4 psi');
  await expect(
    page.getByText(/Low stage: held 15 min; a leak of 0\.8 mL a minute would have shown/).first()
  ).toBeVisible();
  await page.getByRole('group', { name: 'Stage of the case test' }).getByRole('button', { name: /High/ }).click();
  await expect(page.getByRole('button', { name: 'Shafts turned and shift moved at this stage' })).toHaveCount(0);
  for (const value of ['10 psi', '9 psi', '8 psi']) {
    await read(value);
    await page.clock.fastForward('10:00');
  }
  await expect(page.getByText(/High stage: it leaks between 1\.\d and 2\.\d mL of air a minute/).first()).toBeVisible();
  await expect(
    page.getByRole('img', { name: /^Case pressure over time: 0 min 10\.0 psi; 10 min 9\.0 psi; 20 min 8\.0 psi/ })
  ).toBeVisible();
  await saved(page);
});
