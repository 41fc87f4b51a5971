"use client";
import { useState } from "react";
import { BAUDS, hasSerial } from "@/devices/browser/serialScale";
import type { Fault, Hands } from "@/devices/browser/simulatedScale";
import { Segmented } from "../forms/Segmented";

/** Which scale this device listens to. */
export interface Chosen {
  readonly kind: "simulated" | "serial" | "hand";
  readonly baud: number;
  readonly marks_rest: boolean;
}

interface Props {
  readonly chosen: Chosen;
  readonly choose: (to: Chosen) => void;
  readonly hands: Hands;
}

/** Which scale, and how it is reached; kept on this device. */
export function ScaleChoice({ chosen, choose, hands }: Props) {
  return (
    <section aria-label="Scale" className="rule-ash mt-3 grid gap-2 pt-2">
      <Segmented
        label="Scale"
        value={chosen.kind}
        options={[
          ["simulated", "Simulated"],
          ["serial", "On a cable"],
          ["hand", "Typed"],
        ]}
        onChange={(kind) => choose({ ...chosen, kind })}
      />
      {chosen.kind === "simulated" && <SimulatedHands hands={hands} />}
      {chosen.kind === "serial" && <CableSettings chosen={chosen} choose={choose} />}
    </section>
  );
}

function CableSettings({ chosen, choose }: Omit<Props, "hands">) {
  return (
    <div className="form-row">
      <label className="txt-label">
        Baud
        <select className="txt" value={chosen.baud} onChange={(event) => choose({ ...chosen, baud: Number(event.target.value) })}>
          {BAUDS.map((baud) => (
            <option key={baud}>{baud}</option>
          ))}
        </select>
      </label>
      <label className="tick">
        <input type="checkbox" checked={chosen.marks_rest} onChange={(event) => choose({ ...chosen, marks_rest: event.target.checked })} />
        It marks what rests
      </label>
      {!hasSerial() && <p className="dim">This browser reaches no cable: type the grams.</p>}
    </div>
  );
}

const RATES: ReadonlyArray<readonly [label: string, rate_g_s: number]> = [
  ["Pour", 0.6],
  ["Drop by drop", 0.05],
  ["Pour too much", 4],
];
const FAULTS: ReadonlyArray<readonly [label: string, fault: Fault]> = [
  ["Pull its cable", "cable"],
  ["Send rubbish", "rubbish"],
  ["Send pounds", "pounds"],
];

/** The hands of the stand-in: held down they pour; what can go wrong with a scale is a press each. */
function SimulatedHands({ hands }: { hands: Hands }) {
  const [fault, setFault] = useState<Fault>();
  const provoke = (next: Fault) => {
    const to = fault === next ? undefined : next;
    setFault(to);
    hands.fault(to);
  };
  return (
    <div className="grid gap-2">
      <p className="sub">A stand-in for a scale, to try with: hold down to pour.</p>
      <div className="chips">
        {RATES.map(([label, rate]) => (
          <button
            key={label}
            type="button"
            className="chip"
            onPointerDown={() => hands.pour(rate)}
            onPointerUp={() => hands.pour(0)}
            onPointerLeave={() => hands.pour(0)}
            onKeyDown={(event) => event.key === " " && hands.pour(rate)}
            onKeyUp={() => hands.pour(0)}
            onBlur={() => hands.pour(0)}
          >
            {label}
          </button>
        ))}
      </div>
      <div className="chips">
        {FAULTS.map(([label, each]) => (
          <button key={label} type="button" className="chip" aria-pressed={fault === each} onClick={() => provoke(each)}>
            {label}
          </button>
        ))}
      </div>
    </div>
  );
}
