import { drowned, ranUnder } from '../record/drowned.ts';
import { unmended } from '../findings/unmended.ts';
import { allItems } from '../stations/items.ts';
import type { Context } from '../findings/context.ts';
import { cylindersOf, cylindersSaid } from '../findings/context.ts';
import { school } from '../house-rules/rules.ts';
import { beltWasOff } from '../stations/turn/belt.ts';
import { nothingBeside, pistonDepths } from '../stations/turn/depths.ts';
import { displaced, turnedDry, waterComes, waterIn } from '../stations/turn/hole-water.ts';
import { oilShutIn, plugsAt } from '../stations/turn/plugs-out.ts';
import { smooth, turning } from '../stations/turn/turns.ts';
import type { HoldRule, Need } from './hold.ts';
import { fourStroke, fuelNeeds, milkyNow } from './needs.ts';

const smoothTurns = (c: Context): number => turning(c).smoothSince;

/** Turned smoothly with the plugs out: that they went back in later takes nothing away. */
const turnedOpen = (c: Context): boolean =>
  turning(c).turns.some((t) => smooth.has(t.result) && plugsAt(c, t.at) === 'out') && smoothTurns(c) >= 1;

/** Cylinders in which something was seen to lie, and nobody saw it gone. */
const debrisIn = (c: Context): number[] => cylindersOf(c).filter((n) => c.record.value('plugs.hole', n) === 'debris');

/** Its timing belt was seen in a state that may let it slip. */
function suspectBelt(c: Context): boolean {
  const belt = c.record.value('turn.belt');
  if (belt !== undefined && !['sound', 'renewed', 'not-fitted'].includes(belt)) return true;
  // Seen cracked or off its marks, and sound at the next look with nothing done: one of the two is wrong.
  return unmended(c, 'turn.belt', allItems['turn.belt']) !== undefined;
}

/** What its pistons' depths still have to show before it may spin, or why they never will. */
function depthNeed(c: Context): Need {
  const { odd, low, once, alone, agree } = pistonDepths(c);
  const never = (why: string): Need => ({
    text: `${why}, it goes to a specialist`,
    done: false,
    never: true
  });
  if (nothingBeside(c)) return never('one piston, and no figure to lay its depth beside: this hold does not lift here');
  if (odd?.again)
    return never(`piston ${odd.cylinder} stands higher than the others, measured again: this hold does not lift`);
  if (low.length > once.length)
    return never(`piston ${low.filter((k) => !once.includes(k)).join(', ')} stands low: this hold does not lift`);
  const open = (): string => {
    if (odd) return `piston ${odd.cylinder} reads higher than the others: its top found anew and measured again`;
    if (alone) return 'the piston’s depth at top recorded, and agreeing with the maker’s figure or with a sister’s';
    if (once.length) return `piston ${once.join(', ')} stands low, taken once: its top found anew and measured again`;
    return 'every piston’s depth at top recorded and agreeing';
  };
  return {
    text: open(),
    done: agree === true,
    station: 'turn',
    items: alone ? ['turn.depth', 'turn.depthRight'] : ['turn.depth']
  };
}

/** Of an engine of which nobody can say that it stood when it sank: its pistons show it, or somebody remembers. */
function standingNeed(c: Context): Need {
  if (nothingBeside(c))
    return {
      text: 'nobody knows whether it ran when it went under, and one piston has nothing to lay its depth beside',
      done: false,
      never: true
    };
  const need = depthNeed(c);
  return need.never ? need : { ...need, text: `known that it stood when it went under, or ${need.text}` };
}

/** What forbids turning it by starter or rope, most dangerous first. */
export const crankRules: readonly HoldRule[] = [
  {
    id: 'drowned-running',
    title: 'Drowned while running: no spin at all',
    blocks: ['crank', 'start', 'release'],
    raised: (c) =>
      ranUnder(c) === 'yes'
        ? 'A rod bent by water passes a compression test and then comes through the side.'
        : undefined,
    needs: (c) => [
      {
        text: 'two slow, smooth hand turns recorded',
        done: smoothTurns(c) >= 2,
        station: 'turn',
        items: ['turn.result']
      },
      depthNeed(c)
    ]
  },
  {
    id: 'drowned',
    title: 'Drowned: no cranking with plugs in, no start',
    blocks: ['crank', 'start', 'release'],
    raised: (c) => (drowned(c) ? 'Starting a drowned engine first is what kills it.' : undefined),
    needs: (c) => [
      {
        text: 'plugs out',
        done: c.record.value('turn.plugs') === 'out' || turnedOpen(c),
        station: 'turn',
        items: ['turn.plugs']
      },
      { text: 'turned by hand, smooth', done: smoothTurns(c) >= 1, station: 'turn', items: ['turn.result'] },
      {
        text: 'no more water from the plug holes',
        done: turnedDry(c),
        station: 'turn',
        items: ['turn.water', 'plugs.hole']
      },
      ...(ranUnder(c) === 'unknown' ? [standingNeed(c)] : []),
      ...(!fourStroke(c)
        ? [
            {
              text: 'water displaced with oil until clear',
              done: displaced(c),
              station: 'turn' as const,
              items: ['turn.dried', 'turn.pass'] as const
            }
          ]
        : school(c.rules, 'drownedSpin') === 'after'
          ? [
              {
                text: 'sump drained and changed before it spins',
                done: c.record.value('oil.sump') === 'drained',
                station: 'oil' as const,
                items: ['oil.sump'] as const
              }
            ]
          : []),
      ...fuelNeeds(c)
    ]
  },
  {
    id: 'low-piston',
    title: 'A piston stands low: no cranking',
    blocks: ['crank', 'start', 'release'],
    // Of an engine that went under running the hold above asks for every piston's depth, and holds by it.
    raised: (c) => {
      if (ranUnder(c) === 'yes') return undefined;
      const { low, agree, limit } = pistonDepths(c);
      if (low.length) return 'A bent rod passes a compression test and then comes through the side.';
      const taken = c.record.all('turn.depth').flatMap((r) => (typeof r.value === 'number' ? [r.value] : []));
      return agree !== true && Math.max(...taken) - Math.min(...taken) > limit.value
        ? 'A piston stood low in one reading, and nothing read since says that it does not: its rod counts as bent.'
        : undefined;
    },
    needs: (c) => [depthNeed(c)]
  },
  {
    id: 'locked',
    title: 'Locked, gritty or noisy: no cranking',
    blocks: ['crank', 'start', 'release'],
    curedBy: ['soak', 'metal', 'feel', 'pinion', 'linkage', 'overhaul'],
    raised: (c) => {
      const t = turning(c);
      const feel = c.record.last('turn.feel')?.value;
      if (Array.isArray(feel) && feel.some((f) => f === 'noise' || f === 'play'))
        return 'It turned with noise or play.';
      return t.everBad && !t.provedNextDay
        ? `It was ${t.turns.findLast((x) => x.result !== 'bumps' && x.result !== 'free')?.result} when turned by hand.`
        : undefined;
    },
    needs: (c) => {
      const t = turning(c);
      const feel = c.record.last('turn.feel')?.value;
      return [
        {
          text: 'free without grit, noise or play',
          done: t.smoothSince > 0 && !(Array.isArray(feel) && feel.some((f) => f !== 'tight')),
          station: 'turn',
          items: ['turn.result', 'turn.feel']
        },
        {
          text: 'free again the next day: oil hides grit',
          done: t.provedNextDay,
          station: 'turn',
          items: ['turn.result']
        }
      ];
    }
  },
  {
    id: 'debris',
    title: 'Something lies in a cylinder: no cranking',
    blocks: ['crank', 'start', 'release'],
    raised: (c) => {
      const where = debrisIn(c);
      return where.length
        ? `Something lies in ${cylindersSaid(where)}: the piston drives it into head and valves.`
        : undefined;
    },
    needs: (c) =>
      debrisIn(c).map((n) => ({
        text: `cylinder ${n} looked into again, and clean`,
        done: false,
        station: 'plugs',
        items: ['plugs.hole']
      }))
  },
  {
    id: 'assembled',
    title: 'Binds since it was put together: no cranking',
    blocks: ['crank', 'start', 'release'],
    raised: (c) =>
      c.record.value('turn.assembled') === 'binds' ? 'What binds by hand breaks under the starter.' : undefined,
    needs: () => [
      {
        text: 'taken apart again, and turned by hand as easily as before',
        done: false,
        station: 'turn',
        items: ['turn.assembled']
      }
    ]
  },
  {
    id: 'liquid',
    title: 'Water in a cylinder: no cranking with it inside',
    blocks: ['crank', 'start', 'release'],
    raised: (c) => {
      if (drowned(c)) return undefined;
      const wet = waterIn(c);
      if (!wet.length && !waterComes(c)) return undefined;
      return `${wet.length ? `There is water in ${cylindersSaid(wet)}` : 'Water still comes out of the plug holes'}: it does not compress, and bends the rod.`;
    },
    needs: (c) => [
      {
        text: 'plugs out, turned by hand with the holes lowest, and every hole looked into and dry',
        done: waterIn(c).length === 0 && !waterComes(c),
        station: 'plugs',
        items: ['turn.water', 'plugs.hole']
      }
    ]
  },
  {
    id: 'milky-oil',
    title: 'Water in the engine oil: nothing spins with it inside',
    blocks: ['crank', 'start'],
    curedBy: ['oil-changes', 'sump-water'],
    raised: (c) =>
      fourStroke(c) && !drowned(c) && milkyNow(c)
        ? 'The engine oil is milky: water stands where the bearings take their oil from.'
        : undefined,
    needs: () => [
      { text: 'sump drained, oil and filter changed', done: false, station: 'oil', items: ['oil.sump'], minutes: 30 }
    ]
  },
  {
    id: 'bore-oil',
    title: 'Oil in the bores with the plugs in: no cranking',
    blocks: ['crank', 'start'],
    raised: (c) =>
      oilShutIn(c) ? 'Oil does not compress: what was put into the bores must come out first.' : undefined,
    needs: () => [
      {
        text: 'plugs out, turned by hand until no more oil comes',
        done: false,
        station: 'turn',
        items: ['turn.plugs', 'turn.result']
      }
    ]
  },
  {
    id: 'belt',
    title: 'Timing belt suspect: no cranking',
    blocks: ['crank', 'start', 'release'],
    curedBy: ['belt'],
    raised: (c) => {
      if (c.survey.engine.profile.interference === 'no') return undefined;
      if (suspectBelt(c)) return 'If it slips, pistons meet valves.';
      return beltWasOff(c)
        ? 'It came off with the head, and nobody has seen its marks since: a tooth out, and pistons may meet valves.'
        : undefined;
    },
    needs: (c) => [
      {
        text: `${suspectBelt(c) ? 'belt renewed' : 'belt on'}, turned two turns by hand, marks in line`,
        done: false,
        station: 'turn',
        items: ['turn.belt']
      }
    ]
  }
];
