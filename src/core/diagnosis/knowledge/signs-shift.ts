import type { SignKind } from './shape.ts';

const shifts = { shift: ['shift'] };

/** What shifting through shows: gears, neutral, shift rod, start lock. Leaks are estimates, from memory (M). */
export const shiftSigns: readonly SignKind[] = [
  {
    id: 'gear-missing',
    check: 'shift',
    present: 'a gear does not engage',
    absent: 'both gears follow',
    leak: 0.005,
    reads: [
      { item: 'turn.forward', present: ['no'] },
      { item: 'turn.reverse', present: ['no'] }
    ],
    fits: shifts
  },
  {
    id: 'starts-in-gear',
    check: 'start-lock',
    present: 'the starter turns it in gear',
    absent: 'in gear the starter does nothing',
    leak: 0.001,
    reads: [{ item: 'turn.startLock', present: ['turns'] }],
    findings: ['turn.start-lock'],
    fits: shifts
  },
  {
    id: 'rod-slips',
    check: 'shift-rod',
    present: 'the joint of the shift rod slips',
    absent: 'the shift rod follows the lever',
    leak: 0.002,
    reads: [{ item: 'turn.shiftRod', present: ['slips'] }],
    findings: ['turn.joint'],
    fits: shifts
  },
  {
    id: 'gear-slips',
    check: 'shift',
    present: 'a gear jumps or slips',
    absent: 'no gear slips',
    leak: 0.005,
    reads: [
      { item: 'turn.forward', present: ['slips'] },
      { item: 'turn.reverse', present: ['slips'] },
      { item: 'run.gears', present: ['fails'] }
    ],
    fits: shifts
  },
  {
    id: 'neutral-drags',
    check: 'shift',
    present: 'neutral drags or drives',
    absent: 'neutral spins freely',
    leak: 0.02,
    reads: [{ item: 'turn.neutral', present: ['drags', 'drives'] }],
    fits: shifts
  }
];
