import { judge } from '../../core/judge.ts';
import { chooseOffer, type Choice } from '../../core/parts/choose.ts';
import { orderOf, type OrderLine } from '../../core/parts/lines.ts';
import { planOf, type Step } from '../../core/plan/plan.ts';
import type { Finding } from '../../core/survey/finding.ts';
import type { System } from '../../core/units/index.ts';
import { adviceOf } from './advice.ts';
import type { StoreOptions } from './store/context.ts';
import { loadSurvey, openSurveys } from './store/surveys.ts';
import { workOf } from './store/yard.ts';

export interface EngineOrder {
  readonly surveyId: string;
  readonly engineId: string;
  readonly tag: string;
  readonly serial: string;
  readonly lines: readonly (OrderLine & { readonly choice: Choice; readonly job?: string })[];
}

/** The pump's finding says kit or impeller; its line is judged by the pump's own school. */
function pumpAsks(step: string | undefined, findings: readonly Finding[]): { pump?: { kit: boolean } } {
  if (step !== 'pump') return {};
  return { pump: { kit: findings.some((f) => f.station === 'cooling' && /\bkit\b/i.test(f.sentence)) } };
}

/** The order of one engine, or of every engine that has work. */
export function ordersOf(units: System, engineId?: string, o: StoreOptions = {}): EngineOrder[] {
  const now = o.now ?? new Date();
  const wanted = engineId
    ? openSurveys(o)
        .filter((s) => s.engineId === engineId)
        .map((s) => s.id)
    : workOf(units, o)
        .filter((w) => !w.idle && (w.parts.length || w.steps.some((s) => s.state === 'open' && s.parts.length)))
        .map((w) => w.id);
  return wanted.flatMap((id): EngineOrder[] => {
    const loaded = loadSurvey(id, o);
    if (!loaded) return [];
    const { survey, head } = loaded;
    const j = judge(survey, now, units);
    const steps: readonly Step[] = planOf(j.context, j.findings, adviceOf(survey, j, units).suspects);
    const lines = orderOf(survey, steps).map((l) => {
      const job = steps.find((s) => s.id === l.step)?.title;
      return {
        ...l,
        choice: chooseOffer(l.offers ?? [], j.context.rules, units, pumpAsks(l.step, j.findings).pump),
        ...(job ? { job } : {})
      };
    });
    if (!lines.length) return [];
    const { tag, serial } = survey.engine.identity;
    return [{ surveyId: id, engineId: head.engineId, tag: tag ?? 'no tag', serial: serial ?? '', lines }];
  });
}
