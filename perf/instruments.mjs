// What instruments cost: sentences lost and frames missed under load, and how long one takes from the wire to the screen.
import dgram from 'node:dgram';

/** Sentences a second, and seconds of it. */
const LOAD = 5000;
const SECONDS = 60;
const EVERY = 20;

const checksum = (body) =>
  [...body]
    .reduce((sum, c) => sum ^ c.charCodeAt(0), 0)
    .toString(16)
    .toUpperCase()
    .padStart(2, '0');
const sentence = (type, value, unit, name) => {
  const body = `YXXDR,${type},${value},${unit},${name}`;
  return `$${body}*${checksum(body)}`;
};
const quantile = (list, q) => [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(q * list.length))];

/**
 * Rows `instrument-throughput` and `instrument-latency`, measured on the check sheet at `url` with the UDP way in.
 * @param {{ page: import('@playwright/test').Page, url: string, seconds?: number }} o
 */
export async function instruments({ page, url, seconds = SECONDS }) {
  await page.goto(url, { waitUntil: 'load' });
  await page.getByLabel('Instruments enter their own readings').check();
  await page.getByText('Ways in', { exact: true }).click();
  await page.getByLabel(/^UDP port/).check();
  const port = Number(
    (
      await page
        .getByText(/^UDP port \d+/)
        .first()
        .textContent()
    ).replace(/\D/g, '')
  );
  const socket = dgram.createSocket('udp4');
  const send = (lines) =>
    new Promise((resolve) => socket.send(lines.join('\r\n') + '\r\n', port, '127.0.0.1', resolve));
  await send([sentence('P', '1.0000', 'B', 'gauge')]);
  await page.getByLabel('Live instruments').getByText('Compression gauge').waitFor();

  // From the wire to the screen: a value of its own each time, and the moment at which the page shows it.
  const waits = [];
  for (let k = 0; k < 40; k++) {
    const psi = 20 + k;
    const shown = page.evaluate(
      (text) =>
        new Promise((resolve) => {
          const strip = document.querySelector('[aria-label="Live instruments"]');
          const seen = () => strip.textContent.includes(text) && resolve(performance.timeOrigin + performance.now());
          new MutationObserver(seen).observe(strip, { subtree: true, childList: true, characterData: true });
        }),
      `${psi} psi`
    );
    await new Promise((r) => setTimeout(r, 30));
    const from = performance.timeOrigin + performance.now();
    await send([sentence('P', ((psi * 6894.757) / 1e5).toFixed(4), 'B', 'gauge')]);
    waits.push((await shown) - from);
  }

  await page.evaluate(() => {
    const frames = [];
    let last = performance.now();
    window.__frames = frames;
    window.__on = true;
    const frame = () => {
      const now = performance.now();
      frames.push(now - last);
      last = now;
      if (window.__on) requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
  });
  const from = performance.now();
  let sent = 0;
  while (performance.now() - from < seconds * 1000) {
    const due = Math.floor(((performance.now() - from) / 1000) * LOAD) - sent;
    for (let k = 0; k < due; k += 25) {
      await send(
        Array.from({ length: Math.min(25, due - k) }, (_, i) =>
          (sent + i) % 2
            ? sentence('U', (12 + (sent % 90) / 100).toFixed(2), 'V', 'batt')
            : sentence('T', String(200 + (sent % 50)), 'R', 'tach')
        )
      );
      sent += Math.min(25, due - k);
    }
    await new Promise((r) => setTimeout(r, EVERY));
  }
  await new Promise((r) => setTimeout(r, 1500));
  const frames = await page.evaluate(() => {
    window.__on = false;
    return window.__frames;
  });
  // The strip counts what the server read of this way in; every sentence sent before belongs to it.
  const text = await page.locator('li', { hasText: /^UDP port/ }).textContent();
  const read = Number(/(\d+) read/.exec(text)[1]) - 41;
  socket.close();
  return [
    {
      name: 'instrument-throughput',
      value: sent - read,
      unit: `sentences lost of ${sent} in ${seconds} s; 99 of 100 frames under ${quantile(frames, 0.99).toFixed(0)} ms (limit 50)`,
      limit: 0
    },
    {
      name: 'instrument-latency',
      value: +quantile(waits, 0.95).toFixed(0),
      unit: `ms from the wire to the screen, 95th of 40; median ${quantile(waits, 0.5).toFixed(0)} ms`,
      limit: 100
    }
  ];
}
