import { cylindersOf, type Context } from '../findings/context.ts';
import { monthsSince, SEASON } from '../findings/elapsed.ts';
import type { Instant } from '../units/instant.ts';
import type { Action } from '../holds/hold.ts';
import type { Judgement } from '../judge.ts';
import type { ItemId, StationId } from '../stations/items.ts';
import { placeIds } from '../stations/look/places.ts';
import { sumpEmpty } from '../stations/oil/sump.ts';
import { beltJumped } from '../stations/turn/belt.ts';
import { stationsFor } from '../stations/register.ts';

/** A check that costs minutes and decides whether anything else is worth doing. */
export interface Decisive {
  readonly check: string;
  readonly title: string;
  readonly station: StationId;
  readonly minutes: number;
  readonly because: string;
  readonly needs?: Action;
}

interface Rule extends Decisive {
  /** Readings that say it was made. */
  readonly made: readonly ItemId[];
  /** The same by more than one reading. */
  readonly madeBy?: (c: Context) => boolean;
  readonly when?: (c: Context) => boolean;
  /** What is left of it, where part of it was made. */
  readonly named?: (c: Context) => string | undefined;
  /** Months after which it no more tells how the engine is, where it stood meanwhile (C: a season; the figure M). */
  readonly goesOff?: number;
}

/** Places of the look-over that a complaint or a symptom sends one to by themselves: one of them is no walk around the engine. */
const lookedAtAlone = new Set<string>(['wiring', 'hoses', 'mounts', 'linkage']);
/** Whether somebody walked around it, however few places he wrote down. */
function lookedOver(c: Context): boolean {
  const asked = placeIds.filter((p) => c.record.asked(`look.${p}`));
  const seen = asked.filter((p) => (c.record.value(`look.${p}`) ?? 'unknown') !== 'unknown');
  // Of what nobody could tell it takes the most of it: then somebody did walk around.
  return seen.length > 1 || seen.some((p) => !lookedAtAlone.has(p)) || asked.length > placeIds.length / 2;
}

const running = (c: Context): boolean => c.record.value('run.outcome') === 'ran';
/** Leak-down told of every cylinder says what a gauge would; of one alone, nothing of the rest. */
const leakDownEverywhere = (c: Context): boolean => {
  const all = cylindersOf(c);
  const told = (cylinder: number): boolean =>
    (c.record.value('compression.leakdown', cylinder) ?? 'unknown') !== 'unknown';
  return all.length > 0 && all.every(told);
};
/** Laid up properly and back in spring: levels, fuel and water before anything is opened. */
const sound = (c: Context): boolean =>
  c.survey.assessment.kind === 'spring-return' && c.survey.engine.history.laidUp === 'yes';
/** Out of its box: what is new is not taken apart to be looked into. */
const boxed = (c: Context): boolean => c.survey.assessment.kind === 'new-engine';
const opened = (c: Context): boolean => !sound(c) && !boxed(c) && !running(c);

/** A belt that is slack or has jumped, on pistons that may meet the valves: its marks come before a hand on the flywheel. */
export const jumped = (c: Context): boolean => beltJumped(c) && c.survey.engine.profile.interference !== 'no';

/** Whether a reading still tells how the engine is. */
const stillTells = (c: Context, r: Rule, read: { readonly at: Instant } | undefined): boolean =>
  read !== undefined && (r.goesOff === undefined || monthsSince(c, read.at) < r.goesOff);

const SHIFTS = ['turn.forward', 'turn.reverse'] as const;

/** In the trade's order (C): hands and eyes, then what cranks it, then a crack of the gear plug. */
const rules: readonly Rule[] = [
  {
    check: 'fill',
    title: 'Fill the engine oil, then dip twice',
    station: 'oil',
    minutes: 15,
    because: 'A new engine comes without engine oil: nothing turns it before that is in.',
    made: [],
    when: (c) => boxed(c) && sumpEmpty(c) === 'new'
  },
  {
    check: 'look',
    title: 'Look it over, cowl to skeg',
    station: 'look',
    minutes: 10,
    because: 'Eyes come before hands: what is chewed, cracked or missing costs nothing to see.',
    made: [],
    madeBy: lookedOver
  },
  {
    check: 'turn',
    title: 'Turn it by hand',
    station: 'turn',
    minutes: 2,
    because: 'Two minutes that may end everything: what does not turn by hand is not cranked.',
    made: ['turn.result'],
    goesOff: SEASON
  },
  {
    check: 'plugs',
    title: 'Plugs out and read',
    station: 'plugs',
    minutes: 8,
    because: 'Each plug tells of its cylinder, and water in a hole is seen before anything spins.',
    made: ['plugs.read', 'plugs.hole'],
    when: opened
  },
  {
    check: 'shift',
    title: 'Shift through by hand',
    station: 'turn',
    minutes: 2,
    because: 'Neutral, forward, reverse: a minute now, a leg off later.',
    made: [],
    // There is no way from one to the other but through neutral.
    madeBy: (c) => SHIFTS.every((i) => c.record.asked(i)),
    named: (c) => {
      const left = SHIFTS.filter((i) => !c.record.asked(i));
      return left.length === 1 ? `Shift by hand: ${left[0] === 'turn.forward' ? 'forward' : 'reverse'}` : undefined;
    },
    when: (c) => c.survey.engine.profile.shift !== 'direct' && !sound(c)
  },
  {
    check: 'spark',
    title: 'Spark, every cylinder',
    station: 'spark',
    minutes: 6,
    because: 'It costs minutes, and without it nothing else runs.',
    made: ['spark.result'],
    needs: 'crank',
    when: opened
  },
  {
    check: 'compression',
    title: 'Compression, every cylinder',
    station: 'compression',
    minutes: 10,
    because: 'It says whether the power head is worth the rest.',
    made: ['compression.pressure', 'compression.pulls'],
    madeBy: leakDownEverywhere,
    needs: 'crank',
    when: opened
  },
  {
    check: 'gear-crack',
    title: 'Lower gear plug a crack open',
    station: 'gear',
    minutes: 4,
    because: 'Free water comes first: money goes into no power head before the gear case was looked at.',
    made: ['gear.first', 'gear.look', 'gear.drained'],
    // A plug that will not move is freed first.
    when: (c) => c.record.value('gear.slots') !== 'stuck'
  },
  {
    check: 'tank',
    title: 'Look into the tank',
    station: 'fuel',
    minutes: 1,
    because: 'Nearly empty or old is the cheapest fault there is.',
    // A choke moved or a bulb squeezed says nothing of what is in the tank.
    made: ['fuel.level', 'fuel.age', 'fuel.kind', 'fuel.jar', 'fuel.tank'],
    goesOff: SEASON
  },
  {
    check: 'dip',
    title: 'Dip the engine oil twice, look and smell',
    station: 'oil',
    minutes: 3,
    because: 'High, low or milky is known before it turns under power.',
    made: ['oil.dip', 'oil.dipAt', 'oil.look'],
    goesOff: SEASON,
    when: (c) => !boxed(c)
  }
];

/** Decisive checks that nobody has made yet, in their order; "asked and could not be told" counts as made here. */
export function decisiveChecks({ context: c }: Judgement): Decisive[] {
  const fitted = new Set(stationsFor(c.survey.engine.profile));
  return rules
    .filter((r) => fitted.has(r.station) && (r.when?.(c) ?? true))
    .filter((r) => !r.madeBy?.(c) && !r.made.some((i) => stillTells(c, r, c.record.asked(i))))
    .map(({ made: _made, madeBy: _madeBy, goesOff: _goesOff, when: _when, named, ...d }) => ({
      ...d,
      title: named?.(c) ?? d.title
    }));
}
