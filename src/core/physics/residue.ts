/** Share of what was in the sump that stays behind each time, from what came out of what was in; 0.15 where nobody measured (M). */
export function residueShare(drained: number, fill: number): number {
  if (!(fill > 0 && drained >= 0)) throw new RangeError('needs a fill above zero and a drained amount not under it');
  return Math.min(1, Math.max(0, 1 - drained / fill));
}

/** Share of the first contamination left after `changes`: rⁿ (P: each change dilutes what stayed). */
export function leftAfter(changes: number, share: number): number {
  if (!(share >= 0 && share < 1 && changes >= 0)) throw new RangeError('a share from 0 to under 1, changes from 0');
  return share ** changes;
}

/** Changes until no more than `target` of the first contamination is left. */
export function changesTo(target: number, share: number): number {
  if (!(target > 0 && target < 1)) throw new RangeError('a target between 0 and 1');
  if (!(share >= 0 && share < 1)) throw new RangeError('a share from 0 to under 1');
  return share === 0 ? 1 : Math.ceil(Math.log(target) / Math.log(share) - 1e-9);
}
