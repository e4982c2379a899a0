import { about } from './about.ts';
import { mixSteps } from './fuel-steps.ts';
import { fuelHandOver } from './hand-over.ts';
import type { Procedure } from './procedure.ts';

/** Tank, line, filters and bowl emptied, fresh fuel primed (C: common practice; the maker’s manual stands above it). */
export const fuelEmpty: Procedure = {
  id: 'fuel-empty',
  title: 'Tank, line, filters and bowl emptied, fresh fuel primed',
  means: 'Out of everything that holds it, looked at on the way, then fresh through all of it.',
  minutes: 40,
  jobs: ['fuel-drain', 'hoses', 'fuel-fill'],
  hazards: ['vapour', 'fuel-pressure', 'waste'],
  tools: ['siphon', 'labelled cans', 'clear jar', 'hose clamps', 'extinguisher'],
  parts: ['fuel filter', 'hose by the metre and clamps, where hard'],
  wrong: [
    'Fresh fuel on top of old: the old sets the age.',
    'The bowl forgotten: the oldest fuel is the first to burn.',
    'Hose cut short and pulled over the barb: it slips off when it is hot.'
  ],
  proof: { station: 'fuel', text: 'tank, line and bowl drained or fresh; the bulb firm' },
  handOver: fuelHandOver,
  steps: (c) => {
    const a = about(c);
    const pressurised = c.survey.engine.profile.supply === 'pressurised';
    const gravity = c.survey.engine.profile.supply === 'gravity';
    return [
      {
        id: 'air',
        text: 'Outdoors or with the doors open, no flame, no switch; battery off, extinguisher at hand.',
        careful: ['vapour'],
        items: ['safe.battery']
      },
      ...(pressurised
        ? [
            {
              id: 'vent',
              text: 'Pressurised tank: its valve opened and the pressure let off before a coupling is touched.',
              careful: ['fuel-pressure'] as const,
              items: ['fuel.tankPressure'] as const
            }
          ]
        : []),
      {
        id: 'jar',
        text: 'The first cupful, from the lowest place, into the jar: layers, water, colour, smell.',
        careful: ['vapour'],
        tools: ['clear jar'],
        items: ['fuel.jar', 'fuel.age']
      },
      {
        id: 'tank',
        text: 'Tank emptied into labelled cans, its pick-up and vent looked at while it is light.',
        tools: ['siphon', 'labelled cans'],
        items: ['fuel.tank', 'fuel.pickup', 'fuel.vent'],
        branch: [{ seen: 'Rust or slime', then: 'Tank rinsed with fresh fuel and emptied again, or renewed.' }]
      },
      {
        id: 'line',
        text: gravity
          ? 'Line from tap to carburettor off, blown through; bent sharply: cracks?'
          : 'Line and bulb emptied, bent sharply along their length, bulb squeezed: cracks, hard, weeping?',
        takesOff: ['hose clamps', 'fuel hose'],
        items: ['fuel.hose', 'fuel.couplings'],
        branch: [{ seen: 'Hard or cracked', then: 'All hose of that age at once, not the one piece.', job: 'hoses' }]
      },
      {
        id: 'filter',
        text: 'Filters and clear bowls out, cut or emptied onto white: water beads, rust, black flakes of hose.',
        renew: ['fuel filter'],
        items: ['fuel.filter']
      },
      a.injected
        ? {
            id: 'bowl',
            text: 'Vapour separator drained by its screw, key off, pressure released as the manual says.',
            careful: ['fuel-pressure'],
            items: ['fuel.bowl', 'fuel.bowlLook']
          }
        : {
            id: 'bowl',
            text: 'Every bowl drained by its screw into a jar; one jar a carburettor.',
            careful: ['vapour'],
            items: ['fuel.bowl', 'fuel.bowlLook'],
            branch: [{ seen: 'Varnish or green', then: 'Off and stripped.', job: 'carburettor' }]
          },
      {
        id: 'back',
        text: 'Filter and hose back, bulb’s arrow toward the engine, clamps behind the barb, not on it.',
        fits: ['fuel hose', 'hose clamps'],
        renew: ['hose clamps']
      },
      ...mixSteps(c, true),
      {
        id: 'prime',
        text: gravity
          ? 'Tap open: fuel to the bowl, every joint dry?'
          : 'Vent open, bulb upright, squeezed until it is firm; every joint wiped, watched for two minutes.',
        items: ['fuel.bulb', 'fuel.line'],
        branch: [{ seen: 'Never firm', then: 'Air gets in upstream, or a needle does not close.', job: 'bulb' }]
      },
      { id: 'waste', text: 'Cans labelled OLD FUEL with the date, to the collection point.', careful: ['waste'] }
    ];
  }
};
