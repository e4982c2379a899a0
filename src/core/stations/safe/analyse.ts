import type { Context } from '../../findings/context.ts';
import type { SafeAnalysed, SafeFact, SafeTask } from './facts.ts';

/** Whether hands are safe near it, and whether it may run where it stands. */
export function analyse({ record, survey }: Context): SafeAnalysed {
  const direct = survey.engine.profile.shift === 'direct';
  const basis = {
    lanyard: record.value('safe.lanyard'),
    battery: record.value('safe.battery'),
    propeller: record.value('safe.propeller'),
    secured: record.value('safe.secured')
  };
  const tasks: SafeTask[] = [
    ...(basis.lanyard === 'in' ? (['lanyard'] as const) : []),
    ...(basis.battery === 'on' ? (['battery'] as const) : []),
    ...(basis.propeller === 'fouled' ? ([direct ? 'propeller-off' : 'propeller-clear'] as const) : []),
    ...(basis.secured === 'no' ? (['secure'] as const) : []),
    ...(direct && basis.propeller === 'clear' ? (['direct-drive'] as const) : [])
  ];
  const hands: SafeFact[] = tasks.length
    ? [{ kind: 'open', condition: 'watch', values: { tasks } }]
    : Object.values(basis).every(Boolean)
      ? [{ kind: 'made', condition: 'sound', values: {} }]
      : [];
  return {
    basis,
    facts: [
      ...hands,
      ...(record.value('safe.place') === 'indoors' ? [{ kind: 'indoors', condition: 'held', values: {} } as const] : [])
    ]
  };
}
