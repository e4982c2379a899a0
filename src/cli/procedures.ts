import { emptySurvey, type SurveyFile } from '../core/record/survey-file.ts';
import type { Profile } from '../core/engine/profile.ts';
import { contextOf } from '../core/findings/context.ts';
import { hazards } from '../core/hazards/hazards.ts';
import { jobOf } from '../core/jobs/register.ts';
import { benchList, waitingOf, type Procedure, type ProcedureStep } from '../core/procedures/procedure.ts';
import { procedures } from '../core/procedures/register.ts';
import { stations } from '../core/stations/register.ts';
import { allItems, type ItemId } from '../core/stations/items.ts';
import { say } from '../core/units/index.ts';

/** What the figures of the list are worked out from: two engines that differ in most that matters, and what was read on them. */
const examples: readonly { readonly says: string; readonly profile: Profile }[] = [
  {
    says: 'two-stroke twin, carburettors, premix 50:1, shifts, 300 mL of gear oil',
    profile: {
      strokes: 'two',
      cylinders: 2,
      fuelSystem: 'carburettor',
      supply: 'bulb',
      ignition: 'points',
      starting: 'both',
      lubrication: 'premix',
      premixRatio: 50,
      turning: 'clockwise',
      displacement: 500e-6,
      gearCapacity: 300e-6
    }
  },
  {
    says: 'four-stroke of four, injected, remote control, 4 L of engine oil',
    profile: {
      strokes: 'four',
      cylinders: 4,
      fuelSystem: 'electronic',
      supply: 'bulb',
      starting: 'electric',
      lubrication: 'sump',
      steering: 'remote',
      turning: 'clockwise',
      displacement: 1.5e-3,
      gearCapacity: 700e-6,
      sumpWithFilter: 4e-3
    }
  }
];
const readings: readonly (readonly [ItemId, unknown])[] = [
  ['safe.air', 283.15],
  ['gear.bottle', 355e-6],
  ['gear.pumpStroke', 14e-6],
  ['gear.sealLip', 0.017],
  ['gear.sealOuter', 0.03],
  ['gear.sealDepth', 4.5e-3],
  ['gear.sealDepthNew', 4.6e-3],
  ['gear.shaftGroove', 0.1e-3],
  ['fuel.freshAdd', 20e-3],
  ['fuel.cup', 25e-6],
  ['fuel.needlePump', 40e-6],
  ['fuel.needleFrom', 50e3],
  ['fuel.needleTo', 45e3],
  ['fuel.needleTime', 1],
  ['fuel.floatHeight', 0.016],
  ['fuel.floatWanted', 0.014],
  ['fuel.lift', 0.6],
  ['compression.flatness', 0.08e-3],
  ['cooling.set', 25],
  ['cooling.thermostatStamp', 333.15],
  ['oil.bottle', 1e-3],
  ['oil.drained', 3.7e-3]
];

function surveyOf(profile: Profile): SurveyFile {
  const at = '2026-05-02T08:00:00.000Z';
  return {
    ...emptySurvey('neglected', at, 'Example'),
    engine: { identity: {}, profile, history: {} },
    readings: readings.map(([what, value], k) => ({ id: `r${k}`, at, what, value }) as SurveyFile['readings'][number])
  };
}

function stepSaid(s: ProcedureStep, k: number): string {
  const more = [
    s.careful?.length ? `**Careful:** ${s.careful.map((h) => hazards[h].line).join(' ')}` : '',
    s.because ?? '',
    s.turns ? `Turns: ${s.turns.way === 'marked' ? 'as its arrow says' : s.turns.way}, seen from ${s.turns.from}.` : '',
    ...(s.figures ?? []).map((f) => `**${f.label}: ${say(f.value, f.dimension, 'metric')}.** ${f.because}`),
    s.tools?.length ? `Tools: ${s.tools.join(', ')}.` : '',
    s.takesOff?.length ? `Off: ${s.takesOff.join(' → ')}.` : '',
    s.fits?.length ? `On: ${s.fits.join(' → ')}.` : '',
    s.renew?.length ? `New: ${s.renew.join(', ')}.` : '',
    s.wait ? `Waits ${Math.round(s.wait)} min.` : '',
    s.items?.length ? `Read: ${s.items.map((i) => allItems[i].label.toLowerCase()).join(', ')}.` : '',
    ...(s.branch ?? []).map((b) => `${b.seen}: ${b.then}${b.job ? ` (${jobOf(b.job).title})` : ''}`)
  ].filter(Boolean);
  return [`${k + 1}. ${s.text}`, ...more.map((line) => `   - ${line}`)].join('\n');
}

function procedureSaid(p: Procedure): string {
  const example = examples.find((e) => p.fits?.(surveyOf(e.profile).engine) ?? true);
  const survey = surveyOf(example?.profile ?? {});
  const steps = p.steps(contextOf(survey, new Date(survey.assessment.startedAt), 'metric'));
  const bench = benchList(p, steps);
  const waiting = waitingOf(steps);
  return `## ${p.title}

${p.means} ${p.minutes} min of hands${waiting ? `, ${Math.round(waiting)} min of waiting` : ''}. Provenance C; figures as they say.${example ? ` Example: ${example.says}.` : ''}

- Hazards: ${p.hazards.map((h) => hazards[h].line).join(' ')}
- Tools: ${bench.tools.join(', ')}
${bench.parts.length ? `- Parts: ${bench.parts.join(', ')}\n` : ''}- Goes wrong: ${p.wrong.join(' ')}
- Proved by ${stations[p.proof.station].title.toLowerCase()}: ${p.proof.text}
- Takes over: ${p.handOver}

${steps.map(stepSaid).join('\n')}
`;
}

/** `docs/procedures.md`: every procedure with its figures for an example engine, to be reviewed line by line. */
export const proceduresSaid = (): string => `# Procedures

Written from the code by \`npm run docs\`. Order and cautions are common practice (C); the maker’s manual stands above each. The
figures are those of an example engine and of what was read on it: air at 10 °C, gear oil in bottles of 355 mL, a pump of 14 mL a stroke.

${procedures.map(procedureSaid).join('\n')}`;
