import { askedAfter } from '../findings/asked-after.ts';
import type { Context } from '../findings/context.ts';
import { isAfter, latestAt, latestInstant } from '../units/instant.ts';
import { ranDry } from '../stations/cooling/pump.ts';
import { foundForDrill, leftOfDrill } from '../stations/cooling/drill.ts';
import { passages } from '../stations/cooling/passages.ts';
import { heatExplained } from '../stations/cooling/explained.ts';
import { hotOnMuffs, muffsTried, noneSincePump, poorSincePump } from '../stations/cooling/supply.ts';
import { lastMarks } from '../jobs/done.ts';
import { blownThrough, hotterBank, lastSeen, unreadBank, workedOnSinceHot } from '../stations/cooling/seen.ts';
import type { ItemId } from '../stations/items.ts';
import { asked, goOn, job, look, repeat, type Asks, type AskRule } from './ask.ts';

export const screens = look('Intake screens', ['cooling.screen'], 2);
const probe = look('Probe the stream outlet and its line', ['cooling.outlet'], 3);
export const outlet: AskRule = {
  ...probe,
  open: (c, f) => c.survey.engine.profile.indicator !== 'not-fitted' && probe.open(c, f)
};
const head = look('Temperature at the head', ['cooling.head', 'run.temperature'], 5, {
  // Without any stream it is not run again to see how hot it gets.
  open: (c) => lastSeen(c).stream !== 'none' && lastSeen(c).head === undefined && !asked(c, 'cooling.head')
});
/** One bank was read: the other one, unless it was asked for and could not be. */
const otherBank: AskRule = {
  ...look('', ['cooling.head'], 3),
  title: (c) => `Temperature at the head of the ${unreadBank(c)} bank`,
  open: (c) => {
    const bank = unreadBank(c);
    return bank !== undefined && !c.record.all('cooling.head').some((r) => r.conditions?.bank === bank);
  }
};
const pan = look('Thermostat in a pan', ['cooling.thermostatPan', 'cooling.thermostatOpens'], 25);
/** Where one bank is the hotter one, its own. */
export const panIfFitted: AskRule = {
  ...pan,
  title: (c) => (hotterBank(c) ? `Thermostat of the ${hotterBank(c)} bank in a pan` : 'Thermostat in a pan'),
  open: (c, f) =>
    c.survey.engine.profile.thermostat !== 'not-fitted' &&
    (hotterBank(c) ? !toldOfThatBank(c, ['cooling.thermostatPan', 'cooling.thermostatOpens']) : pan.open(c, f))
};
export const pumpOpen = look(
  'Open the water pump',
  ['cooling.set', 'cooling.cracked', 'cooling.missing', 'cooling.housing'],
  40
);
/** Good when it was seen open, and it brings nothing since it went back on: what was seen then is not how it stands now. */
export const pumpAgain = look(
  'Open the pump once more: tube in its seals, key, cover, as it was put back',
  ['cooling.tube', 'cooling.cover', 'cooling.housing', 'cooling.set'],
  40,
  { open: noneSincePump }
);
/** Only where the stream was seen to be poor, and both banks suffer: a strong one comes through its outlet, and the outlet cools no head. */
const ofPoorStream = (r: AskRule): AskRule => ({
  ...r,
  open: (c, f) => ['weak', 'none'].includes(String(lastSeen(c).stream)) && !hotterBank(c) && r.open(c, f)
});
/** One thermometer is doubted before a leg comes off for it. */
const second = look('A second thermometer, same spot', ['run.second'], 2, {
  doubts: true,
  // One that agreed once vouches for the first one, whatever is done to the engine.
  open: (c) =>
    lastSeen(c).head !== undefined &&
    !asked(c, 'run.second') &&
    !c.record.all('run.second').some((r) => r.value === 'same')
});
const untilExplained = (r: AskRule): AskRule => ({
  ...r,
  open: (c, f) => !heatExplained(c) && !workedOnSinceHot(c) && r.open(c, f)
});
/** The small one under the cowl: looked at here or on the walk around, and never where there is none. */
export const strainer = look('Small strainer under the cowl', ['cooling.strainer'], 2, {
  open: (c) =>
    c.record.value('look.strainer') !== 'not-fitted' && !asked(c, 'cooling.strainer') && !asked(c, 'look.strainer')
});
/** Minutes each, with nothing taken off. */
export const heatByHand: readonly AskRule[] = [screens, strainer, ofPoorStream(outlet), second].map(untilExplained);
/** Told of the hotter bank: what nobody noted the bank of, tried before the two were seen to differ, may have been of the other one. */
export function toldOfThatBank(c: Context, items: readonly ItemId[]): boolean {
  const bank = hotterBank(c);
  const read = latestAt([...c.record.all('run.temperature'), ...c.record.all('cooling.head')]);
  return items.some((item) =>
    c.record.all(item).some((r) => (r.conditions?.bank ? r.conditions.bank === bank : isAfter(r.at, read)))
  );
}
/** Its thermostat is out for the pan: a hose says in minutes what two hours of descaling would be spent on. */
export const passagesLook = look(
  (c) =>
    `Water through the passages${c.survey.engine.profile.thermostat === 'not-fitted' ? '' : ', the thermostat out'}`,
  ['cooling.passages'],
  10,
  { open: (c) => !askedAfter(c, 'cooling.passages', latestInstant(c.renewed('cooling.passages'))) }
);
/** A stream tells that water comes, not that enough does: nothing more is taken off for what other water may cool. */
const otherWater: readonly AskRule[] = [
  look('Another water than these muffs: a tank, or a second hose; say which', ['cooling.source'], 3, {
    open: (c) => hotOnMuffs(c) === 'not-yet' && muffsTried(c) === undefined
  }),
  look('The head again, on that water, stopped before its limit', ['run.temperature'], 10, {
    needs: 'start',
    open: (c) => hotOnMuffs(c) === 'not-run' && muffsTried(c) === undefined
  })
];
/** What has to be opened for it. */
export const heatOpened: readonly AskRule[] = (
  [
    {
      ...look(
        'Open the new pump once more: tube, key, cover, as it was put back',
        ['cooling.tube', 'cooling.cover', 'cooling.housing', 'cooling.set'],
        40
      ),
      open: (c) => poorSincePump(c) && !['not-yet', 'not-run', 'fine'].includes(String(muffsTried(c)))
    },
    panIfFitted,
    {
      ...passagesLook,
      // Where one bank is the hotter one, its own thermostat comes before.
      open: (c, f) =>
        (!hotterBank(c) || toldOfThatBank(c, ['cooling.thermostatPan', 'cooling.thermostatOpens'])) &&
        passagesLook.open(c, f)
    },
    ...otherWater,
    pumpOpen,
    {
      // Hot with its passages clean: gas in the water heats it from inside.
      ...look('Leak-down, every cylinder, the water watched for bubbles', ['compression.leakdown'], 20),
      open: (c) => {
        const cleaned = lastMarks(c.survey).get('descale');
        if (cleaned?.state === 'done') return !askedAfter(c, 'compression.leakdown', cleaned.at);
        const free = passages(c).length > 0 && passages(c).every((p) => p.is === 'free');
        return free && !asked(c, 'compression.leakdown');
      }
    }
  ] as readonly AskRule[]
).map(untilExplained);
export const heat: readonly AskRule[] = [...heatByHand, ...heatOpened];

/** Loose muffs and a thin hose look like a pump that is gone: seated, opened, or other water, and the stream looked at there. */
export const muffs = look(
  'Muffs seated on every intake and the tap wide open, or a tank; say which',
  ['cooling.source'],
  3,
  { open: (c) => muffsTried(c) === 'not-yet' }
);
export const onThatWater = look('The stream again, on that water', ['run.stream', 'cooling.stream'], 5, {
  needs: 'start',
  open: (c) => muffsTried(c) === 'not-run'
});
/** Where better water brought the stream back, nothing is taken apart for it. */
export const unlessItWasMuffs = (r: AskRule): AskRule => ({
  ...r,
  open: (c, f) => muffsTried(c) !== 'fine' && hotOnMuffs(c) !== 'fine' && r.open(c, f)
});

/**
 * A stream that was seen before the last work on the water is looked at again on the next run, not looked into; nor is one whose cause
 * was found.
 */
const untilWorkedOn = (r: AskRule): AskRule => ({
  ...r,
  open: (c, f) => {
    const at = latestAt([...c.record.all('cooling.stream'), ...c.record.all('run.stream')]);
    return !heatExplained(c) && !c.worked('cooling').some((w) => isAfter(w, at)) && r.open(c, f);
  }
});

/** A new pump is tried before it goes back, whatever the old one did: by the drill, unless it was seen to pump since. */
const drillOfNew = look('Drill test of the pump', ['cooling.drill'], 5, {
  only: ['cannot-tell'],
  late: 'release',
  open: (c) => {
    const mark = lastMarks(c.survey).get('pump');
    if (mark?.state !== 'done') return false;
    return !askedAfter(c, ['cooling.drill', 'run.stream', 'cooling.stream'], mark.at);
  }
});

/** What the cooling check asks for, in the trade's order. C: common practice. */
export const coolingAsks: Asks = {
  'cooling.early': [goOn('Look for the stream again at thirty seconds', 'run', 1)],
  'cooling.stream': (
    [
      otherBank,
      muffs,
      onThatWater,
      unlessItWasMuffs(screens),
      { ...outlet, open: (c, f) => lastSeen(c).stream !== 'strong' && outlet.open(c, f) },
      head,
      {
        ...repeat('Blow the stream’s line through, from the head to its outlet', 'cooling', 5, {
          items: ['cooling.outlet']
        }),
        only: ['cannot-tell'],
        open: (c) => lastSeen(c).stream === 'none' && !blownThrough(c)
      },
      {
        ...look('Stream into a timed bucket, beside its sister’s', ['cooling.bucket'], 5),
        // What does not come is not measured, and what is hot already is not run for it.
        only: ['watch'],
        open: (c) => lastSeen(c).stream === 'weak' && !asked(c, 'cooling.bucket')
      },
      {
        ...pumpOpen,
        open: (c, f) => (f.condition !== 'cannot-tell' || lastSeen(c).stream === 'none') && pumpOpen.open(c, f)
      },
      pumpAgain
    ] as readonly AskRule[]
  ).map(untilWorkedOn),
  'cooling.outlet-cleared': [
    repeat('Look at the stream again, the temperature watched to the end', 'run', 10, { items: ['run.stream'] })
  ],
  'cooling.outlet': [
    ...[muffs, onThatWater, outlet, screens, head].map((r) => untilWorkedOn({ ...r, only: ['cannot-tell'] })),
    job('outlet', { only: ['fault'] })
  ],
  'cooling.hot': [
    repeat('Both thermometers in boiling water, then the head again', 'cooling', 6, {
      items: ['cooling.head', 'run.temperature'],
      only: ['cannot-tell']
    }),
    ...heat.map((r): AskRule => ({ ...r, only: ['fault'] })),
    job('hot', { only: ['fault'] })
  ],
  'cooling.rising': [...heat, job('hot')],
  'cooling.banks': [
    repeat('Temperatures of both banks again, the same spots', 'cooling', 3, {
      items: ['cooling.head'],
      needs: 'start',
      open: (_, f) => (f.values as { worked?: boolean }).worked === true
    }),
    ...heat
  ],
  'cooling.thermostat': [
    look('The stamp on the thermostat', ['cooling.thermostatStamp'], 1, { only: ['cannot-tell'] }),
    job('thermostat', { only: ['fault', 'watch'] })
  ],
  'cooling.thermostat-other': [
    look('The other bank’s thermostat in the pan', ['cooling.thermostatPan'], 15, { open: () => true })
  ],
  'cooling.pump': [
    { ...pumpOpen, only: ['cannot-tell'], open: (c) => ranDry(c) !== undefined },
    job('pump', { only: ['fault'] }),
    drillOfNew
  ],
  'cooling.drill': [
    look('Pump open again: how far the vanes stay bent', ['cooling.set'], 10, {
      open: (c) => {
        const drill = c.record.last('cooling.drill');
        return drill?.value === 'backward' && !askedAfter(c, ['cooling.set'], drill.at);
      }
    }),
    // Four parts can be why: the one that is it is seen before any is mended.
    look('Pump open again: key and bush, how its vanes lie, tube in its grommet', ['cooling.bush'], 20, {
      items: leftOfDrill,
      open: (c) => leftOfDrill(c).length > 0
    }),
    repeat('Drill test again: its foot well under water, turned the engine’s way', 'cooling', 5, {
      items: ['cooling.drill'],
      only: ['fault'],
      // What was found is mended first.
      open: (c) => !foundForDrill(c)
    }),
    goOn('Tick key, washers, O-rings and the shift after refitting', 'cooling', 3, {
      only: ['watch'],
      items: ['cooling.assembled']
    })
  ],
  'cooling.drill-in-vain': [job('leg-water')],
  'cooling.screen': [job('screen', { only: ['fault'] })],
  'cooling.strainer': [job('strainer')],
  'cooling.passages': [job('descale', { only: ['fault'] })],
  'cooling.tube': [job('leg-water', { only: ['fault'] })],
  'cooling.key': [job('leg-water')],
  'cooling.turned-back': [
    look('How far a free vane stays bent', ['cooling.set'], 5),
    look('Drill test, before the leg goes up', ['cooling.drill'], 5)
  ],
  'cooling.pieces': [job('pieces')]
};
