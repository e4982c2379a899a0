import type { Source } from './source.ts';

/** What bench plan, care dates and the proof rest on. */
export const bench: readonly Source[] = [
  {
    name: 'Bench plan',
    value: 'branch and bound over active plans; rules and random changes beyond 60 steps',
    provenance: 'P',
    source:
      'Giffler & Thompson 1960 (active schedules); Carlier & Pinson 1989 (branch and bound); checked on the six-by-six job shop of Fisher & Thompson 1963, best finish 55, and against HiGHS'
  },
  {
    name: 'Bound of the plan',
    value: 'one machine with interruption, room in every stretch, both in minutes of work',
    provenance: 'P',
    source: 'Jackson 1955; Carlier 1982; Baptiste, Le Pape & Nuijten 1999 (energetic reasoning)'
  },
  {
    name: 'Better, or not to be told apart',
    value: 'two means further apart than twice their combined standard uncertainty',
    provenance: 'P',
    source: 'GUM, JCGM 100:2008; the 3 % a hand repeats a single test by is from memory'
  },
  {
    name: 'Care intervals',
    value: '100 h or a year; first oil of a new or rebuilt head after 20 h; plugs two seasons; anodes six months',
    provenance: 'C',
    source: 'Common practice; every number is a house rule'
  },
  {
    name: 'Break-in stages',
    value: 'ten minutes at idle, to 1 h half throttle, to 3 h three quarters, to 10 h full for five minutes at most',
    provenance: 'M',
    source: 'Common practice, from memory; the manual’s schedule stands above it'
  },
  {
    name: 'Storage oil into the bores',
    value: '2 mL for each 100 mL swept, where the manual is silent',
    provenance: 'M',
    source: 'From memory'
  },
  {
    name: 'Calendar export',
    value: 'whole days, names that stay, monthly recurrence',
    provenance: 'P',
    source: 'RFC 5545; written by a library, read back by another'
  },
  {
    name: 'Chain of records',
    value: 'SHA-256 over the link before and the record’s own hash',
    provenance: 'P',
    source: 'FIPS 180-4; hash chaining as in Haber & Stornetta 1991'
  }
];
