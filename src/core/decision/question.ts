import { addDays, format, max, parseISO } from 'date-fns';
import type { Advice } from '../advice/advice.ts';
import type { Judgement } from '../judge.ts';
import { absentParts } from '../plan/absent.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { isJobId, jobOf, traitsOf } from '../jobs/register.ts';
import { openComplaints, saidWords } from '../stations/said.ts';
import type { Step } from '../plan/plan.ts';
import type { Decision } from './decide.ts';

const cr = (x: number): string => `${Math.round(x / 10) * 10} cr`;
const few = (list: readonly string[]): string =>
  list.length < 2 ? list.join('') : `${list.slice(0, -1).join(', ')} and ${list.at(-1)}`;

const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
/** Work that the owner pays for by its name: not a look, a first run or what every engine gets before it is touched. */
const isRepair = (s: Step): boolean => traitsOf(s.id).phase === undefined || traitsOf(s.id).phase === 'away';

/** From this chance the owner is told that it was found, and not that it probably is (M). */
const FOUND = 0.95;
/** Hands at an engine in a day of the yard, minutes, and days that an answer may take where nothing presses (M). */
const HANDS = 300;
const ANSWER = 7;

/** Nothing is asked of an owner who has said yes, as long as it stays within his word. */
const goesOn = (d: Decision): boolean => d.agreed && (d.recommended === 'repair' || d.recommended === 'repair-under');

/**
 * The day by which an answer is needed: today where water is at work; the promised day less the work, tomorrow at the earliest; else
 * a week. Nothing where nothing is asked.
 */
export function answerBy(survey: SurveyFile, d: Decision, now: Date): Date | undefined {
  if (d.recommended === 'hold' || d.recommended === 'service' || goesOn(d)) return undefined;
  if (survey.assessment.kind === 'drowned') return now;
  const { promised } = survey.engine.history;
  if (typeof promised !== 'string' || promised === 'unknown') return addDays(now, ANSWER);
  const day = addDays(parseISO(promised), -Math.ceil(d.minutes.high / HANDS));
  return max([addDays(now, 1), day]);
}

/** The owner's question in one paragraph: what was found, the sum, the worst case, what is asked and by when. */
export function ownersQuestion(
  j: Pick<Judgement, 'context' | 'findings'>,
  d: Decision,
  advice: Advice | undefined,
  steps: readonly Step[],
  now: Date
): string {
  const { survey } = j.context;
  const likely = (advice?.suspects ?? []).filter((s) => s.raised && !s.mended && !s.artefact && s.chance === 'likely');
  const tag = survey.engine.identity.tag ?? 'Your engine';
  const sure = likely.every((s) => s.settling === 'shows' && s.probability > FOUND);
  const more = (n: number): string => (n > 3 ? `, and ${n === 4 ? 'one thing' : `${n - 3} things`} more` : '');
  // Work that is not done for a suspect: what was plainly seen, as a hose that is cracked.
  const named = new Set(likely.flatMap((s) => s.step ?? []));
  const work = steps.filter((s) => s.state === 'open' && !s.by && !named.has(s.id) && isRepair(s));
  const toDo = work.length
    ? ` To be done${likely.length ? ' besides' : ''}: ${few(work.slice(0, 3).map((s) => lower(s.title)))}${more(work.length)}.`
    : '';
  // What was seen before work that is done is what it was done for.
  const unproved = steps.filter((x) => x.state === 'done' && !(isJobId(x.id) && jobOf(x.id).finds));
  const faults = j.findings
    .filter((f) => f.condition === 'fault' && !unproved.some((x) => x.proof.station === f.station))
    .slice(0, 2);
  const done = unproved.length ? ` Done, and to be proved: ${few(unproved.map((x) => lower(x.title)))}.` : '';
  const absent = absentParts(j.context).map((p) => p.name);
  const without = absent.length ? ` It came without: ${absent.join(', ')}.` : '';
  const found = likely.length
    ? `${tag}, ${sure ? 'found' : 'probably'}: ${few(likely.slice(0, 3).map((s) => s.label))}${more(likely.length)}.${toDo}`
    : toDo
      ? `${tag}.${toDo}`
      : faults.length
        ? `${tag}: ${faults.map((f) => f.found).join(' ')} What lies behind it is not known yet.`
        : done
          ? `${tag}.`
          : `${tag}: nothing we have seen so far asks for a repair.`;
  const told = openComplaints(j.context);
  const heard = told.length ? ` You say that it ${few(told.map(saidWords))}; that was not seen here yet.` : '';
  const spent = d.spent >= 5 ? `About ${cr(d.spent)} went into it so far. ` : '';
  const sum = `${spent}What is certain costs about ${cr(d.sums.established)}${d.spent >= 5 ? ' more' : ''}${d.sums.likely >= 5 ? `, what is likely about ${cr(d.sums.likely)} more` : ''}; nine times in ten the whole stays under ${cr(d.cost.high)}.`;
  // What is certain already costs more than was agreed.
  const short = d.remaining !== undefined && d.sums.established > d.remaining;
  const first = d.open.length ? d.open.slice(0, 2) : d.next ? [d.next] : [];
  const asks: Readonly<Record<Decision['recommended'], string>> = {
    service: 'We would service it and give it back.',
    repair: 'May we go ahead?',
    'repair-under': short
      ? `That passes the ${cr(d.ceiling!)} you gave us. May we go up to ${cr(d.spent + d.cost.high)} in all, or shall we stop here?`
      : `May we go ahead up to ${cr(d.ceiling ?? d.cost.high)}, and ask again before it passes that?`,
    specialist: 'We advise a specialist’s price before more goes in. May we send it, or shall it be kept for parts?',
    parts: 'By these sums it is worth more in parts. How do you want it?',
    hold: `We do not know enough yet. ${first.length ? `First: ${first.join('; ')}. ` : ''}We order nothing before that and call you then.`
  };
  const by = answerBy(survey, d, now);
  const day = by ? ` Please answer by ${format(by, 'EEEE, d MMMM')}.` : '';
  const word = goesOn(d)
    ? `You agreed to it: we go ahead${d.ceiling === undefined ? '' : ` and ask again before it passes ${cr(d.ceiling)} in all`}.`
    : asks[d.recommended];
  return `${found}${heard}${done}${without} ${sum} ${word}${!goesOn(d) && survey.assessment.kind === 'drowned' ? ' It was under water: an answer today saves the most.' : day}`;
}
