import { CylindersSaid, listed } from '../../findings/context.ts';
import { practice } from '../../findings/collect.ts';
import type { WordsOf } from '../../findings/fact.ts';
import type { Because, Condition } from '../../findings/finding.ts';
import { sayLimit } from '../../findings/limit.ts';
import { say } from '../../units/index.ts';
import type { Damaged } from './damage.ts';
import type { SparkBasis, SparkFacts } from './facts.ts';
import { partName } from './isolation.ts';
import { measuredWords } from './measured-words.ts';

/** Practice of the trade, on what was seen at every cylinder. */
const pattern = ({ lanyard, ignition, seen }: SparkBasis, source: string): Because =>
  practice(
    [
      `lanyard in and switch on run: ${lanyard ?? 'unknown'}`,
      `ignition: ${ignition ?? 'unknown'}`,
      ...seen.map((s) => `cylinder ${s.cylinder}: ${s.result}${s.path ? ` (${s.path})` : ''}`)
    ],
    source
  );

const noSpark = ({ cylinders }: { cylinders: number }): string => (cylinders > 1 ? 'No spark anywhere' : 'No spark');
const byElimination = (part: { by: string }): string => (part.by === 'elimination' ? ', by elimination' : '');

const damagedWords = {
  coil: { at: 'The coil', name: 'coil', damaged: 'cracked or burnt', renew: 'Renew the coil.' },
  lead: { at: 'The lead', name: 'lead', damaged: 'damaged', renew: 'Renew lead and cap.' },
  plug: { at: 'The plug', name: 'plug', damaged: 'bridged or cracked', renew: 'Clean or renew it.' }
} as const satisfies Record<Damaged | 'plug', object>;

/** Its coils sit on the plugs: there is neither lead nor cap. */
const onPlug = ({ ignition }: SparkBasis): boolean => ignition === 'coil-on-plug';

/** What a part that was only measured asks for, by what the spark says of it. */
function measuredAdvice(condition: Condition, another: true | undefined): string {
  const again = 'measure it again cold, its temperature noted, before it is bought.';
  if (another) return `It feeds them all, and not all of them lack a spark: ${again}`;
  if (condition === 'watch') return `It sparks all the same: ${again}`;
  return condition === 'fault' ? 'Its connector first, then renew it.' : `Whether it sparks comes first; then ${again}`;
}

/** What is said of spark, of its windings, points and timing. */
export const words: WordsOf<SparkFacts, SparkBasis> = {
  lanyard: (_, basis) => ({
    found: 'No spark, but the lanyard and the switch are not recorded as in and on run.',
    advice: 'Forgetting them is the commonest “no spark”: set both and repeat.',
    because: pattern(basis, 'lanyard in, switch to run, before anything else is suspected.')
  }),
  'lanyard-out': ({ values }, basis) => ({
    found: `${CylindersSaid(values.cylinders)} ${values.cylinders.length > 1 ? 'were' : 'was'} looked at with the lanyard out or the switch off: that says nothing.`,
    advice: 'Set both and repeat.',
    because: pattern(basis, 'lanyard in, switch to run, before anything else is suspected.')
  }),
  stop: (_, basis) => ({
    found: 'Spark returns with the stop wire off: the stop circuit is grounded.',
    advice: 'Follow it for a chafed or chewed wire, then the switch.',
    because: pattern(basis, 'spark that returns with the stop wire off clears coil, pack and trigger.')
  }),
  'slow-everywhere': ({ values }, basis) => ({
    found: `${noSpark(values)}, at slow cranking.`,
    advice: 'Electronic ignition gives nothing below its minimum: plugs out, good battery, and repeat.',
    because: pattern(basis, 'cranking speed is noted with every spark.')
  }),
  part: ({ values }, basis) => {
    const { part, cleared, of } = values;
    return {
      found: `${of ? `No spark on cylinders ${listed(of.dead)}${of.shared === 'bank' ? ', one whole bank' : ''}` : noSpark(values)}: it is the ${part.label}${byElimination(part)}.`,
      advice:
        part.id === 'pack' && part.by === 'elimination'
          ? 'Dear: prove it with a known good one before it is bought.'
          : undefined,
      because: pattern(basis, `cleared: ${listed(cleared) || 'nothing yet'}.`)
    };
  },
  all: ({ values }, basis) => {
    const { left, cleared, next } = values;
    return {
      found: `${noSpark(values)}: a common part.`,
      advice: !left.length
        ? 'Everything that they share was cleared: one of the answers is wrong, or it is none of these. Known good parts, or a specialist.'
        : `Left: ${listed(left)}. ${next ? 'The isolation below says what to try next.' : 'Nothing here separates them further: known good parts, or a specialist.'}`,
      because: pattern(
        basis,
        `none on all points to what they share; ${cleared.length ? `cleared so far: ${listed(cleared)}` : 'the stop circuit comes early because it costs one connector'}.`
      )
    };
  },
  pair: ({ values }, basis) => {
    const said = `No spark on cylinders ${listed(values.dead)}`;
    const because = pattern(basis, 'cylinders that fail together share a part; the manual’s wiring says which.');
    const found =
      values.shared === 'bank'
        ? `${said}, one whole bank: what feeds that bank, its pack or trigger and their connector, before any single coil.`
        : `${said}, the others good: a coil or trigger they share.`;
    const advice = values.cleared
      ? 'All that they share was cleared: one of the answers is wrong, or each has a fault of its own. Known good parts, or a specialist.'
      : values.shared === 'coil'
        ? 'See in the manual which cylinders are fired together, and swap that coil.'
        : undefined;
    return { found, ...(advice ? { advice } : {}), because };
  },
  ground: ({ cylinder, values }, basis) => ({
    found: `Cylinder ${cylinder} sparks to a bolt but not through the tester: poor engine ground${basis.ignition === 'points' ? ' or resistive points' : ', or a spark too thin for its gap'}.`,
    ...(values.untried
      ? {
          advice: values.others
            ? 'Others spark through it: its clamp on bright metal first. No better there, it is weak of its own.'
            : 'Its clamp on bright metal first. No better there, the spark is weak and the ground is good.'
        }
      : {}),
    because: pattern(basis, 'good to a bolt and none through the tester points to ground or points.')
  }),
  own: ({ cylinder, values }, basis) => ({
    found: `Cylinder ${cylinder} has no spark: it is ${values.part.label}${byElimination(values.part)}.`,
    because: pattern(basis, 'the fault that moves with a part is that part.')
  }),
  accused: ({ cylinder, condition, values: { part, another } }, basis) => {
    const because = pattern(
      basis,
      'a part that a trial found stays guilty until it is mended; spark with the good one in its place proves the other.'
    );
    if (part === 'stop' && condition === 'cannot-tell')
      return {
        found:
          'Spark came back with the stop wire off, and nobody noted that the lanyard was in and the switch on run.',
        advice: 'Out or off it comes back just so: set both, the wire on, and look again before a wire is blamed.',
        because: practice(
          ['stop wire off: spark returns', 'lanyard and switch: not noted as in and on run'],
          'a forgotten lanyard grounds the ignition through the same wire.'
        )
      };
    if (part === 'stop')
      return {
        found: 'Spark came back with the stop wire off, and nothing says that the stop circuit was mended.',
        advice: 'Follow it for a chafed or chewed wire, then the switch; then look at the spark with the wire on.',
        because
      };
    if (part === 'key')
      return {
        found: 'The flywheel’s mark is shifted against the crank: its key is sheared, or the taper slipped.',
        advice: 'No start before the flywheel was off: it kicks back, or fires far from where it should.',
        because: practice(['mark: shifted'], 'a shifted mark is seen before the flywheel is pulled.')
      };
    if (part === 'fuse')
      return {
        found: 'No battery voltage reaches the ignition box.',
        advice: 'Main fuse and its connector, then the key switch; find why a fuse blew before a new one.',
        because
      };
    if (part === 'charge' || part === 'trigger')
      return {
        found: `The ${partName[part]} was measured outside the manual’s range.`,
        advice: measuredAdvice(condition, another),
        because
      };
    return {
      found:
        `The ${partName[part]}${cylinder === undefined ? '' : ` of cylinder ${cylinder}`} was found at fault by trial, and nothing says that it was mended or renewed.`.replace(
          ' its ',
          ' '
        ),
      because
    };
  },
  'bolt-only': ({ values: { cylinders } }, basis) => ({
    found: `${CylindersSaid(cylinders)} ${cylinders.length > 1 ? 'spark' : 'sparks'} to a bolt: something arrives, how strong it is that does not show.`,
    advice: 'Look again through the tester.',
    because: pattern(basis, 'a bolt asks for little of the voltage that a plug under compression needs.')
  }),
  none: ({ cylinder, values }, basis) => ({
    found: `No spark on cylinder ${cylinder}${values.alone ? ' alone' : ' while another has it'}: its own ${values.plug ? 'plug, ' : ''}${onPlug(basis) ? 'coil, then its connector' : 'cap, lead, then coil'}.`,
    advice: onPlug(basis)
      ? `Look at them, then swap ${values.plug ? 'plug and coil' : 'the coil'} with a good cylinder: ${values.plug ? 'a minute each' : 'a minute'}.`
      : `Look at them, arcs in the dark, then swap the ${values.plug ? 'plug and the lead' : 'lead'} with a good cylinder.`,
    because: pattern(basis, 'none on one is that cylinder’s own parts; none on all is a common part.')
  }),
  undecided: ({ cylinder }, basis) => ({
    found: `No spark on cylinder ${cylinder}, and none that sparks was seen: its own parts, or what all of them share.`,
    advice: 'Look at the others before anything is swapped.',
    because: pattern(basis, 'none on one is that cylinder’s own parts; none on all is a common part.')
  }),
  sun: ({ cylinder, values }, basis) => ({
    found: `Cylinder ${cylinder} ${values.result === 'weak' ? 'looks weak' : 'showed no spark'}, but it was judged in sunlight.`,
    advice: 'Look again in shade.',
    because: pattern(basis, 'spark is judged in shade: sunlight hides a thin one.')
  }),
  'sun-everywhere': ({ values }, basis) => ({
    found: `${noSpark(values)} was seen, in sunlight.`,
    advice: 'Look again in shade before a part is blamed.',
    because: pattern(basis, 'spark is judged in shade: sunlight hides a thin one.')
  }),
  'weak-everywhere': ({ values }, basis) => ({
    found: `Spark is weak on every cylinder${values.thin ? ', it jumps to a bolt only, and another ground makes it no better' : ''}: ${values.explained ? 'its points explain it' : 'what they share, before the plug or coil of any one'}.`,
    advice: values.explained
      ? 'Points first, then the spark again; only then the ground and the rest.'
      : `${values.shade ? '' : 'In shade and cranked briskly first. '}Then ${basis.ignition === 'points' ? `points and condenser${values.thin ? '' : ', then the engine ground'}` : `${values.thin ? '' : 'the engine ground, then '}${basis.ignition === 'cdi' ? 'the charge coil' : 'battery, supply and control unit'}`}.`,
    because: pattern(basis, 'weak on one is that cylinder’s own parts; weak on all is a common part.')
  }),
  'weak-several': ({ values: { weak, ground } }, basis) => ({
    found: `Spark is weak on ${listed(weak.map(String))} at once: ${ground ? 'their ground, since bright metal helps' : 'what they share, before the plug, lead or coil of each'}.`,
    advice: ground
      ? 'Ground wire and its seats cleaned to bright metal, then the spark again.'
      : 'The tester on bright metal first: a poor ground weakens some and not others.',
    because: pattern(
      basis,
      'weak on one is that cylinder’s own parts; on several at once it is sooner one cause than many.'
    )
  }),
  'fails-warm': ({ cylinder, values }, basis) => ({
    found: values.worked
      ? `Cylinder ${cylinder} sparked cold, and ${values.result === 'none' ? 'not at all' : 'weakly'} warm, before the work on it.`
      : `Cylinder ${cylinder} sparks cold, and ${values.result === 'none' ? 'not at all' : 'weakly'} warm: its coil, or what drives it, fails with heat.`,
    advice: values.worked
      ? 'Run it warm, and look again while it is hot.'
      : 'Measure its winding cold and warm; while it is hot, swap the coil with a good cylinder.',
    because: pattern(basis, 'what dies warm is looked at warm; a coil that opens with heat is good again cold.')
  }),
  'fails-warm-everywhere': (_, basis) => ({
    found: 'Every cylinder sparks cold and none does warm: what they share fails with heat.',
    advice: `Measured cold and warm: ${basis.ignition === 'points' ? 'condenser and coil' : basis.ignition === 'cdi' ? 'charge coil and trigger, before the pack' : 'crank sensor, before the control unit'}.`,
    because: pattern(basis, 'what dies warm is looked at warm; what all of them lose at once they share.')
  }),
  slow: ({ cylinder, values }, basis) => ({
    found: `Cylinder ${cylinder} ${values.result === 'weak' ? 'is weak' : 'shows no spark'} at slow cranking.`,
    advice: 'Repeat with the plugs out and a good battery.',
    because: pattern(basis, 'some ignitions give little below a minimum speed.')
  }),
  weak: ({ cylinder, values }, basis) => ({
    found: `${values.toBolt ? `Cylinder ${cylinder} sparks over the short gap to a bolt and not through the tester, where another does: it is weak, and of its own` : `Spark on cylinder ${cylinder} is weak`}: ${values.tried ? 'good parts in the place of its own left it so. What drives it is left: ' + (basis.ignition === 'points' ? 'its points, their gap and the condenser' : 'its trigger, then the pack') : `plug and cap first, then ${basis.ignition === 'points' && !values.pointsDone ? 'points and condenser' : 'its coil'}`}.`,
    because: pattern(basis, 'weak on one is that cylinder’s own parts.')
  }),
  unsteady: ({ cylinder }, basis) => ({
    found: `Cylinder ${cylinder} sparks sometimes: look for a loose connector, a chafed wire, or a coil that dies when warm.`,
    because: pattern(basis, 'an intermittent spark is measured again warm.')
  }),
  colour: ({ cylinder, values: { colour } }, { ignition }) => ({
    found: `Spark of cylinder ${cylinder} is ${colour === 'red' ? 'dull red' : 'thin and orange'}: little energy behind it.`,
    advice: `${ignition === 'points' ? 'Condenser, coil' : 'Coil'}, or a poor ground.`,
    because: practice([`colour: ${colour}`], 'blue-white and snapping is strong; judged in shade.')
  }),
  misses: ({ cylinder }) => ({
    found: `Spark of cylinder ${cylinder} misses now and then: a loose connector, a chafed wire, or a coil failing warm.`,
    because: practice(['steadiness: misses now and then'], 'an intermittent spark is measured again warm.')
  }),
  stray: ({ cylinder, values }) => ({
    found: `Spark of cylinder ${cylinder} goes astray: it arcs ${values.at === 'lead' ? 'from its lead' : values.at === 'cap' ? 'at its cap' : 'at its coil'}.`,
    advice: values.at === 'coil' ? 'Dry and clean it; if it arcs again, renew the coil.' : 'Renew lead and cap.',
    because: practice([`stray arc: ${values.at}`], 'looked for in the dark while it sparks.')
  }),
  damaged: ({ cylinder, values }) => {
    const part = damagedWords[values.part];
    return values.corroded
      ? {
          found: `${part.at} of cylinder ${cylinder} ${values.part === 'coil' ? 'has corroded terminals' : 'is corroded inside'}.`,
          advice: 'Bright metal, and look at the spark again.',
          because: practice([`${part.name}: corroded`], 'corrosion is cleaned before a part is blamed.')
        }
      : {
          found: `${part.at} of cylinder ${cylinder} is ${part.damaged}.`,
          advice: part.renew,
          because: practice([`${part.name}: ${part.damaged}`], 'what the eye finds needs no swap to prove it.')
        };
  },
  explained: ({ cylinder, values }, basis) => ({
    found: `No good spark on cylinder ${cylinder}: its ${damagedWords[values.part].damaged} ${damagedWords[values.part].name} explains it.`,
    advice: `${damagedWords[values.part].renew} Then look at it again, before anything is swapped.`,
    because: pattern(basis, 'what the eye found is mended first; whether more is wrong shows after it.')
  }),
  gap: ({ cylinder, values, limit }, _, units) => {
    const gap = say(values.gap, 'length', units);
    const asked = sayLimit(limit!, units);
    return {
      found: `Cylinder ${cylinder} jumps ${gap} where ${asked} is asked.`,
      because: {
        inputs: [`gap jumped: ${gap}`],
        limit: asked,
        provenance: limit!.provenance,
        source: limit!.manual
          ? 'The manual’s figure'
          : 'Common practice: about 6 mm from points, 9 to 11 mm from electronic ignition'
      }
    };
  },
  ...measuredWords,
  missing: ({ values: { cylinders } }, basis) => ({
    found: `${CylindersSaid(cylinders)}: spark not looked at yet.`,
    because: pattern(basis, 'one cylinder at a time, all of them.')
  }),
  good: ({ values: { cylinders } }, basis) => ({
    found: cylinders > 1 ? 'Good spark on every cylinder.' : 'Good spark.',
    because: pattern(basis, 'steady and strong on every cylinder.')
  })
};
