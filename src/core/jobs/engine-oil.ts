import { ofThisOil } from '../stations/oil/as-it-is.ts';
import { gaugeAnswers } from '../stations/oil/pressure.ts';
import { lampWorkedOn } from '../stations/run/symptoms.ts';
import { only, type JobRule } from './job.ts';

/** Engine oil. */
export const engineOil = {
  'oil-level': {
    title: 'Bring the engine oil right: between the marks, changed where it is thin',
    raisedBy: [
      only('oil.dip', 'watch', 'fault'),
      only('oil.thin', 'watch'),
      'oil.burnt',
      only('oil.laboratory', 'watch', 'fault')
    ],
    // With water in it, it is changed: nothing is drawn off it, and nothing filled up on top of it.
    unless: (c) => ofThisOil(c, 'oil.look') === 'milky',
    how: 'Level, wait, dip twice. High: draw some out and smell it. Low: fill by the tally, wait, dip twice.',
    tools: ['funnel', 'suction pump'],
    consumables: ['engine oil'],
    minutes: 10,
    wait: 10,
    hazards: ['waste'],
    proof: { station: 'oil', text: 'two agreeing dips between the marks', reads: ['oil.dip', 'oil.dipAt'] },
    // What lets fuel into it is mended first.
    after: ['sump-water', 'bowl'],
    dirty: true
  },
  'oil-changes': {
    title: 'Change the engine oil until the water is out',
    raisedBy: ['oil.residue'],
    how: 'Cheap oil first; what comes out is measured each time; filter with its old seal; the last fill is the right oil.',
    tools: ['drain pan', 'measuring jug'],
    parts: ['oil filter', 'drain washer'],
    preserves: true,
    consumables: ['engine oil'],
    minutes: 30,
    wait: 15,
    hazards: ['waste', 'hot'],
    proof: { station: 'oil', text: 'residue under the house’s target' },
    renews: ['oil.look', 'oil.smell'],
    after: ['sump-water'],
    opens: ['sump'],
    dirty: true,
    torque: ['torque.sump'],
    oneTime: ['drain washer'],
    counts: ['engine-oil']
  },
  'oil-filter': {
    title: 'Take the old filter seal off',
    raisedBy: ['oil.filter'],
    how: 'Filter off, seal off the engine, face wiped; the new one as it says on it.',
    parts: ['oil filter'],
    minutes: 10,
    hazards: ['waste'],
    proof: { station: 'oil', text: 'filter renewed, old seal off', reads: ['oil.filter'] },
    dirty: true
  },
  'oil-pressure': {
    title: 'Gauge in place of the sender: lamp or pressure?',
    raisedBy: ['run.lamp-cool'],
    // A two-stroke has no oil pressure; and a gauge that was read since the lamp came is not put in again.
    unless: (c) => c.survey.engine.profile.strokes === 'two' || lampWorkedOn(c) || gaugeAnswers(c) !== undefined,
    // The head is normal, and a lamp came: what is left to ask before a sender is blamed is what the oil does.
    also: (c) =>
      c.survey.engine.profile.strokes !== 'two' &&
      c.record.value('run.lamp') === 'came' &&
      c.record.value('run.second') === 'normal'
        ? 'A lamp came and a second thermometer found the head normal: it is the oil’s pressure until a gauge says otherwise.'
        : undefined,
    how: 'A gauge at the sender’s thread, a second thermometer at the head. Low pressure goes to a specialist.',
    tools: ['pressure gauge', 'thermometer'],
    parts: ['sender'],
    minutes: 30,
    hazards: ['hot'],
    finds: true,
    proof: {
      station: 'oil',
      text: 'oil pressure read on the gauge, its speed with it',
      reads: ['oil.pressure']
    },
    opens: ['cowl'],
    uses: ['tank'],
    noisy: true,
    phase: 'running'
  },
  'oil-pump': {
    title: 'Find why the oil pressure is low',
    raisedBy: [only('oil.pressure', 'fault')],
    how: 'Level, the right oil and a filter that is not blocked first; then relief valve and pick-up screen. Pump and bearings are a specialist’s work.',
    tools: ['pressure gauge'],
    parts: ['oil filter', 'relief valve or pump as found'],
    consumables: ['engine oil'],
    minutes: 55,
    hazards: ['hot', 'waste'],
    renews: ['oil.pressure'],
    proof: {
      station: 'oil',
      text: 'oil pressure right by the gauge, its speed with it',
      reads: ['oil.pressure']
    },
    after: ['oil-level', 'sump-water'],
    opens: ['cowl', 'sump'],
    dirty: true
  }
} as const satisfies Readonly<Record<string, JobRule>>;
