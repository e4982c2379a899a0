import { Attempt } from '../src/core/practice/attempt.ts';
import { advisedPath, debriefOf } from '../src/core/practice/debrief.ts';
import { Exercise, type Deed } from '../src/core/practice/exercise.ts';
import { readyExercises, setupOfReady } from '../src/core/practice/ready.ts';
import { drawTruth } from '../src/core/practice/truth.ts';

/** For `npm run bench`: drawing an engine, and the debrief of an exercise with and without the advised path. */
const middle = (list: number[]): number => list.sort((a, b) => a - b)[list.length >> 1]!;
const timed = (run: () => void): number => {
  const from = performance.now();
  run();
  return performance.now() - from;
};
for (let k = 0; k < 10; k++) new Attempt(drawTruth(`warm ${k}`));
const draw = Array.from({ length: 60 }, (_, k) => timed(() => new Attempt(drawTruth(`bench ${k}`))));
const deeds: Deed[] = Array.from({ length: 12 }, () => ({ kind: 'follow' }));
const debriefs = readyExercises.slice(0, 6).map((r) => {
  const setup = setupOfReady(r);
  const exercise = Exercise.from(setup, deeds);
  let path: ReturnType<typeof advisedPath> = [];
  const way = timed(() => (path = advisedPath(setup)));
  return { way, alone: timed(() => debriefOf(exercise, { marks: {} }, path)) };
});
console.log(
  JSON.stringify({
    draw: +middle(draw).toFixed(1),
    debrief: +Math.max(...debriefs.map((d) => d.alone)).toFixed(0),
    whole: +Math.max(...debriefs.map((d) => d.alone + d.way)).toFixed(0)
  })
);
