import { plugsAfterRun } from '../findings/plug-after-run.ts';
import { isAfter, latestAt } from '../units/instant.ts';
import { cylindersOf, type Context } from '../findings/context.ts';
import { unnamed } from '../stations/compression/crankcase-unnamed.ts';
import { beltJumped } from '../stations/turn/belt.ts';
import { only, type JobRule } from './job.ts';

/** Work was done on the cylinders, and no pressure was read since: what the needle said is how they were. */
const needleOfBefore = (c: Context): boolean => {
  const read = latestAt([...c.record.all('compression.pressure'), ...c.record.all('compression.pulls')]);
  return c.worked('compression').some((at) => isAfter(at, read));
};

const crankcaseOf = (c: Context, cylinder: number): string | undefined =>
  c.record.value('compression.crankcase', cylinder) as string | undefined;

/** Compression, valves, gaskets and seals of the power head. */
export const powerHead = {
  'compression-repeat': {
    title: 'Repeat the compression test',
    raisedBy: [
      only('compression.low', 'watch'),
      'compression.spread',
      only('compression.high', 'cannot-tell'),
      'compression.odd-high',
      'compression.order',
      'compression.unlike',
      'compression.throttle',
      'compression.range',
      only('compression.cranking', 'watch'),
      'compression.figure-excused',
      'compression.nothing',
      'compression.adapter',
      'compression.adapter-size',
      'compression.falls',
      'compression.scatter',
      'compression.scatter-wet',
      'compression.bores',
      'compression.missing'
    ],
    how: 'As the finding says: throttle wide open, charged battery, without the adapter, in the reverse order.',
    tools: ['compression gauge', 'plug wrench'],
    minutes: 8,
    hazards: ['vapour', 'high-voltage'],
    proof: {
      station: 'compression',
      text: 'like readings, repeated',
      reads: ['compression.pressure', 'compression.pulls', 'compression.leakdown']
    },
    opens: ['cowl', 'plugs'],
    phase: 'repeat'
  },
  'leak-down': {
    title: 'Wet test, then leak-down',
    finds: true,
    yieldsTo: ['head-gasket', 'overhaul', 'valves', 'lash'],
    raisedBy: [only('compression.low', 'fault', 'cannot-tell'), 'compression.figure', 'compression.neighbours'],
    // Off its marks every cylinder reads low: the belt first, then the needle again. Worked on since, the needle is read before air goes in.
    unless: (c) => beltJumped(c) || needleOfBefore(c),
    met: (c) => c.record.all('compression.leakdown').some((r) => r.value !== 'unknown'),
    how: 'A measured dose of oil, about 1 mL per 100 mL swept, plug holes up, turned. Rises: rings or bore. Does not: valve, gasket, crown. Then air: where it comes out names the part. Flywheel locked.',
    tools: ['leak-down tester', 'syringe', 'flywheel lock'],
    consumables: ['engine oil'],
    minutes: 25,
    hazards: ['air', 'flywheel'],
    proof: {
      station: 'compression',
      text: 'the cause named, then the cylinders alike',
      reads: ['compression.leakdown']
    },
    after: ['compression-repeat'],
    opens: ['cowl', 'plugs'],
    uses: ['stand'],
    noisy: true,
    special: ['leak-down tester', 'flywheel lock']
  },
  lash: {
    title: 'Set the valve lash, run, repeat the compression',
    raisedBy: [only('compression.lash-intake', 'fault', 'watch'), only('compression.lash-exhaust', 'fault', 'watch')],
    renews: [{ item: 'run.noise', answers: ['head', 'valves'] }, 'compression.lashIn', 'compression.lashEx'],
    how: 'Cold, at the manual’s mark. A closed valve leaks like a burnt one: set it before anything is opened.',
    tools: ['feeler gauge'],
    seenRunning: true,
    minutes: 30,
    hazards: ['flywheel'],
    proof: {
      station: 'compression',
      text: 'lash within range, cylinders alike',
      reads: [
        'compression.lashIn',
        'compression.lashEx',
        'compression.pressure',
        'compression.pulls',
        'compression.leakdown'
      ]
    },
    opens: ['cowl', 'plugs'],
    oneTime: ['rocker cover gasket']
  },
  'air-cause': {
    title: 'Follow the air to its part',
    yieldsTo: ['overhaul', 'valves', 'soak', 'head-gasket', 'lash', 'water-in'],
    raisedBy: [only('compression.leakdown', 'fault')],
    how: 'Where the air comes out names the part. Rings that stood often free up: soak overnight and repeat before condemning.',
    tools: ['leak-down tester', 'flywheel lock'],
    minutes: 30,
    wait: 720,
    hazards: ['air', 'flywheel'],
    proof: { station: 'compression', text: 'leak-down under the watch band', reads: ['compression.leakdown'] },
    after: ['lash'],
    opens: ['cowl', 'plugs'],
    noisy: true,
    special: ['leak-down tester', 'flywheel lock']
  },
  'head-gasket': {
    title: 'Lift the head and renew the gasket',
    raisedBy: [only('compression.flatness', 'watch', 'fault'), only('compression.leakdown-gasket', 'fault')],
    renews: ['compression.flatness', 'compression.leakdown', 'compression.escape', 'run.plugAfter'],
    how: 'Only once leak-down or a wet test points there. Check flatness; bolts in the manual’s order.',
    tools: ['torque wrench', 'straight edge'],
    parts: ['head gasket'],
    minutes: 120,
    hazards: ['chemicals'],
    proof: {
      station: 'compression',
      text: 'cylinders alike, tight and without bubbles in the water',
      reads: ['compression.pressure', 'compression.pulls', 'compression.leakdown']
    },
    after: ['leak-down'],
    opens: ['cowl', 'plugs', 'head'],
    uses: ['stand'],
    dirty: true,
    daylight: true,
    torque: ['torque.head'],
    oneTime: ['head gasket'],
    special: ['straight edge']
  },
  'water-in': {
    title: 'Find where water gets into the cylinder',
    raisedBy: ['run.plug-wet', only('compression.leakdown-water', 'fault')],
    yieldsTo: ['head-gasket'],
    // Its way in was mended since: the next run says whether it is dry.
    unless: (c) => {
      const wet = plugsAfterRun(c).findLast((r) => r.value === 'wet');
      return !!wet && c.renewed('run.plugAfter').some((at) => isAfter(at, wet.at));
    },
    renews: ['run.plugAfter'],
    how: 'Head gasket, exhaust cover, jacket: leak-down with the jacket watched, then a pressure test of the jacket. Specialist where the block is cracked.',
    tools: ['leak-down tester'],
    parts: ['gaskets as found'],
    seenRunning: true,
    minutes: 90,
    hazards: ['air'],
    proof: { station: 'run', text: 'plug dry after running', reads: ['run.plugAfter'] },
    opens: ['cowl', 'plugs'],
    uses: ['stand'],
    noisy: true
  },
  overhaul: {
    title: 'Overhaul of the power head: ask a specialist for a price',
    raisedBy: [only('compression.leakdown-overhaul', 'fault'), only('turn.feel-head', 'fault')],
    renews: [
      { item: 'run.noise', answers: ['head', 'valves'] },
      'run.plugAfter',
      'plugs.hole',
      'compression.leakdown',
      'compression.escape',
      'turn.roughNeutral',
      'turn.roughPinion',
      'turn.roughLeg'
    ],
    how: 'Measured before anything is bought: bore, piston, crank. The owner is asked first; parts may be worth more.',
    seenRunning: true,
    minutes: 30,
    wait: 14_400,
    hazards: ['lift'],
    proof: {
      station: 'compression',
      text: 'cylinders alike after the overhaul',
      reads: ['compression.pressure', 'compression.pulls', 'compression.leakdown']
    },
    proofAt: { turn: { station: 'turn', text: 'turns free, nothing felt', reads: ['turn.result', 'turn.feel'] } },
    alters: ['turn'],
    apart: ['head'],
    phase: 'away'
  },
  valves: {
    title: 'Free or grind the valve',
    // Air that was heard before it is of the valve as it was.
    renews: [{ item: 'run.noise', answers: ['head', 'valves'] }, 'compression.leakdown', 'compression.escape'],
    how: 'Oil and patience first; it often frees by turning. If it still leaks, head off and ground in.',
    tools: ['valve spring tool', 'grinding paste'],
    parts: ['head gasket', 'valve stem seals'],
    minutes: 240,
    hazards: ['eyes', 'chemicals'],
    proof: {
      station: 'compression',
      text: 'no air at intake or exhaust, cylinders alike',
      reads: ['compression.pressure', 'compression.pulls', 'compression.leakdown']
    },
    after: ['lash'],
    opens: ['cowl', 'plugs', 'head'],
    uses: ['stand'],
    dirty: true,
    daylight: true,
    torque: ['torque.head'],
    oneTime: ['head gasket', 'valve stem seals'],
    special: ['valve spring tool']
  },
  'crank-seal': {
    title: 'Reed block or crank seal',
    raisedBy: [only('compression.crankcase', 'fault')],
    // Hours for a part that nobody has named yet: soap on it first, unless another cylinder's was named.
    unless: (c) => {
      const open = unnamed(c);
      const leaks = cylindersOf(c).filter((k) => !['held', 'unknown', undefined].includes(crankcaseOf(c, k)));
      return open.length > 0 && leaks.every((k) => open.includes(k));
    },
    how: 'Crankcase pressure test first: it names reed, gasket or seal.',
    tools: ['pressure tester', 'seal puller'],
    parts: ['reed or seal as found', 'gaskets'],
    minutes: 180,
    hazards: ['air', 'flywheel'],
    renews: ['compression.crankcase'],
    proof: { station: 'run', text: 'idles evenly, does not spit back', reads: ['run.idles'] },
    opens: ['flywheel'],
    uses: ['stand'],
    dirty: true,
    special: ['pressure tester', 'seal puller']
  },
  belt: {
    title: 'Timing belt: check the marks, renew it',
    raisedBy: ['turn.belt'],
    how: 'No cranking before the marks are checked: valves may meet pistons. Belt and tensioner together.',
    tools: ['flywheel puller', 'torque wrench'],
    parts: ['timing belt', 'tensioner'],
    renews: [{ item: 'run.noise', answers: ['head', 'valves', 'flywheel'] }],
    minutes: 120,
    hazards: ['flywheel'],
    proof: { station: 'turn', text: 'belt renewed, two turns by hand, marks in line', reads: ['turn.belt'] },
    opens: ['cowl', 'flywheel'],
    torque: ['torque.flywheel'],
    daylight: true,
    special: ['flywheel puller']
  }
} as const satisfies Readonly<Record<string, JobRule>>;
