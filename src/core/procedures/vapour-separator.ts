import type { Procedure } from './procedure.ts';

/** Vapour separator drained, looked into, primed (C: common practice; the maker’s manual stands above it). */
export const vapourSeparator: Procedure = {
  id: 'vapour-separator',
  title: 'Vapour separator drained, looked into, primed',
  means: 'Pressure off, drained, screens and float seen, primed by the key; the first start is slow.',
  minutes: 60,
  jobs: ['bowl', 'fuel-drain'],
  fits: (e) => e.profile.fuelSystem === 'electronic' || e.profile.fuelSystem === 'direct',
  hazards: ['fuel-pressure', 'vapour', 'eyes', 'battery'],
  tools: ['gauge for fuel pressure', 'rags', 'labelled can', 'line spanners'],
  parts: ['separator gasket', 'high-pressure filter'],
  wrong: [
    'A line opened under pressure: it sprays over a hot engine.',
    'Starter held for a minute to prime it: key on and off, ten times, does it.'
  ],
  proof: { station: 'fuel', text: 'separator clean, pressure by the manual' },
  handOver: 'High-pressure lines and pumps of direct injection: the maker’s workshop.',
  steps: () => [
    {
      id: 'pressure',
      text: 'Pressure released as the manual says, rag over the valve, key off, battery off.',
      careful: ['fuel-pressure', 'eyes'],
      items: ['safe.battery']
    },
    {
      id: 'drain',
      text: 'Drained by its screw into a jar: water, varnish, rust?',
      careful: ['vapour'],
      items: ['fuel.bowlLook', 'fuel.bowl']
    },
    {
      id: 'open',
      text: 'Varnish or rust: lines marked and off, separator open over a tray.',
      takesOff: ['lines', 'separator screws', 'lid', 'separator gasket'],
      careful: ['fuel-pressure']
    },
    {
      id: 'float',
      text: 'Float free, needle closes, vent not blocked, pump’s screen clean.',
      branch: [{ seen: 'Screen brown', then: 'High-pressure filter too; the injectors may follow.' }]
    },
    { id: 'filter', text: 'High-pressure filter renewed, arrow with the flow.', renew: ['high-pressure filter'] },
    {
      id: 'shut',
      text: 'New gasket, lines to their marks, clamps of the right kind.',
      fits: ['separator gasket', 'lid', 'separator screws', 'lines'],
      renew: ['separator gasket']
    },
    {
      id: 'prime',
      proves: true,
      text: 'Fresh fuel, bulb firm, key on for three seconds and off, ten times; joints dry?',
      because:
        'The pump fills an empty separator only while the key says so. The first start takes longer: that is no fault.',
      careful: ['vapour'],
      items: ['fuel.bulb']
    },
    {
      id: 'gauge',
      text: 'Pressure with the key on, and a minute after: the manual’s figure.',
      tools: ['gauge for fuel pressure'],
      branch: [{ seen: 'Falls at once', then: 'Regulator, pump’s valve or an injector leaks.' }]
    }
  ]
};
