import type { SignalName } from '$core/instruments/signals.ts';

/** What the needle's scale shows of each instrument, SI: the usual range, not the widest. */
const scales: Readonly<Record<SignalName, readonly [from: number, to: number]>> = {
  gauge: [0, 1.4e6],
  case: [-4e4, 1.1e5],
  line: [-4e4, 0],
  head: [280, 380],
  headp: [280, 380],
  heads: [280, 380],
  casetemp: [260, 330],
  batt: [8, 16],
  tach: [0, 6000],
  bucket: [0, 1e-4],
  depth: [-0.05, 0.05]
};

/** The ends of an instrument's scale, SI. */
export const scaleOf = (name: SignalName): { readonly from: number; readonly to: number } => {
  const [from, to] = scales[name];
  return { from, to };
};
