import { stationIds, type StationId } from '$core/stations/items.ts';

export const match = (param: string): param is StationId => (stationIds as readonly string[]).includes(param);
