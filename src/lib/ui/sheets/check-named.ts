import type { StationId } from '$core/stations/items.ts';
import { isStation } from '$core/stations/register.ts';
import { error } from '@sveltejs/kit';

/** The check of an address; a name that none has is not found. */
export function checkNamed(name: string): StationId {
  if (!isStation(name)) error(404, 'There is no such check.');
  return name;
}
