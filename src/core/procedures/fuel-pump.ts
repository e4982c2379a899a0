import { fuelHandOver } from './hand-over.ts';
import type { Procedure } from './procedure.ts';

/** Fuel pump: diaphragm and valves (C: common practice; the maker’s manual stands above it). */
export const fuelPump: Procedure = {
  id: 'fuel-pump',
  title: 'Fuel pump: diaphragm and valves',
  means: 'Is it the pump? Then open, looked through against the light, gaskets in their order.',
  minutes: 40,
  jobs: ['fuel-pump'],
  fits: (e) => e.profile.supply !== 'gravity' && e.profile.fuelSystem !== 'direct',
  hazards: ['vapour'],
  tools: ['vacuum gauge and tee', 'screwdriver', 'clear hose'],
  parts: ['fuel-pump kit'],
  wrong: [
    'Opened before the line’s vacuum was read: the pump is good and the line is not.',
    'Diaphragm and gasket swapped in order: it does not pump.'
  ],
  proof: { station: 'fuel', text: 'line vacuum within its limit, the bulb no longer needed' },
  handOver: fuelHandOver,
  steps: () => [
    {
      id: 'bulb',
      text: 'Running weak: squeezing the bulb revives it? Then pump or an air leak; not revived: vent or upstream.',
      careful: ['carbon-monoxide', 'propeller'],
      act: 'start',
      items: ['fuel.revived']
    },
    {
      id: 'vacuum',
      text: 'Tee and gauge before the pump, clear hose behind: vacuum at idle and at speed; bubbles?',
      tools: ['vacuum gauge and tee', 'clear hose'],
      items: ['fuel.vacuumIdle', 'fuel.vacuumSpeed'],
      branch: [
        {
          seen: 'High',
          then: 'Something holds it back upstream: vent, pick-up, anti-siphon valve, hose.',
          job: 'bulb'
        },
        { seen: 'Bubbles, low vacuum', then: 'Air gets in: couplings, hose, O-rings.', job: 'hoses' }
      ]
    },
    {
      id: 'pulse',
      text: 'Pulse hose or port: oil or fuel in it?',
      branch: [{ seen: 'Fuel', then: 'The diaphragm is holed: now.' }]
    },
    {
      id: 'off',
      text: 'Pump off, its parts laid out in their order, faces marked.',
      takesOff: ['pump screws', 'cover', 'gasket', 'diaphragm', 'valve body', 'boost diaphragm', 'base gasket']
    },
    {
      id: 'look',
      text: 'Diaphragm against the light, stretched: holes, stiff, wavy; valves flat on their seats.',
      items: ['fuel.pump']
    },
    {
      id: 'in',
      text: 'Kit in by the same order: where two sheets meet, the gasket lies toward the metal, or as the manual draws it.',
      fits: ['base gasket', 'boost diaphragm', 'valve body', 'diaphragm', 'gasket', 'cover', 'pump screws'],
      renew: ['fuel-pump kit']
    },
    { id: 'prime', proves: true, text: 'Bulb firm, joints dry.', careful: ['vapour'], items: ['fuel.bulb'] },
    {
      id: 'prove',
      text: 'On water at speed for five minutes, bulb untouched; vacuum again.',
      careful: ['carbon-monoxide', 'propeller'],
      act: 'start',
      items: ['fuel.vacuumSpeed']
    }
  ]
};
