"use client";
import { formatMinutes } from "@/core/units";
import { minutesAtIt } from "@/core/views/actState";
import { cardOf } from "@/core/views/card";
import type { OperationView } from "@/core/views/operationView";
import { useNow, useWall } from "../frame/now";
import { Sign, SignShape } from "../signs/Sign";
import { Tokens } from "./Tokens";

interface Props {
  readonly operation: OperationView;
  readonly several: boolean;
  /** It was done, and its entry is on its way. */
  readonly kept: boolean;
  readonly open: () => void;
  /** The treatment is signed: nothing opens any more. */
  readonly fixed: boolean;
}

/** An operation that is not open: what, when, and how long hands are on it. A press opens it. */
export function OperationRow({ operation, several, kept, open, fixed }: Props) {
  const now = useNow(15_000);
  const wall = useWall();
  const { id, text, round, tokens, hands_min, state } = operation;
  const { sign, line } = cardOf(operation, now, wall);
  return (
    <li id={id} data-state={state} className="mx-5 border-b border-ash-deep">
      <button
        type="button"
        title={text}
        data-stop
        aria-expanded={false}
        disabled={fixed || kept}
        onClick={open}
        className="grid min-h-[44px] w-full grid-cols-[24px_auto_minmax(0,1fr)_auto] items-center py-1 text-left max-[1100px]:min-h-[60px]"
      >
        <span className={`sign-${sign}`}>
          <SignShape name={sign} />
        </span>
        <span className={several ? "pr-2" : ""}>
          <Tokens of={tokens} several={several} />
        </span>
        <span className="min-w-0">
          <span className="op-t one-line block leading-[18px] font-semibold">
            {round > 1 && <span className="round-mark">Round {round}</span>}
            {text}
          </span>
          {kept ? <Sign name="away">kept here, on its way</Sign> : <span className="sub one-line block leading-[16px]">{line}</span>}
        </span>
        <span className="pl-3 [font-stretch:86%]">{formatMinutes(minutesAtIt(hands_min))}</span>
      </button>
    </li>
  );
}
