"use client";
import { useState } from "react";
import type { CameOutWay } from "@/core/mix/causes";
import type { CameOut as Defect } from "@/core/record/events.schema";
import { present } from "@/core/units";
import type { OperationView } from "@/core/views/operationView";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";

interface Props {
  readonly operation: OperationView;
  readonly ways: readonly CameOutWay<Defect>[];
}

/** How a mix or a coat came out, and where it came out badly what it may come from: what the record speaks for first; and what to change. */
export function CameOut({ operation, ways }: Props) {
  const log = useLog();
  const [defect, setDefect] = useState<Defect>();
  const way = ways.find((each) => each.defect === defect);
  const record = async ({ defect: found, causes, next }: CameOutWay<Defect>) => {
    const seen = causes.filter(({ seen: speaks }) => speaks).map(({ text }) => text);
    if (await log.write({ kind: "came-out", op: operation.id, defect: found, causes: seen, ...present({ next }) })) setDefect(undefined);
  };
  return (
    <div className="grid gap-2 pb-2 text-left">
      <div className="chips">
        {ways.map((each) => (
          <button
            key={each.defect}
            type="button"
            className="chip"
            aria-pressed={defect === each.defect}
            onClick={() => setDefect(defect === each.defect ? undefined : each.defect)}
          >
            {each.label}
          </button>
        ))}
      </div>
      {way && (
        <>
          <ol aria-label="Likely causes" className="grid gap-1">
            {way.causes.map(({ text, seen }) => (
              <li key={text} className={seen ? "" : "dim"}>
                {seen && <Sign name="soon">On record</Sign>} {text}
              </li>
            ))}
          </ol>
          {way.next && (
            <p>
              <b>Next:</b> {way.next}
            </p>
          )}
          <p className="sub">By what stands on record of it; trade practice, not a measurement.</p>
          <button type="button" className="btn small justify-self-start" disabled={log.busy} onClick={() => void record(way)}>
            Record: {way.label.toLowerCase()}
          </button>
        </>
      )}
    </div>
  );
}
