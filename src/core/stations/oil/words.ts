import { ownLimits } from '../../engine/limits.ts';
import { practice } from '../../findings/collect.ts';
import { listed } from '../../findings/context.ts';
import type { Words, WordsOf } from '../../findings/fact.ts';
import type { Because } from '../../findings/finding.ts';
import { sayLimit, type Judged } from '../../findings/limit.ts';
import { say, type System } from '../../units/index.ts';
import { cameOverWords } from './came-over-words.ts';
import { USUAL_RESIDUE } from './changes.ts';
import { markWords, sayDip } from './dip-words.ts';
import type { OilBasis, OilFacts } from './facts.ts';
import { LABORATORY_SHARE } from './laboratory.ts';
import { SETTLED } from './position.ts';
import { weightWords } from './rival-words.ts';

const tenths = (x: number): string => `${(100 * x).toFixed(1)} %`;
const volume = (x: number, units: System): string => say(Math.abs(x), 'volume', units);
const dilutionLimit = (fault: Judged, units: System): string =>
  `fuel in oil: watch ${tenths(ownLimits.dilutionWatch)}, fault ${sayLimit(fault, units)}`;

const dipped = ({ dips, look }: OilBasis): string[] => [
  `dips: ${dips.map(sayDip).join(', ') || 'none'}`,
  `oil: ${look ?? 'not looked at'}`
];

function dippedBecause(basis: OilBasis, units: System): Because {
  const { volume: v, tilted } = basis;
  return practice(
    [...dipped(basis), ...(tilted ? ['not level when dipped'] : [])],
    'upright, level, wait, wipe, dip until two dips agree; the first after filling or trimming misleads.',
    v
      ? {
          value: `${volume(v.beyond, units)} ${v.beyond < 0 ? 'under the low' : 'over the high'} mark`,
          uncertainty: `± ${volume(v.uncertainty, units)}`
        }
      : {}
  );
}

const smelt = ({ lookAnswer, smell }: OilBasis): Because =>
  practice(
    [`oil: ${lookAnswer ?? 'not looked at'}`, `smell: ${smell ?? 'not smelt'}`],
    'short cold runs leave a trace of fuel, which a long warm run drives off; thin oil that smells strongly is diluted.'
  );

const smellWords = {
  stayed: {
    found: 'It smells of fuel, and dipped after the run it has not risen: what is in it a long warm run drives off.'
  },
  fuel: {
    found: 'It smells of fuel.',
    advice:
      'A nose does not measure: feel it between the fingers, watch the level over the next hours, or have its viscosity measured.'
  },
  faint: {
    found: 'A faint smell of fuel is usual after short cold runs; the level decides, and a long warm run drives it off.'
  }
} as const;

function aboveBecause(v: OilFacts['diluted'], basis: OilBasis, units: System): Because {
  return {
    inputs: [
      ...dipped(basis),
      ...v.weights.map(
        (w) =>
          `${weightWords[w.id]}: ${w.ratio > 1 ? 'for dilution' : 'for overfilling'}, ${(w.ratio > 1 ? w.ratio : 1 / w.ratio).toFixed(0)} to 1`
      )
    ],
    ...(v.share === undefined
      ? {}
      : {
          value: `${tenths(v.share)} by volume if it is all fuel; ${v.viscosity!.toFixed(1)} mm²/s at 100 °C where clean oil has ${v.fresh.toFixed(1)}`
        }),
    uncertainty: 'the weights are estimates, from memory',
    limit: dilutionLimit(v.fault, units),
    formula: 'odds multiplied, even before; blend by the Refutas index, volume turned into mass first',
    provenance: 'M',
    source: 'Weights of evidence from memory; Refutas blending index (P)'
  };
}
const over = ({ beyond }: OilFacts['diluted'], units: System): string =>
  beyond ? ` by ${say(beyond, 'volume', units)}` : '';
const speaking = ({ weights }: OilFacts['diluted'], dilution: boolean): string =>
  listed(weights.filter((w) => (dilution ? w.ratio > 1 : w.ratio < 1)).map((w) => weightWords[w.id]));

function laboratoryWords({ lab, verdict }: OilFacts['laboratory']): Omit<Words, 'because'> {
  switch (verdict) {
    case 'thicker':
      return {
        found: `${Math.round(100 * lab.thicker!)} % thicker than fresh: oxidised, sooty or mixed with a thicker oil, not diluted.`,
        advice: 'Change it.'
      };
    case 'fault':
      return {
        found: `About ${tenths(lab.share)} of fuel in the oil by its viscosity.`,
        advice: 'Change it, and find why.'
      };
    case 'watch':
      return { found: `About ${tenths(lab.share)} of fuel in the oil by its viscosity: change it.` };
    case 'fresh':
      return { found: 'Its viscosity is that of the fresh oil, within what the figures tell.' };
    case 'close':
      return {
        found: `Between ${tenths(lab.low)} and ${tenths(lab.high)} of fuel by its viscosity: too close to the limit to call.`,
        advice: 'Change it if in doubt; it costs less than a second test.'
      };
  }
}

const pouredBecause = ({ poured, cups, asked }: OilFacts['poured-over'], units: System): Because =>
  practice(
    [`poured: ${volume(poured, units)} in ${cups}`, `asked: ${volume(asked, units)}`],
    'stop a little short, wait, dip twice, then top up.'
  );

export const words: WordsOf<OilFacts, OilBasis> = {
  unfilled: ({ values: { why } }, basis, units) => ({
    found:
      why === 'new'
        ? 'No oil on the stick: a new engine comes without.'
        : 'The sump is drained: there is no oil in the engine.',
    advice: 'Fill it as its manual says, then dip twice, before anything turns it.',
    because: dippedBecause(basis, units)
  }),
  level: (_, basis, units) => ({
    found: 'It was not upright and level: these dips say nothing.',
    advice: 'Level it, wait, dip twice.',
    because: dippedBecause(basis, units)
  }),
  early: (_, basis, units) => ({
    found: 'Dipped before the oil had settled: the first look after filling, trimming or running misleads.',
    advice: `Wait ${SETTLED} minutes at least, dip twice.`,
    because: dippedBecause(basis, units)
  }),
  'dip-once': ({ values }, basis, units) => ({
    found: `One dip says ${sayDip(values.dip)}.`,
    advice: 'Wipe and dip again: only two that agree count.',
    because: dippedBecause(basis, units)
  }),
  'dips-differ': (_, basis, units) => ({
    found: 'The two last dips do not agree.',
    advice: 'Level it, wait, dip again.',
    because: dippedBecause(basis, units)
  }),
  'dips-between': (_, basis, units) => ({
    found: 'Two dips agree: between the marks.',
    because: dippedBecause(basis, units)
  }),
  'dips-under': ({ values: { mark, toMiddle, fell } }, basis, units) => ({
    found: `Two dips agree: ${markWords[mark]}${fell ? ', where two before stood between the marks or over them, and nothing was drawn off' : ''}.`,
    advice: `${fell ? 'A new filter takes its share once; else it runs out: look round filter and drain screw first. ' : ''}${toMiddle === undefined ? 'Fill by the tally' : `Add ${volume(toMiddle, units)} to stand in the middle, by the tally`}, wait, dip twice.`,
    because: dippedBecause(basis, units)
  }),
  diluted: ({ values }, basis, units) => ({
    found: `Above the mark${over(values, units)}, and it is fuel rather than overfilling: ${speaking(values, true)}.`,
    advice: 'Change it, find why, run it loaded.',
    because: aboveBecause(values, basis, units)
  }),
  overfilled: ({ values }, basis, units) => ({
    found: `Above the mark${over(values, units)}, and overfilled rather than diluted: ${speaking(values, false)}.`,
    advice: 'Draw it down to between the marks.',
    because: aboveBecause(values, basis, units)
  }),
  'above-open': ({ values }, basis, units) => ({
    found: `Two dips agree above the mark${over(values, units)}: overfilled or diluted cannot be told yet.`,
    advice: 'Smell it, see how it runs off the stick, and find out what was poured in; take nothing apart before.',
    because: aboveBecause(values, basis, units)
  }),
  milky: (_, basis, units) => ({
    found: 'The engine oil is milky: water in it.',
    advice: 'Drain it before anything spins, and find the way in.',
    because: dippedBecause(basis, units)
  }),
  'milky-before': ({ values: { stage } }, basis, units) => ({
    found: `The engine oil was milky, and was changed${stage === 'unseen' ? '; nobody has seen the new oil' : ''}.`,
    advice: {
      unseen: 'Look at it: clear, or milky once more?',
      'run-first': 'It is clear now. What comes in while it runs shows only after a run: look at it once more then.',
      'after-run': 'It has run since: look at the oil once more. Water that comes in while it runs shows only now.'
    }[stage],
    because: dippedBecause(basis, units)
  }),
  'level-milky': ({ values: { mark } }, basis, units) => ({
    found: `Two dips agree: ${markWords[mark]}; but it is milky, and the water in it stands there too.`,
    advice: 'Drained and filled anew, it is dipped twice more.',
    because: dippedBecause(basis, units)
  }),
  look: (_, basis, units) => ({
    found: 'The engine oil looks clean.',
    because: dippedBecause(basis, units)
  }),
  'level-unread': (_, basis, units) => ({
    found: 'The engine oil was not dipped yet.',
    advice: 'Level it, wait, dip it twice.',
    because: dippedBecause(basis, units)
  }),
  thin: (_, basis) => ({
    found: 'The oil is thin or smells strongly of fuel: dilution.',
    advice: 'Change it before a long run.',
    because: smelt(basis)
  }),
  'thin-before': (_, basis) => ({
    found: 'The oil was thin or smelt strongly of fuel before it was worked on.',
    advice: 'Smell it, and see how it runs off the stick, before a long run.',
    because: smelt(basis)
  }),
  'diluted-before': (_, basis, units) => ({
    found:
      'There was fuel in the engine oil and it was changed; it has run since, and nobody has dipped it after that.',
    advice: 'Wait, dip twice: has it risen? Fuel that still gets in shows only now.',
    because: dippedBecause(basis, units)
  }),
  'came-over': ({ values }, _, units) => cameOverWords(values, units),
  smell: ({ values }, basis) => ({ ...smellWords[values.stayed ? 'stayed' : values.smell], because: smelt(basis) }),
  burnt: (_, basis, units) => ({
    found: 'The oil smells burnt: it ran hot or far too long.',
    advice: 'Change it, and look at the cooling before a long run.',
    because: dippedBecause(basis, units)
  }),
  'laboratory-alone': ({ values: { used } }, _, units) => {
    const viscosity = say(used, 'viscosity', units);
    return {
      found: `The laboratory found ${viscosity} at 100 °C; without the figure of the same oil fresh nobody can say whether that is thin.`,
      advice: 'Its data sheet has it.',
      because: practice([`viscosity at 100 °C: ${viscosity}`], 'used oil is compared with the same oil fresh.')
    };
  },
  laboratory: ({ values }, _, units) => {
    const { lab, fault } = values;
    const viscosity = (x: number): string => say(x, 'viscosity', units);
    return {
      ...laboratoryWords(values),
      because: {
        inputs: [`viscosity at 100 °C: ${viscosity(lab.used)}`, `the same oil fresh: ${viscosity(lab.fresh)}`],
        value: `${tenths(lab.share)} of petrol by volume`,
        uncertainty: `${tenths(lab.low)} to ${tenths(lab.high)} (95 %, ${tenths(LABORATORY_SHARE)} on each figure, from memory)`,
        limit: dilutionLimit(fault, units),
        formula: 'Refutas blend of fresh oil and petrol, solved for the share',
        provenance: 'P',
        source: 'Refutas blending index; viscosities at one temperature'
      }
    };
  },
  pressure: ({ values: { pressure, rpm, wanted, verdict } }, _, units) => {
    const read = say(pressure, 'pressure', units);
    const where = rpm === undefined ? '' : ` at ${Math.round(rpm)} rpm`;
    const least = wanted ? sayLimit(wanted, units) : undefined;
    return {
      found: {
        good: `The oil has its pressure: ${read}${where}, at least ${least} wanted.`,
        low: `Oil pressure is low: ${read}${where}${least ? `, at least ${least} wanted` : ''}. Its bearings run dry.`,
        close: `Oil pressure of ${read}${where} is too close to ${least} to call.`,
        speed: `Oil pressure was ${read}; at what speed nobody noted, so nobody can say whether that is enough.`,
        contradicted: `Oil pressure is ${read}${where} now, and was too low before with nothing done since: one of the two is wrong.`
      }[verdict],
      ...{
        good: {},
        low: { advice: 'Do not start it. Level and filter first; then relief valve, pick-up, pump, bearings.' },
        close: { advice: 'Read it again, warm, at a higher speed, or by the manual’s figure.' },
        speed: { advice: 'Read it again and note the speed, or enter the manual’s figure.' },
        contradicted: { advice: 'The gauge and its fitting first; good twice running, it counts as good.' }
      }[verdict],
      because: {
        inputs: [`by a gauge: ${read}`, `engine speed: ${rpm === undefined ? 'not noted' : `${Math.round(rpm)} rpm`}`],
        ...(least ? { limit: `at least ${least}` } : {}),
        uncertainty: 'a gauge put in for a look: 5 %, a psi at least (from memory)',
        formula: '10 psi for every 1000 rpm where the manual says nothing',
        provenance: wanted?.provenance ?? 'C',
        source: 'Common practice, from memory; the manual’s figure counts'
      }
    };
  },
  residue: ({ values: p }) => {
    const percent = (x: number): string => `${(100 * x).toFixed(x < 0.01 ? 2 : 1)} %`;
    const changes = p.made === 1 ? 'change' : 'changes';
    return {
      ...(p.open
        ? {
            found: `After ${p.made} oil ${changes} about ${percent(p.left)} of what was in it is left; ${p.open} more to get under ${percent(p.target)}${p.litres === undefined ? '' : `, ${p.litres.toFixed(1)} L, about ${Math.round(p.cost!)} cr`}.`,
            advice: 'Cheap oil first.'
          }
        : { found: `After ${p.made} oil changes about ${percent(p.left)} of what was in it is left.` }),
      because: {
        inputs: [
          `changes made: ${p.made}`,
          `stays behind each time: ${percent(p.share)}${p.measured ? ', measured here' : `, usual ${percent(USUAL_RESIDUE)}`}`
        ],
        value: percent(p.left),
        limit: `${percent(p.target)} (house rule)`,
        formula: 'left = rⁿ, r = 1 − drained/fill',
        provenance: 'P',
        source: 'Each change dilutes what stayed behind; the usual share from memory'
      }
    };
  },
  'poured-over': ({ values: v }, _, units) => ({
    ...(v.dipped
      ? { found: `${volume(v.poured, units)} poured in; the dips agree between the marks.` }
      : {
          found: `${volume(v.over, units)} more than the ${volume(v.asked, units)} asked has been poured in.`,
          advice: 'Wait, dip twice before anything else.'
        }),
    because: pouredBecause(v, units)
  }),
  'poured-short': ({ values: v }, _, units) => ({
    found: `${volume(v.poured, units)} poured in, ${volume(v.over, units)} to go; stop a cup short, wait and dip twice.`,
    because: pouredBecause(v, units)
  }),
  'poured-as-asked': ({ values: v }, _, units) => ({
    found: `${volume(v.poured, units)} poured in, as asked.`,
    advice: 'Wait, then dip twice.',
    because: pouredBecause(v, units)
  }),
  undipped: ({ values: { poured, drawn } }, _, units) => ({
    found: poured
      ? `${volume(poured, units)} poured in, and not dipped since.`
      : 'Some oil was drawn off, and it was not dipped since.',
    advice: 'Wait, then dip twice: level, wiped.',
    because: practice(
      [poured ? `poured: ${volume(poured, units)}` : `drawn off: ${drawn ? 'yes' : 'no'}`],
      'the stick says where it stands, not the jug.'
    )
  }),
  filter: () => ({
    found: 'The old filter seal is still on the engine: two seals blow out under pressure.',
    advice: 'Take it off before the new filter goes on.',
    because: practice(['filter: old seal still on'], 'the old seal comes off with its filter, or it stays.')
  })
};
