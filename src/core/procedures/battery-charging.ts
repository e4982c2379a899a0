import { electrician } from './hand-over.ts';
import type { Procedure } from './procedure.ts';

/** Battery under load, charging at speed (C: common practice; the maker’s manual stands above it). */
export const batteryCharging: Procedure = {
  id: 'battery-charging',
  title: 'Battery under load, charging at speed',
  means: 'Resting, cranking, running volts, each at the battery; then what carries them.',
  minutes: 30,
  jobs: ['battery', 'charging'],
  fits: (e) => e.profile.starting !== 'rope',
  hazards: ['battery', 'carbon-monoxide', 'propeller'],
  tools: ['meter', 'load tester', 'wire brush'],
  parts: ['terminals and grease'],
  wrong: [
    'Battery taken off while it runs: regulator and box are gone.',
    'Charging judged at idle: many give nothing there.',
    'Measured at the gauge of the dash instead of the posts.'
  ],
  proof: { station: 'run', text: 'volts at the battery rise at speed and stay under 15' },
  handOver: electrician,
  steps: () => [
    {
      id: 'posts',
      text: 'Terminals off, negative first; bright, back, positive first, greased.',
      careful: ['battery'],
      items: ['safe.battery']
    },
    {
      id: 'rest',
      text: 'Resting an hour: 12.6 V is full, 12.2 half, under 12 empty: charged before it is judged.',
      tools: ['meter'],
      because: 'Of a lead battery at 20 °C; common practice.'
    },
    {
      id: 'crank',
      proves: true,
      act: 'crank',
      text: 'Cranking ten seconds, spark off: at the posts not under 9.6, plugs in.',
      careful: ['vapour', 'propeller'],
      items: ['plugs.volts'],
      branch: [{ seen: 'Under', then: 'Load tester: battery or starter?' }]
    },
    {
      id: 'idle',
      text: 'On water: volts at idle, then at half speed.',
      careful: ['carbon-monoxide', 'propeller'],
      act: 'start',
      items: ['run.volts', 'run.rpm'],
      branch: [
        { seen: 'Does not rise', then: 'Fuse, plug of the coil, rectifier; coil measured for each leg to ground.' },
        { seen: 'Over 15', then: 'Regulator, or its ground: stopped, boxes dislike it.' }
      ]
    },
    { id: 'coil', text: 'Charge coil: between legs and to ground, cold.', items: ['spark.charge'] },
    {
      id: 'ground',
      text: 'Between battery’s negative and the block, running: more than 0.2 V is a joint.',
      branch: [{ seen: 'More', then: 'Opened, bright, tooth washer, grease.', job: 'ground' }]
    },
    { id: 'draw', text: 'All off: what does it draw? More than a few milliamperes empties it over winter.' }
  ]
};
