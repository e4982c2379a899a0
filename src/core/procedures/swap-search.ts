import { ignitionHandOver } from './hand-over.ts';
import type { Procedure } from './procedure.ts';

/** One cylinder without spark: plug, cap, lead, coil in turn (C: common practice; the maker’s manual stands above it). */
export const swapSearch: Procedure = {
  id: 'swap-search',
  title: 'One cylinder without spark: plug, cap, lead, coil in turn',
  means: 'What moves with the part is the part. One swap at a time, tried each time.',
  minutes: 30,
  jobs: ['spark-own', 'lead', 'coil'],
  fits: (e) => typeof e.profile.cylinders !== 'number' || e.profile.cylinders > 1,
  hazards: ['high-voltage', 'vapour'],
  tools: ['spark tester', 'meter', 'tags'],
  parts: ['plug cap or lead, as found'],
  wrong: [
    'Two things swapped at once: nothing is known after it.',
    'Swapped between engines with other boxes.',
    'An open lead while it cranks: the box pays.'
  ],
  proof: { station: 'spark', text: 'spark on every cylinder over its gap' },
  handOver: ignitionHandOver,
  steps: () => [
    {
      id: 'state',
      act: 'crank',
      text: 'Lanyard in, switch on run, tester at the lead, the others grounded: none at this one and good at another?',
      careful: ['high-voltage'],
      items: ['spark.lanyard', 'spark.result'],
      branch: [{ seen: 'None anywhere', then: 'Not this search: stop circuit and box.', job: 'stop-circuit' }]
    },
    {
      id: 'look',
      text: 'Lead and cap: gnawed, cracked, green, loose in the coil? Coil: cracked, burnt track?',
      items: ['spark.leadLook', 'spark.coilLook'],
      branch: [{ seen: 'Seen to be broken', then: 'Renewed, before anything is swapped.', job: 'lead' }]
    },
    { id: 'plug', text: 'The plug with a neighbour’s: does it move?', items: ['spark.plugSwap'] },
    {
      id: 'cap',
      act: 'crank',
      text: 'Cap off its lead, tester on the bare end held by its clip: spark now? Then the cap.',
      careful: ['high-voltage'],
      items: ['spark.leadSwap']
    },
    {
      id: 'primary',
      text: 'Coil at the air’s temperature: primary and secondary measured, beside a good one.',
      tools: ['meter'],
      items: ['spark.primary', 'spark.secondary'],
      because: 'Resistance is compared at 20 °C; a crack shows only under voltage.'
    },
    {
      id: 'coil',
      text: 'Coils swapped with their wires tagged: does it move with the coil?',
      items: ['spark.coilSwap'],
      takesOff: ['coil'],
      branch: [
        { seen: 'It moves', then: 'The coil.', job: 'coil' },
        { seen: 'It stays', then: 'What feeds it: trigger, charge coil, the box’s own output.', job: 'spark-common' }
      ]
    },
    {
      id: 'back',
      proves: true,
      text: 'All back where it belonged but the bad one; tags off when it sparks.',
      fits: ['coil'],
      items: ['spark.result']
    }
  ]
};
