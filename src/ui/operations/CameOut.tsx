"use client";
import { useState } from "react";
import { OUTCOMES, type Outcome } from "@/core/fill/outcomes.data";
import type { OperationView } from "@/core/views/operationView";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";

interface Props {
  readonly operation: OperationView;
  readonly causes: NonNullable<NonNullable<OperationView["mark"]>["causes"]>;
}

/** How a mix came out, and where it came out badly what it may come from: what the record speaks for first. */
export function CameOut({ operation, causes }: Props) {
  const log = useLog();
  const [outcome, setOutcome] = useState<Outcome>();
  const label = OUTCOMES.find((each) => each.outcome === outcome)?.label ?? "";
  const found = outcome ? causes[outcome] : [];
  const record = async () => {
    const seen = found.filter(({ seen: speaks }) => speaks).map(({ text }) => text);
    const text = `${operation.text.split(":")[0]}: ${label.toLowerCase()}. ${seen.length > 0 ? `Likely: ${seen.join(" ")}` : "Nothing on record tells why."}`;
    if (await log.write({ kind: "noted", station: operation.station, text: text.slice(0, 2000) })) setOutcome(undefined);
  };
  return (
    <details>
      <summary className="link-btn inline-flex cursor-pointer items-center">It came out badly</summary>
      <div className="grid gap-2 text-left">
        <div className="chips">
          {OUTCOMES.map((each) => (
            <button
              key={each.outcome}
              type="button"
              className="chip"
              aria-pressed={outcome === each.outcome}
              onClick={() => setOutcome(outcome === each.outcome ? undefined : each.outcome)}
            >
              {each.label}
            </button>
          ))}
        </div>
        {outcome && (
          <>
            <ol aria-label="Likely causes" className="grid gap-1">
              {found.map(({ text, seen }) => (
                <li key={text} className={seen ? "" : "dim"}>
                  {seen && <Sign name="soon">On record</Sign>} {text}
                </li>
              ))}
            </ol>
            <p className="sub">By what stands on record of this mix; trade practice, not a measurement.</p>
            <button type="button" className="btn small justify-self-start" disabled={log.busy} onClick={() => void record()}>
              Record: {label.toLowerCase()}
            </button>
          </>
        )}
      </div>
    </details>
  );
}
