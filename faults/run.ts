import fs from 'node:fs';
import { rows, values } from './tried.ts';

/**
 * Tries faults on the built application and on its core, and says how often each was tried and with what result.
 * usage: npm run faults [-- --times 0.1] [--seed N] [--write]: a share of the usual number, another seed, the table into docs/trust.md.
 */
await import('./input.ts');
await import('./bundles.ts');
await import('./storage.ts');

const table = [
  '| fault | tried | result |',
  '|---|---|---|',
  ...rows.map((r) => `| ${r.fault} | ${r.tried} | ${r.ok ? '' : '**'}${r.result}${r.ok ? '' : '**'} |`)
].join('\n');
if (values.write) {
  const file = 'docs/trust.md';
  const text = fs.readFileSync(file, 'utf8');
  fs.writeFileSync(
    file,
    text.replace(/<!-- faults -->[\s\S]*<!-- \/faults -->/, `<!-- faults -->\n\n${table}\n\n<!-- /faults -->`)
  );
}
console.log(`\n${table}`);
process.exit(rows.every((r) => r.ok) ? 0 : 1);
