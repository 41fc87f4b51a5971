"use client";
import { type KeyboardEvent, useState } from "react";
import { stationLabel } from "@/core/catalogue";
import type { OperationView } from "@/core/views/operationView";
import { useShortcut } from "../frame/keys";
import { Link } from "../frame/Link";
import { OwnStep } from "../ready/OwnStep";
import { Sign } from "../signs/Sign";
import { BackTo } from "./BackTo";
import { Behind } from "./Behind";
import { LeaveOut } from "./LeaveOut";
import { OperationCard } from "./OperationCard";
import { OperationRow } from "./OperationRow";
import { Places } from "./Places";
import { Rounds } from "./Rounds";
import type { WorkProps } from "./workProps";

interface Props extends Omit<WorkProps, "operations" | "instruments"> {
  readonly open: readonly OperationView[];
  readonly behind: readonly OperationView[];
  /** The operation that is open as the card. */
  readonly card: string | undefined;
  readonly pick: (id: string) => void;
  /** What is kept on this device and not in the record yet. */
  readonly kept: ReadonlyMap<string, number>;
  readonly chosen: ReadonlySet<string>;
  readonly choose: (places: ReadonlySet<string>) => void;
  /** The card alone, for three metres and gloves. */
  readonly stand: () => void;
}

/** The operations of a station as a list: what is behind is one line, one is open as the card, the rest are rows. */
export function OperationList(props: Props) {
  const { station, places, rounds, closed, open, behind, card, pick, kept, air, elsewhere = {}, starts, chosen, choose, stand } = props;
  const several = new Set(places.map(({ damage }) => damage)).size > 1;
  const [looking, look] = useState(false);
  useShortcut("m", () => focusIn(".op-card input"));
  useShortcut("n", () => focusIn(".op-card [data-stop]"));
  // what was found low asks for its round until it has one
  const shown = looking || open.length === 0 || behind.some(({ mark }) => mark?.low_mm !== undefined);
  return (
    <section aria-label={`What to do at ${stationLabel(station)}`} className="tasks dusty">
      <header className="flex min-h-[44px] flex-wrap items-center gap-x-1.5 border-b-2 border-ink pr-4 pl-5">
        <h2>What to do</h2>
        <Places places={places} several={several} chosen={chosen} choose={choose} />
        {behind.length > 0 && (
          <button
            type="button"
            className="link-btn ml-auto inline-flex items-center gap-2"
            aria-expanded={shown}
            aria-label={`${behind.length} behind`}
            title={`${behind.length} behind`}
            onClick={() => look(!looking)}
          >
            {/* beside the tokens of several damages there is no room for the word */}
            <Sign name="done">
              {behind.length}
              {!several && " behind"}
            </Sign>
          </button>
        )}
        {!closed && (
          <button
            type="button"
            className={`min-h-[44px] min-w-[44px] ${behind.length > 0 ? "" : "ml-auto"}`}
            aria-label="At the bench"
            title="At the bench: this step alone, large"
            onClick={stand}
          >
            <kbd>B</kbd>
          </button>
        )}
      </header>
      <div className="task-list">
        <Rounds rounds={rounds} closed={closed} />
        {open.length === 0 && <Nothing none={behind.length === 0} {...props} />}
        {shown && behind.length > 0 && <Behind operations={behind} places={places} several={several} closed={closed} />}
        <ol aria-label="Operations" onKeyDown={walk}>
          {open.map((operation) =>
            operation.id === card && !kept.has(operation.id) ? (
              <OperationCard
                key={operation.id}
                operation={operation}
                air={air}
                several={several}
                start={starts[operation.id]}
                elsewhere={elsewhere[operation.kind]}
              />
            ) : (
              <OperationRow
                key={operation.id}
                operation={operation}
                several={several}
                kept={kept.has(operation.id)}
                open={() => pick(operation.id)}
                fixed={closed}
              />
            ),
          )}
        </ol>
      </div>
      {!closed && <Foot {...props} />}
    </section>
  );
}

/** What is folded away is no stop. */
const inSight = (stop: HTMLElement) => stop.getClientRects().length > 0;
const focusIn = (selector: string) => [...document.querySelectorAll<HTMLElement>(selector)].find(inSight)?.focus();

/** ↑ ↓ go through the rows; the card's stop is its main action. */
function walk(event: KeyboardEvent<HTMLOListElement>): void {
  if (event.key !== "ArrowUp" && event.key !== "ArrowDown") return;
  if (event.target instanceof HTMLElement && /^(INPUT|SELECT|TEXTAREA)$/.test(event.target.tagName)) return;
  const stops = [...event.currentTarget.querySelectorAll<HTMLElement>("[data-stop]")].filter(inSight);
  const at = stops.indexOf(document.activeElement as HTMLElement);
  const next = stops[at < 0 ? 0 : at + (event.key === "ArrowDown" ? 1 : -1)];
  if (!next) return;
  event.preventDefault();
  next.focus();
}

function Nothing({ station, closed, next, none }: Pick<Props, "station" | "closed" | "next"> & { none: boolean }) {
  return (
    <div className="task-card grid gap-3">
      <h3 className="text-head leading-[30px] font-bold [font-stretch:92%]">
        {none ? `Nothing is done at ${stationLabel(station)} in this repair.` : `${stationLabel(station)} is done`}
      </h3>
      {closed ? (
        <Sign name="done">This treatment is signed and closed.</Sign>
      ) : (
        next && (
          <Link className="btn go min-h-[52px]" href={next.href}>
            Go on to {stationLabel(next.station)}
          </Link>
        )
      )}
    </div>
  );
}

function Foot({ station, back, places, open, behind }: Props) {
  return (
    <footer className="task-foot">
      <BackTo stations={back} here={station} places={places} />
      <LeaveOut operations={open} />
      <OwnStep station={station} operations={[...behind, ...open]} />
    </footer>
  );
}
