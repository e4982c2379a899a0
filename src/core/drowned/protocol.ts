import type { Context } from '../findings/context.ts';
import { doneAt } from '../jobs/done.ts';
import { mayHaveRunUnder, ranUnder } from '../record/drowned.ts';
import { school } from '../house-rules/rules.ts';
import { fuelCleared, waterComesBack } from '../stations/fuel/age.ts';
import type { ItemId, StationId } from '../stations/items.ts';
import { changes } from '../stations/oil/changes.ts';
import { sumpEmpty } from '../stations/oil/sump.ts';
import { nothingBeside, pistonDepths } from '../stations/turn/depths.ts';
import { driedAt, drying } from '../stations/run/dried.ts';
import { displaced, onlyWithTheOil, turnedDry } from '../stations/turn/hole-water.ts';

export type ProtocolState = 'done' | 'open' | 'stuck';

export interface ProtocolStep {
  readonly id: string;
  readonly title: string;
  readonly how: string;
  /** Why it stands here: what perishes while it waits. */
  readonly why: string;
  readonly minutes: number;
  readonly state: ProtocolState;
  /** How far it has got, where it is repeated. */
  readonly count?: string;
  /** Asked in place. */
  readonly items: readonly ItemId[];
  readonly station?: StationId;
  /** Ticked off by hand: no reading proves it. */
  readonly mark?: string;
  /** What the owner's answer would change of it: said where the engine's history is kept. */
  readonly owner?: string;
}

interface Rule extends Omit<ProtocolStep, 'state' | 'count' | 'how' | 'owner'> {
  /** Asked in place, where that hangs on the engine. */
  readonly asks?: (c: Context) => readonly ItemId[];
  readonly how: string | ((c: Context) => string);
  readonly owner?: (c: Context) => string | undefined;
  readonly when?: (c: Context) => boolean;
  readonly done?: (c: Context) => boolean;
  readonly stuck?: (c: Context) => boolean;
  readonly counted?: (c: Context) => string | undefined;
}

const four = (c: Context): boolean => c.survey.engine.profile.strokes === 'four';
const salty = (c: Context): boolean => c.survey.engine.history.water !== 'fresh';
const carburettor = (c: Context): boolean => {
  const f = c.survey.engine.profile.fuelSystem;
  return f !== 'electronic' && f !== 'direct';
};
const passes = (c: Context): number => c.record.all('turn.pass').length;
const sump = (c: Context): boolean => c.record.value('oil.sump') === 'drained';

/** What is done to an engine that was under water, what perishes first, first (C; the maker's manual wins). */
const rules: readonly Rule[] = [
  {
    id: 'safe',
    title: 'Battery off, do not start it',
    how: 'Lanyard out, battery off. Nobody turns a key or pulls a rope.',
    why: 'Starting it first is what kills it: water does not compress.',
    minutes: 2,
    items: ['safe.battery', 'safe.lanyard'],
    station: 'safe',
    done: (c) => ['off', 'not-fitted'].includes(String(c.record.value('safe.battery')))
  },
  {
    id: 'rinse',
    title: 'Rinse the salt out with fresh water',
    how: 'All over and inside the cowl, connectors too. If it cannot be worked on within hours, keep it under fresh water rather than in air.',
    why: 'Salt crystals form as it dries; after that they grind.',
    minutes: 10,
    items: ['safe.rinsed'],
    station: 'safe',
    when: salty,
    done: (c) => ['yes', 'kept'].includes(String(c.record.value('safe.rinsed')))
  },
  {
    id: 'plugs',
    title: 'Fuel off, plugs out, holes lowest, water out by hand',
    how: (c) =>
      `Turn by hand in its direction only, until no more water comes.${four(c) ? ' Lay a four-stroke only on the side its maker allows.' : ''} Face and hands away from the holes.`,
    why: 'Bores and rings rust first.',
    minutes: 10,
    items: ['turn.plugs', 'turn.result', 'turn.water'],
    station: 'turn',
    // Once it was dry, what the oil still brings out is the oil's to bring: the next pass shows whether more is behind it.
    done: (c) => c.record.value('turn.plugs') === 'out' && (turnedDry(c) || onlyWithTheOil(c))
  },
  {
    id: 'depths',
    title: 'Piston depth at every top: before any spin',
    how: (c) =>
      `${ranUnder(c) === 'unknown' ? 'Ask first whether it ran when it went under: if it stood, this falls away. ' : ''}Two slow hand turns, smooth; then the depth from plug seat to crown at top, twice a cylinder.${pistonDepths(c).alone ? ' One piston has no other to be laid beside: the maker’s figure, or the same depth on another engine of the model.' : ''}`,
    why: 'A rod bent by water passes a compression test and comes through the side later. Bearings may be damaged too: say so.',
    minutes: 15,
    items: ['turn.depth'],
    asks: (c) => (pistonDepths(c).alone ? ['turn.depth', 'turn.depthRight'] : ['turn.depth']),
    station: 'turn',
    owner: (c) => (ranUnder(c) === 'unknown' ? 'Write down whether it ran' : undefined),
    when: mayHaveRunUnder,
    done: (c) => pistonDepths(c).agree === true,
    stuck: (c) => pistonDepths(c).agree === false || nothingBeside(c)
  },
  {
    id: 'sump',
    title: 'Drain the sump before anything spins',
    how: (c) =>
      school(c.rules, 'drownedSpin') === 'after'
        ? 'Drain, measure what came out, fill with cheap oil. Only then is it spun.'
        : 'Your house rule spins it first; drain right after, measure, fill with cheap oil.',
    why: 'The first spin would pump water into every bearing.',
    minutes: 20,
    items: ['oil.sump', 'oil.drained'],
    station: 'oil',
    when: four,
    done: sump
  },
  {
    id: 'sump-fill',
    title: 'Cheap oil into the sump, dipped twice',
    how: 'To between the marks; it comes out again with the water that is still in the engine.',
    why: 'Nothing is turned over on a sump without oil.',
    minutes: 10,
    items: ['oil.poured', 'oil.dip'],
    station: 'oil',
    when: (c) => four(c) && sump(c),
    done: (c) => sumpEmpty(c) === undefined
  },
  {
    id: 'crankcase',
    title: 'Crankcase, oil tank and oil lines emptied',
    how: 'Drain screws open, turned by hand with the holes lowest; oil-injection tank and lines emptied and filled fresh.',
    why: 'Water lies on the lower bearings.',
    minutes: 15,
    items: [],
    when: (c) => !four(c),
    mark: 'drowned.crankcase'
  },
  {
    id: 'displace',
    title: 'Water-displacing oil in, turned, blown dry; again until only oil comes',
    how: 'Through plug holes and intake. Turn, then spin where no hold forbids it; blow dry with eyes covered; one tap a pass.',
    why: 'A film of water rusts a bore overnight.',
    minutes: 10,
    items: ['turn.pass'],
    station: 'turn',
    done: displaced,
    counted: (c) => (passes(c) ? `${passes(c)} ${passes(c) === 1 ? 'pass' : 'passes'} so far` : undefined)
  },
  {
    id: 'fuel',
    title: 'Tank, line, bowl emptied; a jar shows the water',
    how: (c) =>
      carburettor(c)
        ? 'Bowl by its screw, line and filter off, tank to the last drop. A clear jar from each.'
        : 'Pressure released by the manual; vapour separator drained, filter out, rail flushed by the manual.',
    why: 'Water settles where the jet or the pump draws.',
    minutes: 25,
    items: ['fuel.jar', 'fuel.tank', 'fuel.line', 'fuel.bowl'],
    station: 'fuel',
    done: (c) => fuelCleared(c).cleared,
    // Again and again it is a question of where it comes from, and no more of the clock.
    stuck: waterComesBack
  },
  {
    id: 'air',
    title: 'Air box and filter dried and cleaned',
    how: 'Off, emptied, silt washed out, dry before it goes back.',
    why: 'What stands in it is sucked in by the first pull.',
    minutes: 10,
    items: [],
    mark: 'drowned.air'
  },
  {
    id: 'electrics',
    title: 'Connectors opened, dried, protected; starter too',
    how: 'Every plug under the cowl apart, rinsed, blown dry, protected. Starter off, opened or rinsed and dried by the manual.',
    why: 'Copper turns green within days; a starter seizes.',
    minutes: 40,
    items: [],
    mark: 'drowned.electrics'
  },
  {
    id: 'changes',
    title: 'Engine oil changed until the residue is gone',
    how: 'Cheap oil first, run or turned between by the plan; what came out is measured each time.',
    why: 'What stays behind in galleries and filter mixes into the next fill.',
    minutes: 30,
    items: ['oil.drained', 'oil.look'],
    station: 'oil',
    when: four,
    done: (c) => changes(c).made > 0 && changes(c).open === 0,
    counted: (c) => {
      const p = changes(c);
      return p.made || p.open ? `${p.made} made, ${p.open} to go` : undefined;
    }
  },
  {
    id: 'gear',
    title: 'Gear oil looked at',
    how: 'Lower plug a crack: free water comes first.',
    why: 'A case that breathed water rusts its bearings while nobody looks.',
    minutes: 4,
    items: ['gear.first'],
    station: 'gear',
    done: (c) => c.record.value('gear.first') !== undefined
  },
  {
    id: 'run',
    title: 'Fresh fuel, plugs clean or new; first run light and short, oil dropped hot',
    how: 'Outdoors, water on. Minutes only, no load; then the oil out while it is hot.',
    why: 'Heat drives out what no cloth reaches; the first oil takes it along.',
    minutes: 30,
    items: [],
    station: 'run',
    done: (c) => c.record.value('run.outcome') === 'ran'
  },
  {
    id: 'long',
    title: 'A long warm run, half an hour or more',
    how: 'On water, thermostat open all the time, watched to the end.',
    why: 'Only a hot engine dries its crankcase.',
    minutes: 40,
    items: ['run.longRun'],
    station: 'run',
    done: (c) => driedAt(c) !== ''
  },
  {
    id: 'next-day',
    title: 'Looked at again the next day',
    how: 'Oil, plugs, turned by hand. Milky again: it is not over.',
    why: 'Water that hid shows overnight.',
    minutes: 15,
    items: [],
    mark: 'drowned.next-day',
    // Read there, it need not be ticked.
    done: (c) => driedAt(c) !== '' && drying(c) === undefined
  }
];

/** The steps for this engine in their order, each as far as the record shows it. */
export function protocol(c: Context): ProtocolStep[] {
  const ticked = doneAt(c);
  return rules
    .filter((r) => r.when?.(c) ?? true)
    .map(({ when: _w, done, stuck, counted, how, asks, owner, ...r }) => {
      const count = counted?.(c);
      const said = owner?.(c);
      return {
        ...r,
        how: typeof how === 'string' ? how : how(c),
        items: asks?.(c) ?? r.items,
        state: stuck?.(c) ? 'stuck' : (r.mark && ticked.has(r.mark)) || done?.(c) ? 'done' : 'open',
        ...(count ? { count } : {}),
        ...(said ? { owner: said } : {})
      };
    });
}

/** What an engine gets that cannot run the same day (C). */
export const tonight = [
  { id: 'drowned.fill', text: 'Bores filled with oil through the plug holes, turned two turns by hand.' },
  { id: 'drowned.cap', text: 'Plugs in finger-tight or holes capped; intake and exhaust closed.' },
  { id: 'drowned.label', text: 'Label printed and tied on: nobody cranks it.' }
] as const;
