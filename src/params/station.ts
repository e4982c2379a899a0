import { stationIds } from '$core/stations/register.ts';
import type { StationId } from '$core/stations/items.ts';

export const match = (param: string): param is StationId => (stationIds as readonly string[]).includes(param);
