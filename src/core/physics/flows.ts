/** Energy of petrol per litre, J/m³, and heat capacity of water, J/(kg·K) (P); share of it that goes into cooling water (M). */
const PETROL = 32e6 * 1000;
const WATER = 4186;
export const COOLING_SHARE = 0.3;

/**
 * Cooling water, m³/min, that takes away what an engine burning `fuel` m³/h gives to it while warming by `rise` K.
 * P: heat balance; the share is from memory. An estimate of what is needed, not what the indicator shows.
 */
export function coolingFlow(fuel: number, rise: number): number {
  if (!(fuel >= 0 && rise > 0)) throw new RangeError('needs a fuel flow not under zero and a rise above it');
  return (fuel * PETROL * COOLING_SHARE) / 60 / (WATER * rise) / 1000;
}

/** Minutes until treated fuel has replaced what stands in `volume` m³ of line, bulb, filter and bowl at `flow` m³/h, twice over. */
export function treatedAfter(volume: number, flow: number): number {
  if (!(volume >= 0 && flow > 0)) throw new RangeError('needs a flow above zero');
  return (2 * volume * 60) / flow;
}
