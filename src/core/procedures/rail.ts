import { railPressure } from '../stations/fuel/rail.ts';
import { about } from './about.ts';
import type { Procedure } from './procedure.ts';

/** Fuel pressure of an injected engine (C: common practice; the maker’s manual stands above it). */
export const rail: Procedure = {
  id: 'rail',
  title: 'Fuel pressure: volts, filter, pump, regulator',
  means: 'Is the pump told to run, does it get its volts, does it get fuel? Only then the pump itself.',
  minutes: 45,
  jobs: ['rail', 'injector'],
  fits: (e) => e.profile.fuelSystem === 'electronic' || e.profile.fuelSystem === 'direct',
  hazards: ['fuel-pressure', 'vapour', 'eyes', 'battery'],
  tools: ['gauge for fuel pressure', 'meter', 'line spanners', 'rags', 'listening rod'],
  parts: ['high-pressure filter', 'rail seals'],
  wrong: [
    'A pump bought for a blown fuse, a relay or a lanyard that was out.',
    'Pressure judged on a weak battery: the pump turns slower with it.',
    'A line opened under pressure over a hot engine.'
  ],
  proof: { station: 'fuel', text: 'the pump runs and stops, pressure by the manual and held with the key off' },
  handOver: 'High-pressure lines, pumps and injectors of direct injection: the maker’s workshop.',
  steps: (c) => {
    const { say } = about(c);
    const read = railPressure(c);
    const least = c.survey.engine.manual?.['fuel.rail']?.value;
    return [
      {
        id: 'key',
        text: 'Lanyard in, battery charged, key on: two or three seconds of hum from pump or separator, then quiet?',
        items: ['fuel.railPump'],
        branch: [
          { seen: 'Runs, then stops', then: 'It is told to, and turns: pressure next.' },
          { seen: 'Silent', then: 'Fuse, relay and volts first.' }
        ]
      },
      {
        id: 'fuse',
        text: 'Silent: main fuse, pump fuse, relay swapped with one alike, connector at the pump looked into.',
        tools: ['meter'],
        items: ['look.wiring'],
        branch: [{ seen: 'Blown or corroded', then: 'That first; why it blew is part of it.', job: 'wiring' }]
      },
      {
        id: 'volts',
        text: 'Meter across the pump’s own plug, key turned on: battery volts for those seconds?',
        because: 'Volts there and no hum is the pump; no volts is what feeds it. Common practice.',
        tools: ['meter'],
        items: ['spark.supply']
      },
      {
        id: 'release',
        text: 'Pressure released as the manual says: rag over the valve, eyes away from it.',
        careful: ['fuel-pressure', 'eyes']
      },
      {
        id: 'gauge',
        text: 'Gauge on the rail’s valve. Key on and off three times, then cranking: what it shows.',
        careful: ['fuel-pressure', 'propeller'],
        act: 'crank',
        tools: ['gauge for fuel pressure'],
        items: ['fuel.rail'],
        ...(typeof least === 'number' ? { because: `The manual asks for ${say(least, 'pressure')} at least.` } : {}),
        torque: ['fuel.rail'],
        branch: [
          {
            seen: read?.verdict === 'low' ? 'Low, as it was read' : 'Low',
            then: 'Filter, then what reaches the pump.'
          },
          { seen: 'Falls at once, key off', then: 'Regulator, check valve of the pump, or an injector that drips.' }
        ]
      },
      {
        id: 'filter',
        text: 'High-pressure filter and the separator’s screen: brown, water, rust? New ones, arrow with the flow.',
        renew: ['high-pressure filter'],
        items: ['fuel.filter']
      },
      {
        id: 'feed',
        text: 'Low pressure side: bulb firm, separator full. A pump that sucks air makes no pressure.',
        items: ['fuel.bulb'],
        branch: [{ seen: 'Soft, or flat', then: 'Upstream first.', job: 'bulb' }]
      },
      {
        id: 'regulator',
        text: 'Return pinched for a moment with a soft clamp, by the manual only: pressure jumps? Then the regulator, not the pump.',
        careful: ['fuel-pressure']
      },
      {
        id: 'injectors',
        text: 'Listening rod on each injector while it cranks or runs: every one ticks?',
        tools: ['listening rod'],
        careful: ['propeller'],
        act: 'crank',
        items: ['fuel.injectors'],
        branch: [
          {
            seen: 'One silent',
            then: 'Its plug and its wire swapped with a neighbour before the injector.',
            job: 'injector'
          }
        ]
      },
      {
        id: 'prove',
        proves: true,
        text: 'Joints dry with the pump running, then pressure again, and once more five minutes after the key is off.',
        careful: ['fuel-pressure'],
        renew: ['rail seals'],
        items: ['fuel.rail']
      }
    ];
  }
};
