/** What this engine, or its sister, gave at another time; for comparing with. */
export interface EarlierFlow {
  readonly label: string;
  /** m³/s. */
  readonly flow: number;
}
export interface EarlierPhoto {
  readonly label: string;
  readonly photo: string;
}
export interface Earlier {
  readonly flows: readonly EarlierFlow[];
  readonly magnets: readonly EarlierPhoto[];
}
