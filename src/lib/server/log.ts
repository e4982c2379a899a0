import pino from 'pino';

/** The server's log. */
export const log = pino({ level: process.env.LOG_LEVEL ?? 'info' });
