/** The usual cautions, one line of what and one of what to do. Never a substitute for manual, local code or licensed practice. */
export const hazards = {
  'carbon-monoxide': {
    what: 'Carbon monoxide kills within minutes indoors.',
    act: 'Run outdoors only, never in a shed, not even with the door open.'
  },
  propeller: {
    what: 'The propeller turns when the engine does.',
    act: 'Take it off or keep everyone clear; out of gear; on direct drive it turns with every pull.'
  },
  flywheel: {
    what: 'Flywheel and belts catch hands, hair and sleeves with the cowl off.',
    act: 'Sleeves, hair and tools away before anything turns.'
  },
  'high-voltage': {
    what: 'Ignition voltage shocks and kills electronics through an open lead.',
    act: 'Ground every lead you are not testing; never be the path to ground.'
  },
  vapour: {
    what: 'Fuel vapour and oil mist from plug holes light from one arc.',
    act: 'Mop up, air out, spark away from the plug holes, extinguisher at hand, last battery connection away from vapour.'
  },
  'fuel-pressure': {
    what: 'Fuel under pressure sprays.',
    act: 'Release pressure by the manual before a line is opened; eye guard.'
  },
  hot: { what: 'Water and exhaust scald.', act: 'Do not test a stream or a hose with a bare hand on a hot engine.' },
  air: {
    what: 'Compressed air bursts cases and hurts eyes.',
    act: 'Regulator at its lowest first, eye guard, never above the manual’s figure.'
  },
  leg: { what: 'A tilted leg falls.', act: 'Lock the tilt and chock it before a hand goes under.' },
  lift: {
    what: 'Engine and cowl are heavier than they look.',
    act: 'Stand rated for the weight; two people for a large cowl.'
  },
  chemicals: {
    what: 'Penetrating oil, cleaner, droppings and old gaskets harm lungs and skin.',
    act: 'Gloves, mask; no chlorinated cleaner near flame; treat old gaskets as asbestos.'
  },
  battery: {
    what: 'Batteries give off gas and burn at a short.',
    act: 'Off before work; last connection away from the battery.'
  },
  waste: {
    what: 'Waste oil and fuel poison water.',
    act: 'Labelled containers, never drink bottles, to a proper collection point.'
  },
  eyes: { what: 'Chisels, springs and cutting discs throw splinters.', act: 'Eye guard on.' },
  backfire: {
    what: 'A wet or flooded cylinder can throw its liquid out of the plug hole.',
    act: 'Face and hands away from the holes when it turns.'
  }
} as const;

export type HazardId = keyof typeof hazards;

export const hazardFooter =
  'Follow local codes and the maker’s manual; leave fuel systems, pressure, electrics and disposal to licensed trades where the law wants them.';
