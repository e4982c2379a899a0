/** Why the application does not start: one sentence with what to do, and the code it ends with. */
export class NotStarted extends Error {
  constructor(
    readonly exitCode: number,
    message: string
  ) {
    super(message);
    this.name = 'NotStarted';
  }
}

const NO_ROOM = /^(SQLITE_FULL|ENOSPC|EDQUOT)/;
const NOT_WRITABLE = /^(SQLITE_READONLY|SQLITE_IOERR|EROFS|EACCES|EIO)/;

/** What a failed write says about the server's disk, in a sentence; nothing when it was something else. */
export function diskProblem(err: unknown): string | undefined {
  const own = (err as { code?: unknown } | undefined)?.code;
  const cause = (err as { cause?: { code?: unknown } } | undefined)?.cause?.code;
  const code = typeof own === 'string' ? own : typeof cause === 'string' ? cause : '';
  if (NO_ROOM.test(code))
    return 'The server has no room left on its disk: nothing was saved. What you entered is kept in this browser and sent when there is room.';
  if (NOT_WRITABLE.test(code))
    return 'The server cannot write to its disk: nothing was saved. What you entered is kept in this browser and sent when it can.';
  return undefined;
}
