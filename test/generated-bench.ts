import { randomLcg } from 'd3-random';
import { calendarOf } from '../src/core/schedule/calendar.ts';
import type { Problem, Task } from '../src/core/schedule/problem.ts';

/**
 * A made-up bench for measuring the planner: so many engines with so many steps each, drains and soaks between them,
 * a test tank and a stand they share, parts that come some days later, days of seven hours. Invented.
 */
export function generated(seed: number, engines: number, steps: number, people: number): Problem {
  const random = randomLcg((seed % 89) / 89 + 0.003);
  const int = (a: number, b: number): number => a + Math.floor(random() * (b - a + 1));
  const tasks: Task[] = [];
  const due: Record<string, number> = {};
  const days = Math.ceil((engines * steps * 45) / (people * 420)) * 3 + 30;
  for (let e = 0; e < engines; e++) {
    if (random() < 0.6) due[`e${e}`] = int(1, 10) * 1440;
    for (let k = 0; k < steps; k++) {
      const kind = random();
      tasks.push({
        id: `e${e}.${k}`,
        group: `e${e}`,
        hands: int(2, 18) * 5,
        wait: kind < 0.2 ? int(3, 24) * 5 : kind < 0.25 ? 1440 : 0,
        needs: kind > 0.85 ? ['tank'] : kind > 0.7 ? ['stand'] : [],
        after: k ? [...new Set([`e${e}.${k - 1 - (random() < 0.4 && k > 1 ? 1 : 0)}`])] : [],
        ...(random() < 0.05 ? { release: int(1, 4) * 1440 } : {})
      });
    }
  }
  return {
    now: 480,
    people: Array.from({ length: people }, (_, p) => `p${p}`),
    resources: { tank: 1, stand: 2 },
    tasks,
    due,
    calendar: calendarOf(Array.from({ length: days }, (_, d) => [d * 1440 + 480, d * 1440 + 900] as const))
  };
}
