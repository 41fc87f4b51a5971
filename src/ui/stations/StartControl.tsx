"use client";
import { useState } from "react";

const AGO = [0, 5, 10, 15, 30, 60] as const;

interface Props {
  readonly label: string;
  readonly disabled: boolean;
  readonly onStart: (minutesAgo: number) => void;
  readonly main?: boolean;
}

/** Starts a clock, now or for what was begun with both hands full some minutes ago. */
export function StartControl({ label, disabled, onStart, main = true }: Props) {
  const [ago, setAgo] = useState(0);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_auto] gap-2">
      <button type="button" className={`btn big ${main && !disabled ? "go" : ""}`} disabled={disabled} onClick={() => onStart(ago)}>
        {label}
      </button>
      <label>
        <span className="visually-hidden">When it was done</span>
        <select className="txt h-full" value={ago} onChange={(event) => setAgo(Number(event.target.value))}>
          {AGO.map((minutes) => (
            <option key={minutes} value={minutes}>
              {minutes === 0 ? "now" : `${minutes} min ago`}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}
