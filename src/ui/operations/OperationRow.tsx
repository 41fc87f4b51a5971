"use client";
import { doseGrams, formatMinutes, plain, type Wall } from "@/core/units";
import { actState } from "@/core/views/actState";
import { isLooking } from "@/core/views/acts";
import { liveOf } from "@/core/views/live";
import type { OperationView, PlaceView } from "@/core/views/operationView";
import type { Air } from "../frame/climate";
import { lazily } from "../frame/lazily";
import { useNow, useWall } from "../frame/now";
import { doneAt, type Kept } from "../outbox/queue";
import { Sign, SignShape } from "../signs/Sign";
import { PictureInput } from "../stations/PictureInput";
import { useLog } from "../treatment/TreatmentLog";
import { BackTo } from "./BackTo";
import { Batches } from "./Batches";
import { DoIt } from "./DoIt";
import { Reasoned } from "./Reasoned";
import { Tokens } from "./Tokens";

const CameOut = lazily(() => import("./CameOut").then((module) => module.CameOut));

interface Props {
  readonly operation: OperationView;
  /** Every place of the treatment, by its name. */
  readonly places: readonly PlaceView[];
  readonly air: Air;
  readonly now: boolean;
  readonly several: boolean;
  /** The treatment is signed: nothing changes any more. */
  readonly closed: boolean;
  /** It is recorded by its own panel, not by a tick. */
  readonly elsewhere?: string | undefined;
}

/** One operation: what, how much, why, when, and the press that records it. */
export function OperationRow({ operation, places, air, now, several, closed, elsewhere }: Props) {
  const time = useNow(15_000);
  const wall = useWall();
  const { id, round, text, why, done_when, hands_min, mind, cautions, portions, mark } = operation;
  const kept = opsKept(useLog().kept);
  const live = { ...operation, ...liveOf(operation, kept, time) };
  const { state } = live;
  return (
    <li className={`op ${several ? "tokened" : ""}`} data-state={state} data-now={now} id={id}>
      <Tokens of={operation.tokens} several={several} />
      <div>
        <p className="op-t wrap-anywhere">
          {round > 1 && <span className="round-mark">Round {round}</span>}
          {text}
        </p>
        {portions && <Portions portions={portions} />}
        {operation.batch && !mark && <Batches batch={operation.batch} now={time} />}
        <p className="dim leading-[18px]">
          {why} {!mark && `Done when ${done_when}.`}
        </p>
        {!mark && <When operation={live} state={state} now={time} wall={wall} />}
        {now &&
          mind.map((each) => (
            <p key={each} className="leading-[18px]">
              <b>Mind:</b> {each}
            </p>
          ))}
        {now &&
          cautions.map((caution) => (
            <p key={caution.short} className="caution">
              <SignShape name="never" size={12} />
              <span>
                <b>{caution.short}.</b> {caution.text}
              </span>
            </p>
          ))}
        {mark && <Marked operation={operation} mark={mark} wall={wall} />}
        {mark?.came_out && !closed && <CameOut operation={operation} ways={mark.came_out} />}
        {!mark && !now && <p className="sub">{formatMinutes((hands_min[0] + hands_min[1]) / 2)} of hands</p>}
      </div>
      {kept.has(id) ? (
        <Sign name="away">kept here, on its way</Sign>
      ) : (
        !closed && <Acts operation={live} places={places} state={state} air={air} now={now} elsewhere={elsewhere} />
      )}
    </li>
  );
}

/** Operations whose entries could not go up, or wait behind one that could not, and when they were done; what is only being sent is no news. */
function opsKept(kept: readonly Kept[]): ReadonlyMap<string, number> {
  if (!kept.some(({ problem }) => problem !== undefined)) return new Map();
  return new Map(
    kept.flatMap((entry): Array<[string, number]> => {
      const { body } = entry;
      return body.kind === "done" || body.kind === "batch-mixed" || body.kind === "skipped" ? [[body.op, doneAt(entry)]] : [];
    }),
  );
}

function When({ operation, state, now, wall }: { operation: OperationView; state: OperationView["state"]; now: number; wall: Wall }) {
  const { from, until, because, consequence } = operation;
  if (state === "blocked") return <p className="sub">{because}</p>;
  if (state === "never") return <Sign name="never">{because}</Sign>;
  if (state === "too-early")
    return (
      <p>
        <Sign name="off">
          from {wall.when(from ?? now, now)}
          {until === undefined ? "" : ` to ${wall.when(until, now)}`}
        </Sign>
      </p>
    );
  if (state === "too-late")
    return (
      <p>
        <Sign name="never" wrap>
          Too late since {wall.when(until ?? now, now)}. {consequence}
        </Sign>
      </p>
    );
  if (until === undefined) return null;
  return (
    <p>
      <Sign name={actState(operation, now) === "closing" ? "soon" : "go"}>now, until {wall.when(until, now)}</Sign>
    </p>
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

const AGAINST = { "too-early": "too early", "too-late": "too late", blocked: "out of order" } as const;

function Marked({ operation, mark, wall }: { operation: OperationView; mark: NonNullable<OperationView["mark"]>; wall: Wall }) {
  const took = mark.hands_min === undefined ? "" : `, ${formatMinutes(mark.hands_min)}`;
  return (
    <div>
      <Sign name={operation.state === "skipped" ? "to-come" : "done"}>
        {operation.state === "skipped" ? "Left out" : "Done"} {wall.stamp(Date.parse(mark.at))}
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

const LEAVE_OUT = { open: "Leave it out", ask: "Why is it left out?", act: "Leave it out" };
const NONE_TAKEN = { open: "None taken", ask: "Why is there no photograph?", act: "None was taken" };

function Acts({
  operation,
  places,
  state,
  air,
  now,
  elsewhere,
}: {
  operation: OperationView;
  places: readonly PlaceView[];
  state: OperationView["state"];
  air: Air;
  now: boolean;
  elsewhere: string | undefined;
}) {
  const log = useLog();
  const time = useNow(60_000);
  const { id, mark, since, from } = operation;
  if (mark)
    return (
      <div className="grid justify-items-end">
        {mark.low_mm !== undefined && <FillAgain operation={operation} low_mm={mark.low_mm} places={places} />}
        {operation.holds && (
          <button
            type="button"
            className="link-btn"
            disabled={log.busy}
            onClick={() => void log.write({ kind: "found-soft", op: id })}
            aria-label={`Still soft: ${operation.text}`}
          >
            Still soft
          </button>
        )}
        <button
          type="button"
          className="link-btn"
          disabled={log.busy}
          onClick={() => void log.write({ kind: "withdrawn" }, { corrects: mark.entry })}
          aria-label={`Take back: ${operation.text}`}
        >
          Take back
        </button>
      </div>
    );
  const noPicture = operation.pictures?.kept === 0;
  const skip = (
    <Reasoned
      name={`skip:${id}`}
      {...(noPicture ? NONE_TAKEN : LEAVE_OUT)}
      write={(reason) => log.write({ kind: "skipped", op: id, reason: noPicture ? `No photograph was taken: ${reason}` : reason })}
    />
  );
  if (elsewhere)
    return (
      <div className="op-acts">
        <span className="sub">{elsewhere}</span>
        {skip}
      </div>
    );
  // looking is never refused for its time; what comes before it comes first
  const open = state === "now" || (isLooking(operation) && (state === "too-early" || state === "too-late"));
  if (open && noPicture && operation.pictures)
    return (
      <div className="op-acts">
        <PictureInput
          treatment={log.treatment}
          moment={operation.pictures.moment}
          caption={operation.title}
          label="Add the photograph"
          go={now}
          added={() => void log.write({ kind: "done", op: id })}
        />
        {skip}
      </div>
    );
  if (open)
    return (
      <div className="grid justify-items-end gap-1">
        <DoIt operation={operation} air={air} now={now} />
        {now && skip}
      </div>
    );
  const against = {
    state: state === "never" ? ("too-early" as const) : (state as "too-early" | "too-late" | "blocked"),
    ...(since !== undefined && from !== undefined && state === "too-early"
      ? { passed_min: Math.max(0, (time - since) / 60_000), asked_min: Math.max(0, (from - since) / 60_000) }
      : {}),
  };
  return <AllTheSame operation={operation} air={air} against={against} skip={skip} />;
}

/** A check found it low: the round that fills it, so deep as it was measured. */
function FillAgain({
  operation: { id, places: checked },
  low_mm,
  places,
}: {
  operation: OperationView;
  low_mm: number;
  places: Props["places"];
}) {
  const here = places.filter((place) => checked.includes(place.id));
  const voids = here.filter(({ kind }) => kind === "void" || kind === "film");
  const found = {
    places: voids.length === 1 ? voids.map((place) => place.id) : [],
    because: `measured ${plain(low_mm, 2)} mm low`,
    low: plain(low_mm, 2),
  };
  return <BackTo stations={["fill"]} here="fill" places={here} found={found} name={`back:${id}`} />;
}

function AllTheSame({
  operation,
  air,
  against,
  skip,
}: {
  operation: OperationView;
  air: Air;
  against: NonNullable<Parameters<typeof DoIt>[0]["against"]>;
  skip: React.ReactNode;
}) {
  return (
    <details className="max-w-[420px] text-right">
      <summary className="link-btn inline-flex cursor-pointer items-center">Do it, with a reason</summary>
      {operation.consequence && <p className="text-left">{operation.consequence}</p>}
      <DoIt operation={operation} air={air} now={false} against={against} />
      {skip}
    </details>
  );
}
