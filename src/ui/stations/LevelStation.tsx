"use client";
import { useState } from "react";
import { ABRASIVE_SYSTEMS, type Family, type Grade, gradeLabel, grainOf } from "@/core/catalogue";
import { ladder } from "@/core/level/ladder";
import { BACKINGS, LUBRICANTS } from "@/core/level/plan.data";
import { type LevelEntry, walk } from "@/core/level/walk";
import { counted, figure } from "@/core/units";
import { useKept } from "../forms/kept";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";
import { Cautions } from "./Cautions";
import { GritLadder } from "./GritLadder";
import { LeaveStation } from "./LeaveStation";

interface Props {
  readonly treatment: string;
  readonly ladder?: { readonly from: Grade; readonly to: Grade; readonly because: string };
  readonly entries: readonly LevelEntry[];
  readonly family: Family;
  readonly done: boolean;
  readonly needed: boolean;
  readonly next: Parameters<typeof LeaveStation>[0]["next"];
}

const P = ABRASIVE_SYSTEMS.P.grades.map(([grade]) => grade).filter((grade) => grade >= 60);

/** Level: the grit ladder to the chosen end, ticked off grit by grit; going back puts the rest in again. */
export function LevelStation({ treatment, ladder: planned, entries, family, done, needed, next }: Props) {
  if (!planned)
    return (
      <div className="max-w-[460px] py-4 text-[16px] leading-[22px]">
        <p>Nothing is levelled in this repair: no filler is in the chain.</p>
        <LeaveStation treatment={treatment} station="level" next={next} done={done} needed={needed} missing="" />
      </div>
    );
  const walked = walk(planned.from, planned.to, entries);
  const left = walked.steps.filter(({ state }) => state !== "done").length;
  const { warnings } = ladder({ from: planned.from, to: planned.to });
  return (
    <div className="cols cols-level dusty">
      <section className="col-rule" aria-label="Grit ladder">
        <h2 className="flex items-baseline justify-between">
          Grit ladder <span className="sub">rungs spaced by log grain size, µm</span>
        </h2>
        <GritLadder steps={walked.steps} />
        {warnings.map(({ code, message }) => (
          <Sign key={code} name="soon" wrap>
            {message}
          </Sign>
        ))}
      </section>
      <section>
        {walked.now && !done ? (
          <CurrentGrit
            grade={walked.now.grade}
            micron={walked.now.micron}
            before={walked.steps[walked.steps.indexOf(walked.now) - 1]?.micron}
            walkedSome={entries.length > 0}
            planned={planned}
          />
        ) : (
          <Sign name="done" size={18} className="text-[18px] leading-[26px]">
            Every grit is walked
          </Sign>
        )}
        <div className="max-w-[560px]">
          <LeaveStation
            treatment={treatment}
            station="level"
            next={next}
            done={done}
            needed
            missing={left === 0 ? "" : counted(left, "grit is open", "grits are open")}
            main={left === 0}
          />
        </div>
        <div className="rule mt-4 grid gap-5 pt-3 md:grid-cols-3">
          <div>
            <h3>Wet or dry</h3>
            <p className="text-[16px] leading-[22px]">
              <b>{LUBRICANTS[family].use}.</b> {LUBRICANTS[family].why}
            </p>
          </div>
          <div>
            <h3>Backing, by shape</h3>
            <dl className="kv">
              {BACKINGS.map(({ shape, use }) => (
                <div key={shape} className="contents">
                  <dt>{shape}</dt>
                  <dd>{use}</dd>
                </div>
              ))}
            </dl>
          </div>
          <div>
            <h3>Mind</h3>
            <Cautions of={["dust-resin", "blade"]} />
          </div>
        </div>
        {entries.length === 0 && !done && <LadderEnds planned={planned} />}
      </section>
    </div>
  );
}

interface CurrentProps {
  readonly grade: Grade;
  readonly micron: number;
  readonly before: number | undefined;
  readonly walkedSome: boolean;
  readonly planned: NonNullable<Props["ladder"]>;
}

function CurrentGrit({ grade, micron, before, walkedSome, planned }: CurrentProps) {
  const log = useLog();
  const [minutes, setMinutes] = useState("6");
  const took = Number(minutes);
  const valid = minutes.trim() !== "" && took >= 0 && took <= 10_000;
  return (
    <div>
      <Sign name="go">Work now</Sign>
      <p className="big-figure">
        {gradeLabel(grade)}
        <small>{figure(micron, 1)} µm grain</small>
      </p>
      <p className="max-w-[560px] text-[16px] leading-[22px]">
        {before === undefined
          ? "Until the proud edge is gone and the surface runs through."
          : `Until the lines of the grade before (${figure(before, 1)} µm, ${figure(before / micron, 2)} times coarser) are gone, in raking light, across its direction.`}{" "}
        Stop before the edge rubs through.
      </p>
      <div className="btn-row mt-3">
        <label className="fld w-[190px]">
          <span className="pl-2 text-[14px]">took</span>
          <span className="fld-in">
            <input
              value={minutes}
              inputMode="decimal"
              onChange={(event) => setMinutes(event.target.value)}
              style={{ width: 70 }}
              aria-label={`Minutes with ${gradeLabel(grade)}`}
            />
            <span className="unit">min</span>
          </span>
        </label>
        <button
          type="button"
          className="btn go big"
          disabled={log.busy || !valid}
          onClick={() => void log.write({ kind: "grit-done", grade, hands_min: took })}
        >
          {gradeLabel(grade)} is done
        </button>
      </div>
      {walkedSome && <GoBack now={micron} planned={planned} />}
    </div>
  );
}

function GoBack({ now, planned }: { now: number; planned: NonNullable<Props["ladder"]> }) {
  const log = useLog();
  const coarser = P.filter((grade) => (grainOf({ system: "P", grade }) ?? 0) > now);
  const [open, setOpen] = useState(false);
  const [grade, setGrade] = useState(coarser.at(-1) ?? planned.from.grade);
  const [reason, setReason, forget] = useKept(`back:${log.treatment}`, "");
  if (!open)
    return (
      <button type="button" className="link-btn mt-2" onClick={() => setOpen(true)}>
        Had to go back to a coarser grit
      </button>
    );
  const write = async () => {
    if (!(await log.write({ kind: "went-back", to: { system: "P", grade }, reason: reason.trim() }))) return;
    setReason("");
    forget();
    setOpen(false);
  };
  return (
    <form
      className="mt-3 grid max-w-[560px] grid-cols-[150px_minmax(0,1fr)] gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim() !== "") void write();
      }}
    >
      <label className="txt-label">
        Back to
        <select className="txt" value={grade} onChange={(event) => setGrade(Number(event.target.value))}>
          {coarser.map((each) => (
            <option key={each} value={each}>
              P{each}
            </option>
          ))}
        </select>
      </label>
      <label className="txt-label">
        Why
        <input
          className="txt"
          value={reason}
          maxLength={2000}
          placeholder="a deep line was left"
          onChange={(event) => setReason(event.target.value)}
        />
      </label>
      <p className="dim col-span-2">P{grade} and every finer grit stand on the ladder again.</p>
      <div className="btn-row col-span-2">
        <button type="submit" className="btn" disabled={log.busy || reason.trim() === ""}>
          Go back to P{grade}
        </button>
        <button type="button" className="btn" onClick={() => setOpen(false)}>
          Stay
        </button>
      </div>
    </form>
  );
}

function LadderEnds({ planned }: { planned: NonNullable<Props["ladder"]> }) {
  const log = useLog();
  const [from, setFrom] = useState(planned.from.grade);
  const [to, setTo] = useState(planned.to.grade);
  const wrong = (grainOf({ system: "P", grade: to }) ?? 0) > (grainOf({ system: "P", grade: from }) ?? 0);
  return (
    <form
      className="rule mt-4 grid max-w-[640px] grid-cols-2 gap-3 pt-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (!wrong) void log.write({ kind: "ladder-set", from: { system: "P", grade: from }, to: { system: "P", grade: to } });
      }}
    >
      <h3 className="col-span-2">
        Ends: from {gradeLabel(planned.from)} to {gradeLabel(planned.to)}, {planned.because}
      </h3>
      {(
        [
          ["Start", from, setFrom],
          ["End", to, setTo],
        ] as const
      ).map(([label, value, set]) => (
        <label key={label} className="txt-label">
          {label}
          <select className="txt" value={value} onChange={(event) => set(Number(event.target.value))}>
            {P.map((grade) => (
              <option key={grade} value={grade}>
                P{grade}, {grainOf({ system: "P", grade })} µm
              </option>
            ))}
          </select>
        </label>
      ))}
      {wrong && <p className="wrong-note col-span-2">The end is coarser than the start: choose a finer end.</p>}
      <button
        type="submit"
        className="btn justify-self-start"
        disabled={log.busy || wrong || (from === planned.from.grade && to === planned.to.grade)}
      >
        Use these ends
      </button>
    </form>
  );
}
