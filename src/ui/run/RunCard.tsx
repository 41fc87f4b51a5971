"use client";
import { useEffect } from "react";
import type { Card } from "@/core/views/card";
import type { OperationView } from "@/core/views/operationView";
import type { Air } from "../frame/climate";
import { isTyping } from "../frame/keys";
import { CardActs } from "../operations/CardActs";
import { plannedMinutes } from "../operations/doDraft";
import { Sign, SignShape } from "../signs/Sign";
import { useAtIt } from "./useAtIt";

interface Props {
  readonly operation: OperationView;
  readonly card: Card;
  readonly air: Air;
  readonly elsewhere: string | undefined;
}

const EDGE: Readonly<Record<Card["sign"], string>> = {
  go: "border-verdigris",
  soon: "border-orpiment",
  off: "border-smalt",
  never: "border-minium",
  "to-come": "border-ash-deep",
};

/** What to do, how much, how long: read from three metres; what good looks like and what to mind from one. */
export function RunCard({ operation, card, air, elsewhere }: Props) {
  const { title, text, why, done_when, cautions } = operation;
  const at = useAtIt(operation);
  useEffect(() => {
    const onKey = (event: globalThis.KeyboardEvent) => {
      if (event.key !== " " || isTyping(event.target) || operation.state !== "now") return;
      event.preventDefault();
      at.pause();
    };
    window.addEventListener("keydown", onKey, true);
    return () => window.removeEventListener("keydown", onKey, true);
  });
  return (
    <article
      aria-label={title}
      className={`grid min-w-0 grid-cols-[minmax(0,1fr)] content-start gap-4 overflow-y-auto border-l-[12px] p-6 max-sm:p-4 ${EDGE[card.sign]}`}
    >
      <p className="flex flex-wrap items-baseline gap-x-4 text-title">
        <Sign name={card.sign} size={22}>
          {card.word}
        </Sign>
        <span className="text-ink-2">{card.when}</span>
      </p>
      <div className="flex flex-wrap items-end gap-x-10 gap-y-2">
        <h2 className="text-[clamp(44px,6.4vw,96px)] leading-[0.94] font-[780] tracking-[-0.02em] [font-stretch:96%] wrap-anywhere">
          {title}
        </h2>
        {card.big && (
          <p className="text-[clamp(72px,10vw,156px)] leading-[0.86] font-extrabold tracking-[-0.03em] [font-stretch:116%]">
            {card.big.figure}
            <span className="ml-2 text-big font-bold tracking-normal">{card.big.unit}</span>
          </p>
        )}
      </div>
      {text !== title && <p className="max-w-[62ch] text-[clamp(20px,2.2vw,28px)] leading-[1.3] wrap-anywhere">{text}</p>}
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(260px,auto)] gap-6 max-sm:grid-cols-[minmax(0,1fr)]">
        <div className="grid content-start gap-3 text-title leading-[26px]">
          <p className="flex gap-3">
            <span className="pt-1">
              <SignShape name="done" size={20} />
            </span>
            <span>
              <b>Good looks like</b> {done_when}. <span className="text-ink-2">{why}</span>
            </span>
          </p>
          {cautions.map(({ short, text: says }) => (
            <p key={short} className="flex gap-3">
              <span className="pt-1 text-minium">
                <SignShape name="never" size={20} />
              </span>
              <span>
                <b>{short}.</b> <span className="text-ink-2">{says}</span>
              </span>
            </p>
          ))}
        </div>
        <div className="grid content-start gap-3">
          {operation.state === "now" && (
            <button
              type="button"
              className="grid min-h-[72px] min-w-[260px] grid-cols-[1fr_auto] items-center border border-ash-deep px-4 text-left"
              onClick={at.pause}
            >
              <span className="text-ink-2">
                {at.paused ? "paused" : "at it"}
                <span className="block">about {plannedMinutes(operation)} min</span>
              </span>
              <b className="text-big font-extrabold [font-stretch:112%]">{at.words}</b>
            </button>
          )}
          <CardActs operation={operation} air={air} card={card} elsewhere={elsewhere} />
        </div>
      </div>
    </article>
  );
}
