import { practice } from '../../findings/collect.ts';
import type { WordsOf } from '../../findings/fact.ts';
import type { AirPlace } from './air.ts';
import type { FuelFacts } from './facts.ts';
import type { LineFault } from './line.ts';

/** What is wrong at a part of the line, without the part's name. */
export const lineWords: Readonly<Record<LineFault, string>> = {
  'level-empty': 'nearly empty: the cheapest fault there is',
  'tank-dirt': 'dirt, rust or slime in it: it stops every filter and goes into the bowl; clean it out',
  'old-fuel': 'old fuel in it',
  'vent-closed': 'was closed: it dies after minutes and the tank sucks in',
  'vent-blocked': 'blocked: it dies after minutes and the tank sucks in',
  'pickup-blocked': 'blocked: it holds the fuel back, the more the faster it runs',
  'hose-hard': 'hard or cracked: it draws air; renew it',
  'hose-bubbles': 'bubbles in it: air is drawn before this point',
  'bulb-soft': 'stays soft: an air leak, or its valve',
  'bulb-flat': 'sucked flat: blocked upstream',
  'couplings-leak': 'weep or draw air: renew the O-rings',
  'shutoff-closed': 'was closed: it starves',
  'shutoff-stuck': 'stuck: free or renew it',
  'filter-clogged': 'clogged: it starves at speed',
  'filter-water': 'water in the bowl: drain it, line and tank too',
  'pump-weak': 'weak or leaking: kit; it dies within minutes and squeezing helps',
  'bowlLook-gummed': 'gum or varnish: strip and clean before a start',
  'bowlLook-water': 'water: it settled where the fuel is drawn',
  'bowlLook-dirt': 'dirt: clean it, and find the filter that let it through',
  'jets-gummed': 'jets or passages gummed: strip and clean, every one seen through',
  'choke-stuck': 'stuck or leaking: starved, or rich and sooty'
};

const airWords: Readonly<Record<AirPlace, readonly [string, string]>> = {
  pickup: ['at the pick-up or the tank’s fitting', 'Its tube and seals, and fuel over its end.'],
  coupling: ['at a coupling', 'New O-rings; the coupling with them where it is worn.'],
  hose: ['at the hose or the bulb', 'Renew it with all hose of its age.'],
  filter: ['at the filter’s housing', 'Its seal renewed, the bowl tight by hand.'],
  pump: ['at the fuel pump', 'Gasket and diaphragm together.']
};

/** Where the line draws air. */
export const airSaid: WordsOf<FuelFacts, object>['air'] = ({ values: { at } }) => ({
  found: `The line draws air ${airWords[at][0]}.`,
  advice: airWords[at][1],
  because: practice(
    [`air comes in ${airWords[at][0]}`],
    'joint after joint under vacuum: where the bubbles stop is what draws air.'
  )
});

export const bulbBefore: WordsOf<FuelFacts, object>['bulb-before'] = ({ values: { was } }) => ({
  found: `The bulb ${was === 'flat' ? 'was sucked flat' : 'stayed soft'}, the line was worked on, and nobody has squeezed it since.`,
  advice: 'Squeeze it: firm, and does it hold?',
  because: practice([`bulb ${was} before the work`], 'what was mended is seen to be mended.')
});

export const bubblesBefore: WordsOf<FuelFacts, object>['bubbles-before'] = () => ({
  found: 'There were bubbles in the hose, the line was worked on, and nobody looked again.',
  advice: 'Run it or pump the bulb, and look at the hose: none, or still some?',
  because: practice(['bubbles in the hose before the work'], 'air that is gone is seen to be gone.')
});
