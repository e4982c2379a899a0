import type { Step } from '../plan/plan.ts';
import type { PartLine } from '../record/work.ts';

/** What is known of a line before anybody wrote one: the job wants it, nobody looked whether it lies in the drawer. */
export interface OrderLine extends Omit<PartLine, 'id' | 'at' | 'by' | 'state'> {
  readonly state: PartLine['state'] | 'unknown';
  readonly at?: string;
  readonly by?: string;
}

export const lineKey = (step: string, name: string): string => `${step}/${name}`.slice(0, 160);

/** What the open jobs ask for, as far as it was ordered, is here, or is not known yet; and lines of no job. */
export function orderOf(
  lines: readonly PartLine[],
  steps: readonly Pick<Step, 'id' | 'parts' | 'state'>[]
): OrderLine[] {
  const written = new Map(lines.map((l) => [l.key, l]));
  const asked = steps
    .filter((s) => s.state === 'open')
    .flatMap((s) =>
      s.parts.map((name): OrderLine => {
        const key = lineKey(s.id, name);
        const mine = written.get(key);
        written.delete(key);
        return mine ?? { key, step: s.id, name, state: 'unknown' };
      })
    );
  return [...asked, ...written.values()];
}
