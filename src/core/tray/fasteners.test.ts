import { describe, expect, it } from 'vitest';
import type { TrayPart } from '../record/work.ts';
import { fastenerMap, fastenerSaid, fastenersOf, socketsOf, type TrayOfModel } from './fasteners.ts';

const tray = (label: string, startedAt: string, ...parts: Partial<TrayPart>[]): TrayOfModel => ({
  label,
  startedAt,
  tray: parts.map((p, k) => ({ part: { id: `${label}${k}`, at: startedAt, name: 'bolt', ...p } }))
});
const old = tray('Old, 2025', '2025-04-01T08:00:00.000Z', {
  name: 'Leg bolt',
  place: 'port  aft',
  size: 'M8',
  length: 0.04,
  head: '13 mm hexagon',
  tool: 'long extension',
  count: 4,
  step: 'pump'
});
const recent = tray(
  'New, 2026',
  '2026-04-01T08:00:00.000Z',
  { name: 'leg bolt ', place: 'Port aft', size: 'M8 A4', step: 'pump' },
  { name: 'gasket' },
  { name: 'Cover screw', head: 'cross 2' }
);

describe('fastener map of a model', () => {
  it('takes the newest word and fills its gaps from the ones before, in either order', () => {
    for (const order of [
      [old, recent],
      [recent, old]
    ]) {
      const [bolt] = fastenerMap(order);
      expect(bolt).toMatchObject({ size: 'M8 A4', head: '13 mm hexagon', length: 0.04, seen: 2, from: 'New, 2026' });
    }
  });
  it('leaves out what is no fastener, and keeps one with gaps', () => {
    expect(fastenerMap([recent]).map((f) => f.name)).toEqual(['leg bolt ', 'Cover screw']);
  });
  it('is asked by job: what came off for none is of none', () => {
    const map = fastenerMap([old, recent]);
    expect(fastenersOf(map, ['pump']).map((f) => f.head)).toEqual(['13 mm hexagon']);
    expect(fastenersOf(map, ['lash'])).toEqual([]);
    expect(socketsOf(map)).toEqual(['13 mm hexagon', 'long extension', 'cross 2']);
  });
  it('says size, length, head, tool and place', () => {
    expect(fastenerSaid(fastenerMap([old])[0]!)).toBe(
      '4 × Leg bolt, M8 × 40 mm, 13 mm hexagon, long extension, port  aft'
    );
  });
  it('is empty for nothing, and for names of a plain object it finds nothing', () => {
    expect(fastenerMap([])).toEqual([]);
    expect(fastenersOf(fastenerMap([old]), ['constructor'])).toEqual([]);
  });
});
