import { expect, type Page } from '@playwright/test';
import { spawn } from 'node:child_process';
import net from 'node:net';
import path from 'node:path';
import { noViolations, open, prefer, ready, saved } from './helpers.ts';
import { test } from './test.ts';

test.use({ spec: 'instruments' });

/** Switches the strip of the sheet on, and the first way in, which is the UDP port. */
async function listen(page: Page): Promise<void> {
  await page.getByLabel('Instruments enter their own readings').check();
  await page.getByText('Ways in', { exact: true }).click();
  await page.getByLabel(/^UDP port/).check();
  await expect(page.getByLabel(/^UDP port/)).toBeChecked();
}
/** Stand-ins at the command line, several times as fast. */
function play(
  name: string,
  port: string,
  speed: number
): { readonly ended: Promise<number | null>; readonly stop: () => void } {
  const tsx = path.resolve('node_modules/.bin/tsx');
  const child = spawn(tsx, ['src/cli/instruments-main.ts', '--case', name, '--udp', port, '--speed', String(speed)]);
  return { ended: new Promise((resolve) => child.on('exit', resolve)), stop: () => void child.kill() };
}
const portOf = async (page: Page): Promise<string> =>
  (await page
    .getByText(/^UDP port \d+/)
    .first()
    .textContent())!.replace(/\D/g, '');

test('compression of six cylinders is recorded without typing a figure', async ({ page }) => {
  await prefer(page, { units: 'us' });
  await open(page, 'Gannet', '/compression');
  await page.getByRole('button', { name: 'Start a re-check' }).click();
  await listen(page);
  await page.getByRole('button', { name: 'Arm cylinder 1 and on' }).click();
  await expect(page.getByText('Armed: cylinder 1')).toBeVisible();
  const done = page.getByText('Every cylinder is read.');
  const port = await portOf(page);
  // A machine that stands still for a second in the middle of a pull records nothing and says so: then it is pulled again, as at an engine.
  await expect(async () => {
    if (!(await done.isVisible())) expect(await play('compression-six', port, 1.4).ended).toBe(0);
    await expect(done).toBeVisible({ timeout: 3000 });
  }).toPass({ timeout: 220_000 });
  await expect(page.getByText(/\b12\d psi/).first()).toBeVisible();
  await expect(page.getByText('no reading yet')).toHaveCount(0);
  await saved(page);
  await noViolations(page);
  // What came in can be taken back like any entry.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('no reading yet')).toHaveCount(1);
});

test('the stand-in page: a lever pulled in one window is a reading in another', async ({ page, context }) => {
  await prefer(page, { units: 'us' });
  await open(page, 'Dunlin', '/compression');
  await page.getByLabel('Instruments enter their own readings').check();
  const bench = await context.newPage();
  await bench.goto('/instruments');
  await ready(bench);
  await expect(bench.getByRole('img', { name: /Compression gauge: 0 psi/ })).toBeVisible();
  await noViolations(bench);
  await expect(page.getByLabel('Live instruments').getByText('Compression gauge (stand-in)')).toBeVisible();
  await page
    .getByRole('button', { name: /^Arm cylinder/ })
    .first()
    .click();
  const lever = bench.getByRole('button', { name: 'Lever: hold to crank' });
  await lever.focus();
  await bench.keyboard.down(' ');
  await bench.waitForTimeout(2500);
  await bench.keyboard.up(' ');
  await expect(page.getByText(/· 1 recorded|Every cylinder is read/)).toBeVisible();
  await saved(page);
});

test('a port that is taken, and a recording that is none, are said beside it', async ({ page }) => {
  await open(page, 'Dunlin', '/compression');
  await page.getByLabel('Instruments enter their own readings').check();
  await page.getByText('Ways in', { exact: true }).click();
  const label = page.getByLabel(/^TCP port/);
  const port = Number(
    (await page
      .getByText(/^TCP port \d+/)
      .first()
      .textContent())!.replace(/\D/g, '')
  );
  const other = net.createServer();
  await new Promise<void>((r) => other.listen(port, '127.0.0.1', r));
  await label.click();
  await expect(page.getByText(`TCP port ${port} is taken by another program.`)).toBeVisible();
  await expect(label).not.toBeChecked();
  other.close();
  await page
    .getByLabel('Play a recording')
    .setInputFiles({ name: 'words.txt', mimeType: 'text/plain', buffer: Buffer.from('no sentence here\n') });
  await expect(page.getByText('words.txt holds no sentences.')).toBeVisible();
  // Switched on it stays on, and the page comes up without a word of complaint.
  const wrong: string[] = [];
  page.on('console', (m) => ['error', 'warning'].includes(m.type()) && wrong.push(m.text()));
  await open(page, 'Gannet', '/compression');
  await expect(page.getByText('Ways in', { exact: true })).toBeVisible();
  // The suite blocks service workers, and says so.
  expect(wrong.filter((w) => !/Service Worker registration blocked/.test(w))).toEqual([]);
});

test('a first run that logs itself is told to stop before its limit', async ({ page }) => {
  await prefer(page, { units: 'metric' });
  await open(page, 'Dunlin', '/run');
  await page.getByRole('button', { name: /^It runs/ }).click();
  await listen(page);
  await page.getByRole('button', { name: 'Log this run' }).click();
  const played = play('run-hot', await portOf(page), 8);
  await expect(page.getByRole('alert').filter({ hasText: /^Stop/i })).toBeVisible({ timeout: 60_000 });
  // Of the head itself: it is still under the limit of 90 °C.
  const head = page.getByLabel('Live instruments').getByText(/^\d+(\.\d+)? °C$/);
  expect(Number.parseFloat((await head.textContent())!)).toBeLessThan(90);
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(page.getByText('Stopped. How did it end?')).toBeVisible();
  await saved(page);
  played.stop();
});

test('a case test that logs itself finds the leak', async ({ page }) => {
  await prefer(page, { units: 'us' });
  await open(page, 'Plover', '/gear');
  await page.getByRole('button', { name: 'Start a re-check' }).click();
  const stages = page.getByRole('group', { name: 'Stage of the case test' });
  if (!(await stages.isVisible())) await page.getByText('Case test', { exact: true }).click();
  await stages.getByText('High').click();
  await listen(page);
  await page.getByRole('button', { name: 'Valve shut: log the high stage' }).click();
  const played = play('case-leaks', await portOf(page), 4);
  await expect(page.getByText(/· [6-9] recorded/)).toBeVisible({ timeout: 90_000 });
  await expect(page.getByText(/High stage: it leaks/).first()).toBeVisible();
  await saved(page);
  played.stop();
});
