import { isAfter, latestOf, type Instant } from '../units/instant.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { school } from '../house-rules/rules.ts';
import type { Context } from '../findings/context.ts';
import { hubSlip } from '../stations/look/hub-slip.ts';
import { caseResult } from '../stations/gear/case-test.ts';
import { shiftFacts, throughLinkage } from '../stations/turn/shifting.ts';
import { leakPlace, metalOnMagnet, resealedUntested } from '../stations/gear/case-state.ts';
import { washersFirst, washersTried } from '../stations/gear/water.ts';
import { only, type JobRule } from './job.ts';

/** The case leaked in its test, and bubbles showed where. */
function placed(c: Context): boolean {
  return caseResult(c).verdict === 'leaked' && ['seals', 'housing', 'inwards', 'hidden'].includes(leakPlace(c));
}

/** It bubbled at the propeller shaft and its carrier alone, when that was last looked at before a moment: the leg stays on for those. */
function leaksAtPropeller(survey: SurveyFile, at: Instant): boolean {
  const soaped = latestOf(
    survey.readings.filter((r) => r.what === 'gear.caseBubbles' && Array.isArray(r.value) && isAfter(at, r.at))
  );
  const places = (soaped?.value ?? []) as readonly string[];
  return places.length > 0 && places.every((place) => place === 'propshaft' || place === 'carrier');
}

/** Gear case and shift. */
export const gearCase = {
  'gear-plugs': {
    title: 'New gear plugs with their washers',
    raisedBy: ['gear.slots'],
    how: 'A driver that fills the slot, a straight blow first, impact driver before force; heat the case, not the plug. Same thread and length.',
    tools: ['driver that fills the slot', 'impact driver'],
    parts: ['gear plugs', 'plug washers'],
    minutes: 10,
    hazards: ['waste'],
    proof: { station: 'gear', text: 'slots good, a fresh washer each', reads: ['gear.slots', 'gear.washers'] },
    opens: ['case'],
    dirty: true,
    torque: ['torque.gearPlugs'],
    oneTime: ['plug washers']
  },
  frost: {
    title: 'Drain the gear case today: frost is coming',
    raisedBy: ['gear.frost'],
    how: 'Lower plug out and left out, vent open, case covered; label it CASE EMPTY.',
    tools: ['driver that fills the slot', 'drain pan'],
    minutes: 10,
    wait: 60,
    hazards: ['waste'],
    proof: { station: 'gear', text: 'drained volume recorded' },
    opens: ['case'],
    dirty: true,
    torque: ['torque.gearPlugs'],
    phase: 'today'
  },
  linkage: {
    title: 'Set the shift linkage',
    raisedBy: [
      'look.linkage',
      only('turn.shift', 'fault'),
      'turn.gear',
      only('turn.dog', 'fault'),
      'turn.reverse-lock'
    ],
    // Setting takes no wear away: seen again after it, that is watched.
    tellsOfOthers: ['look.linkage'],
    // The case is opened for its metal first: dog and shift rod are seen then. And a stiff linkage is freed before it is set.
    unless: (c) =>
      // Direct drive has no gears to set.
      c.survey.engine.profile.shift === 'direct' ||
      throughLinkage(c).linkage !== undefined ||
      (c.record.value('look.linkage') === 'stiff' && !shiftFacts(c).some((f) => f.condition === 'fault')) ||
      metalOnMagnet(c),
    how: 'Neutral in the middle of its travel, full engagement both ways; the joint of the shift rod; only then the clutch dog.',
    tools: ['spanners'],
    minutes: 40,
    hazards: ['propeller'],
    proof: {
      station: 'turn',
      text: 'neutral free, forward and reverse follow, reverse lock rises',
      reads: ['turn.neutral', 'turn.forward', 'turn.reverse'],
      wants: { 'turn.forward': 'follows', 'turn.reverse': 'follows' }
    },
    renews: ['turn.neutral', 'turn.forward', 'turn.reverse', 'run.gears']
  },
  'shift-joint': {
    title: 'Set or renew the joint of the shift rod',
    raisedBy: ['turn.joint'],
    how: 'Marked before it is parted; a stripped joint is renewed with its pin. Then the linkage is set anew: neutral in the middle of its travel.',
    tools: ['spanners'],
    parts: ['shift-rod joint and pin'],
    minutes: 50,
    hazards: ['propeller', 'leg'],
    proof: {
      station: 'turn',
      text: 'neutral free, forward and reverse follow',
      reads: ['turn.neutral', 'turn.forward', 'turn.reverse', 'turn.shiftRod']
    },
    renews: ['turn.shiftRod', 'turn.neutral', 'turn.forward', 'turn.reverse', 'run.gears']
  },
  'clutch-dog': {
    title: 'Gear case open: clutch dog and its gear',
    raisedBy: [
      only('turn.dog-worn', 'fault'),
      only('turn.gear-inside', 'fault'),
      only('turn.shift-inside', 'fault'),
      only('run.dog-worn', 'fault')
    ],
    how: 'Carrier out; dog and gear lugs looked at for round edges, renewed together; shift rod and cradle while it is open.',
    tools: ['carrier puller', 'circlip pliers'],
    parts: ['clutch dog', 'gear', 'carrier O-rings', 'seals that are exposed'],
    minutes: 280,
    hazards: ['eyes', 'propeller'],
    proof: {
      station: 'turn',
      text: 'neutral free, both gears hold when turned by hand',
      reads: ['turn.neutral', 'turn.forward', 'turn.reverse']
    },
    spoiledBy: ['turn.shift', 'turn.gear', 'turn.dog'],
    after: ['linkage', 'shift-joint'],
    renews: [
      { item: 'run.noise', answers: ['leg'] },
      'turn.shiftRod',
      'turn.neutral',
      'turn.forward',
      'turn.reverse',
      'run.gears',
      'gear.casePressure'
    ],
    opens: ['case', 'propeller', 'carrier']
  },
  metal: {
    title: 'Open the gear case, look at its gears and bearings',
    raisedBy: [
      only('gear.metal', 'fault'),
      'gear.burnt-again',
      only('turn.rough-gears', 'fault'),
      only('turn.rough-leg', 'fault'),
      only('turn.locked-leg', 'fault')
    ],
    how: 'Carrier out, gears and bearings looked at; the piece found or the wear named.',
    tools: ['carrier puller', 'circlip pliers'],
    parts: ['carrier O-rings', 'seals that are exposed'],
    minutes: 120,
    hazards: ['eyes', 'propeller'],
    renews: [
      { item: 'run.noise', answers: ['leg'] },
      'turn.roughNeutral',
      'turn.roughLeg',
      'turn.lockLeg',
      'gear.casePressure',
      'gear.explained'
    ],
    proof: { station: 'gear', text: 'metal explained', reads: ['gear.explained', 'gear.magnet'] },
    // Opened for what turns roughly or not at all, it is the hand turn that says whether that was it.
    proofAt: { turn: { station: 'turn', text: 'turns free with the leg on', reads: ['turn.result'] } },
    alters: ['turn'],
    opens: ['case', 'propeller', 'carrier'],
    uses: ['stand'],
    dirty: true,
    daylight: true,
    torque: ['torque.carrier', 'torque.propeller'],
    oneTime: ['carrier O-rings', 'split pin'],
    special: ['carrier puller']
  },
  'case-test': {
    title: 'Case test: find where the water gets in',
    finds: true,
    raisedBy: [
      'gear.water',
      'gear.test',
      'gear.test-plugs',
      'gear.test-nowhere',
      'gear.bubbles',
      'run.leak-case',
      'gear.case-over',
      ...['low', 'high', 'vacuum'].map((stage) => only(`gear.case-${stage}`, 'fault'))
    ],
    // Once it has leaked and the place is named, resealing is what is left; that is proved by the next test, which it stands for.
    unless: (c) =>
      washersFirst(c) ||
      placed(c) ||
      resealedUntested(c) ||
      (caseResult(c).verdict === 'held' && leakPlace(c) === 'unknown'),
    how: 'Drained. 3 to 5 psi first, then about 10, turning both shafts and moving the shift at each; soapy water; then vacuum. Never above the manual’s figure.',
    tools: ['regulator and gauge', 'adapter for the plug thread', 'soapy water'],
    minutes: 20,
    wait: 10,
    hazards: ['air'],
    proof: { station: 'gear', text: 'held', reads: ['gear.casePressure', 'gear.pressureTest'] },
    after: ['frost', 'metal'],
    opens: ['case'],
    uses: ['stand'],
    special: ['regulator and gauge', 'adapter for the plug thread']
  },
  reseal: {
    title: 'Reseal what the test names, and all that the opened section exposes',
    raisedBy: ['gear.test-seals', 'gear.test-inwards', 'gear.test-hidden', only('gear.groove', 'fault')],
    how: 'Look for a groove under the lip first: a grooved shaft ruins the new seal. Note seal facing, depth and driver diameter.',
    tools: ['seal driver', 'seal puller'],
    parts: ['shaft seals', 'carrier O-rings'],
    bySchool: (c) =>
      school(c.rules, 'gearSeals') === 'failed'
        ? {
            title: 'Reseal what the test names',
            how: 'The seal that leaked, and the O-rings that were disturbed. Look for a groove under the lip first: a grooved shaft ruins the new seal. Note seal facing, depth and driver diameter.',
            parts: ['the shaft seal that leaked', 'carrier O-rings'],
            minutes: 75
          }
        : {},
    consumables: ['seal grease'],
    minutes: 90,
    hazards: ['eyes', 'propeller'],
    renews: ['look.hub', 'gear.casePressure', 'gear.shaftGroove'],
    proof: { station: 'gear', text: 'the case holds its test', reads: ['gear.casePressure', 'gear.pressureTest'] },
    spoiledBy: [
      'gear.test',
      'gear.test-nowhere',
      'gear.test-inwards',
      'gear.test-hidden',
      ...['low', 'high', 'vacuum'].map((stage) => `gear.case-${stage}`)
    ],
    elsewhere: ['gear.test-plugs', 'gear.test-housing', 'gear.test-not-seals'],
    after: ['case-test', 'metal'],
    opens: ['case', 'propeller', 'carrier', 'leg'],
    opened: (survey, at) =>
      leaksAtPropeller(survey, at) ? ['case', 'propeller', 'carrier'] : ['case', 'propeller', 'carrier', 'leg'],
    uses: ['stand'],
    dirty: true,
    torque: ['torque.carrier', 'torque.leg', 'torque.propeller'],
    oneTime: ['carrier O-rings', 'shaft seals', 'split pin'],
    special: ['seal driver', 'seal puller', 'carrier puller']
  },
  'gear-refill': {
    title: 'Refill the gear case, one fresh washer for each plug',
    // No oil for service into a case that leaks: what it leaks at comes first.
    // Nor once more while the house waits for what fresh washers came to.
    unless: (c) =>
      washersTried(c) ||
      resealedUntested(c) ||
      (caseResult(c).verdict === 'leaked' && !washersFirst(c) && leakPlace(c) !== 'plugs'),
    met: washersTried,
    raisedBy: [
      'gear.water',
      'gear.test-plugs',
      'gear.washers',
      'gear.amount',
      'gear.frost',
      'gear.burnt',
      'gear.stand-fill'
    ],
    how: 'From the lowest plug, upright, bubble-free to the level hole. Upper plug in first, then the pump out and the lower plug in quickly.',
    tools: ['hand pump with thread adapter'],
    parts: ['plug washers'],
    consumables: ['gear oil'],
    minutes: 20,
    hazards: ['waste'],
    proof: { station: 'gear', text: 'refilled for service, washers recorded', reads: ['gear.refill', 'gear.washers'] },
    after: ['reseal', 'case-test'],
    opens: ['case'],
    dirty: true,
    torque: ['torque.gearPlugs'],
    oneTime: ['plug washers'],
    counts: ['gear-oil']
  },
  gears: {
    title: 'Set the shift linkage and try each gear',
    raisedBy: ['run.gears'],
    // Shifted by hand since, it is known what it is: that has its own work, and the gears are tried in the run after it.
    unless: (c) => {
      const failed = c.record.last('run.gears');
      if (hubSlip(c, failed?.at) === 'slips') return true;
      return (['turn.forward', 'turn.reverse'] as const).some((item) => {
        const seen = c.record.last(item);
        return !!failed && !!seen && ['slips', 'no'].includes(String(seen.value)) && isAfter(seen.at, failed.at);
      });
    },
    // The linkage is set as a job of its own where it was seen worn, or a gear failed by hand.
    bySchool: (c) =>
      c.record.value('look.linkage') === 'worn' ||
      shiftFacts(c).some((f) => f.condition === 'fault') ||
      hubSlip(c, c.record.last('run.gears')?.at) === 'mended' ||
      c.renewed('run.gears').some((at) => !isAfter(c.record.last('run.gears')?.at ?? '', at))
        ? {
            title: 'Run it and try each gear again',
            how: 'It is set or mended: forward, neutral and reverse under load, on water that bears it.',
            minutes: 10
          }
        : {},
    how: 'Linkage first; if it still jumps out under load, the clutch dog is worn.',
    tools: ['spanners'],
    minutes: 40,
    hazards: ['propeller'],
    proof: { station: 'run', text: 'forward, neutral and reverse', reads: ['run.gears'] },
    renews: ['run.gears', 'turn.neutral', 'turn.forward', 'turn.reverse'],
    uses: ['tank'],
    noisy: true,
    phase: 'running'
  },
  'leg-identity': {
    title: 'Find out which leg this is',
    how: 'Casting numbers, ratio by counting turns, plugs and shafts; gear-case parts are ordered by the leg.',
    minutes: 20,
    proof: { station: 'gear', text: 'the leg’s own numbers recorded' },
    daylight: true
  },
  splines: {
    title: 'Free the drive-shaft splines',
    how: 'Soak, warm, wedge evenly; no lever against the case. Greased when it goes back.',
    consumables: ['penetrating oil', 'spline grease'],
    renews: [{ item: 'run.noise', answers: ['leg'] }],
    minutes: 120,
    wait: 720,
    hazards: ['leg', 'chemicals'],
    proof: { station: 'turn', text: 'leg drops and goes back by hand' },
    opens: ['leg'],
    uses: ['stand'],
    dirty: true,
    torque: ['torque.leg']
  }
} as const satisfies Readonly<Record<string, JobRule>>;
