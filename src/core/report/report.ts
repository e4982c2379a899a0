import { ruleNumber } from '../house-rules/rules.ts';
import { stations } from '../stations/register.ts';
import { format, parseISO } from 'date-fns';
import type { Assessment } from '../assess.ts';
import { caseKinds } from '../engine/case-kind.ts';
import { identityItems, profileItems } from '../engine/profile.ts';
import { listed } from '../findings/context.ts';
import { sayValue } from '../items/check-entry.ts';
import { allItems, stationOf } from '../stations/items.ts';
import { standing } from '../record/current.ts';
import { conditions } from '../findings/finding.ts';
import type { Item } from '../items/item.ts';
import { options } from '../record/options.ts';
import type { DecisionEntry, Reading } from '../record/reading.ts';
import { partSaid, trayOf } from '../tray/tray.ts';
import { trayStates } from '../record/work.ts';
import { dueList, type Due } from '../care/due.ts';
import { doBy, sayDoBy } from '../jobs/do-by.ts';
import { figuresOf, type Figure } from './figures.ts';
import { spots } from '../stations/run/runs.ts';
import { beforeAfter, type BeforeAfter } from '../history/before-after.ts';

/** The record of an engine going back, as sentences and rows; screen, print and PDF all show this one thing. */
export interface Report {
  readonly tag: string;
  readonly kind: string;
  readonly engine: readonly (readonly [string, string])[];
  readonly gates: readonly {
    readonly title: string;
    readonly word: string;
    readonly sentence: string;
    readonly reason?: string;
  }[];
  readonly findings: readonly {
    readonly station: string;
    readonly word: string;
    readonly sentence: string;
    readonly limit?: string;
  }[];
  /** Every reading that counts, as it was taken. */
  readonly readings: readonly {
    readonly station: string;
    readonly label: string;
    readonly value: string;
    readonly at: string;
    readonly by?: string;
    readonly with?: string;
  }[];
  /** How many readings were corrected or taken back; they stay in the survey file. */
  readonly superseded: number;
  readonly beforeAfter: readonly BeforeAfter[];
  readonly jobs: readonly { readonly title: string; readonly state: string; readonly note?: string }[];
  readonly overrides: readonly { readonly title: string; readonly reason: string; readonly by?: string }[];
  /** What was decided about the engine, when, and on whose word. */
  readonly decisions?: readonly {
    readonly title: string;
    readonly at: string;
    readonly reason: string;
    readonly by?: string;
  }[];
  /** What came off and what became of it. */
  readonly tray?: readonly { readonly part: string; readonly state: string; readonly note?: string }[];
  readonly figures?: readonly Figure[];
  readonly owner: OwnerPage;
}

/** One page in plain words for the owner. */
export interface OwnerPage {
  readonly greeting: string;
  readonly found: readonly string[];
  readonly done: readonly string[];
  readonly left: readonly string[];
  readonly next: readonly string[];
}

const stateWords = {
  open: 'open',
  done: 'done, not proved',
  proved: 'done and proved',
  'not-needed': 'not needed'
} as const;

const rows = (items: Readonly<Record<string, Item>>, values: object, units: 'metric' | 'us'): [string, string][] =>
  Object.entries(items).flatMap(([key, item]) => {
    const value = (values as Record<string, unknown>)[key];
    return value === undefined || value === 'unknown' || value === ''
      ? []
      : [[item.label, sayValue(item, value, units)]];
  });

// Whose hands it is in is the yard's business of the day, and nothing that is signed.
const { inHand: _, ...ofTheEngine } = identityItems;

/** Draws up the report of an assessment. */
export function reportOf(a: Assessment): Report {
  const { survey, units } = a.context;
  const { identity, profile } = survey.engine;
  const tray = trayOf(survey);
  const titles = new Map(a.stations.map((s) => [s.id, s.title]));
  return {
    tag: identity.tag ?? 'no tag',
    kind: caseKinds[survey.assessment.kind].label,
    engine: [...rows(ofTheEngine, identity, units), ...rows(profileItems, profile, units)],
    gates: a.gates.map((g) => ({
      title: g.title,
      word: conditions[g.condition],
      sentence: g.sentence,
      ...(g.reason ? { reason: g.reason.text } : {})
    })),
    findings: a.findings.map((f) => ({
      station: titles.get(f.station) ?? f.station,
      word: conditions[f.condition],
      sentence: f.sentence,
      ...(f.because.limit ? { limit: f.because.limit } : {})
    })),
    readings: readingRows(a, titles),
    superseded: survey.readings.length - standing(survey).length,
    beforeAfter: beforeAfter(a.context),
    jobs: a.steps.map((s) => ({ title: s.title, state: stateWords[s.state], ...(s.note ? { note: s.note } : {}) })),
    overrides: a.holds.flatMap((h) =>
      h.override ? [{ title: h.title, reason: h.override.reason, ...(h.override.by ? { by: h.override.by } : {}) }] : []
    ),
    ...(survey.decisions?.length ? { decisions: survey.decisions.map(decided) } : {}),
    ...(tray.length
      ? {
          tray: tray.map((t) => ({
            part: partSaid(t.part),
            state: trayStates[t.state],
            ...(t.note ? { note: t.note } : {})
          }))
        }
      : {}),
    figures: figuresOf(a),
    owner: ownerPage(a)
  };
}

const decided = (d: DecisionEntry): NonNullable<Report['decisions']>[number] => ({
  title: options[d.option].label,
  at: d.at,
  reason: `${d.reason}${d.authority ? ` The owner: “${d.authority}”` : ''}`,
  ...(d.by ? { by: d.by } : {})
});

/** Read again and again in one run: one row a run and place, every value in it. */
const logged = new Set<string>(['run.temperature', 'run.rpm']);
const HOUR = 3_600_000;

/** Readings that share a row: each alone, or those of one log that follow one another. */
function together(list: readonly Reading[]): Reading[][] {
  const open = new Map<string, Reading[]>();
  return list.flatMap((r) => {
    if (!logged.has(r.what)) return [[r]];
    const key = `${r.what} ${r.conditions?.spot ?? ''}`;
    const group = open.get(key);
    if (group && Date.parse(r.at) - Date.parse(group.at(-1)!.at) < HOUR) {
      group.push(r);
      return [];
    }
    const fresh = [r];
    open.set(key, fresh);
    return [fresh];
  });
}

function readingRows(a: Assessment, titles: ReadonlyMap<string, string>): Report['readings'] {
  return together(standing(a.context.survey)).map((group) => {
    const r = group[0]!;
    const c = r.conditions ?? {};
    const under = [
      r.instrument?.name,
      c.throttle && `throttle ${c.throttle}`,
      c.bores && `bores ${c.bores}`,
      c.volts && `${c.volts} V`,
      c.path,
      c.light,
      c.stage && `${c.stage} stage`,
      c.spot && spots[c.spot],
      group.length > 1 && `${group.length} readings until ${group.at(-1)!.at.slice(11, 16)}`
    ]
      .filter(Boolean)
      .join(', ');
    return {
      station: titles.get(stationOf(r.what)) ?? stationOf(r.what),
      label: `${allItems[r.what].label}${r.cylinder ? `, cylinder ${r.cylinder}` : ''}${r.round && r.round > 1 ? `, re-check ${r.round - 1}` : ''}`,
      value: group.map((x) => sayValue(allItems[x.what], x.value, a.context.units)).join(' · '),
      at: r.at,
      ...(r.by ? { by: r.by } : {}),
      ...(under ? { with: under } : {})
    };
  });
}

function ownerPage(a: Assessment): OwnerPage {
  const { identity } = a.context.survey.engine;
  const name = [identity.maker, identity.model].filter(Boolean).join(' ') || 'Your outboard';
  const proved = a.steps.filter((s) => s.state === 'proved' || s.state === 'done');
  const faults = a.findings.flatMap((f) => (f.condition === 'fault' ? [f.found] : []));
  const found = [...new Set([...proved.flatMap((s) => s.found), ...faults])];
  const worked = new Set(proved.map((s) => s.proof.station));
  const sound = a.stations
    .filter(
      (s) =>
        s.condition === 'sound' &&
        !worked.has(s.id) &&
        stations[s.id].looksAt === 'engine' &&
        a.gates.every((g) => g.station !== s.id || g.passes) &&
        // Sound by what was seen, and held all the same: a case that was drained and stands empty.
        !a.holds.some((h) => !h.standing && h.needs.some((n) => n.station === s.id && !n.done))
    )
    .map((s) => s.title.toLowerCase());
  const temporary = a.steps
    .filter((s) => s.temporary && s.state !== 'not-needed')
    .map(
      (s) =>
        `${s.title} is mended for now (${s.temporary!.why}); it has to be looked at again by ${format(parseISO(s.temporary!.until), 'd MMMM yyyy')}.`
    );
  const due = dueList([a.context.survey], a.context.rules, a.context.now);
  const left = [
    ...temporary,
    ...doBy(a.context).map((d) => `${d.title}: ${sayDoBy(a.context, d)}. ${d.because}`),
    ...due.filter(isOverdue).map(sayOverdue),
    ...a.gates.filter((g) => g.reason && g.condition !== 'sound').map((g) => `${g.title}: ${g.reason?.text}`),
    ...a.steps.filter((s) => s.state === 'open' && !s.by).map((s) => s.title),
    ...unsettled(a)
  ];
  const state = a.ready ? 'has been gone over' : 'is being gone over, and is not ready for service';
  return {
    greeting: `${name}${identity.tag ? ` (tag ${identity.tag})` : ''} ${state}${sound.length ? `. Looked at and good as they are: ${listed(sound)}` : ''}.`,
    found: found.length
      ? found
      : [a.ready ? 'Nothing that had to be repaired.' : 'Nothing yet that has to be repaired.'],
    done: proved.length
      ? proved.map((s) => s.title + (s.note ? `: ${s.note}` : ''))
      : [a.context.survey.readings.length ? 'Checks only; nothing was taken apart.' : 'Nothing yet.'],
    left: left.length ? left : ['Nothing is left open.'],
    next: nextFor(a, due)
  };
}

/** What stands between an engine and its release, for somebody who does not know the checks: holds, what nobody looked at, what is not settled. */
function unsettled(a: Assessment): string[] {
  const shut = a.gates.filter((g) => g.station && stations[g.station].looksAt !== 'surroundings' && !g.passes);
  const of = (unseen: boolean): string[] =>
    shut.filter((g) => (g.condition === 'not-looked-at') === unseen).map((g) => g.title.toLowerCase());
  const told = (what: string, list: readonly string[]): string[] => (list.length ? [`${what}: ${listed(list)}.`] : []);
  return [
    ...a.holds.flatMap((h) => (h.override || h.standing ? [] : [`Held: ${h.title}.`])),
    ...told('Not looked at yet', of(true)),
    ...told('Not settled yet', of(false))
  ];
}

/** Care that is overdue on the day of the record is left open, whatever else was done; repairs and watches with a date are told by themselves. */
const isOverdue = (d: Due): boolean => d.state === 'overdue' && !d.id.startsWith('inspect-') && !d.id.startsWith('by-');
const sayOverdue = (d: Due): string =>
  `${d.title} is overdue${d.day ? ` since ${format(parseISO(d.day), 'd MMMM yyyy')}` : ''}. ${d.because}`;

/** The next dates, as far as anybody can know them, then what never changes. */
function nextFor(a: Assessment, care: readonly Due[]): string[] {
  const { survey, rules } = a.context;
  const due = care.filter((d) => d.day && d.state !== 'overdue');
  const dated = due
    .slice(0, 5)
    .map(
      (d) =>
        `${d.title}: ${format(parseISO(d.day!), 'd MMMM yyyy')}${d.atHours === undefined ? '' : ` or at ${d.atHours} engine hours, whichever comes first`}.`
    );
  const known = new Set(due.map((d) => d.id));
  const every = `${ruleNumber(rules, 'serviceHours')} hours or ${ruleNumber(rules, 'serviceMonths')} months (house rule)`;
  return [
    ...dated,
    ...(known.has('gear-oil') ? [] : [`Gear oil: after ${every}, whichever comes first, and always before frost.`]),
    ...(survey.engine.profile.strokes === 'four' && !known.has('engine-oil')
      ? [`Engine oil and filter: after ${every}, whichever comes first.`]
      : []),
    'Flush with fresh water after use in salt. Do not leave old fuel in it over winter.'
  ];
}
