/** The usual cautions: one line for the sheet, and in full what and what to do. Never a substitute for manual, local code or licensed practice. */
export const hazards = {
  'carbon-monoxide': {
    line: 'Carbon monoxide: run outdoors only.',
    what: 'Carbon monoxide kills within minutes indoors.',
    act: 'Run outdoors only, never in a shed, not even with the door open.'
  },
  propeller: {
    line: 'The propeller turns too: off, or all clear.',
    what: 'The propeller turns when the engine does.',
    act: 'Take it off or keep everyone clear; out of gear; on direct drive it turns with every pull.'
  },
  flywheel: {
    line: 'The flywheel catches sleeves and hair.',
    what: 'Flywheel and belts catch hands, hair and sleeves with the cowl off.',
    act: 'Sleeves, hair and tools away before anything turns.'
  },
  'high-voltage': {
    line: 'Open leads shock: ground the others.',
    what: 'Ignition voltage shocks and kills electronics through an open lead.',
    act: 'Ground every lead you are not testing; never be the path to ground.'
  },
  vapour: {
    line: 'Vapour lights from an arc: mop up first.',
    what: 'Fuel vapour and oil mist from plug holes light from one arc.',
    act: 'Mop up, air out, spark away from the plug holes, extinguisher at hand, last battery connection away from vapour.'
  },
  'fuel-pressure': {
    line: 'Fuel sprays: release its pressure first.',
    what: 'Fuel under pressure sprays.',
    act: 'Release pressure by the manual before a line is opened; eye guard.'
  },
  hot: {
    line: 'Water and exhaust scald: no bare hand.',
    what: 'Water and exhaust scald.',
    act: 'Do not test a stream or a hose with a bare hand on a hot engine.'
  },
  air: {
    line: 'Compressed air: lowest first, eye guard on.',
    what: 'Compressed air bursts cases and hurts eyes.',
    act: 'Regulator at its lowest first, eye guard, never above the manual’s figure.'
  },
  leg: {
    line: 'A tilted leg falls: lock it and chock it.',
    what: 'A tilted leg falls.',
    act: 'Lock the tilt and chock it before a hand goes under.'
  },
  lift: {
    line: 'Heavier than it looks: two people.',
    what: 'Engine and cowl are heavier than they look.',
    act: 'Stand rated for the weight; two people for a large cowl.'
  },
  chemicals: {
    line: 'Gloves, mask: gaskets may be asbestos.',
    what: 'Penetrating oil, cleaner, droppings and old gaskets harm lungs and skin.',
    act: 'Gloves, mask; no chlorinated cleaner near flame; treat old gaskets as asbestos.'
  },
  battery: {
    line: 'Battery off; last clip away from its gas.',
    what: 'Batteries give off gas and burn at a short.',
    act: 'Off before work; last connection away from the battery.'
  },
  waste: {
    line: 'Waste oil and fuel: labelled containers only.',
    what: 'Waste oil and fuel poison water.',
    act: 'Labelled containers, never drink bottles, to a proper collection point.'
  },
  eyes: {
    line: 'Splinters fly: eye guard on.',
    what: 'Chisels, springs and cutting discs throw splinters.',
    act: 'Eye guard on.'
  },
  backfire: {
    line: 'Liquid can shoot from a hole: face away.',
    what: 'A wet or flooded cylinder can throw its liquid out of the plug hole.',
    act: 'Face and hands away from the holes when it turns.'
  }
} as const;

export type HazardId = keyof typeof hazards;

export const hazardFooter =
  'Follow local codes and the maker’s manual; leave fuel systems, pressure, electrics and disposal to licensed trades where the law wants them.';
