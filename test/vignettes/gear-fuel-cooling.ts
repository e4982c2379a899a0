import { begun, four, sparks, twice, twin, type Vignette } from './shared.ts';

/** Cooling, gear case, fuel, engine oil, and one where all is sound. */
export const restCases: readonly Vignette[] = [
  {
    name: 'weak stream, cool head, outlet never probed',
    survey: begun(twin, 'neglected')
      .read('cooling.screen', 'clear')
      .read('cooling.impellerAge', 1)
      .read('cooling.source', 'tank')
      .read('cooling.stream', 'weak')
      .read('cooling.head', 332)
      .read('run.outcome', 'ran')
      .read('run.minutes', 15)
      .read('look.case', 'sound')
      .read('look.cowl', 'clean')
      .read('look.hoses', 'supple')
      .read('fuel.bulb', 'firm')
      .read('fuel.jar', 'clear')
      .read('gear.first', 'oil')
      .read('gear.look', 'clear'),
    suspect: 'outlet',
    not: ['impeller', 'pump-housing'],
    next: /Probe the stream outlet/
  },
  {
    name: 'weak stream, hot head, outlet clear, old impeller',
    survey: begun(twin, 'neglected')
      .read('cooling.screen', 'clear')
      .read('cooling.impellerAge', 6)
      .read('cooling.source', 'tank')
      .read('cooling.stream', 'weak')
      .read('cooling.head', 371)
      .read('cooling.outlet', 'clear')
      .read('run.outcome', 'stopped'),
    suspect: 'impeller',
    not: ['outlet', 'muffs']
  },
  {
    name: 'hot head, strong stream, thermostat never opens',
    survey: begun(four, 'neglected')
      .read('cooling.stream', 'strong')
      .read('cooling.head', 372)
      .read('cooling.thermostatPan', 'shut')
      .read('cooling.source', 'tank'),
    suspect: 'thermostat-shut',
    not: ['impeller', 'passages']
  },
  {
    name: 'milky gear oil, bubbles at the propeller shaft',
    survey: begun(twin, 'neglected')
      .read('gear.first', 'milky')
      .read('gear.look', 'milky')
      .read('gear.pressureTest', 'leaked')
      .read('gear.caseBubbles', ['propshaft'])
      .read('look.hub', 'cream'),
    suspect: 'seal-propshaft',
    not: ['frost-crack', 'plug-washers']
  },
  {
    name: 'water in the gear oil and a stain along a line after a winter',
    survey: begun(four, 'neglected', { worth: 3000, salvage: 500 })
      .read('gear.first', 'water')
      .read('gear.look', 'milky')
      .read('gear.pressureTest', 'leaked')
      .read('gear.caseBubbles', ['housing'])
      .read('look.case', 'stain'),
    suspect: 'frost-crack',
    // Dear and isolated: the power head has to show that it runs before the case is mended.
    decision: ['hold']
  },
  {
    name: 'slivers on the magnet, oil full of metal',
    survey: begun(twin, 'neglected')
      .read('gear.first', 'oil')
      .read('gear.look', 'metallic')
      .read('gear.magnet', 'slivers'),
    suspect: 'gears-worn'
  },
  {
    name: 'dies after minutes, squeezing revives it, tank full, vent open',
    survey: begun(twin, 'neglected')
      .read('fuel.level', 'full')
      .read('fuel.vent', 'open')
      .read('fuel.bulb', 'firm')
      .read('fuel.jar', 'clear')
      .read('fuel.dies', 'minutes')
      .read('fuel.revived', 'yes')
      .read('fuel.hose', 'supple')
      .read('fuel.couplings', 'tight')
      .read('fuel.pump', 'weak'),
    suspect: 'fuel-pump',
    not: ['vent', 'upstream', 'jets']
  },
  {
    name: 'bulb sucked flat, fine on a portable tank, vent open',
    survey: begun(twin, 'neglected')
      .read('fuel.level', 'full')
      .read('fuel.vent', 'open')
      .read('fuel.bulb', 'flat')
      .read('fuel.portable', 'fine')
      .read('fuel.dies', 'minutes'),
    suspect: 'upstream',
    not: ['fuel-pump', 'jets', 'vent']
  },
  {
    name: 'runs on choke only after years on old fuel',
    survey: begun(twin, 'long-stored', { yearsIdle: 4 })
      .read('fuel.jar', 'dark')
      .read('fuel.chokeOnly', 'yes')
      .read('fuel.bowlLook', 'gummed'),
    not: ['air-leak'],
    suspect: 'jets'
  },
  {
    name: 'oil above the mark, two level dips agree, no smell of fuel',
    survey: begun(four, 'spring-return', { laidUp: 'yes', yearsIdle: 0.5 })
      .read('oil.level', 'yes')
      .read('oil.dip', 'above')
      .read('oil.dip', 'above')
      .read('oil.smell', 'oil')
      .read('oil.look', 'clean'),
    suspect: 'overfilled',
    not: ['dilution', 'oil-water']
  },
  {
    name: 'oil above the mark, thin and smelling of fuel',
    survey: begun(four, 'neglected')
      .read('oil.level', 'yes')
      .read('oil.dip', 'above')
      .read('oil.dip', 'above')
      .read('oil.smell', 'fuel')
      .read('oil.look', 'thin'),
    suspect: 'dilution'
  },
  {
    name: 'spring return where everything is sound',
    survey: (() => {
      const b = begun(twin, 'spring-return', { laidUp: 'yes', yearsIdle: 0.5, worth: 2200 })
        .read('gear.first', 'oil')
        .read('gear.look', 'clear')
        .read('gear.magnet', 'clean')
        .read('fuel.age', 0.3)
        .read('fuel.jar', 'clear')
        .read('fuel.bulb', 'firm')
        .read('fuel.level', 'full')
        .read('fuel.mix', 50)
        .read('fuel.vent', 'open')
        .read('fuel.filter', 'clean')
        .read('fuel.hose', 'supple')
        .read('fuel.couplings', 'tight')
        .read('cooling.screen', 'clear')
        .read('cooling.impellerAge', 1)
        .read('look.cowl', 'clean')
        .read('look.wiring', 'good')
        .read('look.hoses', 'supple')
        .read('look.case', 'sound')
        .read('look.skeg', 'sound')
        .read('look.hub', 'dry')
        .read('look.mounts', 'sound')
        .read('plugs.starterCircuit', 'turns')
        .read('spark.lanyard', 'yes');
      return sparks(
        twice(b, [
          [1, 121],
          [2, 119]
        ]),
        'good',
        1,
        2
      )
        .read('cooling.source', 'tank')
        .read('cooling.stream', 'strong')
        .read('cooling.head', 331)
        .read('run.outcome', 'ran')
        .read('run.minutes', 15)
        .read('run.lamp', 'none')
        .read('run.smoke', 'first')
        .read('run.leaks', 'none')
        .read('run.gears', 'both')
        .read('run.plugAfter', 'dry');
    })(),
    decision: ['service']
  }
];
