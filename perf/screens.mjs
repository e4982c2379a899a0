import http from 'node:http';

// What a hand at the engine feels: the weight of pages over the wire, the time to the first field, and how soon another
// person's entry is seen.

/** Scripts have taken over. */
const live = (page) => page.locator('html[data-live]').waitFor({ state: 'attached' });

/** Heaviest page as it is sent, kB. */
export async function htmlWeight({ origin, pages }) {
  let worst = { bytes: 0, page: '' };
  for (const page of pages) {
    const bytes = await sent(origin + page);
    if (bytes > worst.bytes) worst = { bytes, page };
  }
  return {
    name: 'html-weight',
    value: +(worst.bytes / 1000).toFixed(1),
    unit: `kB compressed, the heaviest page (${worst.page.replace(/[0-9a-f-]{36}/, '…')})`,
    limit: 40
  };
}

/** Bytes of the body as they pass the wire: fetch would unpack them. */
const sent = (url) =>
  new Promise((resolve, reject) =>
    http
      .get(url, { headers: { 'accept-encoding': 'gzip' } }, (r) => {
        let sum = 0;
        r.on('data', (d) => (sum += d.length));
        r.on('end', () => resolve(sum));
      })
      .on('error', reject)
  );

/** From the last tap of the intake to a field that hears, ms; median of five. */
export async function firstEntry({ browser, origin }) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const times = [];
  for (let k = 0; k < 6; k++) {
    await page.goto(`${origin}/engines/new`);
    await live(page);
    await page.getByRole('radio', { name: /^Spring return/ }).check({ force: true });
    await page.getByLabel('The tag you hang on this engine').fill(`Entry ${k}`);
    const from = performance.now();
    await page.getByRole('button', { name: 'Take it in and begin' }).click();
    await page.waitForURL(/\/surveys\//);
    await page.locator('main fieldset input, main input').first().waitFor({ state: 'attached' });
    await live(page);
    times.push(performance.now() - from);
  }
  await page.close();
  times.shift();
  return {
    name: 'first-entry',
    value: +times.sort((a, b) => a - b)[2].toFixed(0),
    unit: `ms from the intake's last tap to a field that hears (worst ${times.at(-1).toFixed(0)})`,
    limit: 300
  };
}

/** From an entry of one person to the screen of another, ms; worst of five. */
export async function liveToOther({ browser, origin, survey }) {
  const [one, other] = await Promise.all([browser.newContext(), browser.newContext()]);
  const [here, there] = await Promise.all([one.newPage(), other.newPage()]);
  const path = `${origin}${survey}/compression`;
  await Promise.all([here.goto(path), there.goto(path)]);
  await Promise.all([live(here), live(there)]);
  await there.waitForTimeout(500);
  const times = [];
  for (let k = 0; k < 5; k++) {
    const figure = `${140 + k}`;
    const field = here.getByRole('textbox', { name: /^Cylinder 2/ });
    await field.fill(`${figure} psi`);
    const from = performance.now();
    await field.press('Enter');
    await there.getByRole('button', { name: new RegExp(`^${figure} psi`) }).waitFor();
    times.push(performance.now() - from);
  }
  await Promise.all([one.close(), other.close()]);
  return {
    name: 'live-to-other',
    value: +Math.max(...times).toFixed(0),
    unit: "ms from one person's entry to another's screen, worst of five",
    limit: 2000
  };
}
