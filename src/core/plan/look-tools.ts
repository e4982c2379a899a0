import type { StationId } from '../stations/items.ts';

/** What a look asks to be carried to the engine (C). */
export const lookTools: Readonly<Record<StationId, readonly string[]>> = {
  safe: ['chock', 'rag'],
  look: ['light', 'gloves'],
  turn: ['spanner for the flywheel nut', 'depth gauge'],
  plugs: ['plug wrench', 'plug tray', 'gap gauge'],
  spark: ['spark tester', 'meter', 'ground leads'],
  compression: ['compression gauge with the plug’s thread and reach', 'charged battery', 'syringe and oil'],
  gear: ['driver that fills the slot', 'drain pan', 'clear jar'],
  fuel: ['clear jar', 'siphon', 'labelled can'],
  cooling: ['light', 'soft wire', 'bucket or muffs'],
  oil: ['rag', 'funnel'],
  run: ['muffs or tank', 'thermometer', 'extinguisher']
};
