/** Weight of petrol, N/m³: 740 kg/m³ (P: handbook) times gravity. */
export const PETROL_WEIGHT = 740 * 9.80665;
