/** What is found of a filled face when it is looked at in raking light or under primer; trade practice. */
export const SPOTS = [
  { spot: "low", label: "Low spot", one: "low spot", several: "low spots", measured: true },
  { spot: "pinhole", label: "Pinhole", one: "pinhole", several: "pinholes", measured: false },
  { spot: "crack", label: "Crack", one: "crack", several: "cracks", measured: false },
  { spot: "edge", label: "Edge that shows", one: "edge that shows", several: "edges that show", measured: false },
] as const;

export type Spot = (typeof SPOTS)[number]["spot"];
export const SPOT_NAMES = SPOTS.map(({ spot }) => spot);

export const spotRow = (spot: Spot) => SPOTS.find((row) => row.spot === spot) ?? SPOTS[0];
