/** The air of the shop, as pages hand it to the browser. */
export interface Air {
  readonly temp_C: number;
  readonly rh_pct: number;
  readonly source: "hand" | "sensor";
  readonly sensor: string;
  readonly since?: string;
}
