"use client";
import { useState } from "react";
import { plain } from "@/core/units";
import type { Air } from "./climate";
import { lazily } from "./lazily";

const ClimateDialog = lazily(() => import("./ClimateDialog").then((module) => module.ClimateDialog));

/** The air that all clocks run on; opens the form to set it by hand. */
export function ClimateButton({ air }: { air: Air }) {
  const [open, setOpen] = useState(false);
  const reading = `${plain(air.temp_C)} °C · ${plain(air.rh_pct, 0)} % RH`;
  const byHand = air.source === "hand";
  return (
    <>
      <button
        type="button"
        className="clim"
        aria-haspopup="dialog"
        aria-label={`Climate: ${reading}${byHand ? ", set by hand" : ""}. Change it`}
        onClick={() => setOpen(true)}
      >
        {byHand ? `by hand ${reading}` : reading}
      </button>
      {open && <ClimateDialog air={air} close={() => setOpen(false)} />}
    </>
  );
}
