import { boundPages, colours, everything, special, walk } from './axe.ts';
import { open, prefer } from './helpers.ts';
import { test } from './test.ts';

test.use({ spec: 'axe-engines' });
test.beforeEach(boundPages);

test('axe finds nothing on what single engines show', async ({ page }) => {
  await prefer(page, { theme: 'chart' });
  await special(page, everything(page));
});

test('the colours of the second theme can be read on every kind of part', async ({ page }) => {
  await prefer(page, { theme: 'night' });
  const look = colours(page);
  await walk(page, '', ['', 'engines/new', 'bench', 'care', 'reference/knowledge/head-gasket'], look);
  const checks = ['turn', 'spark', 'compression', 'suspects', 'jobs', 'ready', 'record', 'drowned', 'labels'];
  await walk(page, await open(page, 'Eel'), checks, look);
  await special(page, look);
});
