"use client";
import { type ReactNode, useEffect, useEffectEvent, useRef, useState, useTransition } from "react";
import { STANCE_LABELS, STANCES } from "@/core/catalogue";
import { present } from "@/core/units";
import type { Asked, DeskQuestion } from "@/core/views/desk/desk";
import { picksOf } from "@/core/views/desk/picks";
import { useKept } from "../forms/kept";
import { Segmented } from "../forms/Segmented";
import { Sign } from "../signs/Sign";
import { StationBody } from "../stations/StationBody";
import { ChainList } from "./ChainList";
import { DeskPane } from "./DeskPane";
import type { AskDesk, DeskAnswer } from "./deskAnswer";
import type { DeskActs } from "./deskContext";
import { PlanButton } from "./PlanButton";
import { WhatIf } from "./WhatIf";

interface Props {
  readonly treatment: string;
  readonly damage: string;
  /** How the damage is met, and why not in the way that would stand first. */
  readonly way: string;
  readonly because?: string;
  readonly input: Asked;
  /** The question that the page opens with, and its answer; further ones the server is asked. */
  readonly question: DeskQuestion;
  readonly first: DeskAnswer | undefined;
  readonly ask: AskDesk;
  /** The entry of the choice that stands. */
  readonly entry?: string;
  readonly stale: boolean;
  /** Why the shop should stop and refer; empty when it may go on. */
  readonly referrals: readonly string[];
  /** Leads to the other damages. */
  readonly damages: ReactNode;
  /** Coats, layers and materials changed by hand. */
  readonly build: ReactNode;
}

/** Match: candidates with reasons, the stance, what if, why not, the chain, and what was refused and why. */
export function MatchStation(props: Props) {
  const { treatment, damage, way, because, input, question, first, ask, entry, stale, referrals, damages, build } = props;
  const { asked, answer, asking, trouble, change, forget } = useAnswers(
    `match:${treatment}:${damage}:${entry ?? ""}`,
    question,
    first,
    ask,
  );
  if (!answer)
    return (
      <StationBody>
        <p className="py-6 text-read leading-[24px]">“{way}” needs no material here. Correct the survey, or go on.</p>
      </StationBody>
    );
  const { role, other, links, missing, elsewhere, rows, views } = answer;
  const acts: DeskActs = {
    choose: (link, key, reason) => {
      const { [link]: _, ...others } = asked.forced;
      change({
        role: link,
        picks: { ...asked.picks, [link]: key },
        forced: reason === undefined ? others : { ...others, [link]: reason },
        shown: picksOf(links),
      });
    },
    takeBack: () => {
      const { [role]: _, ...others } = asked.forced;
      change({ forced: others });
    },
    whyNot: (key) => change({ why_not: key }),
  };
  return (
    <div className="panes">
      <section aria-label="The chain of materials" className="tasks dusty">
        <header className="flex min-h-[44px] flex-wrap items-center gap-x-3 border-b-2 border-ink pr-4 pl-5">
          <h2>Chain</h2>
          {damages}
        </header>
        <div className="task-list">
          <div className="grid gap-2 px-5 py-2">
            <p className="text-read leading-[20px]">
              <b>{way}</b>
              {because && <span className="dim">, since {because.charAt(0).toLowerCase() + because.slice(1)}</span>}
            </p>
            {trouble !== "" && (
              <Sign name="away" wrap>
                {trouble}
              </Sign>
            )}
            {referrals.map((text) => (
              <Sign key={text} name="never" wrap>
                Stop and refer. {text}
              </Sign>
            ))}
            {stale && (
              <Sign name="soon" wrap>
                The survey was changed after you chose: look again, then choose once more.
              </Sign>
            )}
          </div>
          <ChainList rows={rows} shown={role} open={(link) => change({ role: link })} />
        </div>
        <footer className="task-foot py-2">
          <PlanButton
            treatment={treatment}
            damage={damage}
            stance={asked.stance}
            links={links}
            missing={asking ? "Judging …" : missing}
            entry={entry}
            needsReason={referrals.length > 0}
            elsewhere={asking ? [] : elsewhere}
            planned={forget}
          />
        </footer>
      </section>
      <DeskPane
        bodies={{ ...views, build }}
        right={
          <>
            <span className="sub max-w-[190px] text-right" role="status">
              {asking ? "Judging …" : other}
            </span>
            <Segmented
              label="Stance"
              value={asked.stance}
              options={STANCES.map((each) => [each, STANCE_LABELS[each]] as const)}
              onChange={(stance) => change({ stance, shown: undefined })}
            />
          </>
        }
        acts={acts}
        whatIf={
          <WhatIf
            surveyed={input}
            asked={asked.what_if ?? input}
            changed={asked.what_if !== undefined}
            ask={(what_if) => change({ what_if }, WHAT_IF_PAUSE_MS)}
          />
        }
      />
    </div>
  );
}

/** Figures of a what-if are typed: the server is asked a moment after the last key. */
const WHAT_IF_PAUSE_MS = 200;

/**
 * The question as it stands and the last answer to it; an answer that another question has overtaken is not shown. What was chosen is kept
 * under `name` until it is planned: a tab, another damage or a reload takes nothing back.
 */
function useAnswers(name: string, question: DeskQuestion, first: DeskAnswer | undefined, ask: AskDesk) {
  const [asked, setAsked] = useState(question);
  const [answer, setAnswer] = useState<DeskAnswer>();
  const [trouble, setTrouble] = useState("");
  const [asking, startAsking] = useTransition();
  const [kept, keep, forget] = useKept<Chosen | undefined>(name, undefined);
  const last = useRef(0);
  const pause = useRef<ReturnType<typeof setTimeout>>(undefined);
  const put = (next: DeskQuestion, pause_ms = 0) => {
    setAsked(next);
    last.current += 1;
    const mine = last.current;
    clearTimeout(pause.current);
    pause.current = setTimeout(
      () =>
        startAsking(async () => {
          try {
            const found = await ask(next);
            if (mine === last.current) startAsking(() => setAnswer(found));
            setTrouble("");
          } catch {
            setTrouble("The rules can’t be asked now: the server does not answer. What you chose stays; press it again in a moment.");
          }
        }),
      pause_ms,
    );
  };
  const restore = useEffectEvent(() => {
    if (kept && last.current === 0) put({ ...question, ...kept });
  });
  useEffect(() => {
    if (kept) restore();
  }, [kept]);
  const change = (to: { readonly [K in keyof DeskQuestion]?: DeskQuestion[K] | undefined }, pause_ms = 0) => {
    const next = present({ ...asked, ...to }) as DeskQuestion;
    const { what_if: _what, why_not: _why, ...chosen } = next;
    keep(chosen);
    put(next, pause_ms);
  };
  return { asked, answer: answer ?? first, asking, trouble, change, forget };
}

/** What is kept of a question: what was chosen, not what was only tried. */
type Chosen = Omit<DeskQuestion, "what_if" | "why_not">;
