"use client";
import { isLooking } from "@/core/views/acts";
import type { Card } from "@/core/views/card";
import type { OperationView } from "@/core/views/operationView";
import type { Air } from "../frame/climate";
import { useNow } from "../frame/now";
import { PictureInput } from "../stations/PictureInput";
import { useLog } from "../treatment/TreatmentLog";
import { DoIt } from "./DoIt";
import type { AgainstPlan } from "./doDraft";
import { Reasoned } from "./Reasoned";

interface Props {
  readonly operation: OperationView;
  readonly air: Air;
  readonly card: Card;
  readonly elsewhere: string | undefined;
}

const LEAVE_OUT = { open: "Leave it out", ask: "Why is it left out?", act: "Leave it out" };
const NONE_TAKEN = { open: "None taken", ask: "Why is there no photograph?", act: "None was taken" };

/** What records the open operation: one main action, or what stands against it; small beside it, leaving it out. */
export function CardActs({ operation, air, card, elsewhere }: Props) {
  const log = useLog();
  const now = useNow(60_000);
  const { id, state, pictures } = operation;
  const noPicture = pictures?.kept === 0;
  const skip = (
    <Reasoned
      name={`skip:${id}`}
      {...(noPicture ? NONE_TAKEN : LEAVE_OUT)}
      write={(reason) => log.write({ kind: "skipped", op: id, reason: noPicture ? `No photograph was taken: ${reason}` : reason })}
    />
  );
  if (elsewhere)
    return (
      <div className="card-acts">
        <p className="not-yet">{elsewhere}</p>
        {skip}
      </div>
    );
  // looking is never refused for its time; what comes before it comes first
  const open = state === "now" || (isLooking(operation) && (state === "too-early" || state === "too-late"));
  if (open && noPicture && pictures)
    return (
      <div className="card-acts">
        <PictureInput
          treatment={log.treatment}
          moment={pictures.moment}
          caption={operation.title}
          label="Add the photograph"
          go
          added={() => void log.write({ kind: "done", op: id })}
        />
        {skip}
      </div>
    );
  if (open)
    return (
      <div className="card-acts">
        <DoIt operation={operation} air={air} links={skip} />
      </div>
    );
  return (
    <div className="card-acts">
      <p className="not-yet">
        {card.word}
        {state === "too-early" && `: ${card.line}`}
      </p>
      <div className="flex flex-wrap gap-x-6 [&>details[open]]:w-full">
        <details>
          <summary data-stop className="link-btn inline-flex cursor-pointer items-center">
            Do it, with a reason
          </summary>
          {operation.consequence && <p>{operation.consequence}</p>}
          <DoIt operation={operation} air={air} against={againstOf(operation, now)} links={null} />
        </details>
        {skip}
      </div>
    </div>
  );
}

/** How it stands against the plan if it is done now. */
function againstOf({ state, since, from }: OperationView, now: number): AgainstPlan {
  const early = state === "too-early" && since !== undefined && from !== undefined;
  return {
    state: state === "never" ? "too-early" : (state as AgainstPlan["state"]),
    ...(early ? { passed_min: Math.max(0, (now - since) / 60_000), asked_min: Math.max(0, (from - since) / 60_000) } : {}),
  };
}
