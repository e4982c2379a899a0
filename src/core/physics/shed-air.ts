/** 1 ppm of carbon monoxide in mg/m³ at 25 °C (P: NIOSH Pocket Guide). */
export const CO_MG_PER_PPM = 1.145;
/** Ceiling, and immediately dangerous to life, ppm (P: NIOSH Pocket Guide to Chemical Hazards). */
export const CO_CEILING = 200;
export const CO_DANGEROUS = 1200;

/**
 * Carbon monoxide, ppm, after `minutes` of an engine giving `grams` per hour in a room of `volume` m³ with `changes` of
 * air an hour: c = G/(V·n)·(1 − e^(−n·t)), well mixed. An argument against running indoors, never a permission.
 * Source (P): mass balance of one well-mixed room. Throws RangeError on no room.
 */
export function carbonMonoxide(grams: number, volume: number, changes: number, minutes: number): number {
  if (!(volume > 0 && grams >= 0 && changes >= 0 && minutes >= 0)) throw new RangeError('needs a room with a volume');
  const hours = minutes / 60;
  const filled = changes === 0 ? hours : (1 - Math.exp(-changes * hours)) / changes;
  return ((grams * 1000) / volume) * (filled / CO_MG_PER_PPM);
}

/** Minutes until `ppm` is reached; nothing where the air changes keep it under for ever. */
export function minutesUntil(ppm: number, grams: number, volume: number, changes: number): number | undefined {
  const share = (ppm * CO_MG_PER_PPM * volume) / (grams * 1000);
  if (changes === 0) return share * 60;
  return share * changes < 1 ? (-Math.log(1 - share * changes) / changes) * 60 : undefined;
}
