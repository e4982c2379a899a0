import type { Source } from './source.ts';

/** What the figures of the procedures rest on. */
export const procedureFigures: readonly Source[] = [
  {
    name: 'Groove under a seal’s lip',
    value: 'polish under 0.05 mm, sleeve or moved lip to 0.2 mm, then the shaft',
    provenance: 'M',
    source: 'From memory; the seal maker’s limit counts'
  },
  {
    name: 'Depth of a new seal',
    value: 'within 0.3 mm of the old one',
    provenance: 'M',
    source: 'From memory; the same on two sides is square'
  },
  {
    name: 'Driver of a seal',
    value: 'half a millimetre under the outside, at least half way out from the lip',
    provenance: 'M',
    source: 'It bears on the metal ring and passes into the bore'
  },
  {
    name: 'Needle of a float bowl',
    value: 'V·Δp/(p_a·t)',
    provenance: 'P',
    source: 'Ideal gas at one temperature; that a good one shows no fall in a minute is common practice'
  },
  {
    name: 'Float height and fuel level',
    value: 'half to all of the error, the other way',
    provenance: 'M',
    source: 'Lever of the float: differs from carburettor to carburettor'
  },
  {
    name: 'Flatness of a face',
    value: 'fits to 0.05 mm, dressed to 0.1 mm, then machined',
    provenance: 'M',
    source: 'From memory; the manual’s limit counts'
  },
  {
    name: 'Oil into a bore',
    value: '1 to 2 mL for each 100 mL swept',
    provenance: 'M',
    source: 'From memory; the manual’s dose counts'
  },
  {
    name: 'Spark plug thread',
    value: 'M14 × 1.25',
    provenance: 'P',
    source: 'ISO 28741; new gasket half to two thirds of a turn, tapered seat a sixteenth: common practice'
  },
  {
    name: 'Lead battery',
    value: '12.6 V full, 12.2 V half, under 12 V empty; 9.6 V cranking',
    provenance: 'C',
    source: 'Resting an hour at 20 °C; common practice'
  },
  {
    name: 'Drain of a gear case',
    value: '20 min at 20 °C, by the oil’s viscosity',
    provenance: 'C',
    source: 'The time is common practice; how it goes with temperature is ASTM D341'
  }
];
