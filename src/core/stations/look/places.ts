import type { Condition } from '../../findings/finding.ts';

/** What can be seen at a place: word on the button, what it means, and the sentence where it means something. */
export interface Sight {
  readonly label: string;
  readonly is: Extract<Condition, 'sound' | 'watch' | 'fault'>;
  readonly says?: string;
}
const sound = (label: string): Sight => ({ label, is: 'sound' });
const watch = (label: string, says: string): Sight => ({ label, is: 'watch', says });
const fault = (label: string, says: string): Sight => ({ label, is: 'fault', says });

export interface Place {
  readonly label: string;
  readonly ask: string;
  readonly absent?: true;
  readonly sights: Readonly<Record<string, Sight>>;
}

/** The walk around the engine, from the cowl down and aft. C: common practice throughout. */
export const places = {
  cowl: {
    label: 'Under the cowl',
    ask: 'Nests, corrosion, missing parts',
    sights: {
      clean: sound('clean'),
      nest: watch(
        'a nest',
        'There is a nest under the cowl: gloves and mask, then look at every wire and hose it touched.'
      ),
      corroded: watch('corroded', 'Corrosion under the cowl: expect seized fasteners and poor grounds.'),
      missing: watch('parts missing', 'Parts are missing under the cowl; they count before the first repair.')
    }
  },
  wiring: {
    label: 'Wiring and main fuse',
    ask: 'Chafed or chewed wires, connectors, main fuse',
    sights: {
      good: sound('whole'),
      chewed: fault('chewed or chafed', 'Wires are chewed or chafed: the stop wire first, then the rest of the loom.'),
      corroded: watch(
        'connectors corroded',
        'Corroded connectors: open, clean and protect them before a part is blamed.'
      ),
      fuse: fault('fuse blown', 'The main fuse is blown. Find out why before it gets a new one.')
    }
  },
  hoses: {
    label: 'Hoses',
    ask: 'Squeeze and bend every hose',
    sights: {
      supple: sound('supple'),
      hard: watch('hard', 'Hoses have gone hard: renew them before fuel is put through.'),
      cracked: fault(
        'cracked or chewed',
        'A hose is cracked or chewed: it leaks fuel or sucks air. Renew it before fuel is put through.'
      )
    }
  },
  bulb: {
    label: 'Primer bulb',
    ask: 'Cracks; does it spring back?',
    absent: true,
    sights: {
      good: sound('springs back'),
      hard: watch('hard', 'The primer bulb has gone hard: renew it with its hose.'),
      cracked: fault('cracked', 'The primer bulb is cracked and leaks fuel: renew it.')
    }
  },
  strainer: {
    label: 'Water strainer',
    ask: 'The small strainer under the cowl, where there is one',
    absent: true,
    sights: {
      clear: sound('clear'),
      clogged: watch('clogged', 'The water strainer is clogged: clean it now, the cowl is off.')
    }
  },
  mounts: {
    label: 'Mounts and clamp',
    ask: 'Rubber mounts, bracket, clamp screws',
    sights: {
      sound: sound('sound'),
      soft: watch('soft or torn', 'A mount is soft or torn: it will knock and shake under load.'),
      cracked: fault('bracket cracked', 'The bracket is cracked: it does not go back on a boat like this.')
    }
  },
  swivel: {
    label: 'Swivel and tilt',
    ask: 'Steer it and tilt it; grease nipples take grease?',
    sights: {
      free: sound('free'),
      stiff: watch('stiff', 'Swivel or tilt is stiff: grease it until old grease comes out, work it, again tomorrow.'),
      seized: fault('seized', 'Swivel or tilt is seized: heat and penetrating oil, patience, no hammer on the tube.')
    }
  },
  linkage: {
    label: 'Throttle and shift linkage',
    ask: 'Full travel both ways, play',
    sights: {
      free: sound('free'),
      stiff: watch('stiff', 'Throttle or shift linkage is stiff: free it before anything is judged by its feel.'),
      worn: watch('worn', 'The linkage is worn: check that throttle and gear reach their stops.')
    }
  },
  anodes: {
    label: 'Anodes',
    ask: 'Less than half left counts as gone',
    absent: true,
    sights: {
      good: sound('good'),
      half: watch('half gone', 'The anodes are half gone: renew them at the next haul-out.'),
      gone: watch('gone', 'The anodes are gone, and the case pays for it: renew them and look at the case.'),
      painted: watch('painted over', 'Painted anodes protect nothing: clean to bright metal or renew.')
    }
  },
  propeller: {
    label: 'Propeller',
    ask: 'Nicks; spin it against a pointer',
    absent: true,
    sights: {
      good: sound('true'),
      nicked: watch('nicked', 'The propeller is nicked: dress it, it costs speed and shakes.'),
      bent: fault('bent', 'A propeller blade is bent: it shakes seals and bearings loose. Mend or renew.')
    }
  },
  hub: {
    label: 'Behind the propeller',
    ask: 'Wipe what is at the hub and name it',
    sights: {
      dry: sound('dry'),
      exhaust: sound('black exhaust oil'),
      grease: sound('grease'),
      oil: watch(
        'gear oil',
        'Gear oil at the hub: propeller-shaft seal or carrier O-ring. The gear-oil check and a case test say which.'
      ),
      cream: watch('cream', 'Cream at the hub is gear oil with water in it: propeller-shaft seal or carrier O-ring.')
    }
  },
  twist: {
    label: 'Hub twist',
    ask: 'In forward, hold the flywheel and twist the propeller',
    absent: true,
    sights: {
      holds: sound('holds'),
      slips: fault(
        'slips',
        'The propeller hub slips: it revs without thrust. Mark hub and propeller, pull, renew the hub.'
      )
    }
  },
  skeg: {
    label: 'Skeg',
    ask: 'Bent, broken, mended',
    sights: {
      sound: sound('sound'),
      chipped: watch('chipped', 'The skeg is chipped: it has touched bottom. Look at propeller and shaft for it.'),
      cracked: fault('cracked', 'The skeg is cracked: a crack runs into the case. Case test before oil goes in.')
    }
  },
  case: {
    label: 'Gear case',
    ask: 'Weeping oil, a paint stain along a hairline',
    sights: {
      sound: sound('sound'),
      weeping: watch('weeping', 'The gear case weeps: wipe, wait, and see from where before the plugs are blamed.'),
      stain: fault(
        'stain along a line',
        'A paint stain along a line on the case is how a frost crack shows: dye or a case test before it runs.'
      )
    }
  }
} as const satisfies Record<string, Place>;

export type PlaceId = keyof typeof places;
export const placeIds = Object.keys(places) as PlaceId[];
