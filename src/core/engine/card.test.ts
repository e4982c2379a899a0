import { describe, expect, it } from 'vitest';
import { adapterFit } from '../stations/compression/adapter-fit.ts';
import { cardFileSchema, cardLines, cardOf, offerOf, takeFrom, type CardFile } from './card-file.ts';
import { partNumbers } from './card.ts';
import { cardValue } from './card-value.ts';
import type { Engine } from './engine.ts';
import { engineOf, factSchema } from './fact.ts';

const at = '2026-05-02T08:00:00Z';
const engine: Engine = {
  identity: { tag: 'Knot', maker: 'Example', model: 'X 20' },
  profile: { strokes: 'two', cylinders: 2, leg: 'long', gearCapacity: 0.00035 },
  history: {},
  manual: { 'torque.head': { value: 20, page: '31' } },
  card: {
    plugType: { value: 'P 7', source: 'manual', page: '9' },
    plugReach: { value: 0.019, source: 'measured' },
    plugThread: { value: 'm14', source: 'guess' },
    pumpKit: { value: 'K-1', source: 'plate' }
  }
};
const sister = (change: Partial<Engine> = {}): Engine => ({
  identity: { tag: 'Dunlin', maker: ' example ', model: 'x  20' },
  profile: {},
  history: {},
  ...change
});

describe('the engine’s card', () => {
  it('holds what belongs to the model, and nothing of its owner or its leg', () => {
    const paths = cardOf(engine).entries.map((e) => e.path);
    expect(paths).toContain('profile.gearCapacity');
    expect(paths).not.toContain('profile.leg');
    expect(cardFileSchema.safeParse(JSON.parse(JSON.stringify(cardOf(engine)))).success).toBe(true);
  });
  it('names each entry’s source', () => {
    const source = (path: string) => cardLines(engine, 'metric').find((l) => l.path === path)?.source;
    expect(source('card.plugType')).toBe('manual, page 9');
    expect(source('card.plugThread')).toBe('a guess');
    expect(source('manual.torque.head')).toBe('manual, page 31');
  });
  it('a guess proves nothing unless it is asked for', () => {
    expect(cardValue(engine.card, 'plugThread')).toBeUndefined();
    expect(cardValue(engine.card, 'plugThread', true)).toBe('m14');
  });
  it('is a fact like any other: checked at the boundary, taken back by null', () => {
    const fact = (path: string, value: unknown) => factSchema.safeParse({ id: 'a', path, value, at }).success;
    expect(fact('card.plugReach', { value: 0.019, source: 'measured' })).toBe(true);
    expect(fact('card.plugReach', { value: 19, source: 'measured' })).toBe(false);
    expect(fact('card.plugReach', 0.019)).toBe(false);
    expect(fact('card.constructor', { value: 1, source: 'guess' })).toBe(false);
    expect(fact('card.__proto__', { value: 1, source: 'guess' })).toBe(false);
    const said = { path: 'card.plugType', value: engine.card!.plugType };
    expect(engineOf([said]).card).toEqual({ plugType: engine.card!.plugType });
    expect(engineOf([said, { path: 'card.plugType', value: null }]).card).toBeUndefined();
  });
  it('gives its numbers to the parts of jobs, a guess named as one', () => {
    expect(partNumbers(engine.card, 'pump kit or impeller, as the finding says')).toEqual([
      'pump kit K-1 (plate or stamp)'
    ]);
    expect(partNumbers(engine.card, 'head gasket')).toEqual([]);
    expect(partNumbers({ thermostatPart: { value: 'T', source: 'guess' } }, 'thermostat gasket')).toEqual([]);
    expect(partNumbers({ headGasket: { value: 'H', source: 'guess' } }, 'head gasket')).toEqual([
      'head gasket H (a guess)'
    ]);
  });
});

describe('a card laid beside another engine', () => {
  it('of the same model whatever the case and spaces; says what is new, and from whose card', () => {
    const offer = offerOf(cardOf(engine), sister(), 'metric');
    expect(offer.model).toBe('same');
    const plug = offer.entries.find((e) => e.path === 'card.plugType')!;
    expect(plug.state).toBe('new');
    expect(plug.value).toEqual({ value: 'P 7', source: 'manual', page: '9', from: 'Knot' });
    const torque = offer.entries.find((e) => e.path === 'manual.torque.head')!;
    expect(factSchema.safeParse({ id: 'a', path: torque.path, value: torque.value, at }).success).toBe(true);
  });
  it('taken over twice it keeps its first origin', () => {
    const second = sister({ card: { plugType: { value: 'P 7', source: 'manual', from: 'Knot' } } });
    const [entry] = offerOf(cardOf(second), sister({ identity: {} }), 'metric').entries;
    expect(entry!.value).toMatchObject({ from: 'Knot' });
  });
  it('what differs is shown beside its own and never called new', () => {
    const own = sister({ card: { pumpKit: { value: 'K-2', source: 'plate' } } });
    const kit = offerOf(cardOf(engine), own, 'metric').entries.find((e) => e.path === 'card.pumpKit')!;
    expect(kit).toMatchObject({ state: 'differs', own: 'K-2', said: 'K-1' });
  });
  it('of another kind of engine it says so; of another or an unnamed model too', () => {
    expect(offerOf(cardOf(engine), sister({ profile: { strokes: 'four' } }), 'metric').against).toHaveLength(1);
    expect(offerOf(cardOf(engine), sister({ identity: { maker: 'Example', model: 'Y' } }), 'metric').model).toBe(
      'other'
    );
    expect(offerOf(cardOf(engine), sister({ identity: {} }), 'metric').model).toBe('unknown');
  });
  it('entries that are unknown, impossible, or not of a model are left out by name', () => {
    const file: CardFile = {
      ...cardOf(engine),
      entries: [
        { path: 'card.plugReach', value: { value: 5, source: 'manual' } },
        { path: 'identity.owner', value: 'x' },
        { path: 'profile.leg', value: 'short' },
        { path: '__proto__.x', value: 1 },
        { path: 'card.pumpKit', value: { value: 'K-1', source: 'plate' } },
        { path: 'card.pumpKit', value: { value: 'K-9', source: 'plate' } }
      ]
    };
    const offer = offerOf(file, sister(), 'metric');
    expect(offer.entries.map((e) => e.path)).toEqual(['card.pumpKit']);
    expect(offer.unread).toHaveLength(5);
  });
});

describe('what is taken over', () => {
  const take = (own: Engine, paths: string[], confirmed = false) =>
    takeFrom(offerOf(cardOf(engine), own, 'metric'), new Set(paths), confirmed);
  it('only what was chosen, and nothing that is the same', () => {
    const taken = take(sister({ card: { pumpKit: { value: 'K-1', source: 'manual' } } }), [
      'card.plugType',
      'card.pumpKit'
    ]);
    expect(taken).toMatchObject({ ok: true, facts: [{ path: 'card.plugType' }] });
    expect(take(sister(), [])).toMatchObject({ ok: false, why: 'nothing' });
    expect(take(sister(), ['identity.owner'])).toMatchObject({ ok: false, why: 'nothing' });
  });
  it('of another model only when said so; of another kind never', () => {
    const other = sister({ identity: { maker: 'Example', model: 'Y' } });
    expect(take(other, ['card.plugType'])).toMatchObject({ ok: false, why: 'model' });
    expect(take(other, ['card.plugType'], true)).toMatchObject({ ok: true });
    expect(take(sister({ profile: { cylinders: 4 } }), ['card.plugType'], true)).toMatchObject({
      ok: false,
      why: 'kind'
    });
  });
});

describe('a gauge’s adapter before it is screwed in', () => {
  const gauge = { name: 'g', thread: 'm14', reach: 0.0127 } as const;
  it('another thread stops it; unknown threads say nothing', () => {
    expect(adapterFit({ ...gauge, reach: undefined, thread: 'm12' }, engine.card, 'metric')).toMatchObject([
      { kind: 'thread', breaks: true }
    ]);
    expect(adapterFit({ name: 'g' }, engine.card, 'metric')).toEqual([]);
    expect(adapterFit(gauge, undefined, 'metric')).toEqual([]);
    expect(adapterFit(undefined, engine.card, 'metric')).toEqual([]);
  });
  it('one that reaches further than the plug may touch what moves', () => {
    expect(adapterFit({ ...gauge, reach: 0.0265 }, engine.card, 'metric')).toMatchObject([
      { kind: 'long', breaks: true }
    ]);
    expect(adapterFit({ ...gauge, reach: 0.0195 }, engine.card, 'metric')).toEqual([]);
  });
  // ISO 724: the core of M14 × 1.25 is 12.647 mm; 6.3 mm of it hold 0.79 mL.
  it('a short one leaves an empty thread, whose volume is given', () => {
    const [short] = adapterFit(gauge, engine.card, 'metric');
    expect(short).toMatchObject({ kind: 'short', breaks: false });
    expect(short!.said).toContain('0.8 mL');
  });
});
