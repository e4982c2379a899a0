import { caseKindSchema, type CaseKind } from '../../core/engine/case-kind.ts';
import { factItem } from '../../core/engine/fact.ts';
import { checkEntry } from '../../core/items/check-entry.ts';
import type { System } from '../../core/units/index.ts';

export interface Intake {
  readonly kind: CaseKind | undefined;
  readonly facts: { path: string; value: unknown }[];
  readonly errors: Record<string, string>;
  /** What was typed, to be shown again beside the complaint. */
  readonly typed: Record<string, string>;
}

/** Reads the intake form: every field by its item, everything but the tag and the case optional. */
export function readIntake(form: FormData, units: System): Intake {
  const errors: Record<string, string> = {};
  const typed: Record<string, string> = {};
  const facts: { path: string; value: unknown }[] = [];
  const kind = caseKindSchema.safeParse(form.get('kind'));
  if (!kind.success) errors.kind = 'Choose the kind of case: it decides what is pressing.';
  else typed.kind = kind.data;
  for (const path of new Set([...form.keys()])) {
    const item = factItem(path);
    if (!item) continue;
    if (item.kind === 'several') {
      const value = form.getAll(path).map(String);
      typed[path] = value.join(', ');
      const result = item.schema.safeParse(value);
      if (result.success) facts.push({ path, value: result.data });
      continue;
    }
    let text = String(form.get(path) ?? '').trim();
    if (text === '') continue;
    typed[path] = text;
    if (item.kind === 'moment') {
      const at = new Date(text);
      if (Number.isNaN(at.getTime())) {
        errors[path] = 'This is not a date and time.';
        continue;
      }
      text = at.toISOString();
    }
    const checked = checkEntry(item, text, units);
    if (checked.ok) facts.push({ path, value: checked.value });
    else errors[path] = checked.message;
  }
  if (!typed['identity.tag']) errors['identity.tag'] = 'Give it a tag: the word you will call it by in the yard.';
  return { kind: kind.success ? kind.data : undefined, facts, errors, typed };
}
