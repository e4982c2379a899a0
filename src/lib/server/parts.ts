import { partNumbers } from '../../core/engine/card.ts';
import { traitsOf } from '../../core/jobs/register.ts';
import { chooseOffer, type Choice } from '../../core/parts/choose.ts';
import { orderOf, type OrderLine } from '../../core/parts/lines.ts';
import { addUpAll } from '../../core/parts/needs.ts';
import { togetherOf, type Together } from '../../core/parts/together.ts';
import type { System } from '../../core/units/index.ts';
import type { StoreOptions } from './store/context.ts';
import { loadEngine } from './store/engines.ts';
import { currentRules } from './store/house-rules.ts';
import { currentPacks } from './store/shop.ts';
import { allWork } from './store/yard.ts';

export interface EngineOrder {
  readonly surveyId: string;
  readonly engineId: string;
  readonly tag: string;
  readonly serial: string;
  readonly lines: readonly (OrderLine & {
    readonly choice: Choice;
    readonly job?: string;
    readonly numbers: readonly string[];
  })[];
}

/** The order of one engine, or of every engine that has work. */
export function ordersOf(units: System, engineId?: string, o: StoreOptions = {}): EngineOrder[] {
  const { rules } = currentRules(o);
  return allWork(units, o)
    .filter((w) => (engineId ? w.engineId === engineId : !w.idle))
    .flatMap((w): EngineOrder[] => {
      const titles = new Map(w.steps.map((s) => [s.id, s.title]));
      const order = orderOf(w.parts, w.steps);
      const { card } = order.length ? loadEngine(w.engineId, o) : {};
      const lines = order.map((l) => {
        const job = titles.get(l.step ?? '');
        // A pump's line is judged by the pump's own school.
        const pump = traitsOf(l.step ?? '').kit ? { kit: w.kit } : undefined;
        const numbers = l.number ? [] : partNumbers(card, l.name);
        return { ...l, numbers, choice: chooseOffer(l.offers ?? [], rules, units, pump), ...(job ? { job } : {}) };
      });
      return lines.length ? [{ surveyId: w.id, engineId: w.engineId, tag: w.tag, serial: w.serial, lines }] : [];
    });
}

/** What the open work of one engine, or of the whole yard, takes together of what is bought by the bottle or the set. */
export const togetherFor = (units: System, engineId?: string, o: StoreOptions = {}): Together[] =>
  togetherOf(
    addUpAll(
      allWork(units, o)
        .filter((w) => (engineId ? w.engineId === engineId : !w.idle))
        .flatMap((w) => w.supplies)
    ),
    currentPacks(o),
    units
  );
