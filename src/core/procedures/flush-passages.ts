import type { Procedure } from './procedure.ts';

/** Cooling passages flushed and descaled (C: common practice; the maker’s manual stands above it). */
export const flushPassages: Procedure = {
  id: 'flush-passages',
  title: 'Cooling passages flushed and descaled',
  means: 'Backward and forward with water; acid only in what was seen to be scaled, only as long as its label says.',
  minutes: 120,
  jobs: ['descale'],
  hazards: ['chemicals', 'waste', 'hot'],
  tools: ['hose with adapter', 'small pump and bucket', 'gloves and eye guard'],
  parts: ['descaler', 'thermostat gasket'],
  wrong: [
    'Acid in a closed passage: it gases and blows off.',
    'Acid left in: it goes on with the aluminium.',
    'Descaled before the thermostat was tried in a pan.'
  ],
  proof: { station: 'run', text: 'head under its limit to the end of a run, banks alike' },
  handOver: 'Covers that do not come off, and jackets eaten through, go to a machine shop.',
  steps: (c) => [
    {
      id: 'first',
      text: 'Screens, pump and thermostat were found good? If not, those first.',
      items: ['cooling.screen', 'cooling.thermostatPan']
    },
    {
      id: 'out',
      text: 'Thermostat and relief valve out, cover loosely back.',
      takesOff: ['thermostat', 'relief valve and spring']
    },
    {
      id: 'forward',
      text: 'Fresh water through from below, until it runs clear at the top.',
      tools: ['hose with adapter'],
      wait: 5
    },
    {
      id: 'backward',
      text: 'Then backward, from the thermostat’s place down: what comes out is looked at.',
      because: 'Sand and salt lie where the flow stops; backward lifts them.',
      wait: 5,
      branch: [{ seen: 'Sand, vane pieces', then: 'Until none comes; probe low drains with a soft wire.' }]
    },
    {
      id: 'acid',
      text: 'Descaler as its label says, cold, pumped round open to the air; watched the whole time.',
      careful: ['chemicals', 'eyes'],
      because: 'Its label gives strength and minutes for aluminium: no label of that kind, not in an engine.',
      tools: ['small pump and bucket'],
      wait: 30
    },
    {
      id: 'rinse',
      text: 'Rinsed forward and backward until litmus or taste of the label’s test says clean; the rest to the collection point.',
      careful: ['waste'],
      wait: 10
    },
    {
      id: 'covers',
      text: 'Where a bank stays hotter: its cover off, scale picked out by hand, new gasket.',
      torque: ['torque.head']
    },
    {
      id: 'in',
      text: 'Thermostat and relief valve back, new gasket.',
      fits: ['relief valve and spring', 'thermostat'],
      renew: ['thermostat gasket']
    },
    ...(c.survey.engine.profile.layout === 'v'
      ? [
          {
            id: 'both',
            proves: true as const,
            text: 'A run to warm: both banks measured at the same spot.',
            careful: ['hot', 'carbon-monoxide'] as const,
            act: 'start' as const,
            items: ['run.temperature'] as const
          }
        ]
      : [
          {
            id: 'run',
            proves: true as const,
            text: 'A run to warm: head measured until it holds.',
            careful: ['hot', 'carbon-monoxide'] as const,
            act: 'start' as const,
            items: ['run.temperature'] as const
          }
        ])
  ]
};
