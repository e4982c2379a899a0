import { wetRingsUntold } from '../stations/compression/analyse.ts';
import { pistonDepths } from '../stations/turn/depths.ts';
import { isAfter } from '../units/instant.ts';
import { only, type JobRule } from './job.ts';

/** What turns: bores, rods, bearings. */
export const crankTrain = {
  soak: {
    title: 'Soak the bores, wait a day, turn it again',
    renews: ['turn.soaked'],
    byDegrees: (f) => (f.values as { freed?: number } | undefined)?.freed !== undefined,
    raisedBy: [
      only('turn.locked', 'fault'),
      'turn.stiff',
      'turn.gritty',
      'turn.again',
      'plugs.hole-rust',
      'compression.leakdown-rings'
    ],
    also: (c) => {
      const sealed = wetRingsUntold(c);
      return sealed.length
        ? `Oil sealed cylinder ${sealed.join(' and ')} beyond its own volume, and where the air goes could not be told: rings that stood often come free.`
        : undefined;
    },
    how: 'Penetrating oil through the plug holes; neutral and starter pinion free; no force. Turned again the next day before it counts.',
    tools: ['plug wrench'],
    consumables: ['penetrating oil'],
    // Soaked already, and not found stuck since: what is left is to turn it again the next day.
    met: (c) => {
      const soaked = c.record.last('turn.soaked');
      const turned = c.record.last('turn.result');
      const bad = turned !== undefined && !['bumps', 'free', 'unknown'].includes(String(turned.value));
      return soaked?.value === 'yes' && !(bad && isAfter(turned.at, soaked.at));
    },
    minutes: 10,
    wait: 1440,
    hazards: ['chemicals', 'backfire'],
    proof: {
      station: 'turn',
      text: 'free two days running, no grit, noise or play',
      reads: ['turn.result', 'turn.feel']
    },
    // Soaked for its rings, it is the air that says whether they came free.
    proofAt: {
      plugs: { station: 'plugs', text: 'no more rust in the bore, by a light', reads: ['plugs.hole'] },
      compression: {
        station: 'compression',
        text: 'leak-down or compression better than before, repeated',
        reads: ['compression.leakdown', 'compression.pressure', 'compression.pulls']
      }
    },
    after: ['empty-cylinders'],
    opens: ['plugs'],
    dirty: true,
    phase: 'first'
  },
  feel: {
    title: 'Find the noise, play or tight spot',
    yieldsTo: ['overhaul'],
    raisedBy: ['turn.feel', 'turn.rough-pinion', 'turn.assembled'],
    how: 'Propeller off, pinion out, belt off one after the other; then the bearings.',
    renews: ['run.noise'],
    minutes: 30,
    hazards: ['flywheel'],
    proof: { station: 'turn', text: 'turns free, nothing felt', reads: ['turn.result', 'turn.feel'] },
    opens: ['propeller'],
    noisy: true
  },
  'bent-rod': {
    title: 'Send the power head to a specialist',
    raisedBy: ['turn.depth'],
    // Taken once it is measured again before anybody pays for it.
    unless: (c) => {
      const { low, once } = pistonDepths(c);
      return once.length === low.length;
    },
    how: 'A piston that stands low is a rod bent by water. Do not spin it; ask for a price, or keep it for parts.',
    renews: [{ item: 'run.noise', answers: ['head'] }],
    minutes: 15,
    wait: 20160,
    hazards: ['lift'],
    proof: { station: 'turn', text: 'depths agree after the repair', reads: ['turn.depth'] },
    apart: ['head'],
    phase: 'away'
  }
} as const satisfies Readonly<Record<string, JobRule>>;
