import { DRIES, type Drying } from './dried.ts';
import { SEASON } from '../../findings/elapsed.ts';
import { practice } from '../../findings/collect.ts';
import type { Words, WordsOf } from '../../findings/fact.ts';
import type { Because } from '../../findings/finding.ts';
import { sayLimit } from '../../findings/limit.ts';
import { sayValue } from '../../items/check-entry.ts';
import { say, type System } from '../../units/index.ts';
import { sources } from '../cooling/source.ts';
import { CHARGING, CHARGING_RPM } from './charging.ts';
import { sayBeside } from './compare-words.ts';
import type { RunBasis, RunFacts } from './facts.ts';
import type { NoisePlace } from './noise.ts';
import { items } from './readings.ts';
import { PULLS, TACHOMETER } from './start-and-idle.ts';
import { lapsedWords, smokeWords, SPARKS_HOT, looksFirst, symptomWords } from './symptom-words.ts';
import { temperatureWords, watched } from './temperature-words.ts';
import { clock, NEVER_WARM } from './warming.ts';

const short = (s: string): string => (s.length > 90 ? `${s.slice(0, 88).trimEnd()}…` : s).replace(/[.\s]+$/, '');

/** What was told of the run, as it stands behind what its answers say. */
const told = ({ outcome, minutes, lamp, smoke, leaks }: RunBasis, units: System): Because =>
  practice(
    [
      `outcome: ${outcome ?? 'not run yet'}`,
      ...(minutes === undefined ? [] : [`ran for ${say(minutes, 'minutes', units)}`]),
      ...(lamp ? [`lamp or horn: ${lamp}`] : []),
      ...(smoke ? [`smoke: ${smoke}`] : []),
      ...(leaks ? [`leaks: ${leaks}`] : [])
    ],
    'a first run outdoors on water, watched to the end.'
  );

const voltsBecause = ({ volts, rpm }: RunFacts['charges']): Because =>
  practice([`volts: ${volts.toFixed(1)}`, `speed: ${rpm ?? 'not noted'}`], 'volts at the battery, at speed.', {
    limit: `${CHARGING.low.toFixed(1)} to ${CHARGING.high.toFixed(1)} V (common practice, from memory)`
  });

const idleBecause = (idle: number, limit?: string): Because =>
  practice([`idle in gear: ${Math.round(idle)} rpm`], 'set warm, in gear, to the manual’s figure.', {
    uncertainty: `± ${100 * TACHOMETER} % of the tachometer (from memory)`,
    ...(limit ? { limit } : {})
  });

const lampWords = {
  worked: {
    found: 'The lamp or horn came on, and what it tells of was worked on since.',
    advice: 'The same run again, the lamp watched; where it comes on once more, a gauge in place of the sender.'
  },
  open: { found: 'The lamp or horn came on: stop, record the cause, repeat.' },
  'too-soon': {
    found: 'The lamp or horn came on before a head can be hot: oil, its sender or a wire, and no heat.',
    advice: 'Stop, record the cause, repeat.'
  },
  cool: {
    found:
      'The lamp or horn came on while two thermometers found the head cool: oil, its sender or a wire, and no heat.',
    advice: 'Record the cause, repeat.'
  }
} as const;

const leakWords = {
  hose: 'a hose or coupling',
  filter: 'the filter or a drain plug',
  pump: 'the fuel pump',
  carburettor: 'carburettor, separator or rail',
  cover: 'the gasket of a cover',
  seal: 'a shaft seal',
  case: 'the gear case',
  block: 'block or head'
} as const;

/** Where each is looked for (C). */
const noiseWords: Readonly<Record<NoisePlace, string>> = {
  head: 'Not started again: turned by hand, every piston’s depth at top; rods and bearings before anything else.',
  valves: 'Valve lash, cold; then the drive of the camshaft.',
  flywheel: 'Its nut and key, the starter’s pinion, whatever touches: cowl off, turned by hand.',
  leg: 'Magnet and oil of the gear case before it goes into gear again.'
};

/** What is said of a run. */
/** What is left of an engine that sank and runs again. */
const dryingWords: Readonly<Record<Drying, Omit<Words, 'because'>>> = {
  oil: {
    found: 'It runs; the oil of its first run has taken along what the heat drove out.',
    advice: 'Drop it while it is hot, fresh oil in, dipped twice.'
  },
  long: {
    found: 'It runs; only a long warm run dries its crankcase.',
    advice: `${DRIES} minutes and more, the thermostat open all the time, watched to the end.`
  },
  'next-day': {
    found: 'It ran warm for long enough to dry inside; water that hid shows overnight.',
    advice: 'Look at it again the next day: turned by hand, its oil or its plugs. Milky again: it is not over.'
  }
};

export const words: WordsOf<RunFacts, RunBasis> = {
  end: ({ values: { label, minutes, silent } }) => ({
    found: silent
      ? `Nothing was entered after ${clock(minutes * 60)}: how did this run end?`
      : `It was stopped after ${clock(minutes * 60)}: say how it went, and why it was stopped.`,
    because: practice([`${label}: its end is not recorded`], 'a run that nobody watched proves nothing.')
  }),
  ...temperatureWords,
  beside: ({ values: { run, beside, labels } }, _, units) => ({
    found: sayBeside(beside, units),
    because: { ...watched(run, units), inputs: [labels.join(' and ')] }
  }),
  'too-fast': ({ values: { most, cap, source, stopped, label } }) => ({
    found: `${stopped ? 'It was run at' : 'Throttle down now:'} ${Math.round(most)} rpm on ${source === 'muffs' ? 'muffs' : 'a tank'}, which allow ${sources[source].throttle}.`,
    advice: 'The pump may have run dry: watch stream and head on the next run, at idle.',
    because: practice(
      [`${label}: up to ${Math.round(most)} rpm`, `water: ${source}`],
      'the source caps the throttle.',
      {
        limit: `${cap} rpm (common practice, from memory)`
      }
    )
  }),
  charges: ({ values }) => ({
    found: `It charges: ${values.volts.toFixed(1)} V at ${Math.round(values.rpm!)} rpm.`,
    because: voltsBecause(values)
  }),
  'charge-open': ({ values }) => ({
    found: `${values.volts.toFixed(1)} V ${values.rpm === undefined ? 'with the speed not noted' : `at ${Math.round(values.rpm)} rpm`}: whether it charges is judged at ${CHARGING_RPM} rpm and over.`,
    because: voltsBecause(values)
  }),
  failed: ({ values: { cause, mended } }, basis, units) => ({
    ...(cause
      ? { found: `It would not start: ${short(cause)}.` }
      : mended
        ? { found: 'It would not start.', advice: 'Something was put right since: try it again.' }
        : { found: 'It would not start.', advice: 'Spark and fuel again, in that order.' }),
    because: told(basis, units)
  }),
  'stopped-open': ({ values: { reason } }, basis, units) => ({
    found: `Stopped early${reason && reason !== 'other' ? ` because of ${sayValue(items.reason, reason, units)}` : ''}: find the cause and record it before it is started again.`,
    because: told(basis, units)
  }),
  'stopped-found': ({ values: { cause } }, basis, units) => ({
    found: `Stopped early: ${short(cause)}.`,
    advice: 'Repeat it once the cause is cured.',
    because: told(basis, units)
  }),
  'stopped-shown': ({ values: { place } }, basis, units) => ({
    found: place
      ? 'Stopped early; where it comes from is known, and stands for itself.'
      : 'Stopped early; the cause of what it showed was found.',
    advice: place ? 'Mended there, then the same run again.' : 'Make the same run again.',
    because: told(basis, units)
  }),
  lamp: ({ values: { notHeat, worked } }, basis, units) => ({
    ...(worked ? lampWords.worked : lampWords[notHeat ?? 'open']),
    because: told(basis, units)
  }),
  smoke: ({ values }, basis, units) => ({ ...smokeWords(values), because: told(basis, units) }),
  leaks: ({ values: { what, mended, placed } }, basis, units) => ({
    found: mended
      ? `It leaked ${what}, and was mended where that came from: wiped, seen dry, then the same run again.`
      : placed
        ? `It leaks ${what}, and the place is known: mended there before it runs again.`
        : `It leaks ${what}: find the place before it runs again.`,
    because: told(basis, units)
  }),
  'leak-at': ({ values: { what, at, job } }, basis, units) => ({
    found: `The ${what} comes from ${leakWords[at as keyof typeof leakWords] ?? 'a place that was seen'}.`,
    advice:
      job === 'case'
        ? 'What leaks out lets water in: the case is tested before it is filled again.'
        : 'Mended there, wiped dry, and the same run made again.',
    because: told(basis, units)
  }),
  'leak-untold': ({ values: { at } }, basis, units) => ({
    found: `It leaks from ${leakWords[at as keyof typeof leakWords] ?? 'a place that was seen'}: fuel, oil or water is not said.`,
    because: told(basis, units)
  }),
  noise: ({ values: { place, explained } }) => ({
    found: `It made a noise: ${sayValue(items.noise, place, 'metric')}.`,
    advice: explained ? 'A cause was found: make the same run again to hear that it is gone.' : noiseWords[place],
    because: practice(
      [`noise: ${place}`],
      'a noise is placed by hand, by ear at a rod and by gear before anything is opened.'
    )
  }),
  air: () => ({
    found: 'Wetted at its intake joints it idles otherwise: it draws air there.',
    advice: 'Joint by joint, dry between: the one that answers gets its gasket and an even tightening.',
    because: practice(['mist at the intake joints: the idle changes'], 'what draws air draws the mist in its place.')
  }),
  gears: ({ values: { hub } }, basis, units) => ({
    ...(hub === undefined
      ? { found: 'A gear is missing or jumps out: linkage or a worn clutch dog.' }
      : {
          found: `A gear was missing or slipped, and the propeller’s hub ${hub === 'slips' ? 'slips' : 'slipped then'}.`,
          advice:
            hub === 'slips'
              ? 'That is mended first; then each gear is tried again before anything is set.'
              : 'It was mended since: run it and try each gear again.'
        }),
    because: told(basis, units)
  }),
  'gears-again': (_, basis, units) => ({
    found:
      'A gear is still missing or jumps out with the linkage set: hub or shear pin, the shift rod’s joint, then the clutch dog.',
    because: told(basis, units)
  }),
  symptom: ({ values: { symptom, at, explained, repeated, sparks } }, basis) => {
    const { is } = symptomWords[symptom];
    return {
      found: `${is}${repeated ? '; not since, but no cause was found: it comes again' : ''}.`,
      advice: explained
        ? 'A cause was found: make the same run again to see that it is gone.'
        : sparks
          ? SPARKS_HOT
          : looksFirst(symptom, basis),
      because: practice(
        [`last seen: ${at.slice(0, 16).replace('T', ' ')}`, `cause: ${explained ? 'recorded since' : 'not recorded'}`],
        'what a run showed stays open until its cause is found and the same run is made again without it.'
      )
    };
  },
  lapsed: ({ values: { lapsed, was } }) => {
    const { is, first } = lapsedWords[lapsed];
    return {
      found: `${is(was)}; not since, but no cause was found: it comes again.`,
      advice: first,
      because: practice(['cause: not recorded'], 'what a run showed stays open until its cause is found.')
    };
  },
  'no-work': ({ cylinder }) => ({
    found: `Cylinder ${cylinder} does no work: shorted out, the speed stays the same.`,
    advice: 'Its spark, its compression, then its fuel.',
    because: practice(
      [`cylinder ${cylinder} shorted out: the speed stays the same`],
      'what does no work is not missed.'
    )
  }),
  moved: ({ cylinder, values: { part } }) => ({
    found: `The fault of cylinder ${cylinder} went over to its neighbour with the ${part}: it is that ${part}.`,
    because: practice([`${part}s changed over, the engine run: the fault moved`], 'what moves with a part is the part.')
  }),
  pulls: ({ values: { pulls } }, { injected }) => ({
    found: `It took ${Math.round(pulls)} pulls to fire.`,
    advice: `A first start after years may; at the next one count again: ${injected ? 'fuel pressure' : 'choke, primer'} and fuel level first.`,
    because: practice(
      [`pulls to first fire: ${Math.round(pulls)}`],
      'an engine with fuel up and choke set fires within a few pulls.',
      { limit: `${PULLS} pulls (common practice, from memory)` }
    )
  }),
  'idle-alone': ({ values: { idle } }) => ({
    found: `It idles at ${Math.round(idle)} rpm in gear; the manual’s figure says whether that is right.`,
    because: idleBecause(idle)
  }),
  'idle-far': ({ values: { idle, far } }) => ({
    found: `It idles at ${Math.round(idle)} rpm in gear, as ${far === 'fast' ? 'fast' : 'slow'} as no outboard does.`,
    advice:
      far === 'fast'
        ? 'Stop it before the lever is moved again: throttle linkage and stop screw, then air drawn at the intake; warm it through and set it.'
        : 'It dies in gear like this: warm it through and set it.',
    because: idleBecause(idle)
  }),
  idle: ({ values: { idle, asked, is } }, _, units) => ({
    found:
      is === 'right'
        ? `It idles at ${Math.round(idle)} rpm in gear, as it should.`
        : `It idles at ${Math.round(idle)} rpm in gear, ${is} what it should: warm it through, then set it.`,
    because: idleBecause(idle, sayLimit(asked, units))
  }),
  'plug-wet': () => ({
    found: 'Water on a plug after running: it is getting in.',
    advice: 'Gasket, exhaust cover or jacket; no more running.',
    because: practice(['a plug after running: water on it'], 'a plug that went in dry and comes out wet.')
  }),
  'short-of-fuel': (_, basis, units) => ({
    found:
      'It ran, and what it runs short of is still looked for at the fuel check: the run is made again once that is found.',
    because: told(basis, units)
  }),
  stood: ({ values: { months } }, _, units) => ({
    found: `It last ran ${say(months, 'months', units)} ago, and has stood since.`,
    advice: 'Run it again, watched, before it goes back.',
    because: practice(
      [`months since it ran: ${months}`],
      'fuel, bores and impeller of an engine that stands a season do not stay as they were.',
      { limit: `${SEASON} months (common practice, from memory)` }
    )
  }),
  short: ({ values: { minutes } }, basis, units) => ({
    ...(minutes === undefined
      ? {
          found: 'It ran; how long, and how warm it got, is not written down.',
          advice: 'A run counts once its temperature has settled.'
        }
      : {
          found: `It ran for ${say(minutes, 'minutes', units)}: too short to have warmed through.`,
          advice: `Run it until its temperature has settled, ${NEVER_WARM.minutes} minutes and more.`
        }),
    because: told(basis, units)
  }),
  reopened: (_, basis, units) => ({
    found: 'It ran, and was worked on since: that run is of the engine before.',
    advice: 'The same run again, watched.',
    because: told(basis, units)
  }),
  drying: ({ values: { left } }, basis, units) => ({
    ...dryingWords[left],
    because: told(basis, units)
  }),
  ran: ({ values: { minutes, smoked } }, basis, units) => ({
    found: `It ran and settled${minutes === undefined ? '' : `, ${say(minutes, 'minutes', units)}`}${smoked ? '; smoke in the first minutes was preservation oil' : ''}.`,
    because: told(basis, units)
  })
};
