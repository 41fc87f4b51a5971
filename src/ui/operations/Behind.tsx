"use client";
import { useState } from "react";
import { formatMinutes, plain, type Wall } from "@/core/units";
import type { OperationView, PlaceView } from "@/core/views/operationView";
import { lazily } from "../frame/lazily";
import { useWall } from "../frame/now";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";
import { BackTo } from "./BackTo";
import { Tokens } from "./Tokens";

const CameOut = lazily(() => import("./CameOut").then((module) => module.CameOut));

interface Props {
  readonly operations: readonly OperationView[];
  readonly places: readonly PlaceView[];
  readonly several: boolean;
  readonly closed: boolean;
}

/** What was done or left out here, with what can still be said of it. */
export function Behind({ operations, places, several, closed }: Props) {
  return (
    <ol aria-label="Behind" className="px-5">
      {operations.map((operation) => (
        <BehindRow key={operation.id} operation={operation} places={places} several={several} closed={closed} />
      ))}
    </ol>
  );
}

interface RowProps extends Omit<Props, "operations"> {
  readonly operation: OperationView;
}

function BehindRow({ operation, places, several, closed }: RowProps) {
  const wall = useWall();
  const { id, round, text, tokens, mark, state } = operation;
  if (!mark) return null;
  return (
    <li id={id} data-state={state} className="border-b border-ash-deep pt-2">
      <p className="flex items-start gap-x-2">
        <Tokens of={tokens} several={several} />
        {round > 1 && <span className="round-mark">Round {round}</span>}
        <b className="op-t wrap-anywhere">{text}</b>
      </p>
      <div className="flex flex-wrap items-center justify-between gap-x-4">
        <Marked state={state} mark={mark} wall={wall} />
        {!closed && <Again operation={operation} mark={mark} places={places} />}
      </div>
      {mark.came_out && !closed && <Badly operation={operation} ways={mark.came_out} />}
    </li>
  );
}

interface BadlyProps {
  readonly operation: OperationView;
  readonly ways: NonNullable<NonNullable<OperationView["mark"]>["came_out"]>;
}

/** How a mix or a coat came out: asked only where it is pressed. */
function Badly(props: BadlyProps) {
  const [open, setOpen] = useState(false);
  return (
    <details open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="link-btn inline-flex cursor-pointer items-center">It came out badly</summary>
      {open && <CameOut {...props} />}
    </details>
  );
}

type MarkOf = NonNullable<OperationView["mark"]>;

const AGAINST = { "too-early": "too early", "too-late": "too late", blocked: "out of order" } as const;

function Marked({ state, mark, wall }: { state: OperationView["state"]; mark: MarkOf; wall: Wall }) {
  const took = mark.hands_min === undefined ? "" : `, ${formatMinutes(mark.hands_min)}`;
  return (
    <div className="min-w-0">
      <Sign name={state === "skipped" ? "to-come" : "done"}>
        {state === "skipped" ? "Left out" : "Done"} {wall.stamp(Date.parse(mark.at))}
        {took}
        {mark.by ? `, ${mark.by}` : ""}
      </Sign>
      {mark.words !== "" && <p className="wrap-anywhere">{mark.words}</p>}
      {mark.against && (
        <p className="wrap-anywhere">
          <b>Done {AGAINST[mark.against.state]}:</b> {mark.against.because}
        </p>
      )}
    </div>
  );
}

/** Fill it again, found soft, taken back. */
function Again({ operation, mark, places }: { operation: OperationView; mark: MarkOf; places: readonly PlaceView[] }) {
  const log = useLog();
  const { id, holds, text } = operation;
  return (
    <div className="flex flex-wrap gap-x-4">
      {mark.low_mm !== undefined && <FillAgain operation={operation} low_mm={mark.low_mm} places={places} />}
      {holds && (
        <button
          type="button"
          className="link-btn"
          disabled={log.busy}
          onClick={() => void log.write({ kind: "found-soft", op: id })}
          aria-label={`Still soft: ${text}`}
        >
          Still soft
        </button>
      )}
      <button
        type="button"
        className="link-btn"
        disabled={log.busy}
        onClick={() => void log.write({ kind: "withdrawn" }, { corrects: mark.entry })}
        aria-label={`Take back: ${text}`}
      >
        Take back
      </button>
    </div>
  );
}

interface FillAgainProps {
  readonly operation: OperationView;
  readonly low_mm: number;
  readonly places: readonly PlaceView[];
}

/** A check found it low: the round that fills it, so deep as it was measured. */
function FillAgain({ operation: { id, places: checked }, low_mm, places }: FillAgainProps) {
  const here = places.filter((place) => checked.includes(place.id));
  const voids = here.filter(({ kind }) => kind === "void" || kind === "film");
  const found = {
    places: voids.length === 1 ? voids.map((place) => place.id) : [],
    because: `measured ${plain(low_mm, 2)} mm low`,
    low: plain(low_mm, 2),
  };
  return <BackTo stations={["fill"]} here="fill" places={here} found={found} name={`back:${id}`} />;
}
