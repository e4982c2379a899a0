import { school } from '../house-rules/rules.ts';
import { gearCapacity } from '../stations/gear/capacity.ts';
import type { Context } from '../findings/context.ts';
import { drainMinutes } from '../physics/viscosity.ts';
import { about, figures } from './about.ts';
import { grooveVerdict } from '../stations/gear/groove.ts';
import { SEAL_DEPTH, bottlesFor, sealDriver, strokesToFill } from './figures.ts';
import type { Figure, ProcedureStep } from './procedure.ts';

/** Minutes a case drains at 20 °C (C). */
export const DRAIN = 20;

/** Draining, with its time by the oil's viscosity at the air of today. */
export function drainStep(c: Context): ProcedureStep {
  const { air, say } = about(c);
  const warm = air !== undefined && air > 235 && air < 350 ? air : undefined;
  const minutes = warm === undefined ? DRAIN : Math.max(5, Math.round(drainMinutes(warm, DRAIN)));
  return {
    id: 'drain',
    text: 'Lower plug out, then the vent; let it run into a measure, tilted a little at the end.',
    because:
      warm === undefined
        ? `${DRAIN} min at 20 °C. The air’s temperature makes it a figure.`
        : `By the oil’s viscosity at ${say(warm, 'temperature')} (ASTM D341). What is missing went somewhere.`,
    tools: ['driver that fills the slot', 'drain pan', 'measuring jug'],
    wait: minutes,
    items: ['gear.look', 'gear.drained']
  };
}

/** Bottles for what this case takes, by the bottle at hand. */
export function bottles(c: Context): Figure | undefined {
  const size = gearCapacity(c)?.value;
  const bottle = about(c).number('gear.bottle');
  if (size === undefined || bottle === undefined) return undefined;
  const twin = c.survey.engine.profile.installation;
  const n = twin === 'port' || twin === 'starboard' ? 2 : 1;
  return {
    label: n === 2 ? 'Bottles for both engines of the pair' : 'Bottles',
    dimension: 'count',
    value: bottlesFor(n * size, bottle),
    because: `${n === 2 ? 'Twice ' : ''}${about(c).say(size, 'volume')} from bottles of ${about(c).say(bottle, 'volume')}.`
  };
}

/** Strokes of the hand pump until the level hole should run. */
export function strokes(c: Context): Figure | undefined {
  const size = gearCapacity(c)?.value;
  const one = about(c).number('gear.pumpStroke');
  return size === undefined || one === undefined
    ? undefined
    : {
        label: 'Strokes of the pump',
        dimension: 'count',
        value: strokesToFill(size, one),
        low: strokesToFill(0.9 * size, one),
        high: strokesToFill(1.1 * size, one),
        because: `${about(c).say(size, 'volume')} at ${about(c).say(one, 'volume')} a stroke. Full much sooner: air or old oil is still in. Much later: it goes somewhere.`
      };
}

/** Filling from below and shutting, as every work on the case ends. */
export function fillSteps(c: Context): ProcedureStep[] {
  const { gearPlugs } = about(c);
  return [
    {
      id: 'fill',
      text: 'Filled from the lowest plug, slowly, upright, until the level hole runs without bubbles.',
      because: 'From above it traps air, and the level lies.',
      tools: ['hand pump with thread adapter'],
      ...figures(strokes(c), bottles(c)),
      items: ['gear.poured', 'gear.levelHole']
    },
    {
      id: 'shut',
      text: `Upper plug in first, then the pump out and the lower plug in quickly: ${gearPlugs} fresh ${gearPlugs === 1 ? 'washer' : 'washers'}, one a plug.`,
      because:
        'With the top shut the oil stays in while the lower hole is open. A doubled washer leaks as a missing one does.',
      renew: [`plug washers (${gearPlugs})`],
      items: ['gear.washers', 'gear.refill'],
      torque: ['torque.gearPlugs']
    }
  ];
}

/** Propeller off, with its parts in order. */
export const propellerOff: ProcedureStep = {
  id: 'propeller-off',
  text: 'Propeller off: wood between blade and plate, split pin, nut, washers, thrust piece, in this order.',
  careful: ['propeller'],
  because: 'Lanyard out and in neutral: wood holds the blade, no hand does.',
  tools: ['block of wood', 'pliers', 'socket for the propeller nut'],
  takesOff: ['split pin', 'nut', 'outer washer', 'propeller', 'thrust piece']
};
export const propellerOn: ProcedureStep = {
  id: 'propeller-on',
  text: 'Shaft greased; thrust piece, propeller, washer, nut in the mirror order, a new split pin.',
  fits: ['thrust piece', 'propeller', 'outer washer', 'nut', 'split pin'],
  renew: ['split pin'],
  torque: ['torque.propeller']
};

/** The leg comes down, the shift joint marked first. */
export const legOff = (shifts: boolean): ProcedureStep => ({
  id: 'leg-off',
  text: shifts
    ? 'Gear selected as the manual says, shift-rod joint marked and parted, leg bolts out evenly, leg straight down.'
    : 'Leg bolts out evenly, leg straight down. There is no shift joint to part.',
  careful: ['leg'],
  because: shifts ? 'A joint put back one thread off is a gear that will not engage.' : 'It hangs on the spline alone.',
  tools: ['spanners for the leg bolts', 'soft mallet', 'marker'],
  takesOff: [...(shifts ? ['shift-rod joint'] : []), 'leg bolts', 'leg'],
  branch: [
    {
      seen: 'It does not drop',
      then: 'A hidden bolt (under the trim tab, up in the housing), then a seized spline: soak, warm, wedge evenly.',
      job: 'splines'
    }
  ]
});

export const shiftsOf = (c: Context): boolean => c.survey.engine.profile.shift !== 'direct';

/** The leg goes back, and the shift is tried each way before anything runs. */
export const legOn = (c: Context): ProcedureStep[] => [
  {
    id: 'leg-on',
    text: 'Spline greased on its sides, not on its end; water tube guided into its grommet; leg up without force, bolts crosswise.',
    because:
      'Grease on the end face holds the shaft from seating. If it will not go up, turn the flywheel a little, its own way.',
    turns: { way: about(c).way, from: 'above' },
    fits: ['leg', 'leg bolts', ...(shiftsOf(c) ? ['shift-rod joint'] : [])],
    torque: ['torque.leg'],
    items: ['cooling.tube']
  },
  ...(shiftsOf(c)
    ? [
        {
          id: 'shift',
          text: 'Shift joined at its mark, then neutral, forward and reverse tried by hand at the propeller.',
          careful: ['propeller'] as const,
          because: 'Neutral first: it is the one that kills when it is not there.',
          items: ['turn.neutral', 'turn.forward', 'turn.reverse'] as const
        }
      ]
    : [])
];

/** A lip seal out, its seat judged, a new one in: what all three shafts of a case have in common. */
export function sealSteps(c: Context, where: string, facing: string): ProcedureStep[] {
  const { number, say } = about(c);
  const [lip, outer] = [number('gear.sealLip'), number('gear.sealOuter')];
  const [before, after] = [number('gear.sealDepth'), number('gear.sealDepthNew')];
  const groove = number('gear.shaftGroove');
  const driver: Figure | undefined =
    lip !== undefined && outer !== undefined && outer > lip + 1e-3
      ? {
          label: 'Driver across',
          dimension: 'length',
          ...sealDriver(lip, outer),
          because: `Bears on the ring between the lip (${say(lip, 'length', 1e-4)}) and the outside (${say(outer, 'length', 1e-4)}), and passes into the bore (from memory: half a millimetre under the outside).`
        }
      : undefined;
  const verdict = groove === undefined ? undefined : grooveVerdict(groove);
  const off = before !== undefined && after !== undefined ? Math.abs(after - before) : undefined;
  return [
    {
      id: 'note-seal',
      text: `Before it comes out: which way each lip faces at ${where}, and how deep the outer seal stands.`,
      because: `${facing} A photograph is worth more than a memory.`,
      tools: ['depth gauge or calliper'],
      items: ['gear.sealDepth']
    },
    {
      id: 'seal-out',
      text: `${school(c.rules, 'gearSeals') === 'failed' ? 'The seal that leaked' : 'Every seal that is reached here'} pulled by its metal, never levered on shaft or bore. Spring and order noted.`,
      careful: ['eyes'],
      tools: ['seal puller'],
      takesOff: [`seals at ${where}`]
    },
    {
      id: 'groove',
      text: 'A fingernail over the shaft where the lip ran; how deep is what it catches in?',
      because: 'A grooved shaft ruins the new seal within hours.',
      items: ['gear.shaftGroove'],
      ...figures(
        verdict && {
          label: {
            polish: 'Polished with fine cloth, around, not along',
            sleeve: 'A repair sleeve, or the new lip set beside the groove',
            shaft: 'A new shaft'
          }[verdict],
          dimension: 'length',
          value: groove!,
          because: 'From memory: under 0.05 mm a polish, to 0.2 mm a sleeve or a lip beside it, deeper a shaft.'
        }
      ),
      branch: [
        { seen: 'Bore scored or eaten', then: 'A new seal leaks there too: the carrier or cover is renewed with it.' }
      ]
    },
    {
      id: 'seal-in',
      text: 'New seals: outside with the maker’s sealer or dry as the manual says, lips greased, driven square with the driver.',
      because: 'Each faces as the old one did. The driver bears on the ring, never on the lip.',
      tools: ['seal driver'],
      renew: [`seals at ${where}`],
      items: ['gear.sealLip', 'gear.sealOuter'],
      ...figures(driver)
    },
    {
      id: 'depth',
      text: 'How deep does it stand now, on two sides?',
      because: 'The same on two sides is square.',
      items: ['gear.sealDepthNew'],
      ...figures(
        off === undefined
          ? undefined
          : {
              label: off <= SEAL_DEPTH ? 'As deep as the old one' : 'Not as deep as the old one stood: look why',
              dimension: 'length',
              value: off,
              because: `Difference of the depths; up to ${say(SEAL_DEPTH, 'length', 1e-4)} counts as the same (from memory). On purpose beside a groove, say so in the note.`
            }
      )
    }
  ];
}

export const testAfter: ProcedureStep = {
  id: 'test',
  proves: true,
  text: 'Case test before any oil goes in: low stage, high stage, vacuum, shafts turned and shift moved at each.',
  careful: ['air'],
  because: 'Oil hides a leak and costs a second draining.',
  tools: ['regulator and gauge', 'adapter for the plug thread'],
  wait: 10,
  items: ['gear.casePressure', 'gear.caseTurned'],
  branch: [
    { seen: 'It falls', then: 'Soapy water finds the place; a seal reversed or cocked is the first guess after work.' }
  ]
};
