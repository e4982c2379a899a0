import type { SurveyFile } from '../../src/core/record/survey-file.ts';

/** Names that every plain object answers to, and some that are merely odd. */
export const names = [
  'constructor',
  'toString',
  'valueOf',
  'hasOwnProperty',
  '__proto__',
  'isPrototypeOf',
  'no-such-thing'
];

const at = '2026-05-02T12:00:00.000Z';

/** A survey in which every id that the format leaves free is such a name: it is valid, and must stay harmless. */
export function hostile(base: SurveyFile, name: string): SurveyFile {
  const id = (k: string): string => `${name.replace(/[^A-Za-z]/g, '')}-${k}`;
  // Names of jobs begin with a small letter or a digit.
  const job = /^[a-z]/.test(name) ? name : 'constructor';
  const part = (k: string): object => ({ id: id(k), at, name, size: name, place: name, step: job });
  return {
    ...base,
    overrides: [...(base.overrides ?? []), { id: id('o'), at, hold: name, reason: `because ${name}` }],
    steps: [
      ...(base.steps ?? []),
      { id: id('s1'), at, step: name, state: 'done', hours: 12, note: name },
      { id: id('s2'), at, step: `flow.${name}`, state: 'done' },
      { id: id('s3'), at, step: `care.${name}`, state: 'done' },
      { id: id('s4'), at, step: `drowned.${name}`, state: 'open' }
    ],
    reasons: [
      ...(base.reasons ?? []),
      { id: id('r1'), at, gate: name, reason: `because ${name}` },
      { id: id('r2'), at, gate: `station.${name}`, reason: `because ${name}` }
    ],
    jobs: [
      ...(base.jobs ?? []),
      { id: id('j1'), at, step: job, title: name, minutes: 10, after: [job, 'valueOf'], tools: [name], parts: [name] },
      {
        id: id('j2'),
        at,
        step: `own-${job}`,
        title: name,
        after: [job, `own-${job}`],
        temporary: { until: '2026-08-01', why: name }
      }
    ],
    parts: [
      ...(base.parts ?? []),
      {
        id: id('p1'),
        at,
        key: name,
        step: job,
        name,
        state: 'ordered',
        due: '2026-05-09',
        offers: [{ from: name, what: 'kit', price: 3 }],
        chosen: 3
      }
    ],
    tray: [
      ...(base.tray ?? []),
      part('t1'),
      { ...part('t2'), supersedes: id('t2') },
      { ...part('t3'), supersedes: name.replace(/[^A-Za-z_]/g, '') }
    ],
    trayMarks: [
      ...(base.trayMarks ?? []),
      { id: id('m1'), at, part: name.replace(/[^A-Za-z_-]/g, ''), state: 'refitted', note: name }
    ]
  } as SurveyFile;
}
