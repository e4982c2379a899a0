import { describe, expect, it } from 'vitest';
import { parseQuantity, say } from '../units/index.ts';
import { numberRuleIds, numberRules, ruleStep } from './rules.ts';

describe('house numbers', () => {
  it.each(numberRuleIds)(
    '%s: what is shown can be typed back, in both systems, and is still within its range',
    (id) => {
      const rule = numberRules[id];
      for (const units of ['us', 'metric'] as const) {
        const parsed = parseQuantity(say(rule.standard, rule.dimension, units, ruleStep(rule)), rule.dimension, units);
        if (!parsed.ok) throw new Error(parsed.message);
        expect(parsed.si).toBeGreaterThanOrEqual(rule.min);
        expect(parsed.si).toBeLessThanOrEqual(rule.max);
        expect(Math.abs(parsed.si - rule.standard)).toBeLessThanOrEqual(Math.max(ruleStep(rule), 0.01 * rule.standard));
      }
    }
  );
});
