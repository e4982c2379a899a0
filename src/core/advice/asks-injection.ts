import { mainFuseBlown } from '../findings/main-fuse.ts';
import { railPressure } from '../stations/fuel/rail.ts';
import { job, repeat, type Asks } from './ask.ts';

/** What rail, pump and injectors of an injected engine ask for, in the trade's order. C: common practice. */
export const injectionAsks: Asks = {
  'fuel.rail-pump': [
    job('rail', { only: ['fault'] }),
    job('wiring', { only: ['cannot-tell'], first: true }),
    repeat('Key on: is the fuel pump heard, now that the fuse is whole?', 'fuel', 1, {
      items: ['fuel.railPump'],
      only: ['cannot-tell'],
      open: (c) => !mainFuseBlown(c)
    })
  ],
  'fuel.rail': [
    job('rail', { only: ['fault'] }),
    {
      ...job('wiring', { only: ['cannot-tell'], first: true }),
      open: (c, f) => railPressure(c)?.verdict === 'no-volts' && job('wiring').open(c, f)
    },
    repeat('Rail pressure again, now that the fuse is whole', 'fuel', 5, {
      items: ['fuel.rail'],
      only: ['cannot-tell'],
      open: (c) => railPressure(c)?.verdict === 'no-volts' && !mainFuseBlown(c)
    }),
    repeat('Rail pressure again, cranking on a charged battery', 'fuel', 5, {
      items: ['fuel.rail'],
      needs: 'crank',
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
