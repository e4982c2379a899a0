import { cylinderCount, type Profile } from '../src/core/engine/profile.ts';
import type { Conditions } from '../src/core/record/reading.ts';
import type { ItemId } from '../src/core/stations/items.ts';
import { PSI } from '../src/core/units/factors.ts';

/** Somebody who reads what he is told to. */
export interface Hands {
  readonly profile: Profile;
  /** Readings of a bank were taken. */
  readonly banked: boolean;
  /** The best compression read so far, Pa: what sound cylinders of this engine show. */
  readonly best: number;
  readonly read: (what: ItemId, value: unknown, more?: { cylinder?: number; conditions?: Conditions }) => void;
  readonly wait: (hours: number) => void;
}

function caseTest({ read, wait }: Hands): void {
  read('gear.caseBubbles', []);
  for (const [stage, p] of [
    ['low', 4 * PSI],
    ['high', 10 * PSI],
    ['vacuum', 25_000]
  ] as const) {
    read('gear.casePressure', p, { conditions: { stage } });
    read('gear.caseTurned', 'yes', { conditions: { stage } });
    for (let k = 0; k < 3; k++) {
      wait(1);
      read('gear.casePressure', p, { conditions: { stage } });
    }
  }
  read('gear.caseOpen', 'yes');
  read('gear.pressureTest', 'held');
}

/** What a check shows of an engine on which everything is right. */
export function good(station: string, hands: Hands): void {
  const { profile, read, wait } = hands;
  const cylinders = Array.from({ length: cylinderCount(profile) ?? 1 }, (_, k) => k + 1);
  const tester = { path: 'tester', light: 'shade' } as const;
  switch (station) {
    case 'safe':
      for (const [k, v] of Object.entries({
        lanyard: 'out',
        battery: 'off',
        propeller: 'off',
        secured: 'yes',
        place: 'outdoors',
        rinsed: 'yes',
        forecast: 285
      }))
        read(`safe.${k}` as ItemId, v);
      break;
    case 'look':
      for (const [k, v] of Object.entries({
        cowl: 'clean',
        wiring: 'good',
        hoses: 'supple',
        bulb: 'good',
        strainer: 'clear',
        mounts: 'sound',
        swivel: 'free',
        linkage: 'free',
        anodes: 'good',
        propeller: 'good',
        hub: 'dry',
        twist: 'holds',
        skeg: 'sound',
        case: 'sound'
      }))
        read(`look.${k}` as ItemId, v);
      break;
    case 'turn':
      read('turn.plugs', 'out');
      read('turn.roughNeutral', 'still');
      read('turn.result', 'free');
      read('turn.feel', []);
      wait(20);
      read('turn.result', 'free');
      read('turn.bumps', 0);
      for (const k of [
        'turn.water',
        'turn.dried',
        'turn.pass',
        'turn.neutral',
        'turn.forward',
        'turn.reverse',
        'turn.reverseLock',
        'turn.shiftRod',
        'turn.assembled',
        'turn.belt',
        'turn.lockNeutral',
        'turn.lockPinion',
        'turn.lockLeg'
      ] as const)
        read(
          k,
          {
            'turn.water': 'none',
            'turn.dried': 'yes',
            'turn.pass': 'clear',
            'turn.neutral': 'spins',
            'turn.reverseLock': 'rises',
            'turn.assembled': 'same',
            'turn.belt': 'sound',
            'turn.lockNeutral': 'free',
            'turn.lockPinion': 'free',
            'turn.lockLeg': 'free'
          }[k as 'turn.water'] ?? 'follows'
        );
      for (let n = 0; n < 3; n++) for (const cylinder of cylinders) read('turn.depth', 0.06, { cylinder });
      break;
    case 'plugs':
      for (const cylinder of cylinders) {
        read('plugs.read', ['normal'], { cylinder });
        read('plugs.hole', 'clean', { cylinder });
      }
      for (const [k, v] of Object.entries({
        order: 'yes',
        oil: 0,
        volts: 12,
        starterCircuit: 'turns',
        starterDirect: 'turns',
        voltsEnd: 'through',
        rope: 'good'
      }))
        read(`plugs.${k}` as ItemId, v);
      break;
    case 'spark':
      read('spark.lanyard', 'yes');
      for (const cylinder of cylinders) {
        read('spark.leadLook', 'whole', { cylinder });
        read('spark.coilLook', 'whole', { cylinder });
        read('spark.stray', 'none', { cylinder });
        for (let n = 0; n < 2; n++)
          read('spark.result', 'good', { cylinder, conditions: { ...tester, volts: 12, rpm: 500 } });
        read('spark.steady', 'steady', { cylinder });
        read('spark.colour', 'blue', { cylinder });
        read('spark.gap', 0.012, { cylinder });
        read('spark.pointsLook', 'clean', { cylinder });
      }
      read('spark.stopWire', 'still');
      read('spark.keyLook', 'sound');
      read('spark.timing', 5);
      break;
    case 'compression': {
      const conditions = { throttle: 'open', bores: 'dry', engine: 'cold', volts: 12 } as const;
      for (let n = 0; n < 2; n++)
        for (const cylinder of n ? [...cylinders].reverse() : cylinders)
          read('compression.pressure', Math.max(hands.best, 125 * PSI), { cylinder, conditions });
      for (const cylinder of cylinders) {
        read('compression.leakdown', 0.04, { cylinder });
        read('compression.escape', [], { cylinder });
        if (profile.strokes === 'four')
          for (const valve of ['lashIn', 'lashEx'] as const) read(`compression.${valve}`, 0.2e-3, { cylinder });
      }
      break;
    }
    case 'gear':
      read('gear.first', 'oil');
      read('gear.look', 'clear');
      if (typeof profile.gearCapacity === 'number') read('gear.drained', profile.gearCapacity);
      read('gear.water', 0);
      read('gear.magnet', 'paste');
      read('gear.explained', 'yes');
      read('gear.dyeCase', 'paint');
      read('gear.dyeSkeg', 'paint');
      read('gear.slots', 'good');
      read('gear.caseAir', 300e-6);
      caseTest(hands);
      read('gear.washers', 'yes');
      read('gear.refill', 'service');
      break;
    case 'fuel':
      for (const [k, v] of Object.entries({
        level: 'full',
        kind: 'plain',
        age: 0.2,
        jar: 'clear',
        jarWater: 0,
        tank: 'fresh',
        line: 'drained',
        bowl: 'fresh',
        bulb: 'firm',
        vent: 'open',
        pickup: 'clear',
        hose: 'supple',
        couplings: 'tight',
        shutoff: 'open',
        filter: 'clean',
        pump: 'good',
        choke: 'free',
        bowlLook: 'clean',
        jets: 'clear',
        dies: 'no',
        chokeOnly: 'no',
        floods: 'no',
        revived: 'no',
        portable: 'same',
        vacuumSpeed: 3000,
        ...(['electronic', 'direct'].includes(String(profile.fuelSystem)) ? { railPump: 'runs', rail: 280e3 } : {}),
        vacuumPortable: 3000,
        vacuumOpen: 3000,
        tankPressure: 20e3,
        mix: 50,
        ...(profile.lubrication === 'injection' ? { oilTank: 'full', oilMoves: 'moves' } : {})
      }))
        read(
          `fuel.${k}` as ItemId,
          k === 'mix' && typeof profile.premixRatio === 'number' ? profile.premixRatio / 1.6 : v
        );
      break;
    case 'cooling':
      for (const [k, v] of Object.entries({
        screen: 'clear',
        strainer: 'clear',
        source: 'tank',
        impellerAge: 0.5,
        opened: 'yes',
        set: 5,
        cracked: 0,
        missing: 0,
        found: 'all',
        housing: 'good',
        backward: 'no',
        bush: 'good',
        cover: 'good',
        tube: 'seated',
        assembled: 'yes',
        drill: 'pumps',
        stream: 'strong',
        outlet: 'clear',
        head: 335,
        thermostatStamp: 333,
        thermostatOpens: 333,
        thermostatPan: 'good'
      }))
        read(`cooling.${k}` as ItemId, v);
      for (const bank of ['port', 'starboard'] as const)
        if (hands.banked) {
          read('cooling.thermostatStamp', 333, { conditions: { bank } });
          read('cooling.thermostatOpens', 333, { conditions: { bank } });
          read('cooling.thermostatPan', 'good', { conditions: { bank } });
        }
      break;
    case 'oil':
      read('oil.sump', 'drained');
      for (let n = 0; n < 5; n++) {
        read('oil.drained', 0.95 * (typeof profile.sumpWithFilter === 'number' ? profile.sumpWithFilter : 1e-3));
      }
      read('oil.changes', 6);
      read('oil.poured', typeof profile.sumpWithFilter === 'number' ? profile.sumpWithFilter : 1e-3);
      read('oil.filter', 'renewed');
      read('oil.level', 'yes');
      read('oil.waited', 15);
      read('oil.smell', 'oil');
      read('oil.look', 'clean');
      read('oil.dip', 'between');
      read('oil.dip', 'between');
      break;
    case 'run':
      read('run.cause', 'found and cured');
      read('cooling.source', 'tank');
      read('run.event', 'start');
      read('run.lamp', 'none');
      read('run.stream', 'strong');
      read('run.rpm', 1400);
      for (let n = 0; n < 14; n++)
        read('run.temperature', 290 + 48 * (1 - Math.exp(-n / 3)), { conditions: { spot: 'head' } });
      read('run.rpm', 1800);
      read('run.volts', 14);
      read('run.exhaust', 'yes');
      read('run.event', 'stop');
      for (const [k, v] of Object.entries({
        outcome: 'ran',
        minutes: 35,
        smoke: 'none',
        leaks: 'none',
        gears: 'both',
        idles: 'even',
        second: 'same',
        plugAfter: 'dry',
        longRun: 'yes',
        tight: 'yes',
        counters: 'not-fitted'
      }))
        read(`run.${k}` as ItemId, v);
      break;
  }
}
