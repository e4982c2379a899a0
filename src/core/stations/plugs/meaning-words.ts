import type { MeaningId } from './meaning.ts';

/** "Plug 2 is …": what was seen, and what it comes from. */
export const meaningWords: Readonly<Record<MeaningId, string>> = {
  normal: 'burns as it should',
  dry: 'dry: it has not been getting fuel lately, which standing explains',
  'oily-laid-up':
    'oily, as a proper lay-up leaves it: wipe it, it smokes for some minutes; look again after the first run',
  'oily-two': 'oily: on a two-stroke preservation oil or too rich a mix, unless it comes back after a run',
  'oily-four': 'oily: on a four-stroke rings or valve guides, or a sump that was overfilled or laid on its side',
  'fuel-injected': 'fuel-wet: no spark there, or an injector that leaks',
  fuel: 'fuel-wet: no spark there, or flooded by choke or needle',
  'fuel-one': 'fuel-wet, and no other: no spark there, or its own carburettor floods',
  'fuel-some': 'fuel-wet, and not all of them: no spark there, or the carburettor that feeds it floods',
  water:
    'wet with water: gasket, water jacket or exhaust cover, or the engine was under. Nothing spins until the hole is dry',
  rust: 'rusty: damp stood in that bore. Look in with a light; oil it and turn it by hand first',
  'white-two': 'white or blistered: it ran lean or hot, and a lean two-stroke holes its piston. Look at that crown',
  'white-seen':
    'white or blistered: it ran lean or hot, and the hole was seen clean. What leans it is looked for: fuel, air, mixture',
  white: 'white or blistered: it ran lean or hot',
  'black-two': 'black: rich, too much oil, or long idling',
  'black-injected': 'black and sooty: rich, by an injector that leaks, too much pressure or a sensor that reads cold',
  'black-one': 'black and sooty, and no other: it does not burn there. Its spark first, then what feeds it',
  'black-some': 'black and sooty, and not all of them: it does not burn there. Its spark first, then what feeds it',
  black: 'black and sooty: rich, or a stuck choke',
  bridged: 'bridged: no spark until the bridge is out. Clean it and look for what came loose',
  cracked: 'cracked: it sparks inside. Renew it'
};
