import type { Profile } from '../engine/profile.ts';
import type { StationId } from '../items/register.ts';
import { station as compression } from './compression/station.ts';
import { station as cooling } from './cooling/station.ts';
import { station as fuel } from './fuel/station.ts';
import { station as gear } from './gear/station.ts';
import { station as look } from './look/station.ts';
import { station as oil } from './oil/station.ts';
import { station as plugs } from './plugs/station.ts';
import { station as run } from './run/station.ts';
import { station as safe } from './safe/station.ts';
import { station as spark } from './spark/station.ts';
import { station as turn } from './turn/station.ts';
import type { Station } from './station.ts';

/** Every station, in working order: a new one is a folder, its name here and in `judging.ts`. */
const register = { safe, look, turn, plugs, spark, compression, gear, fuel, cooling, oil, run } as const;

export const stations: { readonly [S in StationId]: Station } = register;
export const stationIds = Object.keys(register) as StationId[];

/** Whether a name from outside is a station's. */
export const isStation = (name: string): name is StationId => Object.hasOwn(register, name);

/** The stations that this engine has, in working order. */
export const stationsFor = (p: Profile): StationId[] => stationIds.filter((s) => stations[s].applies?.(p) ?? true);
