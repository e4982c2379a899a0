import { about, figures } from './about.ts';
import { floatFigure, idleFigure, needleFigure } from './fuel-steps.ts';
import { mirrored } from './procedure.ts';
import type { Procedure, ProcedureStep } from './procedure.ts';

/** Carburettor off, stripped, cleaned, set (C: common practice; the maker’s manual stands above it). */
export const carburettorStrip: Procedure = {
  id: 'carburettor-strip',
  title: 'Carburettor off, stripped, cleaned, set',
  means:
    'Off as a unit, each passage seen through, float and needle measured, mixture screws counted, linkage as photographed.',
  minutes: 100,
  jobs: ['carburettor', 'bowl'],
  fits: (e) => e.profile.fuelSystem !== 'electronic' && e.profile.fuelSystem !== 'direct',
  hazards: ['vapour', 'chemicals', 'eyes'],
  tools: [
    'screwdrivers that fill their slots',
    'jet drivers',
    'calliper',
    'hand pump with gauge',
    'low-pressure air',
    'trays, one a carburettor'
  ],
  parts: ['carburettor kit', 'flange gasket', 'bowl gasket', 'cleaner'],
  wrong: [
    'A jet cleaned with wire: it is another jet now.',
    'Mixture screw not counted: no way back to where it ran.',
    'Jets of two carburettors mixed: top and bottom may differ.',
    'Float pressed while its height is measured: the needle’s spring lies.'
  ],
  proof: { station: 'fuel', text: 'bowl clean; the bulb firms up and holds; it idles without choke' },
  handOver: 'Worn throttle shafts, a warped flange and ultrasonic cleaning go to a shop that has the tools.',
  steps: (c) => {
    const a = about(c);
    const many = (a.cylinders ?? 1) > 1 && a.two;
    const off: ProcedureStep[] = [
      {
        id: 'picture',
        text: 'Linkages, links’ ends, hoses and springs photographed from both sides, before anything is unhooked.',
        careful: ['vapour']
      },
      {
        id: 'off',
        text: `Fuel off and caught; hoses marked; ${many ? 'the carburettors off as one unit with their linkage, nuts evenly' : 'links unhooked, nuts evenly, carburettor straight off'}.`,
        careful: ['vapour'],
        takesOff: [
          'air box',
          'hoses',
          'links and springs',
          'nuts',
          many ? 'carburettors as a unit' : 'carburettor',
          'flange gasket'
        ]
      }
    ];
    const leak = needleFigure(c);
    return [
      ...off,
      {
        id: 'bowl',
        text: 'Bowl off over a clean tray: what lies in it?',
        takesOff: ['bowl screws', 'bowl', 'bowl gasket'],
        items: ['fuel.bowlLook']
      },
      {
        id: 'float',
        text: 'Float pin out from its marked end; float shaken at the ear, needle and seat under the glass.',
        takesOff: ['float pin', 'float', 'needle'],
        branch: [
          { seen: 'Ring worn in the needle', then: 'Needle and seat from the kit, together.' },
          { seen: 'Float heavy or wet inside', then: 'Renewed.' }
        ]
      },
      {
        id: 'screws',
        text: 'Each mixture screw turned in to its seat, lightly, the turns counted and written down; then out.',
        because: 'Quarter turns count. It goes back to this number.',
        takesOff: ['mixture screws and springs']
      },
      {
        id: 'jets',
        text: 'Jets out with a driver that fills them, sizes read and written down by place.',
        tools: ['jet drivers'],
        takesOff: ['main jet', 'idle jet', 'emulsion tube'],
        items: ['fuel.jets'],
        branch: [{ seen: 'Sizes differ between carburettors', then: 'The manual says whether they should.' }]
      },
      {
        id: 'clean',
        text: 'Cleaner through every passage, then air both ways; each seen to come out where it should, idle holes in the throat too.',
        careful: ['chemicals', 'eyes'],
        because: 'The idle holes are what starves it at low speed: light through each.',
        wait: 15
      },
      {
        id: 'level',
        text: 'Float back on the needle, body upside down, float resting by its own weight: height from the face.',
        tools: ['calliper'],
        items: ['fuel.floatHeight', 'fuel.floatWanted'],
        ...figures(floatFigure(c)),
        branch: [
          { seen: 'Off', then: 'The tang is bent, never the float; measured again.' },
          { seen: 'Drop', then: 'Right way up the float hangs by the manual’s drop: less starves it at full speed.' }
        ]
      },
      {
        id: 'hold',
        text: 'Hand pump on the inlet, float up: pumped to half a bar, left a minute.',
        tools: ['hand pump with gauge'],
        items: ['fuel.needleFrom', 'fuel.needleTo', 'fuel.needleTime'],
        ...figures(leak)
      },
      {
        id: 'together',
        text: 'Together as the mirror: gaskets new, jets snug, screws out to their counted turns, choke closing fully by hand and by its solenoid.',
        fits: [
          'idle jet',
          'main jet',
          'emulsion tube',
          'mixture screws and springs',
          'needle',
          'float',
          'float pin',
          'bowl gasket',
          'bowl',
          'bowl screws'
        ],
        renew: ['bowl gasket', 'needle and seat where worn'],
        items: ['fuel.choke']
      },
      {
        id: 'on',
        text: `Flange flat, new gasket, ${many ? 'the unit' : 'carburettor'} on, links as photographed; throttle opens fully and snaps shut.`,
        fits: mirrored(off),
        renew: ['flange gasket']
      },
      {
        id: 'prime',
        proves: true,
        text: 'Bulb firm, bowls and joints dry for two minutes; only then the start.',
        careful: ['vapour'],
        items: ['fuel.bulb', 'fuel.floods']
      },
      {
        id: 'idle',
        text: 'Warm, in gear, on water: idle by the screw in eighths; leaner until it falls, then a quarter richer.',
        careful: ['carbon-monoxide', 'propeller'],
        act: 'start',
        items: ['run.idle'],
        ...figures(idleFigure(c))
      }
    ];
  }
};
