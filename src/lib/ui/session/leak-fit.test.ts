import type { MessagePort } from 'node:worker_threads';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { contextOf } from '../../../core/findings/context.ts';
import { fitOf } from '../../../core/stations/compression/leak-fit.ts';
import { leakTask, type LeakTask } from '../../../core/stations/compression/leak.ts';
import { ChannelWorker } from '../../../../test/channel-worker.ts';
import { Bench } from '../../../../test/case.ts';
import { LeakFitting } from './leak-fit.svelte.ts';

/** A worker that is a message channel with the same code behind it. */
let started: number;
let ended: number;
let asked: number;
const ports: MessagePort[] = [];
class FakeWorker extends ChannelWorker {
  constructor() {
    started += 1;
    super({ fit: (task: LeakTask) => ((asked += 1), fitOf(task)) }, ports);
  }
  override terminate(): void {
    ended += 1;
    super.terminate();
  }
}
beforeEach(() => {
  [started, ended, asked] = [0, 0, 0];
  vi.stubGlobal('Worker', FakeWorker);
});
afterEach(() => {
  vi.unstubAllGlobals();
  for (const p of ports.splice(0)) p.close();
});

const shop = { name: 'shop', resolution: 6894.757, adapterVolume: 0, valve: 'plug end' as const };
const task = (second: number): LeakTask => {
  const b = new Bench({ strokes: 'two', cylinders: 2, displacement: 400e-6, ratio: 6.5 }).psi(
    [
      [1, 120],
      [2, second]
    ],
    { instrument: shop, conditions: { throttle: 'open', bores: 'dry' } }
  );
  return leakTask(contextOf(b.survey, new Date('2026-05-03'), 'us'))!;
};

describe('the fit in its worker', () => {
  it('comes back as the core computes it, once for the same readings', async () => {
    const fitting = new LeakFitting();
    await fitting.ask(task(90));
    expect(fitting.state).toBe('done');
    expect(fitting.fit).toEqual(fitOf(task(90)));
    await fitting.ask(task(90));
    expect([started, asked]).toEqual([1, 1]);
    await fitting.ask(task(100));
    expect([started, asked]).toEqual([1, 2]);
  });
  it('of older readings is thrown away when newer ones come, with its worker', async () => {
    const fitting = new LeakFitting();
    const first = fitting.ask(task(90));
    const second = fitting.ask(task(70));
    await second;
    expect(ended).toBe(1);
    expect(fitting.fit).toEqual(fitOf(task(70)));
    void first;
  });
  it('is not asked for what cannot be identified, and says why', async () => {
    const fitting = new LeakFitting();
    const refused: LeakTask = { ok: false, because: 'one cylinder' };
    await fitting.ask(refused);
    expect([fitting.state, fitting.task, started]).toEqual(['idle', refused, 0]);
  });
  it('that cannot be started is a state of its own, not a stop', async () => {
    vi.stubGlobal(
      'Worker',
      class {
        constructor() {
          throw new Error('no workers here');
        }
      }
    );
    const fitting = new LeakFitting();
    await fitting.ask(task(90));
    expect(fitting.state).toBe('failed');
  });
  it('can be stopped by whoever waits', async () => {
    const fitting = new LeakFitting();
    void fitting.ask(task(80));
    fitting.stop();
    expect([fitting.state, ended]).toEqual(['idle', 1]);
  });
});
