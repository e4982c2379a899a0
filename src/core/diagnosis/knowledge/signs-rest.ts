import type { SignKind } from './shape.ts';

const four = { strokes: ['four'] };
const two = { strokes: ['two'] };
const shifts = { shift: ['shift'] };
const indicator = { indicator: ['fitted'] };
const thermostat = { thermostat: ['fitted'] };
const pump = { supply: ['bulb'] };
const carburettor = { fuelSystem: ['carburettor'] };
const starter = { starting: ['electric', 'both'] };

/** What can be seen from the cowl down: fuel, cooling, gear case, engine oil, and in the first run. Leaks M. */
export const restSigns: readonly SignKind[] = [
  // The walk around.
  {
    id: 'nest',
    check: 'look',
    present: 'a nest under the cowl',
    absent: 'no nest under the cowl',
    leak: 0.02,
    reads: [{ item: 'look.cowl', present: ['nest'] }]
  },
  {
    id: 'wires-bad',
    check: 'look',
    present: 'wires chewed or chafed',
    absent: 'the wiring is whole',
    leak: 0.02,
    reads: [{ item: 'look.wiring', present: ['chewed'] }]
  },
  {
    id: 'connectors',
    check: 'look',
    present: 'connectors corroded',
    absent: 'connectors clean',
    leak: 0.15,
    reads: [{ item: 'look.wiring', present: ['corroded'] }]
  },
  {
    id: 'fuse-blown',
    check: 'look',
    present: 'the main fuse is blown',
    absent: 'the main fuse is whole',
    leak: 0.005,
    reads: [{ item: 'look.wiring', present: ['fuse'] }]
  },
  {
    id: 'hoses-hard',
    check: 'look',
    present: 'hoses hard or cracked',
    absent: 'hoses supple',
    leak: 0.03,
    reads: [
      { item: 'look.hoses', present: ['hard', 'cracked'] },
      { item: 'fuel.hose', present: ['hard'] }
    ]
  },
  {
    id: 'bulb-old',
    check: 'look',
    present: 'the bulb is hard or cracked',
    absent: 'the bulb springs back',
    leak: 0.02,
    reads: [{ item: 'look.bulb', present: ['hard', 'cracked'] }],
    fits: pump
  },
  {
    id: 'strainer-clogged',
    check: 'look',
    present: 'the strainer is clogged',
    absent: 'the strainer is clear',
    leak: 0.02,
    reads: [
      { item: 'look.strainer', present: ['clogged'] },
      { item: 'cooling.strainer', present: ['blocked'] }
    ]
  },
  {
    id: 'swivel-stiff',
    check: 'look',
    present: 'swivel or tilt is stiff',
    absent: 'swivel and tilt are free',
    leak: 0.03,
    reads: [{ item: 'look.swivel', present: ['stiff', 'seized'] }]
  },
  {
    id: 'mounts-bad',
    check: 'look',
    present: 'a mount is soft or the bracket cracked',
    absent: 'the mounts are sound',
    leak: 0.02,
    reads: [{ item: 'look.mounts', present: ['soft', 'cracked'] }]
  },
  {
    id: 'anodes-gone',
    check: 'look',
    present: 'the anodes are going or gone',
    absent: 'the anodes are good',
    leak: 0.05,
    reads: [{ item: 'look.anodes', present: ['half', 'gone', 'painted'] }]
  },
  {
    id: 'propeller-bent',
    check: 'look',
    present: 'the propeller is bent or nicked',
    absent: 'the propeller is true',
    leak: 0.03,
    reads: [{ item: 'look.propeller', present: ['bent', 'nicked'] }]
  },
  {
    id: 'hub-oil',
    check: 'look',
    present: 'gear oil or cream at the hub',
    absent: 'no gear oil at the hub',
    leak: 0.01,
    reads: [{ item: 'look.hub', present: ['oil', 'cream'] }]
  },
  {
    id: 'case-line',
    check: 'look',
    present: 'a stain along a line on case or skeg',
    absent: 'no crack to be seen on the case',
    leak: 0.005,
    reads: [
      { item: 'look.case', present: ['stain'] },
      { item: 'look.skeg', present: ['cracked'] }
    ]
  },
  {
    id: 'linkage-bad',
    check: 'look',
    present: 'the linkage is stiff or worn',
    absent: 'the linkage is free',
    leak: 0.1,
    reads: [{ item: 'look.linkage', present: ['stiff', 'worn'] }]
  },
  {
    id: 'odd-leg',
    check: 'look',
    present: 'the leg does not belong to the power head',
    absent: 'the leg belongs to the power head',
    leak: 0.005,
    measured: 'odd-leg'
  },
  {
    id: 'hub-slips',
    check: 'hub-twist',
    present: 'the propeller hub slips',
    absent: 'the propeller hub holds',
    leak: 0.005,
    reads: [{ item: 'look.twist', present: ['slips'] }]
  },
  // The shift.
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
  },
  // Gear oil and case.
  {
    id: 'gear-water',
    check: 'gear-crack',
    present: 'water or milk comes first',
    absent: 'oil comes first',
    leak: 0.005,
    reads: [{ item: 'gear.first', present: ['water', 'milky'] }]
  },
  {
    id: 'gear-milky',
    check: 'gear-drain',
    present: 'the gear oil is milky',
    absent: 'the gear oil is not milky',
    leak: 0.005,
    reads: [{ item: 'gear.look', present: ['milky', 'creamy'] }]
  },
  {
    id: 'gear-low',
    check: 'gear-drain',
    present: 'little gear oil is in it',
    absent: 'the gear oil is all there',
    leak: 0.01,
    measured: 'gear-low'
  },
  {
    id: 'gear-burnt',
    check: 'gear-drain',
    present: 'the gear oil is burnt or full of metal',
    absent: 'the gear oil is not burnt',
    leak: 0.01,
    reads: [{ item: 'gear.look', present: ['burnt', 'metallic'] }]
  },
  {
    id: 'gear-metal',
    check: 'magnet',
    present: 'slivers or pieces on the magnet',
    absent: 'no slivers on the magnet',
    leak: 0.005,
    reads: [{ item: 'gear.magnet', present: ['slivers', 'pieces'] }]
  },
  {
    id: 'case-leaks',
    check: 'case-test',
    present: 'the case leaks under test',
    absent: 'the case holds its test',
    leak: 0.01,
    measured: 'case'
  },
  {
    id: 'bubbles-propshaft',
    check: 'soap',
    present: 'bubbles at the propeller shaft',
    absent: 'no bubbles at the propeller shaft',
    leak: 0.003,
    measured: 'bubbles-propshaft'
  },
  {
    id: 'bubbles-carrier',
    check: 'soap',
    present: 'bubbles at the carrier',
    absent: 'no bubbles at the carrier',
    leak: 0.003,
    measured: 'bubbles-carrier'
  },
  {
    id: 'bubbles-driveshaft',
    check: 'soap',
    present: 'bubbles at the drive shaft',
    absent: 'no bubbles at the drive shaft',
    leak: 0.003,
    measured: 'bubbles-driveshaft'
  },
  {
    id: 'bubbles-cover',
    check: 'soap',
    present: 'bubbles at the seal cover',
    absent: 'no bubbles at the seal cover',
    leak: 0.003,
    measured: 'bubbles-cover'
  },
  {
    id: 'bubbles-shift',
    check: 'soap',
    present: 'bubbles at the shift shaft',
    absent: 'no bubbles at the shift shaft',
    leak: 0.003,
    measured: 'bubbles-shift'
  },
  {
    id: 'bubbles-plugs',
    check: 'soap',
    present: 'bubbles at the plugs',
    absent: 'no bubbles at the plugs',
    leak: 0.003,
    measured: 'bubbles-plugs'
  },
  {
    id: 'bubbles-housing',
    check: 'soap',
    present: 'bubbles at the housing itself',
    absent: 'no bubbles at the housing',
    leak: 0.002,
    measured: 'bubbles-housing'
  },
  {
    id: 'case-drifts',
    check: 'case-test',
    present: 'the case changed temperature during the test',
    absent: 'the case kept its temperature',
    leak: 0.02,
    measured: 'case-drifts'
  },
  {
    id: 'traces',
    check: 'look',
    present: 'earlier hands left traces',
    absent: 'no traces of earlier hands',
    leak: 0.3,
    measured: 'traces'
  },
  // Fuel.
  {
    id: 'tank-empty',
    check: 'tank',
    present: 'the tank is nearly empty',
    absent: 'there is fuel in the tank',
    leak: 0.02,
    reads: [{ item: 'fuel.level', present: ['empty'] }]
  },
  {
    id: 'fuel-dark',
    check: 'jar',
    present: 'the fuel is dark or too old',
    absent: 'the fuel is fresh and clear',
    leak: 0.01,
    measured: 'fuel-old'
  },
  {
    id: 'fuel-wet',
    check: 'jar',
    present: 'there is water in the fuel',
    absent: 'no water in the fuel',
    leak: 0.005,
    reads: [{ item: 'fuel.jar', present: ['layers', 'cloudy'] }]
  },
  {
    id: 'bulb-soft',
    check: 'bulb',
    present: 'the bulb stays soft',
    absent: 'the bulb firms up',
    leak: 0.01,
    reads: [{ item: 'fuel.bulb', present: ['soft'] }],
    fits: pump
  },
  {
    id: 'bulb-flat',
    check: 'bulb',
    present: 'the bulb is sucked flat',
    absent: 'the bulb is not sucked flat',
    leak: 0.003,
    reads: [{ item: 'fuel.bulb', present: ['flat'] }],
    fits: pump
  },
  {
    id: 'vent-shut',
    check: 'vent',
    present: 'the vent is closed or blocked',
    absent: 'the vent is open',
    leak: 0.01,
    reads: [{ item: 'fuel.vent', present: ['closed', 'blocked'] }]
  },
  {
    id: 'tap-shut',
    check: 'vent',
    present: 'the tap is closed or stuck',
    absent: 'the tap is open',
    leak: 0.01,
    reads: [{ item: 'fuel.shutoff', present: ['closed', 'stuck'] }]
  },
  {
    id: 'bubbles',
    check: 'fuel-line',
    present: 'bubbles in the fuel hose',
    absent: 'no bubbles in the fuel hose',
    leak: 0.01,
    reads: [{ item: 'fuel.hose', present: ['bubbles'] }],
    fits: pump
  },
  {
    id: 'coupling-weeps',
    check: 'fuel-line',
    present: 'a coupling weeps or draws air',
    absent: 'the couplings are tight',
    leak: 0.01,
    reads: [{ item: 'fuel.couplings', present: ['leak'] }]
  },
  {
    id: 'filter-clogged',
    check: 'fuel-line',
    present: 'a filter is clogged',
    absent: 'the filters are clean',
    leak: 0.02,
    reads: [{ item: 'fuel.filter', present: ['clogged'] }]
  },
  {
    id: 'filter-water',
    check: 'fuel-line',
    present: 'water in the filter bowl',
    absent: 'no water in the filter bowl',
    leak: 0.01,
    reads: [{ item: 'fuel.filter', present: ['water'] }]
  },
  {
    id: 'floods',
    check: 'floods',
    present: 'it floods with the bulb firm',
    absent: 'the needle holds',
    leak: 0.005,
    reads: [{ item: 'fuel.floods', present: ['yes', 'slow'] }],
    fits: carburettor
  },
  {
    id: 'choke-stuck',
    check: 'choke',
    present: 'choke or primer sticks or leaks',
    absent: 'choke and primer work',
    leak: 0.01,
    reads: [{ item: 'fuel.choke', present: ['stuck'] }],
    fits: carburettor
  },
  {
    id: 'revived',
    check: 'revived',
    present: 'squeezing the bulb revives it',
    absent: 'squeezing the bulb does not revive it',
    leak: 0.03,
    reads: [{ item: 'fuel.revived', present: ['yes'] }],
    fits: pump
  },
  {
    id: 'portable-fine',
    check: 'portable',
    present: 'it runs well on a portable tank',
    absent: 'just the same on a portable tank',
    leak: 0.02,
    reads: [{ item: 'fuel.portable', present: ['fine'] }],
    fits: pump
  },
  {
    id: 'choke-only',
    check: 'choke-only',
    present: 'it runs on choke only',
    absent: 'it runs without choke',
    leak: 0.02,
    reads: [{ item: 'fuel.chokeOnly', present: ['yes'] }],
    fits: carburettor
  },
  {
    id: 'pickup-blocked',
    check: 'pickup',
    present: 'pick-up or anti-siphon valve is blocked',
    absent: 'pick-up and anti-siphon valve are clear',
    leak: 0.005,
    reads: [{ item: 'fuel.pickup', present: ['blocked'] }]
  },
  {
    id: 'pump-weak',
    check: 'fuel-pump',
    present: 'the fuel pump is weak',
    absent: 'the fuel pump pulses and holds',
    leak: 0.01,
    reads: [{ item: 'fuel.pump', present: ['weak'] }],
    fits: pump
  },
  {
    id: 'vacuum-high',
    check: 'vacuum',
    present: 'line vacuum is high at speed',
    absent: 'line vacuum is low',
    leak: 0.02,
    measured: 'vacuum',
    fits: pump
  },
  {
    id: 'bowl-gum',
    check: 'bowl',
    present: 'gum or dirt in the bowl',
    absent: 'the bowl is clean',
    leak: 0.02,
    reads: [{ item: 'fuel.bowlLook', present: ['gummed', 'dirt'] }]
  },
  {
    id: 'bowl-water',
    check: 'bowl',
    present: 'water in the bowl',
    absent: 'no water in the bowl',
    leak: 0.005,
    reads: [{ item: 'fuel.bowlLook', present: ['water'] }]
  },
  {
    id: 'mix-lean',
    check: 'mix',
    present: 'too little oil in the fuel',
    absent: 'oil enough in the fuel',
    leak: 0.01,
    measured: 'mix',
    fits: two
  },
  // Cooling.
  {
    id: 'screen-blocked',
    check: 'screen',
    present: 'the intake screens are blocked',
    absent: 'the intake screens are clear',
    leak: 0.01,
    reads: [{ item: 'cooling.screen', present: ['partly', 'blocked'] }]
  },
  {
    id: 'stream-weak',
    check: 'run',
    present: 'the stream is weak',
    absent: 'the stream is not weak',
    leak: 0.005,
    measured: 'stream-weak',
    fits: indicator
  },
  {
    id: 'stream-none',
    check: 'run',
    present: 'there is no stream',
    absent: 'there is a stream',
    leak: 0.005,
    measured: 'stream-none',
    fits: indicator
  },
  {
    id: 'hot',
    check: 'run',
    present: 'it runs hot',
    absent: 'its temperature is normal',
    leak: 0.005,
    measured: 'hot'
  },
  {
    id: 'never-warm',
    check: 'run',
    present: 'it never gets warm',
    absent: 'it gets warm',
    leak: 0.01,
    measured: 'cold',
    fits: thermostat
  },
  {
    id: 'banks-differ',
    check: 'run',
    present: 'one bank runs hotter',
    absent: 'the banks run alike',
    leak: 0.02,
    measured: 'banks',
    fits: { banks: ['two'] }
  },
  {
    id: 'cool-again',
    check: 'second-thermometer',
    present: 'normal by a second thermometer',
    absent: 'the second thermometer agrees',
    leak: 0.02,
    measured: 'cool-again'
  },
  {
    id: 'tank-fine',
    check: 'in-tank',
    present: 'the stream is good in a tank',
    absent: 'no better in a tank',
    leak: 0.02,
    measured: 'tank-fine',
    fits: indicator
  },
  {
    id: 'outlet-blocked',
    check: 'outlet',
    present: 'the stream outlet was blocked',
    absent: 'the stream outlet is clear',
    leak: 0.003,
    reads: [{ item: 'cooling.outlet', present: ['blocked', 'shut'] }],
    fits: indicator
  },
  {
    id: 'impeller-old',
    check: 'screen',
    present: 'the impeller is over its years',
    absent: 'the impeller is young',
    leak: 0.4,
    measured: 'impeller-old'
  },
  {
    id: 'vanes-bad',
    check: 'pump',
    present: 'vanes set, cracked or missing',
    absent: 'the vanes are good',
    leak: 0.005,
    measured: 'vanes'
  },
  {
    id: 'housing-worn',
    check: 'pump',
    present: 'the pump housing is grooved or melted',
    absent: 'the pump housing is good',
    leak: 0.01,
    reads: [{ item: 'cooling.housing', present: ['grooved', 'melted'] }]
  },
  {
    id: 'bush-bad',
    check: 'pump',
    present: 'the impeller spins or has seized on its shaft',
    absent: 'the impeller grips its shaft',
    leak: 0.003,
    reads: [{ item: 'cooling.bush', present: ['spins', 'seized'] }]
  },
  {
    id: 'key-gone',
    check: 'pump',
    present: 'the impeller key is missing, or the vanes lie reversed',
    absent: 'the impeller key is in',
    leak: 0.003,
    reads: [{ item: 'cooling.bush', present: ['key'] }]
  },
  {
    id: 'cover-worn',
    check: 'pump',
    present: 'the lip in the seal cover is worn',
    absent: 'the lip in the seal cover is good',
    leak: 0.01,
    reads: [{ item: 'cooling.cover', present: ['worn'] }]
  },
  {
    id: 'tube-leaks',
    check: 'pump',
    present: 'the water tube leaks or misses its grommet',
    absent: 'the water tube is seated',
    leak: 0.005,
    reads: [{ item: 'cooling.tube', present: ['leaking'] }]
  },
  {
    id: 'drill-nothing',
    check: 'drill',
    present: 'nothing comes in the drill test',
    absent: 'it pumps in the drill test',
    leak: 0.01,
    reads: [{ item: 'cooling.drill', present: ['nothing'] }]
  },
  {
    id: 'thermostat-shut',
    check: 'thermostat',
    present: 'the thermostat opens late or never',
    absent: 'the thermostat opens',
    leak: 0.003,
    measured: 'thermostat-shut',
    fits: thermostat
  },
  {
    id: 'thermostat-open',
    check: 'thermostat',
    present: 'the thermostat never shuts',
    absent: 'the thermostat shuts',
    leak: 0.003,
    measured: 'thermostat-open',
    fits: thermostat
  },
  // Engine oil.
  {
    id: 'oil-above',
    check: 'dip',
    present: 'the oil stands above the mark',
    absent: 'the oil does not stand above the mark',
    leak: 0.02,
    measured: 'oil-above',
    fits: four
  },
  {
    id: 'oil-below',
    check: 'dip',
    present: 'the oil stands below the mark',
    absent: 'the oil does not stand below the mark',
    leak: 0.02,
    measured: 'oil-below',
    fits: four
  },
  {
    id: 'dip-moves',
    check: 'dip-again',
    present: 'the second dip differs from the first',
    absent: 'two level dips agree',
    leak: 0.05,
    measured: 'dip-moves',
    fits: four
  },
  {
    id: 'oil-milky',
    check: 'dip',
    present: 'the engine oil is milky',
    absent: 'the engine oil is not milky',
    leak: 0.003,
    reads: [{ item: 'oil.look', present: ['milky'] }],
    fits: four
  },
  {
    id: 'oil-fuel',
    check: 'dip',
    present: 'the engine oil smells of fuel or is thin',
    absent: 'the engine oil does not smell of fuel',
    leak: 0.02,
    measured: 'oil-fuel',
    fits: four
  },
  {
    id: 'seal-doubled',
    check: 'oil-drain',
    present: 'the old filter seal is still on',
    absent: 'no old filter seal',
    leak: 0.005,
    reads: [{ item: 'oil.filter', present: ['stuck'] }],
    fits: four
  },
  // The first run.
  {
    id: 'no-start',
    check: 'run',
    present: 'it does not start',
    absent: 'it starts',
    leak: 0.02,
    reads: [{ item: 'run.outcome', present: ['failed'] }]
  },
  {
    id: 'ran-badly',
    check: 'run',
    present: 'it was stopped early',
    absent: 'it ran and settled',
    leak: 0.06,
    reads: [{ item: 'run.outcome', present: ['stopped'] }]
  },
  {
    id: 'dies',
    check: 'run',
    present: 'it dies after running a little',
    absent: 'it keeps running',
    leak: 0.02,
    measured: 'dies'
  },
  {
    id: 'lamp',
    check: 'run',
    present: 'a lamp or horn came on',
    absent: 'no lamp came on',
    leak: 0.01,
    reads: [{ item: 'run.lamp', present: ['came'] }]
  },
  {
    id: 'smoke',
    check: 'run-again',
    present: 'smoke keeps coming',
    absent: 'no lasting smoke',
    leak: 0.02,
    reads: [{ item: 'run.smoke', present: ['keeps'] }]
  },
  {
    id: 'plug-wet-after',
    check: 'run-again',
    present: 'water on a plug after the run',
    absent: 'the plug is dry after the run',
    leak: 0.003,
    reads: [{ item: 'run.plugAfter', present: ['wet'] }]
  },
  {
    id: 'leaks-oil',
    check: 'run-again',
    present: 'it leaks oil',
    absent: 'it leaks no oil',
    leak: 0.02,
    reads: [{ item: 'run.leaks', present: ['oil'] }]
  },
  {
    id: 'leaks-fuel',
    check: 'run-again',
    present: 'it leaks fuel',
    absent: 'it leaks no fuel',
    leak: 0.01,
    reads: [{ item: 'run.leaks', present: ['fuel'] }]
  },
  {
    id: 'spits',
    check: 'crankcase',
    present: 'it spits back, idles poorly, one cylinder weak',
    absent: 'it idles evenly',
    leak: 0.02,
    reads: [{ item: 'run.idles', present: ['spits'] }],
    fits: two
  },
  {
    id: 'kicks',
    check: 'run',
    present: 'it kicks back',
    absent: 'it does not kick back',
    leak: 0.01,
    reads: [{ item: 'run.idles', present: ['kicks'] }]
  },
  {
    id: 'shakes',
    check: 'run',
    present: 'it shakes',
    absent: 'it does not shake',
    leak: 0.02,
    reads: [{ item: 'run.idles', present: ['shakes'] }]
  },
  {
    id: 'dies-hot',
    check: 'run',
    present: 'it dies when warm and returns cold',
    absent: 'it does not die when warm',
    leak: 0.01,
    reads: [{ item: 'run.idles', present: ['hot'] }]
  },
  {
    id: 'no-charge',
    check: 'charge',
    present: 'the battery is not charged',
    absent: 'the battery is charged',
    leak: 0.02,
    measured: 'charge',
    fits: starter
  }
];
