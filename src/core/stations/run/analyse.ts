import type { Context } from '../../judgement.ts';
import type { Finding } from '../../survey/finding.ts';
import { say } from '../../units/index.ts';
import { known } from '../../engine/profile.ts';
import { findingsOf, practice } from '../finding.ts';

/** What the first run showed. */
export function analyse(c: Context): Finding[] {
  const out = findingsOf('run');
  const { record } = c;
  const outcome = record.value('run.outcome');
  const lamp = record.value('run.lamp');
  const smoke = record.value('run.smoke');
  const leaks = record.value('run.leaks');
  const gears = record.value('run.gears');
  const cause = record.value('run.cause')?.trim();
  const minutes = known(record.value('run.minutes'));
  const inputs = [
    `outcome: ${outcome ?? 'not run yet'}`,
    ...(minutes === undefined ? [] : [`ran for ${say(minutes, 'minutes', c.units)}`]),
    ...(lamp ? [`lamp or horn: ${lamp}`] : []),
    ...(smoke ? [`smoke: ${smoke}`] : []),
    ...(leaks ? [`leaks: ${leaks}`] : [])
  ];
  const why = practice(inputs, 'a first run outdoors on water, watched to the end.');
  if (outcome === 'failed')
    out.add(
      'failed',
      'fault',
      `It would not start${cause ? `: ${short(cause)}` : '. Spark and fuel again, in that order'}.`,
      why
    );
  if (outcome === 'stopped')
    out.add(
      'stopped',
      cause ? 'watch' : 'fault',
      cause
        ? `Stopped early: ${short(cause)}. Repeat it once the cause is cured.`
        : 'Stopped early: record the cause before it is started again.',
      why
    );
  if (lamp === 'came') out.add('lamp', 'fault', 'The lamp or horn came on: stop, record the cause, repeat.', why);
  if (smoke === 'keeps')
    out.add(
      'smoke',
      'fault',
      'Smoke that keeps coming: water or oil is getting in. Look at the plugs after running.',
      why
    );
  if (leaks && leaks !== 'none')
    out.add('leaks', 'fault', `It leaks ${leaks}: find the place before it runs again.`, why);
  if (gears === 'fails')
    out.add('gears', 'fault', 'A gear is missing or jumps out: linkage or a worn clutch dog.', why);
  if (outcome === 'ran' && !out.list.length)
    out.add(
      'ran',
      'sound',
      `It ran and settled${minutes === undefined ? '' : `, ${say(minutes, 'minutes', c.units)}`}${smoke === 'first' ? '; smoke in the first minutes was preservation oil' : ''}.`,
      why
    );
  return out.list;
}

const short = (s: string): string => (s.length > 90 ? `${s.slice(0, 88).trimEnd()}…` : s).replace(/[.\s]+$/, '');
