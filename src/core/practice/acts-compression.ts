import type { Conditions, Instrument } from '../record/reading.ts';
import { withOil } from '../physics/wet-dose.ts';
import { PSI } from '../units/factors.ts';
import type { Act } from './act.ts';
import type { Eye } from './eye.ts';

/** A dial gauge of half a bar divisions read to a quarter of one, its valve at the plug; and one on a long adapter. */
const direct: Instrument = { name: 'Dial gauge', adapterVolume: 0, valve: 'plug end', resolution: PSI };
const long: Instrument = { name: 'Gauge on a hose', adapterVolume: 3e-6, valve: 'gauge end', resolution: PSI };
/** Cranked over and over, needles of one cylinder scatter by this share (M). */
const SCATTER = 0.012;
/** Five millilitres: what is poured in for the wet test, m³ (C). */
const DOSE = 5e-6;

/** What a sound cylinder of this engine shows, throttle open and cranked well, Pa. */
const figure = (eye: Eye): number =>
  (eye.survey.engine.profile.strokes === 'four' ? 165 : 122) * PSI * eye.truth.draws.between('figure', 0.92, 1.08);

/** Faults that let a cylinder leak, and where the air of a leak-down comes out. */
const leakers: ReadonlyMap<string, readonly string[]> = new Map([
  ['rings-stuck', ['crankcase']],
  ['rings-worn', ['crankcase']],
  ['piston-holed', ['crankcase']],
  ['head-gasket', ['neighbour']],
  ['gasket-outer', ['water', 'edge']],
  ['valve-leaks', ['intake', 'exhaust']],
  ['lash-closed', ['intake', 'exhaust']]
]);
const leaksAt = (eye: Eye, cylinder: number) => eye.faultsAt(cylinder).filter((s) => leakers.has(s.kind.id));

/** Low by something that is truly wrong: what came from how it was measured comes up when it is measured properly. */
const trulyLow = (eye: Eye, cylinder: number): boolean =>
  leaksAt(eye, cylinder).some((s) => eye.by(`low.${cylinder}`, s));

/** What a cylinder has lost, as a share of a sound one's figure. */
function lost(eye: Eye, cylinder: number, low: boolean): number {
  const { draws } = eye.truth;
  if (!low) return Math.max(0, draws.normal(`sound|${cylinder}`, 0.02));
  const holed = leaksAt(eye, cylinder).some((s) => s.kind.id === 'piston-holed');
  return holed ? draws.between(`lost|${cylinder}`, 0.5, 0.95) : draws.between(`lost|${cylinder}`, 0.14, 0.5);
}

/** The needle of one cylinder, dry or with oil, Pa, to the gauge's division. */
function needle(eye: Eye, cylinder: number, proper: boolean, share: number, n: number): number {
  const low = proper ? trulyLow(eye, cylinder) : eye.shows('low', cylinder);
  const p = figure(eye) * share * (1 - lost(eye, cylinder, low));
  const read = p * (1 + eye.truth.draws.normal(`needle|${cylinder}|${n}`, SCATTER));
  return Math.max(0, Math.round(read / PSI) * PSI);
}

/** Volts and speed fall as a battery tires through the test. */
const tiring = ({ volts, rpm }: Conditions, sag: number): Conditions => ({
  ...(volts === undefined ? {} : { volts: volts - 2.2 * sag }),
  ...(rpm === undefined ? {} : { rpm: rpm - 110 * sag })
});

/** Every cylinder, and once more in the other order when it is a repeat. */
function pressure(eye: Eye): void {
  const before = eye.survey.readings.filter((r) => r.what === 'compression.pressure').length;
  const proper = before > 0;
  const oiled = Number(eye.last('plugs.oil') ?? 0) > 0 && !eye.read('run.event');
  const shut = !proper && eye.has('throttle');
  const tired = !proper && eye.has('tiring');
  const adapter = !proper && eye.has('adapter');
  // Low all over by something that belongs to the engine stays; by how it was measured it goes.
  const low = eye.shows('low-all') && (proper ? eye.has('dry-bores') : true) ? 0.66 : 1;
  const cranked = eye.crank(proper);
  const list = before % 2 ? [...eye.cylinders].reverse() : eye.cylinders;
  list.forEach((cylinder, k) => {
    const sag = tired ? k / Math.max(1, list.length - 1) : 0;
    const share = (shut ? 0.72 : adapter ? 0.82 : low) * (1 - 0.12 * sag);
    const conditions: Conditions = {
      throttle: shut ? 'shut' : 'open',
      bores: oiled ? 'oiled' : 'dry',
      engine: 'cold',
      ...tiring(cranked, sag)
    };
    eye.note('compression.pressure', needle(eye, cylinder, proper, share, before + k), {
      cylinder,
      conditions,
      instrument: adapter ? long : direct
    });
  });
}

/** With oil in it: what the oil's own volume does, and where rings leak, what it seals besides. */
function wet(eye: Eye): void {
  const { displacement } = eye.survey.engine.profile;
  const swept = (typeof displacement === 'number' ? displacement : 200e-6) / eye.cylinders.length;
  const ratio = eye.survey.engine.profile.strokes === 'four' ? 9 : 6.5;
  const volume = (swept * ratio) / (ratio - 1);
  const dose = Math.min(DOSE, 0.2 * (volume / ratio));
  eye.cylinders.forEach((cylinder, k) => {
    // The low ones, where some are; else every one of them.
    const some = eye.cylinders.some((x) => trulyLow(eye, x)) && !eye.shows('all-rise-wet');
    if (some && !trulyLow(eye, cylinder)) return;
    const dry = needle(eye, cylinder, true, 1, 900 + k);
    const rings = leaksAt(eye, cylinder).some((s) => eye.by(`wet-rises.${cylinder}`, s));
    const sealed = rings || eye.shows('all-rise-wet');
    const oiled = withOil(dry, { volume, ratio }, dose);
    const p = sealed ? oiled + 0.6 * Math.max(0, figure(eye) - dry) : oiled;
    eye.note('compression.pressure', Math.round(p / PSI) * PSI, {
      cylinder,
      conditions: { throttle: 'open', bores: 'oiled', engine: 'cold', dose },
      instrument: direct
    });
  });
}

/** The share a tester loses, and where air is heard: the same leak that the needle saw. */
function leakDown(eye: Eye): void {
  const { draws } = eye.truth;
  for (const cylinder of eye.cylinders) {
    const faults = leaksAt(eye, cylinder);
    const low = trulyLow(eye, cylinder);
    const [least, most] = low ? [0.3, 0.75] : faults.length ? [0.1, 0.2] : [0.03, 0.1];
    const share = draws.between(`leak|${cylinder}`, least, most);
    eye.note('compression.leakdown', Math.round(share * 100) / 100, { cylinder });
    if (!low && !faults.length) continue;
    const heard = new Set(
      faults.map(({ id, kind }) => {
        const places = leakers.get(kind.id)!;
        return draws.pick(
          `air|${id}`,
          places.filter((p) => p !== 'neighbour' || eye.cylinders.length > 1)
        );
      })
    );
    eye.note('compression.escape', [...heard], { cylinder });
  }
}

function lash(eye: Eye): void {
  for (const cylinder of eye.cylinders) {
    const closed = eye.shows('no-lash', cylinder);
    eye.note('compression.lashIn', 0.2e-3, { cylinder });
    eye.note('compression.lashEx', closed ? 0 : 0.25e-3, { cylinder });
  }
}

export const compressionActs: readonly Act[] = [
  {
    id: 'compression',
    station: 'compression',
    items: ['compression.pressure', 'compression.pulls'],
    routine: true,
    take: pressure
  },
  { id: 'compression-again', station: 'compression', items: [], take: pressure },
  { id: 'wet', station: 'compression', items: [], take: wet },
  {
    id: 'leak-down',
    station: 'compression',
    items: ['compression.leakdown', 'compression.escape'],
    take: leakDown
  },
  {
    id: 'crankcase',
    station: 'compression',
    items: ['compression.crankcase'],
    // One of them leaks where one does; which is nothing that the truth tells.
    take: (eye) =>
      eye.cylinders.forEach((cylinder, k) =>
        eye.note('compression.crankcase', k === 0 && eye.shows('crankcase-falls') ? 'falls' : 'held', { cylinder })
      )
  },
  { id: 'lash', station: 'compression', items: ['compression.lashIn', 'compression.lashEx'], take: lash }
];
