import { railPressure } from '../stations/fuel/rail.ts';
import { job, repeat, type Asks } from './ask.ts';

/** What rail, pump and injectors of an injected engine ask for, in the trade's order. C: common practice. */
export const injectionAsks: Asks = {
  'fuel.rail-pump': [job('rail')],
  'fuel.rail': [
    job('rail', { only: ['fault'] }),
    repeat('Rail pressure again, cranking on a charged battery', 'fuel', 5, {
      items: ['fuel.rail'],
      only: ['cannot-tell'],
      open: (c) => ['close', 'weak-battery'].includes(String(railPressure(c)?.verdict))
    }),
    repeat('Rail pressure again: the gauge’s zero and its unit', 'fuel', 5, {
      items: ['fuel.rail'],
      only: ['cannot-tell'],
      open: (c) => railPressure(c)?.verdict === 'high-once'
    })
  ],
  'fuel.injector': [job('injector')]
};
