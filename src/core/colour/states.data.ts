/** In which state a colour is looked at. A match holds for one of them only; trade practice. */
export const COLOUR_STATES = [
  { state: "wet", label: "wet", under: "wet" },
  { state: "dry", label: "dry", under: "dry, as it is" },
  { state: "under-glaze", label: "under glaze", under: "under a glaze" },
  { state: "under-clear", label: "under clear", under: "under a clear coat" },
  { state: "under-wax", label: "under wax", under: "under wax" },
  { state: "dressed", label: "dressed", under: "after dressing" },
] as const;

export type ColourState = (typeof COLOUR_STATES)[number]["state"];
export const COLOUR_STATE_NAMES = COLOUR_STATES.map(({ state }) => state);
export const stateRow = (state: ColourState) => COLOUR_STATES.find((row) => row.state === state) ?? COLOUR_STATES[1];
