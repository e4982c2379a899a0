import fs from 'node:fs';
import path from 'node:path';
import { expect, it } from 'vitest';

const root = 'src/core';
const files = fs
  .readdirSync(root, { recursive: true })
  .map(String)
  .filter((f) => f.endsWith('.ts') && !f.endsWith('.test.ts'))
  .map((f) => path.join(root, f));

/** Files that a file needs while it is evaluated: its imports without those of types alone. */
function needs(file: string): string[] {
  const text = fs.readFileSync(file, 'utf8');
  const imports = text.matchAll(/^(?:import|export)\s+(type\s+)?([^'"]*?)from\s+'(\.[^']+)'/gm);
  return [...imports].flatMap(([, type, names = '', to = '']) => {
    const named = /^\{([^}]*)\}\s*$/.exec(names.trim())?.[1]?.split(',');
    const types = named?.every((n) => !n.trim() || n.trim().startsWith('type '));
    return type || types ? [] : [path.join(path.dirname(file), to)];
  });
}

it('no file of the core needs itself: the order in which files are loaded would decide whether it works', () => {
  const graph = new Map(files.map((f) => [f, needs(f)]));
  const done = new Set<string>();
  const visit = (file: string, trail: readonly string[]): void => {
    expect(trail.includes(file) ? [...trail.slice(trail.indexOf(file)), file] : []).toEqual([]);
    if (done.has(file)) return;
    for (const next of graph.get(file) ?? []) visit(next, [...trail, file]);
    done.add(file);
  };
  for (const file of files) visit(file, []);
});
