import { ownLimits } from '../engine/limits.ts';
import { about, figures } from './about.ts';
import { coolingHandOver } from './hand-over.ts';
import type { Procedure } from './procedure.ts';

/** Thermostat in a pan (C: common practice; the maker’s manual stands above it). */
export const thermostatPan: Procedure = {
  id: 'thermostat-pan',
  title: 'Thermostat in a pan',
  means: 'Stamp, cold seat, opening and closing temperature, how far it opens; then in, with a new gasket.',
  minutes: 35,
  jobs: ['thermostat', 'hot'],
  fits: (e) => e.profile.thermostat !== 'not-fitted',
  hazards: ['hot'],
  tools: ['pan', 'thermometer', 'wire to hang it', 'scraper'],
  parts: ['thermostat gasket'],
  wrong: [
    'It lies on the bottom of the pan: the bottom is hotter than the water.',
    'Tried once, cold to hot only: one that sticks open passes.',
    'Cover screws snapped in salt: heat and patience first.'
  ],
  proof: { station: 'cooling', text: 'opens at its stamp, shuts again; head under its limit in the run' },
  handOver: coolingHandOver,
  steps: (c) => {
    const a = about(c);
    const stamp = a.number('cooling.thermostatStamp');
    return [
      {
        id: 'cool',
        text: 'Engine cold; cover screws soaked, a blow on each head, out crosswise.',
        careful: ['hot'],
        tools: ['penetrating oil'],
        takesOff: ['cover screws', 'cover', 'thermostat', 'relief valve and spring']
      },
      {
        id: 'look',
        text: 'Which way in it sat; seat clean or salted; pieces of vane in the pocket?',
        branch: [{ seen: 'Vane pieces', then: 'Laid together until the impeller is whole.', job: 'pieces' }]
      },
      { id: 'stamp', text: 'What is stamped on it?', items: ['cooling.thermostatStamp'] },
      { id: 'cold', text: 'Held against the light, cold: a gap is one that stays open.' },
      {
        id: 'pan',
        text: 'Hung in water with the thermometer beside it, heated slowly, stirred: at what does it begin to open?',
        careful: ['hot'],
        items: ['cooling.thermostatOpens', 'cooling.thermostatPan'],
        ...figures(
          stamp === undefined
            ? undefined
            : {
                label: 'Should begin to open',
                dimension: 'temperature',
                value: stamp,
                low: stamp - ownLimits.thermostat,
                high: stamp + ownLimits.thermostat,
                because: `Stamped ${a.say(stamp, 'temperature')}, give or take ${ownLimits.thermostat} K (from memory).`
              }
        )
      },
      {
        id: 'open',
        text: 'A few degrees hotter: fully open, three millimetres or more; then cooled: does it shut?',
        branch: [{ seen: 'Sticks or stays ajar', then: 'Renewed: it costs less than this test did.' }]
      },
      {
        id: 'seat',
        text: 'Seat and faces scraped clean, passages behind looked into.',
        careful: ['chemicals'],
        branch: [{ seen: 'Salt fills the passage', then: 'Flushed and descaled first.', job: 'descale' }]
      },
      {
        id: 'in',
        text: 'In as it sat, spring to the engine, relief valve too; new gasket, screws crosswise with salt-proof grease.',
        fits: ['relief valve and spring', 'thermostat', 'cover', 'cover screws'],
        renew: ['thermostat gasket']
      },
      {
        id: 'run',
        proves: true,
        text: 'In the run: the head climbs, then holds near the stamp; no weeping at the cover.',
        careful: ['hot', 'carbon-monoxide'],
        act: 'start',
        items: ['run.temperature']
      }
    ];
  }
};
