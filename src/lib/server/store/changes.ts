import { EventEmitter } from 'node:events';

/** Told of each survey that something was added to, by its id; for the pages that are open on it. */
const changes = new EventEmitter().setMaxListeners(0);

export const changed = (surveyId: string): void => void changes.emit(surveyId);

/** Calls back at each change of a survey; returns what ends it. */
export function onChange(surveyId: string, told: () => void): () => void {
  changes.on(surveyId, told);
  return () => void changes.off(surveyId, told);
}
