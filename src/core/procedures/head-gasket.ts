import { about, figures } from './about.ts';
import { FLAT_DRESS, FLAT_FITS, flatnessVerdict } from '../stations/compression/flat.ts';
import { mirrored } from './procedure.ts';
import type { Procedure, ProcedureStep } from './procedure.ts';

/** Head off, gasket renewed (C: common practice; the maker’s manual stands above it). */
export const headGasket: Procedure = {
  id: 'head-gasket',
  title: 'Head off, gasket renewed',
  means: 'Proved first, bolts in order, faces measured, bores seen, bolts to the manual in their stages.',
  minutes: 150,
  jobs: ['head-gasket'],
  hazards: ['chemicals', 'eyes', 'hot'],
  tools: [
    'torque wrench',
    'straight edge',
    'feeler gauges',
    'scraper of plastic or brass',
    'card with holes for the bolts'
  ],
  parts: ['head gasket', 'thermostat gasket', 'bolts where the manual wants new ones'],
  wrong: [
    'Head levered off by its face.',
    'Oil or water under a bolt: it cracks the block or lies about its torque.',
    'Emery on the face: a trough.',
    'Bolts in another hole than they came from.'
  ],
  proof: { station: 'compression', text: 'compression and leak-down alike, no air at the neighbour or in the water' },
  handOver: 'Beyond dressing by hand the head goes to be machined, within the least height the manual gives.',
  steps: (c) => {
    const gap = about(c).number('compression.flatness');
    const verdict = gap === undefined ? undefined : flatnessVerdict(gap);
    const { strokes, camDrive = 'unknown' } = c.survey.engine.profile;
    const belt = strokes === 'four' && (camDrive === 'belt' || camDrive === 'unknown');
    const off: ProcedureStep[] = [
      { id: 'clear', text: 'Leads, covers, hoses off; photographed.', takesOff: ['leads and covers'] },
      ...(belt
        ? [
            {
              id: 'belt-off',
              text: 'Crank turned to its mark, in its direction; marks of crank and cam in line and photographed. Then the belt off, and nothing turned.',
              because: 'Turned with the belt off, valves may meet pistons.',
              takesOff: ['timing belt'],
              branch: [{ seen: 'Chain or gears instead', then: 'Marks all the same, as the manual says.' }]
            }
          ]
        : []),
      {
        id: 'bolts',
        text: 'Cold. Bolts loosened by quarter turns in the reverse of the tightening order, each into its hole of the card.',
        because: 'From the ends to the middle: it stays flat.',
        tools: ['card with holes for the bolts'],
        takesOff: ['head bolts by place'],
        branch: [
          { seen: 'One turns hard', then: 'Heat and patience, back and forth: a bolt broken in salt is half a day.' }
        ]
      },
      {
        id: 'head',
        text: 'Head off by its lugs and a soft blow, straight up; gasket whole if it can be.',
        careful: ['chemicals'],
        takesOff: ['head', 'head gasket']
      }
    ];
    return [
      {
        id: 'proof',
        text: 'Does leak-down say gasket: air at the neighbour’s hole, bubbles in the water, or the edge?',
        items: ['compression.leakdown', 'compression.escape'],
        branch: [{ seen: 'Neighbours that do not adjoin', then: 'No gasket lies between them: read again.' }]
      },
      ...off,
      { id: 'gasket', text: 'The old gasket tells: black track between two bores or to the water is where.' },
      {
        id: 'bores',
        text: 'Bores seen all round, pistons’ edges, cross of the hone, pits from standing water.',
        items: ['plugs.hole'],
        branch: [{ seen: 'Scored or pitted', then: 'No gasket now: the decision is made anew.', job: 'overhaul' }]
      },
      {
        id: 'clean',
        text: 'Faces cleaned with plastic or brass, bolt holes blown dry, threads run by hand.',
        careful: ['chemicals', 'eyes'],
        tools: ['scraper of plastic or brass']
      },
      {
        id: 'flat',
        text: 'Straight edge lengthwise, across, both diagonals: the thickest feeler that goes under. Head, then block.',
        items: ['compression.flatness'],
        ...figures(
          verdict && {
            label: {
              fits: 'Flat enough',
              dress: 'Dressed on a plate, paper face up, figure of eight',
              machine: 'To be machined'
            }[verdict],
            dimension: 'length',
            value: gap!,
            because: `From memory: to ${about(c).say(FLAT_FITS, 'length', 1e-5)} it fits, to ${about(c).say(FLAT_DRESS, 'length', 1e-5)} it is dressed; the manual’s limit counts.`
          }
        )
      },
      {
        id: 'on',
        text: 'New gasket dry or as the manual says, which side up is written on it; head on, bolts by place, oiled or dry as the manual says.',
        fits: mirrored(off.slice(1)),
        renew: ['head gasket']
      },
      {
        id: 'tight',
        text: 'From the middle outward, crosswise, in three stages to the manual’s torque.',
        torque: ['torque.head']
      },
      ...(belt
        ? [
            {
              id: 'belt-on',
              proves: true as const,
              text: 'Belt on, marks in line, tensioned; two whole turns by hand, and the marks again.',
              items: ['turn.belt'] as const,
              because: 'A tooth out it fires at the wrong moment, and a starter finds that out the dear way.',
              branch: [{ seen: 'It stops on the way', then: 'No force: the belt off again, marks from the beginning.' }]
            }
          ]
        : []),
      ...(strokes === 'four'
        ? [
            {
              id: 'lash',
              proves: true as const,
              text: 'Valve lash, cold, every valve, before it is cranked.',
              items: ['compression.lashIn', 'compression.lashEx'] as const
            }
          ]
        : []),
      {
        id: 'test',
        proves: true,
        text: 'Compression of every cylinder and leak-down before the covers go on; then the rest.',
        items: ['compression.pressure', 'compression.leakdown'],
        fits: ['leads and covers']
      },
      {
        id: 'again',
        text: 'After the first warm run and cold again: torque once more, where the manual asks for it.',
        torque: ['torque.head']
      }
    ];
  }
};
