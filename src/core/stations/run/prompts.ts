import { isAfter } from '../../units/instant.ts';
import type { Profile } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import type { ItemId } from '../items.ts';
import type { Run } from './runs.ts';
import { STREAM_COMES } from './stream.ts';

export interface Prompt {
  readonly id: string;
  /** Seconds after the start at which it is asked. */
  readonly at: number;
  readonly ask: string;
  readonly item: ItemId;
}

interface Rule extends Prompt {
  readonly when?: (p: Profile) => boolean;
}

const stream = (p: Profile): boolean => p.indicator !== 'not-fitted';

export { STREAM_COMES } from './stream.ts';

/** What a good technician looks at in the first minutes, and when (C). */
const rules: readonly Rule[] = [
  { id: 'lamp', at: 5, ask: 'Lamp and horn: out?', item: 'run.lamp' },
  { id: 'stream', at: STREAM_COMES, ask: 'Indicator stream: is it there?', item: 'run.stream', when: stream },
  {
    id: 'exhaust',
    at: 30,
    ask: 'No indicator on this one: water with the exhaust?',
    item: 'run.exhaust',
    when: (p) => !stream(p)
  },
  { id: 'leaks', at: 60, ask: 'Fuel and oil leaks: look under and around it.', item: 'run.leaks' },
  { id: 'smoke', at: 240, ask: 'Smoke: preservation oil should have burnt off by now.', item: 'run.smoke' },
  {
    id: 'gears',
    at: 300,
    ask: 'Warm enough: shift forward, neutral, reverse, at idle.',
    item: 'run.gears',
    when: (p) => p.shift !== 'direct'
  }
];

/** A temperature is asked for this often, s: short of it the forecast stays wide. */
export const TEMPERATURE_EVERY = 30;

/** Prompts that nobody has answered in this run, in their order. */
function unanswered(c: Context, run: Run): Rule[] {
  const since = run.startedAt.toISOString();
  return rules.filter(
    (r) => (r.when?.(c.survey.engine.profile) ?? true) && !c.record.all(r.item).some((x) => !isAfter(since, x.at))
  );
}

const lastTemperature = (run: Run): number =>
  Math.max(-TEMPERATURE_EVERY, ...run.tracks.flatMap((t) => t.samples.map((s) => s.seconds)));

const temperature = (at: number): Prompt => ({
  id: 'temperature',
  at,
  ask: 'Temperature: the same spot as before.',
  item: 'run.temperature'
});

/** Prompts that are due and unanswered in this run, the oldest first. `seconds` since its start. */
export function duePrompts(c: Context, run: Run, seconds: number): Prompt[] {
  const last = lastTemperature(run);
  return [
    ...unanswered(c, run).filter((r) => r.at <= seconds),
    ...(seconds - last >= TEMPERATURE_EVERY ? [temperature(last + TEMPERATURE_EVERY)] : [])
  ];
}

/** What a run is still to be asked, due or not: nothing where everything but its temperature was answered. */
export const leftToAsk = (c: Context, run: Run): readonly Prompt[] => unanswered(c, run);
