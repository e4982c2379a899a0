import { assess, type Assessment } from '../src/core/assess.ts';
import { cylinderCount } from '../src/core/engine/profile.ts';
import type { Move } from '../src/core/moves/move.ts';
import type { Conditions, Reading } from '../src/core/record/reading.ts';
import type { SurveyFile } from '../src/core/record/survey-file.ts';
import type { ItemId } from '../src/core/stations/items.ts';
import { PSI } from '../src/core/units/factors.ts';

/**
 * For law 10: does what a move asks for, and finds it good. What the engine truly is does not matter here: whatever was read
 * before, somebody who does as he is told and finds nothing more must come to an end.
 */
export class Follower {
  survey: SurveyFile;
  private at: number;
  private n = 0;

  constructor(survey: SurveyFile) {
    this.survey = survey;
    const last = survey.readings.at(-1)?.at ?? survey.assessment.startedAt;
    this.at = Date.parse(last) + 60_000;
  }

  get now(): Date {
    return new Date(this.at);
  }
  assessed = (): Assessment => assess(this.survey, this.now, 'us');

  private read(what: ItemId, value: unknown, more: { cylinder?: number; conditions?: Conditions } = {}): void {
    this.at += 60_000;
    const round = Math.max(
      1,
      ...this.survey.readings
        .filter((r) => r.what.startsWith(what.slice(0, what.indexOf('.') + 1)))
        .map((r) => r.round ?? 1)
    );
    const reading = {
      id: `f${this.n++}`,
      at: this.now.toISOString(),
      what,
      value,
      ...(round > 1 ? { round } : {}),
      ...more
    } as Reading;
    this.survey = { ...this.survey, readings: [...this.survey.readings, reading] };
  }
  private wait = (hours: number): void => void (this.at += hours * 3.6e6);

  private mark(step: string): void {
    this.at += 60_000;
    this.survey = {
      ...this.survey,
      steps: [...(this.survey.steps ?? []), { id: `f${this.n++}`, at: this.now.toISOString(), step, state: 'done' }]
    };
  }

  private caseTest(): void {
    this.read('gear.caseBubbles', []);
    for (const [stage, p] of [
      ['low', 4 * PSI],
      ['high', 10 * PSI],
      ['vacuum', 25_000]
    ] as const) {
      this.read('gear.casePressure', p, { conditions: { stage } });
      this.read('gear.caseTurned', 'yes', { conditions: { stage } });
      for (let k = 0; k < 3; k++) {
        this.wait(1);
        this.read('gear.casePressure', p, { conditions: { stage } });
      }
    }
    this.read('gear.caseOpen', 'yes');
    this.read('gear.pressureTest', 'held');
  }

  /** What a check shows of an engine on which everything is right. */
  private good(station: string): void {
    const { profile } = this.survey.engine;
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
          this.read(`safe.${k}` as ItemId, v);
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
          this.read(`look.${k}` as ItemId, v);
        break;
      case 'turn':
        this.read('turn.plugs', 'out');
        this.read('turn.roughNeutral', 'still');
        this.read('turn.result', 'free');
        this.read('turn.feel', []);
        this.wait(20);
        this.read('turn.result', 'free');
        this.read('turn.bumps', 0);
        for (const k of [
          'turn.water',
          'turn.dried',
          'turn.pass',
          'turn.neutral',
          'turn.forward',
          'turn.reverse',
          'turn.reverseLock',
          'turn.assembled',
          'turn.belt',
          'turn.lockNeutral',
          'turn.lockPinion',
          'turn.lockLeg'
        ] as const)
          this.read(
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
        for (let n = 0; n < 3; n++) for (const cylinder of cylinders) this.read('turn.depth', 0.06, { cylinder });
        break;
      case 'plugs':
        for (const cylinder of cylinders) {
          this.read('plugs.read', ['normal'], { cylinder });
          this.read('plugs.hole', 'clean', { cylinder });
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
          this.read(`plugs.${k}` as ItemId, v);
        break;
      case 'spark':
        this.read('spark.lanyard', 'yes');
        for (const cylinder of cylinders) {
          this.read('spark.leadLook', 'whole', { cylinder });
          this.read('spark.coilLook', 'whole', { cylinder });
          this.read('spark.stray', 'none', { cylinder });
          for (let n = 0; n < 2; n++)
            this.read('spark.result', 'good', { cylinder, conditions: { ...tester, volts: 12, rpm: 500 } });
          this.read('spark.steady', 'steady', { cylinder });
          this.read('spark.colour', 'blue', { cylinder });
          this.read('spark.gap', 0.012, { cylinder });
          this.read('spark.pointsLook', 'clean', { cylinder });
        }
        this.read('spark.stopWire', 'still');
        this.read('spark.keyLook', 'sound');
        this.read('spark.timing', 5);
        break;
      case 'compression': {
        const conditions = { throttle: 'open', bores: 'dry', engine: 'cold', volts: 12 } as const;
        for (let n = 0; n < 2; n++)
          for (const cylinder of n ? [...cylinders].reverse() : cylinders)
            this.read('compression.pressure', 125 * PSI, { cylinder, conditions });
        for (const cylinder of cylinders) {
          this.read('compression.leakdown', 0.04, { cylinder });
          this.read('compression.escape', [], { cylinder });
          if (profile.strokes === 'four')
            for (const valve of ['lashIn', 'lashEx'] as const) this.read(`compression.${valve}`, 0.2e-3, { cylinder });
        }
        break;
      }
      case 'gear':
        this.read('gear.first', 'oil');
        this.read('gear.look', 'clear');
        if (typeof profile.gearCapacity === 'number') this.read('gear.drained', profile.gearCapacity);
        this.read('gear.water', 0);
        this.read('gear.magnet', 'paste');
        this.read('gear.explained', 'yes');
        this.read('gear.slots', 'good');
        this.read('gear.caseAir', 300e-6);
        this.caseTest();
        this.read('gear.washers', 'yes');
        this.read('gear.refill', 'service');
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
          vacuumPortable: 3000,
          vacuumOpen: 3000,
          tankPressure: 20e3,
          mix: 50
        }))
          this.read(
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
          this.read(`cooling.${k}` as ItemId, v);
        for (const bank of ['port', 'starboard'] as const)
          if (this.survey.readings.some((r) => r.conditions?.bank)) {
            this.read('cooling.thermostatStamp', 333, { conditions: { bank } });
            this.read('cooling.thermostatOpens', 333, { conditions: { bank } });
            this.read('cooling.thermostatPan', 'good', { conditions: { bank } });
          }
        break;
      case 'oil':
        this.read('oil.sump', 'drained');
        for (let n = 0; n < 5; n++) {
          this.read('oil.drained', 0.95 * (typeof profile.sumpWithFilter === 'number' ? profile.sumpWithFilter : 1e-3));
        }
        this.read('oil.changes', 6);
        this.read('oil.poured', typeof profile.sumpWithFilter === 'number' ? profile.sumpWithFilter : 1e-3);
        this.read('oil.filter', 'renewed');
        this.read('oil.level', 'yes');
        this.read('oil.waited', 15);
        this.read('oil.smell', 'oil');
        this.read('oil.look', 'clean');
        this.read('oil.dip', 'between');
        this.read('oil.dip', 'between');
        break;
      case 'run':
        this.read('run.cause', 'found and cured');
        this.read('run.event', 'start');
        this.read('run.lamp', 'none');
        this.read('run.stream', 'strong');
        this.read('run.rpm', 1400);
        for (let n = 0; n < 14; n++)
          this.read('run.temperature', 290 + 48 * (1 - Math.exp(-n / 3)), { conditions: { spot: 'head' } });
        this.read('run.rpm', 1800);
        this.read('run.volts', 14);
        this.read('run.exhaust', 'yes');
        this.read('run.event', 'stop');
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
          this.read(`run.${k}` as ItemId, v);
        break;
    }
  }

  /** Does the first move. Gives it back, or nothing where it was the end. */
  step(a: Assessment): Move | undefined {
    const move = a.moves[0];
    if (
      !move ||
      move.kind === 'release' ||
      move.kind === 'ask' ||
      (move.kind === 'decide' && !move.id.startsWith('gate:'))
    )
      return undefined;
    if (move.kind === 'wait') this.at = Math.max(this.at, Date.parse(move.from ?? this.now.toISOString())) + 60_000;
    if (move.id.startsWith('drowned:')) {
      this.mark(`drowned.${move.id.slice('drowned:'.length)}`);
      if (move.station) this.good(move.station);
    } else if (move.kind === 'job') {
      this.mark(move.job!);
      this.wait(1);
    } else if (move.id.startsWith('gate:')) {
      if (move.id === 'gate:identity')
        this.survey = {
          ...this.survey,
          engine: { ...this.survey.engine, identity: { tag: 'T', serial: 'S', ...this.survey.engine.identity } }
        };
      else if (move.id === 'gate:handover') {
        this.read('run.tight', 'yes');
        this.read('run.counters', 'not-fitted');
        this.survey = {
          ...this.survey,
          engine: { ...this.survey.engine, history: { hours: 10, ...this.survey.engine.history } }
        };
      } else
        this.survey = {
          ...this.survey,
          reasons: [
            ...(this.survey.reasons ?? []),
            {
              id: `f${this.n++}`,
              at: this.now.toISOString(),
              gate: move.id.slice('gate:'.length),
              reason: 'Looked at, and it may stay.'
            }
          ]
        };
    } else if (move.station) this.good(move.station);
    return move;
  }
}
