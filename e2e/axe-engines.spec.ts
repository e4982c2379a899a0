import { boundPages, everything, special } from './axe.ts';
import { prefer } from './helpers.ts';
import { test } from './test.ts';

test.use({ spec: 'axe-engines' });
test.beforeEach(boundPages);

test('axe finds nothing on what single engines show', async ({ page }) => {
  await prefer(page, { theme: 'chart' });
  await special(page, everything(page));
});
