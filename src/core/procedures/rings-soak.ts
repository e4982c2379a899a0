import { ruleNumber } from '../house-rules/rules.ts';
import { about, figures } from './about.ts';
import { headHandOver } from './hand-over.ts';
import { boreDose } from './power-head-steps.ts';
import type { Procedure } from './procedure.ts';

/** Stuck rings: soaked, turned, measured again (C: common practice; the maker’s manual stands above it). */
export const ringsSoak: Procedure = {
  id: 'rings-soak',
  title: 'Stuck rings: soaked, turned, measured again',
  means: 'Oil and patience before any opening; the same gauge, the same conditions, before and after.',
  minutes: 30,
  jobs: ['soak', 'air-cause'],
  hazards: ['chemicals', 'backfire', 'flywheel'],
  tools: ['syringe with a hose', 'plug wrench', 'compression gauge'],
  parts: ['penetrating oil'],
  wrong: [
    'Measured with the oil still in: it reads high and proves nothing.',
    'Cranked on full bores: a rod bends.',
    'Soaked once and opened: it often comes on the second night.'
  ],
  proof: { station: 'compression', text: 'compression and leak-down again, bores dry' },
  handOver: headHandOver,
  steps: (c) => {
    const hours = ruleNumber(c.rules, 'nextDay');
    return [
      {
        id: 'before',
        text: 'What it read before: pressure and leak-down, bores dry, by which gauge.',
        items: ['compression.pressure', 'compression.leakdown']
      },
      {
        id: 'in',
        text: 'Plugs out, holes uppermost; penetrating oil into each bore.',
        careful: ['chemicals'],
        ...figures(boreDose(c)),
        items: ['plugs.oil']
      },
      {
        id: 'soak',
        text: 'Left to soak, plugs loosely in; label: OIL IN BORES, DO NOT CRANK.',
        wait: hours * 60,
        items: ['turn.soaked']
      },
      {
        id: 'rock',
        text: 'Turned by hand until it gives, then round, only its way; what comes out of the holes is wiped.',
        turns: { way: about(c).way, from: 'above' },
        careful: ['backfire'],
        items: ['turn.result'],
        branch: [{ seen: 'Scrapes or stops', then: 'No further: bore looked into.' }]
      },
      { id: 'again', text: 'A second night, where the first changed something.', wait: hours * 60 },
      {
        id: 'blow',
        act: 'crank',
        text: 'Plugs out, holes lowest, turned until no oil comes; cranked with rags over the holes, nobody before them.',
        careful: ['backfire', 'vapour']
      },
      {
        id: 'run',
        text: 'Where the holds allow: a short run, loaded gently, to burn it off; else a day’s draining.',
        careful: ['carbon-monoxide'],
        act: 'start'
      },
      {
        id: 'after',
        proves: true,
        text: 'Measured again, bores dry, same gauge, same throttle.',
        items: ['compression.pressure', 'compression.leakdown'],
        branch: [
          { seen: 'Better', then: 'Run and measure once more after an hour.' },
          { seen: 'The same', then: 'Leak-down says where; the bore is looked into.' }
        ]
      }
    ];
  }
};
