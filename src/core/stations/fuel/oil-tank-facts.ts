import { isShortKind } from '../../engine/case-kind.ts';
import type { Context } from '../../findings/context.ts';
import type { FuelFact } from './facts.ts';
import { oilMoves, oilTankAsked } from './oil-tank.ts';
import { oilWay } from './oil-way.ts';

/** The oil tank as it was last seen, and whether its oil is seen to move once the engine ran. */
export function oilTankFacts(c: Context): FuelFact[] {
  if (oilWay(c) !== 'tank') return [];
  const level = oilTankAsked(c) ? c.record.value('fuel.oilTank') : undefined;
  return [...levelFact(c, level), ...movesFact(c)];
}

function levelFact(c: Context, level: string | undefined): FuelFact[] {
  const here = { id: 'oil-tank', values: {} } as const;
  if (level === 'empty') return [{ kind: 'oil-tank-empty', condition: 'fault', ...here }];
  if (level === 'water') return [{ kind: 'oil-tank-water', condition: 'fault', ...here }];
  if (level === 'low') return [{ kind: 'oil-tank-low', condition: 'watch', ...here }];
  if (level === 'full')
    return [{ kind: 'oil-tank-full', id: 'oil-tank', condition: 'sound', values: { moves: oilMoves(c) === 'moves' } }];
  return c.record.touched('fuel') && !isShortKind(c.survey.assessment.kind)
    ? [{ kind: 'oil-tank-unsaid', condition: 'cannot-tell', ...here }]
    : [];
}

function movesFact(c: Context): FuelFact[] {
  const here = { id: 'oil-feed', values: {} } as const;
  const moves = oilMoves(c);
  if (moves === 'still') return [{ kind: 'oil-still', condition: 'fault', ...here }];
  if (moves === 'moves') return [{ kind: 'oil-moves', condition: 'sound', ...here }];
  const ran = c.record.last('run.outcome');
  return ran && ran.value !== 'failed' && !isShortKind(c.survey.assessment.kind)
    ? [{ kind: 'oil-moves-unsaid', condition: 'cannot-tell', ...here }]
    : [];
}
