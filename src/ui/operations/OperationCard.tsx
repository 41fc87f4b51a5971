"use client";
import { doseGrams } from "@/core/units";
import { type Card, cardOf } from "@/core/views/card";
import type { OperationView } from "@/core/views/operationView";
import type { Air } from "../frame/climate";
import { useNow, useWall } from "../frame/now";
import { Sign, SignShape } from "../signs/Sign";
import { Batches } from "./Batches";
import { CardActs } from "./CardActs";
import { Tokens } from "./Tokens";

interface Props {
  readonly operation: OperationView;
  readonly air: Air;
  readonly several: boolean;
  /** By when it has to be begun so that what follows falls into hours. */
  readonly start?: string | undefined;
  /** It is recorded by its instrument, not by a press here. */
  readonly elsewhere?: string | undefined;
}

/** The operation that is open: what, how much, what good looks like, what to watch for, and the press that records it. */
export function OperationCard({ operation, air, several, start, elsewhere }: Props) {
  const now = useNow(15_000);
  const wall = useWall();
  const { id, round, title, text, why, done_when, hands_min, mind, cautions, portions, tokens, state } = operation;
  const card = cardOf(operation, now, wall);
  return (
    <li id={id} data-state={state} data-sign={card.sign} data-now={state === "now"} className="task-card op-card">
      <div className="grid gap-[6px]">
        <p className="flex min-h-[20px] flex-wrap items-center gap-x-2">
          <Sign name={card.sign}>{card.word}</Sign>
          <Tokens of={tokens} several={several} />
          {round > 1 && <span className="round-mark">Round {round}</span>}
          <span className="min-w-0 [font-stretch:82%] text-ink-2 wrap-anywhere">{card.when}</span>
          <span className="ml-auto [font-stretch:86%]">
            {Math.round(hands_min[0])} to {Math.max(1, Math.round(hands_min[1]))} min
          </span>
        </p>
        <h3
          className={`text-head leading-[28px] font-bold tracking-[-0.01em] [font-stretch:92%] wrap-anywhere ${text === title ? "op-t" : ""}`}
        >
          {title}
        </h3>
        <HowMuch big={card.big} sign={card.sign} text={text === title ? "" : text} />
        {portions && <Portions portions={portions} />}
        {operation.batch && <Batches batch={operation.batch} now={now} />}
        <p className="flex gap-2 leading-[19px]">
          <span className="pt-[3px]">
            <SignShape name="done" />
          </span>
          <span>
            <b>Good looks like:</b> {done_when}. <span className="text-ink-2">{why}</span>
          </span>
        </p>
        {start && (
          <p className="leading-[18px]">
            <Sign name="soon">When:</Sign> {start}
          </p>
        )}
        {mind.map((each) => (
          <p key={each} className="leading-[18px]">
            <b>Mind:</b> {each}
          </p>
        ))}
        {cautions.length > 0 && <Guards cautions={cautions} />}
      </div>
      <CardActs operation={operation} air={air} card={card} elsewhere={elsewhere} />
    </li>
  );
}

/** The figure that counts most beside the whole instruction. */
function HowMuch({ big, sign, text }: Pick<Card, "big" | "sign"> & { text: string }) {
  if (!big && text === "") return null;
  return (
    <div className="flex items-center gap-3">
      {big && (
        <p
          className={`shrink-0 text-big leading-[36px] font-extrabold tracking-[-0.03em] [font-stretch:112%] ${sign === "off" ? "text-smalt" : ""}`}
        >
          {big.figure}
          {big.unit !== "" && <span className="ml-1 text-read font-semibold tracking-normal [font-stretch:100%]">{big.unit}</span>}
        </p>
      )}
      {text !== "" && <p className="op-t min-w-0 text-small leading-[18px] wrap-anywhere">{text}</p>}
    </div>
  );
}

/** Guards as short words; their sentences on a press. */
function Guards({ cautions }: Pick<OperationView, "cautions">) {
  return (
    <details>
      <summary className="flex min-h-[28px] cursor-pointer flex-wrap items-center gap-x-5 font-semibold text-minium">
        {cautions.map(({ short }) => (
          <span key={short} className="inline-flex items-center gap-2">
            <SignShape name="never" size={12} />
            {short}.
          </span>
        ))}
      </summary>
      {cautions.map(({ short, text }) => (
        <p key={short} className="pt-1 leading-[18px]">
          {text}
        </p>
      ))}
    </details>
  );
}

function Portions({ portions }: { portions: NonNullable<OperationView["portions"]> }) {
  return (
    <div className="portions">
      {portions.map(({ label, mass_g }) => (
        <span key={label} style={{ flex: Math.max(0.2, mass_g) }} title={`${label}: ${doseGrams(mass_g)}`}>
          {label}: <b>{doseGrams(mass_g)}</b>
        </span>
      ))}
    </div>
  );
}
