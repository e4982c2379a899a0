import type { RunBasis, RunFacts } from './facts.ts';
import type { LapsedId, SymptomId } from './symptoms.ts';

/** It dies warm, and not for want of spark (C). */
export const SPARKS_HOT =
  'It sparks while it is hot and dead, so no coil fails warm: fuel that does not come, or valves that close up with the heat.';

/** What each is, and where a good technician looks first (C). */
export const symptomWords: Readonly<Record<SymptomId, { readonly is: string; readonly first: string }>> = {
  'dies-warm': {
    is: 'It dies when it is warm and comes back cold',
    first: 'Spark at once while it will not run: a coil or sensor that fails warm is measured cold and warm.'
  },
  kicks: {
    is: 'It kicks back',
    first: 'Timing, and the flywheel key before all: no more starts until the key was looked at.'
  },
  spits: { is: 'It spits back and idles poorly', first: 'What feeds it at idle, an air leak, what shuts its intake.' },
  shakes: { is: 'It shakes', first: 'One cylinder that does not fire: short them out one by one; then the mounts.' },
  steam: { is: 'Steam, or hot exhaust with little water', first: 'Stop; pump, water passages, exhaust gaskets.' },
  'no-water': { is: 'No water comes with the exhaust', first: 'Stop; intakes and pump before anything else.' },
  died: { is: 'It died by itself', first: 'Tank vent and fuel first; spark at once while it will not run.' },
  undercharge: {
    is: 'It does not charge at speed',
    first: 'Fuse and plugs of the charging circuit, then stator and rectifier.'
  },
  overcharge: { is: 'It overcharges', first: 'The regulator and its ground; the battery is boiled by it.' }
};

/** Where a good technician looks first on this engine, where that hangs on what it has (C). */
export const looksFirst = (symptom: SymptomId, { strokes, injected }: Pick<RunBasis, 'strokes' | 'injected'>): string =>
  symptom === 'spits' && strokes
    ? `${injected ? 'An injector' : 'Idle passages'}, an air leak, the ${strokes === 'two' ? 'reeds' : 'valves'}.`
    : symptomWords[symptom].first;

const stoppedFor: Readonly<Record<string, string>> = {
  temperature: 'its temperature',
  stream: 'its stream',
  lamp: 'the lamp or horn',
  smoke: 'smoke',
  leak: 'a leak',
  noise: 'a noise'
};

/** What an earlier run showed, and what is done about it (C). */
export const lapsedWords: Readonly<Record<LapsedId, { readonly is: (was: string) => string; readonly first: string }>> =
  {
    stopped: {
      is: (was) => `It was stopped for ${stoppedFor[was]}`,
      first: 'Find what it was before it goes back.'
    },
    lamp: {
      is: () => 'The lamp or horn came on',
      first: 'Oil pressure or heat: which of them, before it runs again.'
    },
    smoke: { is: () => 'It kept smoking', first: 'Look at a plug after the next run: water or oil.' },
    leaks: { is: (was) => `It leaked ${was}`, first: 'Dry it, run it, and look for the place.' },
    noise: { is: () => 'It made a noise', first: 'Listen again where it came from, cold and warm, in gear and out.' },
    gears: { is: () => 'A gear was missing or jumped out', first: 'Linkage, hub, then the clutch dog.' },
    'plug-wet': {
      is: () => 'A plug came out of a run with water on it',
      first: 'Leak-down with the water jacket watched.'
    }
  };

/** Of smoke that keeps coming: what gets in, or the oil that it was mixed with. */
export const smokeWords = ({ rich, plugs }: RunFacts['smoke']): { readonly found: string; readonly advice: string } =>
  rich
    ? {
        found: `Smoke that keeps coming, on a mixture of ${Math.round(rich.mix)}:1 where ${Math.round(rich.asked)}:1 is asked: so much oil smokes by itself.`,
        advice: 'The mixture right, then the same run again; what smokes then is water or oil that gets in.'
      }
    : plugs === 'wet'
      ? {
          found: 'Smoke that keeps coming, and water on a plug: it is steam.',
          advice: 'Leak-down, the jacket watched.'
        }
      : plugs === 'dry'
        ? {
            found: 'Smoke that keeps coming, and no water on its plugs: more likely oil than water.',
            advice: 'How much oil it gets first, then where else it comes from.'
          }
        : { found: 'Smoke that keeps coming: water or oil is getting in.', advice: 'Look at the plugs after running.' };
