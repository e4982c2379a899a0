import { fuelChecks } from './checks-fuel.ts';
import { headChecks } from './checks-head.ts';
import { gearToRunChecks } from './checks-gear-to-run.ts';
import { sparkChecks } from './checks-spark.ts';
import { compressionArtefacts } from './compression-artefacts.ts';
import { cooling } from './cooling.ts';
import { fuel } from './fuel.ts';
import { gearCase } from './gear-case.ts';
import { ignition } from './ignition.ts';
import { powerHead } from './power-head.ts';
import { electric, engineOil, structure } from './oil-electrics-body.ts';
import type { Check, SignKind, SuspectKind } from './shape.ts';
import { compressionSigns } from './signs-compression.ts';
import { coolingSigns } from './signs-cooling.ts';
import { fuelSigns } from './signs-fuel.ts';
import { lookAndGearSigns } from './signs-look-gear.ts';
import { oilAndRunSigns } from './signs-run.ts';
import { shiftSigns } from './signs-shift.ts';
import { sparkSigns } from './signs-spark.ts';
import { turnSigns } from './signs-turn.ts';

/** Everything known about what can be wrong, how it shows and what settles it: data only, one file a system. */
export const suspectKinds: readonly SuspectKind[] = [
  ...powerHead,
  ...compressionArtefacts,
  ...ignition,
  ...fuel,
  ...cooling,
  ...gearCase,
  ...engineOil,
  ...electric,
  ...structure
];
export const signKinds: readonly SignKind[] = [
  ...turnSigns,
  ...sparkSigns,
  ...compressionSigns,
  ...lookAndGearSigns,
  ...shiftSigns,
  ...fuelSigns,
  ...coolingSigns,
  ...oilAndRunSigns
];
export const checks: readonly Check[] = [...headChecks, ...sparkChecks, ...gearToRunChecks, ...fuelChecks];

const byId = <T extends { readonly id: string }>(list: readonly T[]): ReadonlyMap<string, T> =>
  new Map(list.map((x) => [x.id, x]));
export const checkById: ReadonlyMap<string, Check> = byId(checks);
export const signById: ReadonlyMap<string, SignKind> = byId(signKinds);
export const suspectById: ReadonlyMap<string, SuspectKind> = byId(suspectKinds);
