import { bench } from './bench.ts';
import { procedureFigures } from './procedures.ts';
import { thought } from './thought.ts';
import type { Source } from './source.ts';

export type { Source } from './source.ts';

/** Every constant and law that a judgement rests on; `docs/sources.md` is written from this list and from the limits. */
export const constants: readonly Source[] = [
  {
    name: 'Unit factors',
    value: '1 psi = 6894.757 Pa and the rest',
    provenance: 'P',
    source: 'NIST SP 811 (2008), appendix B'
  },
  {
    name: 'Standard atmosphere',
    value: '101325·(1 − 2.25577e-5·h)^5.25588 Pa',
    provenance: 'P',
    source: 'ISO 2533:1975 / ICAO Doc 7488'
  },
  {
    name: 'Sea-level compression',
    value: '(p + p_a)·101325/p_a − 101325',
    provenance: 'P',
    source: 'Gas law; that the exponent does not change with altitude is from memory'
  },
  { name: 'Cranking exponent', value: '1.3', provenance: 'M', source: 'Between isothermal 1.0 and adiabatic 1.4' },
  {
    name: 'Adapter effect',
    value: 'p_a·((V + d)/(V_c + d))^1.3 − p_a',
    provenance: 'P',
    source: 'Polytropic law; exponent from memory'
  },
  {
    name: 'Oil in the bore',
    value: 'r′ = (V − v)/(V_c − v), p ∝ r′^1.3',
    provenance: 'P',
    source: 'Polytropic law; exponent, and a ratio known to ±1 only, from memory'
  },
  {
    name: 'Usual compression ratio',
    value: '6.5 two-stroke (trapped), 9 four-stroke',
    provenance: 'M',
    source: 'Taken only where the profile gives none, ±1'
  },
  {
    name: 'Range of its kind',
    value: '90–150 psi two-stroke, 120–210 psi four-stroke',
    provenance: 'C',
    source: 'Common practice; below it is a question, never a fault'
  },
  {
    name: 'Repeatability of one cranking test',
    value: '2 % of the reading, worth three repeats',
    provenance: 'M',
    source: 'Pooled with the repeats that were taken'
  },
  {
    name: 'Ordinary gauge',
    value: '0–300 psi, ±2 % of full scale, 1 psi divisions',
    provenance: 'C',
    source: 'Where no gauge was named; ASME B40.100 grade B is ±3/2/3 % of span (P)'
  },
  {
    name: 'Spread and its interval',
    value: 'distribution of the range by conditioning on the highest',
    provenance: 'P',
    source: 'Checked against the Studentised range (Harter 1960)'
  },
  {
    name: 'Cranking model',
    value: 'mass and energy balance, slider-crank, leak and gauge as orifices; see docs/cranking.md',
    provenance: 'P',
    source: 'First law for an open system; ISO 9300 (critical ratio 0.528); checked against closed forms and odex'
  },
  {
    name: 'Air',
    value: 'R = 287.05 J/(kg·K), γ = 1.4',
    provenance: 'P',
    source: 'CRC Handbook, dry air'
  },
  {
    name: 'Hole',
    value: 'Cd 0.8',
    provenance: 'M',
    source: 'Only Cd·A is identified; the diameter is shown for this Cd'
  },
  {
    name: 'Port and valve closing',
    value: '95° before top two-stroke, 130° four-stroke; rod twice the stroke; square bore where none is known',
    provenance: 'M',
    source: 'Taken where the profile gives nothing better; ratio ±1 goes into every interval'
  },
  {
    name: 'Cranking speed',
    value: '250–450 rpm by rope, 210–350 by starter, plugs out',
    provenance: 'M',
    source: 'Taken where no speed was noted; the whole range goes into the interval'
  },
  {
    name: 'Leak beyond the best cylinder',
    value: 'heat loss set so that the best fits tight; never narrower than 13 % of the hole',
    provenance: 'M',
    source: 'Coverage of the stated intervals 93–97 % by simulation'
  },
  {
    name: 'Expected compression',
    value: 'model between slow, cold, ratio −, a hole of 0.5 mm and fast, warm, ratio +',
    provenance: 'M',
    source: 'Heat loss 150–500 W/(m²·K); below it is a question, never a fault'
  },
  {
    name: 'Leak-down',
    value: '80 psi through 0.040 in; series orifices',
    provenance: 'P',
    source: 'FAA AC 43.13-1B, differential compression; the orifice rule is to be confirmed (M)'
  },
  {
    name: 'Leak-down bands',
    value: '10 % watch, 20 % fault on the published restrictor; moved by the equivalent hole on another',
    provenance: 'C',
    source: 'Common practice'
  },
  {
    name: 'Breakdown of air',
    value: '24.36·x + 6.72·√x kV, x in bar·cm at 293 K',
    provenance: 'P',
    source: 'Kuffel, Zaengl & Kuffel, High Voltage Engineering, uniform field'
  },
  {
    name: 'Pointed electrodes',
    value: 'tester against plug within 0.75 to 1.33 of each other',
    provenance: 'M',
    source: 'Both fire lower than flat ones, about alike; the margin carries the room'
  },
  {
    name: 'Gas at top while cranking',
    value: 'T_a·r^0.29',
    provenance: 'M',
    source: 'Polytropic law; exponent between isothermal and adiabatic'
  },
  {
    name: 'Copper',
    value: 'R20 = R/(1 + 0.00393·(T − 20 °C))',
    provenance: 'P',
    source: 'IEC 60028'
  },
  {
    name: 'Windings, room between readings',
    value: '5 % by meter and temperature, 15 % between cylinders',
    provenance: 'M',
    source: 'To be confirmed'
  },
  {
    name: 'Points',
    value: '0.51 mm; 0.2 Ω closed',
    provenance: 'M',
    source: 'Gap common practice (C), contact resistance from memory'
  },
  {
    name: 'Oil viscosity and temperature',
    value: 'log log(ν + 0.7) = A − B·log T; usual gear oil 150 mm²/s at 40 °C, 15 at 100 °C',
    provenance: 'P',
    source: 'ASTM D341 (Walther); the grade is common practice'
  },
  {
    name: 'Case test',
    value: 'leak = V·Δp/(p_a·t); a drop counts over 1.645·√2·step/√12',
    provenance: 'P',
    source: 'Ideal gas; uniform rounding, 5 % both ways'
  },
  {
    name: 'Usual waits',
    value: 'drain 20 min at 20 °C, settle 10 min, hold 10 min',
    provenance: 'C',
    source: 'Common practice; the drain follows the viscosity where the air temperature is recorded'
  },
  { name: 'Weak cranking', value: '10.5 V with the plugs out', provenance: 'C', source: 'Common practice' },
  {
    name: 'Slow for electronic ignition',
    value: '300 rpm',
    provenance: 'M',
    source: 'The manual knows the engine’s own minimum'
  },
  {
    name: 'Bumps in two turns',
    value: '2 per cylinder two-stroke, 1 four-stroke',
    provenance: 'C',
    source: 'Every turn, and every other turn; cylinders rising together are felt as one'
  },
  {
    name: 'Depth by rod and calliper',
    value: '0.05 mm standard uncertainty',
    provenance: 'M',
    source: 'To be confirmed'
  },
  {
    name: 'Ice',
    value: 'water grows 9.07 %',
    provenance: 'P',
    source: 'CRC Handbook densities 999.84 and 916.7 kg/m³'
  },
  {
    name: 'Freezing point of sea water',
    value: '−1.9 °C at 35 g/kg; brackish taken at half',
    provenance: 'P',
    source: 'UNESCO / TEOS-10; the half is from memory'
  },
  {
    name: 'Drained volume',
    value: '±10 % of capacity means nothing',
    provenance: 'M',
    source: 'What clings, and the jug'
  },
  {
    name: 'Water in an ethanol blend',
    value: 'about 0.5 % by volume at 60 °F',
    provenance: 'M',
    source: 'US EPA 1995, phase separation'
  },
  {
    name: 'Premix',
    value: 'oil = fuel/ratio by volume',
    provenance: 'P',
    source: 'Arithmetic; the trade’s mixing table'
  },
  {
    name: 'Carbon monoxide',
    value: 'ceiling 200 ppm, immediately dangerous 1200 ppm',
    provenance: 'P',
    source: 'NIOSH Pocket Guide to Chemical Hazards'
  },
  {
    name: 'Residue after an oil change',
    value: 'about 15 % stays',
    provenance: 'M',
    source: '0.15ⁿ: 2.25 % after two, 0.34 % after three'
  },
  {
    name: 'Warm-up of a first run',
    value: 'T(t) = T_a + (T_∞ − T_a)·(1 − e^(−t/τ)), plateau by profile likelihood at 95 %',
    provenance: 'P',
    source: 'First-order heating; Student’s t (Abramowitz & Stegun 26.7.5) where the scatter comes from the residuals'
  },
  {
    name: 'No plateau promised before, level from',
    value: '1.4 time constants; under 0.2 K a minute',
    provenance: 'M',
    source: 'Before that the curve is a straight line'
  },
  {
    name: 'Cold start, banks apart',
    value: 'within 3 K of the air; 8 K between banks',
    provenance: 'M',
    source: 'From memory'
  },
  {
    name: 'Timed stream',
    value: '± 10 % each',
    provenance: 'M',
    source: 'Bucket, watch and idle; judged only beside an earlier value or the sister engine'
  },
  {
    name: 'Needle under a hand pump; premix that is held',
    value: 'holds up to 3 % lost in a minute, leaks from 10 %; 1.5 times the fuel to a part of oil that is asked',
    provenance: 'M',
    source: 'From memory; without oil it is held whatever the ratio'
  },
  {
    name: 'Oil level by the engine hour',
    value: 'dips of different days scatter by 1.5 mm, worth six dips; under 0.25 mm an hour is none',
    provenance: 'M',
    source:
      'Slopes within groups and their interval: Gelman et al. 3.2, Abramowitz & Stegun 26.7.5 (P); the scatter from memory'
  },
  {
    name: 'Thermostat in a pan',
    value: 'opens within 4 K of its stamp',
    provenance: 'M',
    source: 'From memory'
  },
  {
    name: 'Cooling water',
    value: '32 MJ/L of petrol, 4186 J/(kg·K), share 0.3 into the water',
    provenance: 'M',
    source: 'Heat balance with handbook constants (P); the share from memory'
  },
  {
    name: 'Suction of a lift of fuel',
    value: '740 kg/m³ · 9.80665 m/s²',
    provenance: 'P',
    source: 'Hydrostatics; density of petrol from handbooks'
  },
  {
    name: 'Two dips agree',
    value: 'within 2 mm; 12 mm from mark to mark where nobody measured',
    provenance: 'M',
    source: 'The meniscus, and where the stick rests'
  },
  {
    name: 'Overfilled against diluted',
    value: 'odds of 2 to 8 for each look, a verdict from 85 %',
    provenance: 'M',
    source: 'Weights of evidence (Good 1985); the weights are estimates'
  },
  {
    name: 'Viscosity of oil with fuel in it',
    value: 'Refutas index by mass; petrol 0.74 kg/L and 0.33 mm²/s, oil 0.86 and 10.5, both at 100 °C',
    provenance: 'P',
    source: 'Maples, Petroleum Refinery Process Economics; densities and viscosities are usual values'
  },
  {
    name: 'Record hash',
    value: 'SHA-256 of JSON with sorted keys',
    provenance: 'P',
    source: 'FIPS 180-4; key order as RFC 8785'
  },
  ...procedureFigures,
  ...thought,
  ...bench
];
