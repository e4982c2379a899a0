import type { Step } from './plan.ts';
import { openings, type Opening } from '../jobs/job.ts';
import { traitsOf } from '../jobs/register.ts';

export interface WhileOpen {
  readonly opening: Opening;
  readonly label: string;
  /** Jobs on the list behind the same door. */
  readonly jobs: readonly string[];
  /** Minutes of opening and shutting that are not spent twice. */
  readonly saved: number;
  /** What a colleague would look at now, though nothing asks for it. */
  readonly looks: readonly { readonly text: string; readonly minutes: number; readonly saved: number }[];
}

/** Small things worth a look behind each door (C, from memory): what, its own minutes. */
const looks: Readonly<Partial<Record<Opening, readonly (readonly [string, number])[]>>> = {
  cowl: [
    ['Fuel strainer: seen through, bowl clear', 3],
    ['Hoses and clamps bent and felt', 3]
  ],
  plugs: [['Bore light through the plug holes', 4]],
  flywheel: [
    ['Key, taper and the coils’ faces', 4],
    ['Upper crank seal: oil or fuel under the plate', 2]
  ],
  head: [
    ['Thermostat and its pocket', 5],
    ['Water passages poked through, deck and head across with a straight edge', 10]
  ],
  carburettor: [['Reed leaves through the intake', 4]],
  leg: [
    ['Drive-shaft splines greased, none on the end face', 4],
    ['Water-tube seal and grommet', 3],
    ['Impeller, where it is over a year old', 10]
  ],
  case: [['Magnet wiped, photographed, compared with last time', 3]],
  carrier: [['Propeller shaft under the lip: a groove ruins the new seal', 5]],
  propeller: [['Fishing line behind the thrust washer', 2]],
  sump: [['Filter, with its old seal off the engine', 6]]
};

/** Doors that more than one open job goes through, and what else is behind each, widest saving first. */
export function whileOpen(steps: readonly Step[]): WhileOpen[] {
  const open = steps.filter((s) => s.state === 'open');
  return (Object.keys(openings) as Opening[])
    .flatMap((opening): WhileOpen[] => {
      const jobs = open.filter((s) => traitsOf(s.id).opens?.includes(opening)).map((s) => s.title);
      if (!jobs.length) return [];
      const { label, minutes } = openings[opening];
      return [
        {
          opening,
          label,
          jobs,
          saved: (jobs.length - 1) * minutes,
          looks: (looks[opening] ?? []).map(([text, own]) => ({ text, minutes: own, saved: minutes }))
        }
      ];
    })
    .sort((a, b) => b.saved - a.saved || openings[b.opening].minutes - openings[a.opening].minutes);
}
