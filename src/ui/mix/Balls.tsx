"use client";
import { useState } from "react";
import type { ByHand } from "@/core/mix/byHand";
import { plain } from "@/core/units";
import { Calibrate } from "./Calibrate";
import { useScreen } from "./useScreen";

/** Larger than this no screen shows a ball in full size, mm. */
const MOST_MM = 90;

/** Parts as balls in true size, to hold the kneaded ones against. */
export function Balls({ parts }: { parts: readonly ByHand[] }) {
  const { px_per_mm, calibrated, calibrate } = useScreen();
  const [open, setOpen] = useState(false);
  const shown = parts.every(({ ball_mm }) => ball_mm <= MOST_MM);
  return (
    <section aria-label="Balls">
      <div className="balls">
        {parts.map(({ name, ball_mm }) => {
          const px = ball_mm * px_per_mm;
          return (
            <figure key={name}>
              {shown && (
                <svg width={px + 4} height={px + 4} role="img" aria-label={`${name}: a ball of ${plain(ball_mm, 1)} mm, in true size`}>
                  <circle cx={px / 2 + 2} cy={px / 2 + 2} r={px / 2} fill="var(--color-panel)" stroke="currentColor" strokeWidth="2" />
                </svg>
              )}
              <figcaption>
                <b>{name}</b> Ø {plain(ball_mm, 1)} mm
              </figcaption>
            </figure>
          );
        })}
      </div>
      <p className="sub">
        {calibrated
          ? "In true size: hold yours against them."
          : "About true size, as most screens are. Hold a card against this one once to be sure."}{" "}
        <button type="button" className="link-btn" onClick={() => setOpen(!open)} aria-expanded={open}>
          {calibrated ? "Measure the screen again" : "Measure this screen"}
        </button>
      </p>
      {open && (
        <Calibrate
          start={px_per_mm}
          done={(px) => {
            calibrate(px);
            setOpen(false);
          }}
        />
      )}
    </section>
  );
}
