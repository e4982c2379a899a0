import { calibrationFor, debrief, open } from '$lib/server/practice/store.ts';
import { stationIds } from '$core/stations/register.ts';
import { error, redirect } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
  const opened = open(params.attempt);
  if (!opened) error(404, 'There is no such exercise.');
  const found = await debrief(params.attempt);
  if (!found) redirect(303, `/practice/${params.attempt}/statement`);
  const { pairs: _pairs, ...score } = found.score;
  return {
    debrief: { ...found, score },
    teaches: opened.subject.ready?.teaches,
    set: opened.row.kind === 'set' ? opened.row.code : undefined,
    calibration: calibrationFor(opened.row.who),
    profile: opened.exercise.survey.engine.profile,
    stations: stationIds
  };
};
