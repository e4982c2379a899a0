import type { StationId } from '../items/register.ts';
import { judging as compression } from './compression/judging.ts';
import { judging as cooling } from './cooling/judging.ts';
import { judging as fuel } from './fuel/judging.ts';
import { judging as gear } from './gear/judging.ts';
import { judging as look } from './look/judging.ts';
import { judging as oil } from './oil/judging.ts';
import { judging as plugs } from './plugs/judging.ts';
import { judging as run } from './run/judging.ts';
import { judging as safe } from './safe/judging.ts';
import { judging as spark } from './spark/judging.ts';
import { judging as turn } from './turn/judging.ts';
import type { Judging } from './station.ts';

/** What every station makes of its readings. Imported where something is judged, and by nothing that only shows a check. */
export const judgings: { readonly [S in StationId]: Judging } = {
  safe,
  look,
  turn,
  plugs,
  spark,
  compression,
  gear,
  fuel,
  cooling,
  oil,
  run
};
