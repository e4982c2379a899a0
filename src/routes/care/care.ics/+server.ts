import { calendarResponse, calendarText, careOfAll } from '$lib/server/care.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async () => calendarResponse(calendarText(await careOfAll()), 'outboard-care');
