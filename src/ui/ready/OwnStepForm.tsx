"use client";
import type { Station } from "@/core/catalogue";
import type { OperationView } from "@/core/views/operationView";
import { useKept } from "../forms/kept";
import { parseNumber } from "../forms/parse";
import { useLog } from "../treatment/TreatmentLog";

export interface OwnStepProps {
  readonly station: Station;
  readonly operations: readonly Pick<OperationView, "id" | "title" | "round">[];
}

const EMPTY = { text: "", why: "", hands: "10", wait: "0", after: "" };

/** What is done, why, how long the hands are on it, and what waits after it. */
export function OwnStepForm({ station, operations }: OwnStepProps) {
  const log = useLog();
  const [kept, keep, forget] = useKept(`own-step:${station}:${log.treatment}`, EMPTY);
  // what was kept on this device may be older than a field
  const draft = { ...EMPTY, ...kept };
  const change = (to: Partial<typeof EMPTY>) => keep({ ...draft, ...to });
  const { text, why, hands, wait, after } = draft;
  const [minutes, waits] = [parseNumber(hands), parseNumber(wait)];
  const whole =
    text.trim() !== "" &&
    minutes.ok &&
    minutes.value >= 0 &&
    minutes.value <= 10_000 &&
    waits.ok &&
    waits.value >= 0 &&
    waits.value <= 100_000;
  const add = async () => {
    if (!whole || !minutes.ok || !waits.ok) return;
    const step = `own-${crypto.randomUUID().slice(0, 8)}`;
    const body = {
      kind: "step-added",
      station,
      step,
      text: text.trim(),
      why: why.trim(),
      hands_min: minutes.value,
      wait_min: waits.value,
      ...(operations.some(({ id }) => id === after) ? { after } : {}),
    } as const;
    if (await log.write(body)) {
      keep(EMPTY);
      forget();
    }
  };
  return (
    <div className="grid gap-2">
      <label className="txt-label">
        What is done
        <input className="txt" value={text} maxLength={300} onChange={(event) => change({ text: event.target.value })} />
      </label>
      <label className="txt-label">
        Why
        <input className="txt" value={why} maxLength={500} onChange={(event) => change({ why: event.target.value })} />
      </label>
      <label className="txt-label">
        After which step
        <select className="txt" value={after} onChange={(event) => change({ after: event.target.value })}>
          <option value="">the last of this station</option>
          {operations.map(({ id, title, round }) => (
            <option key={id} value={id}>
              {round > 1 ? `Round ${round}: ` : ""}
              {title}
            </option>
          ))}
        </select>
      </label>
      <div className="grid grid-cols-2 gap-2">
        <label className="txt-label">
          Hands, min
          <input className="txt" inputMode="decimal" value={hands} onChange={(event) => change({ hands: event.target.value })} />
        </label>
        <label className="txt-label">
          Then wait, min
          <input className="txt" inputMode="decimal" value={wait} onChange={(event) => change({ wait: event.target.value })} />
        </label>
      </div>
      <button type="button" className="btn" disabled={log.busy || !whole} onClick={() => void add()}>
        {text.trim() === "" ? "Say what is done first" : whole ? "Add the step" : "Enter minutes as numbers"}
      </button>
    </div>
  );
}
