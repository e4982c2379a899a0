import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { bundledCli } from '../../scripts/bundle-cli.mjs';

let bundle = '';
beforeAll(async () => {
  bundle = await bundledCli();
});
const assess = (...args: string[]) => run('', ...args);
const run = (input: string | Uint8Array, ...args: string[]) => {
  const r = spawnSync(process.execPath, [bundle, ...args], { encoding: 'utf8', input, maxBuffer: 1 << 28 });
  return { code: r.status, out: r.stdout, err: r.stderr };
};
const example = (key: string) => `docs/examples/${key}.json`;

describe('npm run assess, without a server', () => {
  it('prints findings, holds, what to do now and the job list', () => {
    const { code, out } = assess(example('plover'));
    expect(code).toBe(0);
    expect(out).toMatch(/HOLDS\n {2}Gear case empty, cracked or under pressure[^]*Gear oil: water or low/);
    expect(out).toMatch(/fault: Frost is coming \(25 °F\)/);
    expect(out).toMatch(/1\. Drain the gear case today/);
    expect(out).toMatch(/SUSPECTS\n[^]*? {2}likely: leg from another engine/);
    expect(out).toMatch(/WHAT NOW\n {2}1\. Drain the gear case today: frost is coming \(10 min\)\. Frost is coming/);
    expect(out).toMatch(/DECISION: .*\n {2}cost \d+ cr to \d+ cr \(80 in 100\)/);
    expect(out).not.toMatch(/NaN|undefined|\[object/);
  });
  it('computes adapter, sea level, wet dose and leak beside the readings', () => {
    const gannet = assess(example('gannet')).out;
    expect(gannet).toMatch(/Wet, the oil’s own share taken off, cylinder 3: \d psi over dry, \d psi of it/);
    expect(gannet).toMatch(/Cylinder 3 leaks like a hole of 2\.\d mm more than cylinder 4/);
    const wren = assess(example('wren')).out;
    expect(wren).toMatch(/Lowest, without the adapter: .* without it about 1\d\d psi/);
    expect(wren).toMatch(/At sea level: altitude not recorded/);
    expect(wren).toMatch(/Not identifiable/);
  });
  it('an engine where all is sound demands nothing', () => {
    const { out } = assess(example('swift'));
    expect(out).toMatch(/No hold is raised/);
    expect(out).toMatch(/nothing is demanded/);
    expect(out).toMatch(/Ready for service\.\n$/);
  });
  it('one that cannot tell says so, in the reader’s units', () => {
    expect(assess(example('wren')).out).toMatch(/cannot tell: 59 psi is alarming/);
    expect(assess(example('wren'), '--units', 'metric').out).toMatch(
      /cannot tell: 4\.\d+ bar is alarming, but the adapter’s 10 mL/
    );
  });
  it('--json is JSON with the same judgement', () => {
    const { out } = assess(example('gannet'), '--json');
    const [found] = JSON.parse(out) as [
      {
        file: string;
        tag: string;
        findings: { id: string }[];
        ready: boolean;
        steps: { id: string }[];
        suspects: { id: string }[];
        checks: unknown[];
        decision: { recommended: string };
      }
    ];
    expect([found.file, found.tag]).toEqual([example('gannet'), 'Gannet']);
    expect(found.findings.map((f) => f.id)).toContain('compression.neighbours');
    expect(found.steps[0]?.id).toBe('head-gasket');
    expect(found.suspects[0]?.id).toBe('head-gasket.3-5');
    expect(found.decision.recommended).toBe('repair-under');
    expect(found.checks.length).toBeGreaterThan(5);
    expect(found.ready).toBe(false);
  });
  it('bad files get a path and a sentence and a code of failure', () => {
    const file = path.join(fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-cli-')), 'bad.json');
    const text = fs.readFileSync(example('swift'), 'utf8');
    fs.writeFileSync(file, text.replace('"strokes": "four"', '"strokes": "five"'));
    const bad = assess(file);
    expect([bad.code, bad.err]).toEqual([1, expect.stringMatching(/bad\.json: engine\.profile\.strokes: /)]);
    fs.writeFileSync(file, text.slice(0, 500));
    expect(assess(file).err).toMatch(/stops in the middle/);
    expect(assess('nowhere.json').err).toMatch(/no such file/);
    expect(assess().code).toBe(2);
  });
  it('takes files, directories and standard input in one go; only JSON is on standard output', () => {
    const directory = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-cli-'));
    for (let k = 0; k < 14; k++)
      fs.copyFileSync(example('swift'), path.join(directory, `s${String(k).padStart(2, '0')}.json`));
    fs.writeFileSync(path.join(directory, 's03.json'), '{}');
    fs.writeFileSync(path.join(directory, 'notes.txt'), 'no survey');
    const input = `\uFEFF${fs.readFileSync(example('eel'), 'utf8')}`;
    const { code, out, err } = run(input, '--json', '--draws', '200', example('wren'), directory, '-');
    const list = JSON.parse(out) as { file: string; tag?: string; error?: { path: string; message: string } }[];
    expect(list.map((x) => x.tag ?? x.error?.path)).toEqual([
      'Wren',
      ...Array.from({ length: 14 }, (_, k) => (k === 3 ? 'format' : 'Swift')),
      'Eel'
    ]);
    expect(list.map((x) => path.basename(x.file)).slice(1, 15)).toEqual(
      Array.from({ length: 14 }, (_, k) => `s${String(k).padStart(2, '0')}.json`)
    );
    expect(code).toBe(1);
    expect(err).toMatch(/s03\.json: format: This is not a survey file/);
  });
  it('says how it is used, and refuses what it does not know', () => {
    const help = assess('--help');
    expect([help.code, help.out]).toEqual([0, expect.stringMatching(/Usage: npm run assess[^]*Exit codes/)]);
    for (const args of [
      ['--jsn', example('swift')],
      ['--units', 'imperial', example('swift')],
      ['--draws', 'many', example('swift')],
      ['nowhere/']
    ]) {
      const { code, out, err } = assess(...args);
      expect([args[0], code, out]).toEqual([args[0], 2, '']);
      expect(err.length).toBeGreaterThan(10);
    }
  });
});
