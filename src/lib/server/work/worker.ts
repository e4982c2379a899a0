import { tasks, type TaskName } from './tasks.ts';

/** The far side of the pool: one task by its name. Bundled by `vite build` into build/work.mjs. */
export default ({ name, args }: { readonly name: TaskName; readonly args: readonly unknown[] }): unknown =>
  (tasks[name] as (...a: readonly unknown[]) => unknown)(...args);
