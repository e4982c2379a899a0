import { deliveriesOf, type Delivery } from '../../core/schedule/deliveries.ts';
import type { BenchInput } from '../../core/schedule/plan-bench.ts';
import { planBench } from '../../core/schedule/plan-bench.ts';
import { todayOf, type Days } from '../../core/schedule/today.ts';
import type { System } from '../../core/units/index.ts';
import { currentBench, currentPins } from './store/shop.ts';
import type { Work } from '../../core/schedule/work.ts';
import { allWork } from './store/yard.ts';
import type { StoreOptions } from './store/context.ts';

export interface BenchData {
  readonly input: BenchInput;
  readonly chosen: boolean;
  readonly idle: readonly { readonly engineId: string; readonly tag: string; readonly because: string }[];
  readonly deliveries: readonly Delivery[];
}

/** Everything the bench is planned from, at this moment. */
export function benchData(units: System, o: StoreOptions = {}): BenchData {
  const now = o.now ?? new Date();
  const all: Work[] = allWork(units, o);
  const { bench, chosen } = currentBench(o);
  const engines = all.filter((w) => !w.idle);
  return {
    input: {
      engines: engines.map(
        ({ engineId: _e, serial: _s, idle: _i, kit: _k, supplies: _n, labels: _l, tonight: _t, ...e }) => e
      ),
      settings: bench,
      pins: currentPins(o),
      now: now.toISOString()
    },
    chosen,
    idle: all.flatMap((w) => (w.idle ? [{ engineId: w.engineId, tag: w.tag, because: w.idle }] : [])),
    deliveries: deliveriesOf(engines, now)
  };
}

/** The plan of the best rule, with its bound: there in some milliseconds. The page makes it better in a worker. */
export function firstPlan(input: BenchInput): {
  readonly plan: ReturnType<typeof planBench>['plan'];
  readonly today: Days;
} {
  const { plan, problem } = planBench(input, { tries: 0 });
  return { plan, today: todayOf(plan.solution, problem) };
}
