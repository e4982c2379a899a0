import { sayValue } from '$core/items/check-entry.ts';
import type { Reading } from '$core/record/reading.ts';
import { allItems } from '$core/stations/items.ts';
import type { System } from '$core/units/index.ts';

/** What is said of a reading: its label, its cylinder, its value with the unit. */
export function spoken(r: Reading, units: System): string {
  const where = r.cylinder === undefined ? '' : `, cylinder ${r.cylinder}`;
  return `${allItems[r.what].label}${where}: ${sayValue(allItems[r.what], r.value, units)}`;
}

/** Says a reading with the browser's own voice, where it has one; a newer reading cuts the older one short. */
export function speak(text: string): void {
  if (typeof speechSynthesis === 'undefined') return;
  speechSynthesis.cancel();
  speechSynthesis.speak(new SpeechSynthesisUtterance(text));
}
