import { describe, expect, it, vi } from 'vitest';
import type { Move, MoveClass } from '../../../core/moves/move.ts';
import { emptySurvey } from '../../../core/record/survey-file.ts';
import { Session } from '../session/session.svelte.ts';
import { PinnedMove } from './pinned-move.svelte.ts';

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => {}, removeItem: () => {} });

const move = (id: string, cls: MoveClass = 6, more: Partial<Move> = {}): Move => ({
  kind: 'look',
  class: cls,
  id,
  title: id,
  minutes: 1,
  because: `because of ${id}`,
  ...more
});
const open = (...moves: Move[]): { session: Session; pinned: PinnedMove } => {
  const session = new Session({
    surveyId: 's',
    engineId: 'e',
    survey: emptySurvey('neglected', '2026-05-02T07:00:00.000Z', 'T'),
    seq: 0,
    factSeq: 0,
    units: 'us',
    who: '',
    now: '2026-05-02T08:00:00.000Z'
  });
  session.moves = moves;
  return { session, pinned: new PinnedMove(() => session) };
};

describe('the move in hand', () => {
  it('stays while the list changes under it, until one says that it is done', () => {
    const { session, pinned } = open(move('a'), move('b'));
    pinned.pin();
    session.moves = [move('b'), move('c')];
    expect(pinned.move?.id).toBe('a');
    expect(pinned.then.map((m) => m.id)).toEqual(['b', 'c']);
    pinned.done();
    expect(pinned.move?.id).toBe('b');
    expect(pinned.still).toBe('');
  });
  it('done waits for the list of the last entry', () => {
    const { session, pinned } = open(move('a'));
    pinned.pin();
    session.weighing = 'weighing';
    pinned.done();
    expect(pinned.move?.id).toBe('a');
    session.moves = [move('b')];
    session.weighing = 'done';
    pinned.settle();
    expect(pinned.move?.id).toBe('b');
  });
  it('says why the same is still asked for', () => {
    const { pinned } = open(move('a'));
    pinned.pin();
    pinned.done();
    expect(pinned.still).toBe('Still asked for: because of a');
  });
  it('put off it comes back only when there is nothing else', () => {
    const { pinned } = open(move('a'), move('b'));
    pinned.pin();
    pinned.later();
    expect(pinned.move?.id).toBe('b');
    pinned.later();
    expect(pinned.move?.id).toBe('a');
  });
  it('what waits stands behind what can be made', () => {
    const { pinned } = open(move('a', 6, { waits: 'the battery first' }), move('b'));
    expect(pinned.move?.id).toBe('b');
  });
  it('danger takes its place at once, and gives it back', () => {
    const { session, pinned } = open(move('a'));
    pinned.pin();
    session.moves = [move('stop', 1), move('a')];
    expect(pinned.move?.id).toBe('stop');
    session.moves = [move('a')];
    expect(pinned.move?.id).toBe('a');
  });
});
