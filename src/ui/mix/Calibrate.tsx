"use client";
import { useState } from "react";
import { PX_PER_MM } from "@/core/units";

/** A bank card, mm (ISO/IEC 7810, ID-1). */
const CARD = { wide: 85.6, tall: 53.98 } as const;
/** Screens are not farther off than this from 96 px to the inch. */
const RANGE = [0.5, 2] as const;

/** One rectangle is made as large as a bank card: then every drawing on this screen is in true size. */
export function Calibrate({ start, done }: { start: number; done: (px_per_mm: number) => void }) {
  const [px, setPx] = useState(start);
  return (
    <div className="calibrate">
      <p className="text-read">
        Hold a bank card against the frame, and slide until both are the same. A ruler does too: the frame is 85.6 mm wide.
      </p>
      <div className="calibrate-card" style={{ width: CARD.wide * px, height: CARD.tall * px }} />
      <label className="txt-label">
        Larger or smaller
        <input
          type="range"
          min={PX_PER_MM * RANGE[0]}
          max={PX_PER_MM * RANGE[1]}
          step={PX_PER_MM / 200}
          value={px}
          onChange={(event) => setPx(Number(event.target.value))}
        />
      </label>
      <button type="button" className="btn go" onClick={() => done(px)}>
        It fits
      </button>
    </div>
  );
}
