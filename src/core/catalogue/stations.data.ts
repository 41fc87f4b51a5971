/** The stations of a treatment in the order of the work. The same word in core, database, URL and screen. */
export const STATIONS = [
  { station: "survey", label: "Survey" },
  { station: "match", label: "Match" },
  { station: "ready", label: "Make ready" },
  { station: "join", label: "Join" },
  { station: "fill", label: "Fill" },
  { station: "level", label: "Level" },
  { station: "colour", label: "Colour" },
  { station: "close", label: "Close" },
] as const;

export type Station = (typeof STATIONS)[number]["station"];

export function stationLabel(station: Station): string {
  return STATIONS.find((row) => row.station === station)?.label ?? station;
}
