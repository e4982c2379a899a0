import type { Weighed } from '$core/assess.ts';
import type { PageLoad } from './$types';

/** What is to do now is a question as a rule; the card of a job, with its procedure, comes only where it is a job. */
export const load: PageLoad = async ({ parent }) => {
  const { session } = await parent();
  const { moves } = JSON.parse(session.weighed) as Weighed;
  const first = moves.find((m) => !m.waits) ?? moves[0];
  return { job: first?.kind === 'job' ? (await import('$lib/ui/survey/JobInside.svelte')).default : undefined };
};
