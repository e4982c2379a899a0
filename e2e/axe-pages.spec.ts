import { boundPages, checks, everything, places, walk } from './axe.ts';
import { open, prefer } from './helpers.ts';
import { test } from './test.ts';

test.use({ spec: 'axe-pages' });
test.beforeEach(boundPages);
test.beforeEach(({ page }) => prefer(page, { theme: 'chart' }));

test('axe finds nothing on the pages that belong to no engine', ({ page }) =>
  walk(
    page,
    '',
    places.map((p) => p.slice(1)),
    everything(page)
  ));

test('axe finds nothing on any page of an assessment', async ({ page }) =>
  walk(page, await open(page, 'Eel'), [...checks, 'drowned', 'labels'], everything(page)));
