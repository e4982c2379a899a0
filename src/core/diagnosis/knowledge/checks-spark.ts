import type { Check } from './shape.ts';

/** A coil that sits on its plug has neither lead nor cap. */
const leads = { ignition: ['points', 'cdi', 'digital'] };
const noSpark = ['none-all', 'none'];

/** Spark and its trials. What can be looked at, with minutes of hands; set-up that several share is counted once. C: common practice. */
export const sparkChecks: readonly Check[] = [
  {
    id: 'spark',
    title: 'Spark, every cylinder',
    station: 'spark',
    minutes: 5,
    made: ['spark.result'],
    perCylinder: 1,
    needs: 'crank',
    after: ['turn']
  },
  { id: 'lanyard', title: 'Lanyard in, switch on run', station: 'spark', minutes: 1, again: true, given: noSpark },
  {
    id: 'brisk',
    title: 'Spark again, cranked faster',
    station: 'spark',
    minutes: 3,
    given: noSpark,
    needs: 'crank',
    fits: { ignition: ['cdi', 'digital', 'coil-on-plug'] },
    again: true
  },
  {
    id: 'shade',
    title: 'Spark again, in the shade',
    station: 'spark',
    minutes: 3,
    given: ['weak'],
    needs: 'crank',
    again: true
  },
  {
    id: 'supply',
    title: 'Volts at the ignition box',
    station: 'spark',
    minutes: 2,
    given: ['none-all'],
    fits: { ignition: ['digital', 'coil-on-plug'] }
  },
  {
    id: 'bolt',
    title: 'Its lead against a bolt',
    station: 'spark',
    minutes: 2,
    given: noSpark,
    needs: 'crank',
    fits: leads
  },
  { id: 'ground-wire', title: 'Tester on bright metal', station: 'spark', minutes: 2, given: noSpark, needs: 'crank' },
  {
    id: 'stop-wire',
    title: 'Stop wire off, spark again',
    station: 'spark',
    minutes: 3,
    given: ['none-all'],
    needs: 'crank'
  },
  {
    id: 'plug-swap',
    title: 'Swap its plug with a good one',
    station: 'spark',
    minutes: 3,
    given: ['none', 'weak'],
    needs: 'crank'
  },
  {
    id: 'coil-look',
    title: 'Look at its coil, its lead and cap; arcs in the dark',
    station: 'spark',
    minutes: 2,
    given: ['none', 'weak', 'none-all']
  },
  {
    id: 'lead-swap',
    title: 'Swap its lead with a good one',
    station: 'spark',
    minutes: 5,
    given: ['none', 'weak'],
    needs: 'crank',
    fits: leads
  },
  {
    id: 'coil-swap',
    title: 'Swap its coil with a good one',
    station: 'spark',
    minutes: 15,
    given: ['none', 'weak'],
    needs: 'crank'
  },
  {
    id: 'points-clean',
    title: 'Clean the points and try again',
    station: 'spark',
    minutes: 20,
    given: [...noSpark, 'weak'],
    fits: { ignition: ['points'] }
  },
  {
    id: 'points-look',
    title: 'Look at the points, gap and rub block',
    station: 'spark',
    minutes: 10,
    made: ['spark.pointsLook'],
    fits: { ignition: ['points'] }
  },
  {
    id: 'condenser',
    title: 'Try a known good condenser',
    station: 'spark',
    minutes: 20,
    given: [...noSpark, 'weak'],
    fits: { ignition: ['points'] }
  },
  {
    id: 'key',
    title: 'Flywheel mark against the crank',
    station: 'spark',
    minutes: 10,
    given: ['none-all', 'timing-off', 'kicks']
  },
  {
    id: 'timing',
    title: 'Timing at idle by the marks',
    station: 'spark',
    minutes: 8,
    made: ['spark.timing'],
    after: ['spark']
  },
  {
    id: 'windings',
    title: 'Resistances against the manual, cold and warm',
    station: 'spark',
    minutes: 15,
    made: ['spark.primary'],
    given: [...noSpark, 'weak', 'dies-hot']
  },
  {
    id: 'peak-volts',
    title: 'Peak volts of charge coil and trigger',
    station: 'spark',
    minutes: 20,
    made: ['spark.chargeTest'],
    given: noSpark,
    fits: { ignition: ['cdi', 'digital', 'coil-on-plug'] }
  },
  {
    id: 'pack',
    title: 'Try a known good power pack',
    station: 'spark',
    minutes: 30,
    given: noSpark,
    fits: { ignition: ['cdi', 'digital', 'coil-on-plug'] }
  }
];
