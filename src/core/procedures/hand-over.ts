/** Who takes over, and when, by kind of work (C). */
export const gearHandOver =
  'Gears to be set by shims, a case to be welded, or a shaft to be ground go to a shop that does it every week.';

export const coolingHandOver = 'Corroded water jackets and a pump bore worn oval are work for a machine shop.';

export const fuelHandOver =
  'Built-in tanks, their lines and vents follow the law where the boat is; a leaking built-in tank goes to a licensed trade.';

export const ignitionHandOver =
  'Magnet wheels that have lost their magnets and boxes that only the maker’s tester reads go to his workshop.';

export const headHandOver =
  'Boring, skimming, crank work and anything pressed together on a crankshaft go to a machine shop.';

export const boatyard = 'Transom, bracket and welding are a boatbuilder’s work.';

export const electrician =
  'Shore power, inverters and boats’ main wiring are an electrician’s; a rewound starter is a specialist’s.';
