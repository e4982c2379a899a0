import type { LineFault } from './line.ts';

/** What is wrong at a part of the line, without the part's name. */
export const lineWords: Readonly<Record<LineFault, string>> = {
  'level-empty': 'nearly empty: the cheapest fault there is',
  'old-fuel': 'old fuel in it',
  'vent-closed': 'was closed: it dies after minutes and the tank sucks in',
  'vent-blocked': 'blocked: it dies after minutes and the tank sucks in',
  'pickup-blocked': 'blocked: the bulb is sucked flat, vacuum rises with speed',
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
  'bowlLook-water': 'water: it settled where the jet draws',
  'bowlLook-dirt': 'dirt: clean it, and find the filter that let it through',
  'jets-gummed': 'jets or passages gummed: strip and clean, every one seen through',
  'choke-stuck': 'stuck or leaking: starved, or rich and sooty'
};
