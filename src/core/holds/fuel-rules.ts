import type { Context } from '../findings/context.ts';
import { unmended } from '../findings/unmended.ts';
import { bowlWater, cloudyJar, filterWater, fuelAge, fuelCleared, oldFuelIn, watered } from '../stations/fuel/age.ts';
import { fuelEscapes } from '../stations/fuel/escapes.ts';
import { oilStarved } from '../stations/fuel/mixture.ts';
import { oilWay } from '../stations/fuel/oil-way.ts';
import { items as fuelItems } from '../stations/fuel/readings.ts';
import { stationOf } from '../stations/items.ts';
import type { HoldRule } from './hold.ts';
import { fuelNeeds } from './needs.ts';

/** The intake tells that fuel was left in it. */
const fuelToldLeft = (c: Context): boolean => ['ethanol', 'plain'].includes(String(c.survey.engine.history.fuelLeft));

/** Holds of what the engine would be run on: its fuel, and the oil that goes with it. */
export const fuelRules: readonly HoldRule[] = [
  {
    id: 'fuel',
    title: 'Old or watered fuel aboard',
    blocks: ['start', 'release'],
    curedBy: ['fuel-drain'],
    raised: (c) => {
      if (cloudyJar(c) === 'once') return 'The fuel is cloudy, and has not stood in a jar yet.';
      if (fuelNeeds(c).every((n) => n.done)) return undefined;
      if (cloudyJar(c)) return 'The fuel is cloudy and did not clear while it stood.';
      const jar = unmended(c, 'fuel.jar', fuelItems.jar)?.was.value ?? c.record.value('fuel.jar');
      if (watered(c) || jar === 'layers') return 'There is water in the fuel.';
      if (jar === 'dark') return 'The fuel has turned to varnish.';
      if (bowlWater(c) && fuelCleared(c).open.includes('bowl or vapour separator'))
        return 'There is water in the bowl.';
      if (filterWater(c) && fuelCleared(c).open.includes('line and filter')) return 'There is water in the filter.';
      if (oldFuelIn(c).length) return `Old fuel is still in ${oldFuelIn(c).join(' and ')}.`;
      return fuelAge(c).verdict === 'drain' ? 'The fuel is past the age at which it is drained.' : undefined;
    },
    needs: (c) =>
      cloudyJar(c) === 'once'
        ? [
            {
              text: 'a sample that stood a quarter of an hour and is clear, or fresh fuel in',
              done: false,
              station: 'fuel',
              items: ['fuel.jar'],
              job: 'fuel-doubt'
            }
          ]
        : fuelNeeds(c),
    // How long it stood says that what is in it is old; whether anything is in it nobody has said yet.
    standing: (c) => !c.record.touched('fuel') && !fuelToldLeft(c)
  },
  {
    id: 'premix',
    title: 'No oil for the cylinders, or far too little',
    blocks: ['start', 'release'],
    curedBy: ['mix', 'oil-tank', 'oil-feed'],
    raised: oilStarved,
    needs: (c) =>
      oilWay(c) === 'tank'
        ? [
            {
              text: 'the oil tank filled and seen so, and its oil moving; or the fuel mixed until it does',
              done: false,
              station: 'fuel',
              items: ['fuel.oilTank', 'fuel.oilMoves', 'fuel.mix']
            }
          ]
        : [
            {
              text: 'the mixture in use recorded, with its oil in it',
              done: false,
              station: 'fuel',
              items: ['fuel.mix']
            }
          ]
  },
  {
    id: 'fuel-escapes',
    title: 'Fuel gets out: it can burn',
    blocks: ['start', 'release'],
    curedBy: ['hoses', 'fuel-line', 'fuel-filter', 'fuel-pump', 'bowl', 'carburettor'],
    raised: (c) => {
      const list = fuelEscapes(c);
      return list.length ? `${list.map((e) => e.says).join('. ')}.` : undefined;
    },
    needs: (c) =>
      fuelEscapes(c).map(({ need, items }) => ({ text: need, done: false, station: stationOf(items[0]!), items }))
  }
];
