import { mixSteps } from './fuel-steps.ts';
import type { Procedure } from './procedure.ts';

/** Premix: a tank mixed, or put right (C: common practice; the maker’s manual stands above it). */
export const premix: Procedure = {
  id: 'premix',
  title: 'Premix: a tank mixed, or put right',
  means: 'What is in it, what goes in, how much oil; too little seizes, too much smokes.',
  minutes: 10,
  jobs: ['mix'],
  fits: (e) => e.profile.lubrication === 'premix',
  hazards: ['vapour', 'waste'],
  tools: ['measuring cup', 'funnel'],
  parts: ['two-stroke oil'],
  wrong: [
    'Oil poured on top and not mixed: the first litre is neat fuel.',
    'Four-stroke oil: ash and a seized ring.',
    'Nobody knows what is in it, and it is counted as mixed.'
  ],
  proof: { station: 'fuel', text: 'mixture in use by the engine’s ratio' },
  handOver: 'Old fuel is not corrected, it is drained.',
  steps: (c) => [
    {
      id: 'age',
      text: 'How old is what is in the tank? Too old is drained.',
      items: ['fuel.age', 'fuel.tankHas'],
      branch: [{ seen: 'Too old', then: 'Emptied.', job: 'fuel-drain' }]
    },
    {
      id: 'oil',
      text: 'Was there oil in it, and at what ratio? Nobody knows counts as none.',
      items: ['fuel.tankOil', 'fuel.tankMix']
    },
    {
      id: 'fresh',
      text: 'How much fresh fuel goes in, and what does the cup at hand measure?',
      items: ['fuel.freshAdd', 'fuel.cup']
    },
    ...mixSteps(c),
    { id: 'shake', text: 'Oil first with a third of the fuel, shaken; then the rest.', careful: ['vapour'] },
    { id: 'written', text: 'Ratio and date on the tank.', items: ['fuel.oilAdded'] }
  ]
};
