import type { Source } from './source.ts';

/** What suspects, next checks and decisions rest on. */
export const thought: readonly Source[] = [
  {
    name: 'Suspects',
    value: 'noisy-OR of two layers, exact by variable elimination',
    provenance: 'P',
    source:
      'Pearl 1988 (noisy-OR, virtual evidence); Zhang & Poole 1996; Darwiche 2003; checked on Lauritzen & Spiegelhalter 1988'
  },
  {
    name: 'Strengths of the knowledge base',
    value: 'always 0.95, usually 0.8, often 0.5, sometimes 0.25, rarely 0.08; leaks 0.002 to 0.4',
    provenance: 'M',
    source: 'Estimates, from memory; a shop sets its own'
  },
  {
    name: 'Weight of evidence',
    value: 'change of log-odds when one reading is left out',
    provenance: 'P',
    source: 'Good 1985, Weight of evidence: a brief survey'
  },
  {
    name: 'Next check',
    value: 'expected gain a minute: doubt taken away, and stopping seen early',
    provenance: 'P',
    source:
      'Heckerman, Breese & Rommelse 1995, Decision-theoretic troubleshooting, CACM 38(3), in our own simple form; stakes from memory'
  },
  {
    name: 'Low compression as a likelihood',
    value: 'sound: 3 % under the best, 3.5 % scatter; low: anywhere from 9 to 95 %',
    provenance: 'M',
    source: 'From memory; with the scatter of the readings. Normal integral: Abramowitz & Stegun 26.2.17 (P)'
  },
  {
    name: 'Estimates of parts and hours',
    value: 'PERT-beta, mean (a + 4m + b)/6, variance (mean − a)(b − mean)/7',
    provenance: 'P',
    source: 'Malcolm, Roseboom, Clark & Fazar 1959; Vose 2008. Prices invented for the demo'
  },
  {
    name: 'Worth of an engine nobody priced',
    value: '700 cr + 90 cr/kW, parts a fifth of it',
    provenance: 'M',
    source: 'From memory, in the demo’s currency; used for ranking checks only'
  }
];
