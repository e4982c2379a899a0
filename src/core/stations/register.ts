import { PSI } from '../units/factors.ts';
import { known, type Profile } from '../engine/profile.ts';
import type { Context } from '../findings/context.ts';
import type { Finding } from '../findings/finding.ts';
import { show, type Shown } from '../units/index.ts';
import { analyse as compression } from './compression/analyse.ts';
import { compare } from './compression/compare.ts';
import { text as compressionText } from './compression/text.ts';
import { analyse as cooling } from './cooling/analyse.ts';
import { text as coolingText } from './cooling/text.ts';
import { fuelAge } from './fuel/age.ts';
import { analyse as fuel } from './fuel/analyse.ts';
import { text as fuelText } from './fuel/text.ts';
import { analyse as gear } from './gear/analyse.ts';
import { text as gearText } from './gear/text.ts';
import { stationIds, type StationId } from './items.ts';
import { analyse as look } from './look/analyse.ts';
import { text as lookText } from './look/text.ts';
import { analyse as oil } from './oil/analyse.ts';
import { text as oilText } from './oil/text.ts';
import { analyse as plugs } from './plugs/analyse.ts';
import { text as plugsText } from './plugs/text.ts';
import { analyse as run } from './run/analyse.ts';
import { text as runText } from './run/text.ts';
import { analyse as safe } from './safe/analyse.ts';
import { text as safeText } from './safe/text.ts';
import { analyse as spark } from './spark/analyse.ts';
import { text as sparkText } from './spark/text.ts';
import type { StationText } from './text.ts';
import { analyse as turn } from './turn/analyse.ts';
import { text as turnText } from './turn/text.ts';

export interface Station {
  readonly text: StationText;
  readonly analyse: (c: Context) => Finding[];
  /** Whether this engine has the thing at all. */
  readonly applies?: (p: Profile) => boolean;
  /** The one figure that stands on the drawing where it was taken. */
  readonly sounding?: (c: Context) => Shown | undefined;
}

const lowestCompression = (c: Context): Shown | undefined => {
  const found = compare(c);
  return (
    found && show(Math.min(...found.rows.map((r) => r.mean)), 'pressure', c.units, found.instrument.resolution ?? PSI)
  );
};
const volume = (c: Context): Shown | undefined => {
  const drained = known(c.record.value('gear.drained'));
  return drained === undefined ? undefined : show(drained, 'volume', c.units);
};
const head = (c: Context): Shown | undefined => {
  const t = known(c.record.value('cooling.head'));
  return t === undefined ? undefined : show(t, 'temperature', c.units);
};
const age = (c: Context): Shown | undefined => {
  const a = fuelAge(c);
  return a.months === undefined || a.assumed
    ? undefined
    : a.months > 24
      ? show(a.months / 12, 'years', c.units)
      : show(a.months, 'months', c.units);
};
const ran = (c: Context): Shown | undefined => {
  const m = known(c.record.value('run.minutes'));
  return m === undefined ? undefined : show(m, 'minutes', c.units);
};

/** Every station, in working order: a new one is a folder and one line here. */
export const stations: { readonly [S in StationId]: Station } = {
  safe: { text: safeText, analyse: safe },
  look: { text: lookText, analyse: look },
  turn: { text: turnText, analyse: turn },
  plugs: { text: plugsText, analyse: plugs },
  spark: { text: sparkText, analyse: spark },
  compression: { text: compressionText, analyse: compression, sounding: lowestCompression },
  gear: { text: gearText, analyse: gear, sounding: volume },
  fuel: { text: fuelText, analyse: fuel, sounding: age },
  cooling: { text: coolingText, analyse: cooling, sounding: head },
  oil: { text: oilText, analyse: oil, applies: (p) => p.strokes !== 'two' },
  run: { text: runText, analyse: run, sounding: ran }
};

export const stationsFor = (p: Profile): StationId[] => stationIds.filter((s) => stations[s].applies?.(p) ?? true);
