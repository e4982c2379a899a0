import { traitsOf } from '../jobs/register.ts';
import { stations } from '../stations/register.ts';
import type { Move } from './move.ts';
import { fromHolds, jobMove, type Position } from './position.ts';

/** 9: checks nobody has made, what the run needs, the run, the gates, release. */
export function before(p: Position): Move[] {
  const { stations: states, holds, gates } = p;
  const out: Move[] = [];
  const unseen = states.filter(
    (s) => s.condition === 'not-looked-at' && stations[s.id].beforeRelease && s.id !== 'run' && s.id !== 'safe'
  );
  for (const s of unseen)
    out.push({
      kind: 'look',
      class: 9,
      id: `look:${s.id}`,
      title: s.title,
      station: s.id,
      minutes: stations[s.id].minutes,
      because: 'Nothing points there; it is looked at before the engine goes back.'
    });
  out.push(...fromHolds(holds, 9, true));
  const running = p.steps.filter((s) => s.state === 'open' && traitsOf(s.id).phase === 'running');
  const ran = p.context.record.value('run.outcome') === 'ran';
  if (!ran)
    out.push({
      kind: 'look',
      class: 9,
      id: 'look:run',
      title: 'First run on water, watched',
      station: 'run',
      minutes: 20,
      because: 'Everything that can be known without running it is known.'
    });
  out.push(...running.map((s) => jobMove(s, 9)));
  for (const s of p.steps.filter((x) => x.state === 'done' && x.proof.station === 'run'))
    out.push({
      kind: 'repeat',
      class: 9,
      id: `proof:${s.id}`,
      title: 'Prove it on a run',
      station: 'run',
      job: s.id,
      minutes: 20,
      because: `“${s.title}” is done and not proved: ${s.proof.text}.`
    });
  for (const g of gates)
    if (!g.passes && !g.station && g.id !== 'jobs' && g.id !== 'holds')
      out.push({
        kind: 'look',
        class: 9,
        id: `gate:${g.id}`,
        title: g.title,
        ...(g.id === 'handover' ? { station: 'run' as const } : {}),
        minutes: 3,
        because: g.sentence
      });
  for (const g of gates)
    if (!g.passes && g.station && g.reasonOpens)
      out.push({
        kind: 'decide',
        class: 9,
        id: `gate:${g.id}`,
        title: `${g.title}: settle it, or give the reason why it may stay`,
        station: g.station,
        minutes: 3,
        because: g.sentence
      });
  if (p.ready)
    out.push({
      kind: 'release',
      class: 9,
      id: 'release',
      title: 'Sign it ready for service',
      minutes: 2,
      because: 'Every gate passes.'
    });
  // What may wait stands behind the signature, with its date.
  out.push(
    ...p.steps
      .filter((s) => s.state === 'open' && s.by)
      .map((s) => ({ ...jobMove(s, 9), title: `${s.title}, ${s.by}` }))
  );
  return out;
}
