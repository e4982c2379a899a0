import { gravest, type Condition, type Finding } from '../findings/finding.ts';
import { stations } from './register.ts';

/** The gravest condition of each cylinder, of the stations whose findings colour cylinders on the drawing. */
export function cylinderConditions(findings: readonly Finding[]): Record<number, Condition> {
  const out: Record<number, Condition> = {};
  for (const f of findings) {
    if (f.cylinder === undefined || !stations[f.station].coloursCylinders) continue;
    out[f.cylinder] = gravest([out[f.cylinder] ?? 'not-looked-at', f.condition]);
  }
  return out;
}
