import { useEffect, useRef, useState } from "react";
import type { Reading } from "@/core/mix/weighing";
import type { Scale } from "@/devices/browser/scale";

export interface ScaleState {
  readonly reading?: Reading;
  /** Why there is no weight now; empty while there is one. */
  readonly trouble: string;
}

const QUIET_MS = 2_000;
const LOST = "The scale does not answer. What was taken stays: look at its cable and its plug, or type the grams.";

/** Listens to a scale for as long as it is the one; what it says last stands until it says something else. */
export function useScale(scale: Scale | undefined): ScaleState {
  const [state, setState] = useState<ScaleState>({ trouble: "" });
  const quiet = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => {
    if (!scale) return;
    let close: (() => void) | undefined;
    let gone = false;
    const lost = () => !gone && setState({ trouble: LOST });
    setState({ trouble: "" });
    scale
      .open((event) => {
        clearTimeout(quiet.current);
        if (gone) return;
        quiet.current = setTimeout(lost, QUIET_MS);
        if (event.kind === "reading") setState({ reading: { g: event.g, stable: event.stable }, trouble: "" });
        else setState({ trouble: event.kind === "lost" ? LOST : event.words });
      })
      .then(
        (end) => {
          if (gone) end();
          else close = end;
        },
        (error: Error) => !gone && setState({ trouble: error.message }),
      );
    return () => {
      gone = true;
      clearTimeout(quiet.current);
      close?.();
    };
  }, [scale]);
  return state;
}
