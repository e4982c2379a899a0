import type { Context } from '../findings/context.ts';
import { lastNoise } from '../stations/run/noise.ts';
import { plugsAfterRun } from '../findings/plug-after-run.ts';
import { causeAt } from '../stations/run/symptoms.ts';
import { isAfter } from '../units/instant.ts';
import type { HoldRule } from './hold.ts';
import { runTrouble, unexplained } from './run-trouble.ts';

/** Water came out of a run on a plug, and since then no work was done where it gets in, nor a cause written down; a dry plug later mends nothing. */
function waterOnPlug(c: Context): boolean {
  const wet = plugsAfterRun(c).findLast((r) => r.value === 'wet');
  if (!wet) return false;
  // Work that closes the way in makes the plug's word one of before.
  return ![causeAt(c), ...c.renewed('run.plugAfter')].some((at) => at !== '' && !isAfter(wet.at, at));
}

/** What a run showed, and what it must not be started or given back with. */
export const runRules: readonly HoldRule[] = [
  {
    id: 'noise',
    title: 'A noise of unknown cause: not started again',
    blocks: ['start', 'release'],
    curedBy: ['feel', 'metal', 'overhaul', 'flywheel-key', 'pinion', 'bent-rod', 'clutch-dog'],
    raised: (c) => {
      const noise = lastNoise(c);
      // A tick of the valves is looked for, and breaks nothing meanwhile.
      if (!noise || noise.explained || noise.place === 'valves') return undefined;
      if (noise.gone) return 'It made a noise that was not heard again, and what made it was never found.';
      return noise.place
        ? 'It made a noise, and what makes it is not known: a rod or a gear that lets go takes the rest with it.'
        : 'It was stopped for a noise, and what makes it is not known.';
    },
    needs: () => [
      {
        text: 'what makes the noise found, and written down or mended',
        done: false,
        station: 'run',
        items: ['run.cause']
      }
    ]
  },
  {
    id: 'jacket',
    title: 'Water gets into a cylinder: not started again',
    blocks: ['start', 'release'],
    curedBy: ['water-in', 'head-gasket', 'overhaul'],
    raised: (c) =>
      waterOnPlug(c)
        ? 'Water was on a plug after running, and nothing was found that lets it in: the next start may lock on it.'
        : undefined,
    needs: () => [
      {
        text: 'the way in found and mended, or written down',
        done: false,
        station: 'run',
        items: ['run.cause']
      }
    ]
  },
  {
    id: 'run',
    title: 'First run stopped by lamp, stream or heat',
    blocks: ['release'],
    curedBy: [
      'pump',
      'leg-water',
      'thermostat',
      'screen',
      'strainer',
      'descale',
      'outlet',
      'hot',
      'oil-pressure',
      'heat-sender',
      'pieces'
    ],
    raised: (c) => runTrouble(c) ?? unexplained(c),
    needs: (c) => [
      {
        text: 'cause found and mended, or recorded',
        done: unexplained(c) === undefined,
        station: 'run',
        items: ['run.cause'],
        minutes: 2
      },
      { text: 'the check repeated and good', done: runTrouble(c) === undefined, station: 'run', job: 'run-again' }
    ]
  }
];
