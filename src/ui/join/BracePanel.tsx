"use client";
import Link from "next/link";
import { useState } from "react";
import type { Hatch } from "@/core/catalogue";
import { brace } from "@/core/join/brace";
import type { BraceInput, BraceKind } from "@/core/join/brace.schema";
import { DRILL_SETS, nearestDrill, routerPasses } from "@/core/join/drills.data";
import { type SizedBrace, sizedFor } from "@/core/join/sizing";
import { STRENGTHS } from "@/core/join/strengths.data";
import { braceSketch } from "@/core/plan/braceQuestion";
import { figure, plain } from "@/core/units";
import { NumberField } from "../forms/NumberField";
import { parseNumber } from "../forms/parse";
import { Segmented } from "../forms/Segmented";
import { Sign, type SignName } from "../signs/Sign";
import { Sketch } from "../survey/Sketch";
import { useLog } from "../treatment/TreatmentLog";
import { useDrills } from "./drills";

interface Props {
  readonly treatment: string;
  readonly question: BraceInput;
  readonly hatch: Hatch;
  /** What the chosen chain holds; it is looked at first. */
  readonly planned?: BraceKind;
  readonly recorded?: { readonly brace: BraceKind; readonly size: Readonly<Record<string, number>>; readonly reason?: string };
}

const JUDGEMENTS: Readonly<Record<"yes" | "no" | "optional", readonly [sign: SignName, word: string]>> = {
  yes: ["never", "A brace is needed"],
  optional: ["soon", "A brace is optional"],
  no: ["go", "No brace is needed"],
};

const LABELS: Readonly<Record<BraceKind, string>> = {
  dowel: "Dowel",
  pin: "Pin",
  spline: "Spline",
  cleat: "Cleats",
  wire: "Wire core",
  screw: "Anchor screw",
  patch: "Backing patch",
  none: "No brace",
};

/** Whether glue alone carries it, and if not, what does: safety without and with, every dimension with its reason, drawn in scale. */
export function BracePanel({ treatment, question, hatch, planned, recorded }: Props) {
  const [load, setLoad] = useState(question.load_N === undefined ? "" : plain(question.load_N, 1));
  const [lever, setLever] = useState(question.lever_mm === undefined ? "" : plain(question.lever_mm, 1));
  const [picked, setPicked] = useState<BraceKind | undefined>(recorded?.brace ?? planned);
  const asked = askedWith(question, load, lever);
  const found = brace(asked);
  const offered = found.options.map((each) => each.kind);
  const kind = picked && (picked === "none" || offered.includes(picked)) ? picked : found.needed === "no" ? "none" : (offered[0] ?? "none");
  const withPicked = kind === "none" ? found : brace({ ...asked, brace: kind });
  const option = found.options.find((each) => each.kind === kind);
  const [sign, word] = JUDGEMENTS[found.needed];
  const { asks } = STRENGTHS[question.material];
  return (
    <section aria-label="Brace" className="mt-5">
      <h2 className="border-b border-ink pb-1">Brace</h2>
      <div className="brace-top">
        <div>
          <Sign name={sign}>{word}</Sign>
          <p className="pt-1 leading-[18px]">
            Safety {figure(found.safety_without, 1)} with glue alone
            {kind !== "none" && (
              <b>
                , {figure(withPicked.safety_with, 1)} with the {LABELS[kind].toLowerCase()}
              </b>
            )}
            ; {asks} is asked.
          </p>
          <SafetyBar without={found.safety_without} withIt={withPicked.safety_with} asks={asks} />
          <div className="mt-2 grid gap-1">
            <NumberField
              name="load_N"
              label="Load at the end"
              unit="N"
              value={load}
              onChange={setLoad}
              error={errorIn(load)}
              note="1 kg weighs about 10 N; empty = handling"
            />
            <NumberField
              name="lever_mm"
              label="Lever arm"
              unit="mm"
              value={lever}
              onChange={setLever}
              error={errorIn(lever)}
              note="from the break to the load"
            />
          </div>
          {withPicked.warnings.map(({ code, message }) => (
            <Sign key={code} name={code === "refer" ? "never" : "soon"} wrap>
              {message}
            </Sign>
          ))}
          <p className="sub pt-1">
            {found.basis.formula}. {found.basis.source}.
          </p>
        </div>
        {option && kind !== "none" && (
          <Sketch
            drawing={braceSketch(asked, option)}
            hatch={hatch}
            legend="the piece hatched, the brace dashed, white"
            width={520}
            height={250}
          />
        )}
      </div>
      <div className="ways">
        {[...sizedFor(asked), NONE].map((each) => (
          <Option key={each.kind} option={each} chosen={each.kind === kind} choose={() => setPicked(each.kind)} />
        ))}
      </div>
      {option && kind !== "none" && <Drilling kind={kind} size={option.size} treatment={treatment} />}
      <Recorder needed={found.needed} joint={asked.joint} kind={kind} size={option?.size ?? {}} recorded={recorded} />
    </section>
  );
}

interface RecorderProps {
  readonly needed: "yes" | "no" | "optional";
  readonly joint: BraceInput["joint"];
  readonly kind: BraceKind;
  readonly size: Readonly<Record<string, number>>;
  readonly recorded: Props["recorded"];
}

/** Writes what is let in; against the figures it asks why, and that stays on record. */
function Recorder({ needed, joint, kind, size, recorded }: RecorderProps) {
  const log = useLog();
  const [reason, setReason] = useState(recorded?.reason ?? "");
  const overridden = (needed === "yes" && kind === "none") || (needed === "no" && kind !== "none");
  const missing = overridden && reason.trim() === "";
  const why = reason.trim() === "" ? {} : { reason: reason.trim() };
  const label = missing ? "Say why, against the figures" : `Record: ${LABELS[kind].toLowerCase()}`;
  return (
    <div className="btn-row pt-2">
      {overridden && (
        <input
          className="txt w-[340px]"
          aria-label="Why against the figures"
          placeholder="why against the figures"
          value={reason}
          maxLength={2000}
          onChange={(event) => setReason(event.target.value)}
        />
      )}
      <button
        type="button"
        className="btn"
        disabled={log.busy || missing}
        onClick={() => void log.write({ kind: "braced", joint, brace: kind, size: { ...size }, ...why })}
      >
        {label}
      </button>
      {recorded?.brace === kind &&
        (sameSize(recorded.size, size) ? <Sign name="done">On record</Sign> : <Sign name="soon">On record in another size</Sign>)}
    </div>
  );
}

const sameSize = (a: Readonly<Record<string, number>>, b: Readonly<Record<string, number>>) =>
  Object.keys({ ...a, ...b }).every((name) => a[name] === b[name]);

const NONE: SizedBrace = { kind: "none", size: {}, reasons: ["The piece stays whole; the glue line has to carry it."] };

function askedWith(question: BraceInput, load: string, lever: string): BraceInput {
  const { load_N: _, lever_mm: __, ...rest } = question;
  const [force, arm] = [parseNumber(load), parseNumber(lever)];
  return {
    ...rest,
    ...(force.ok && force.value > 0 && errorIn(load) === undefined ? { load_N: force.value } : {}),
    ...(arm.ok && arm.value > 0 && errorIn(lever) === undefined ? { lever_mm: arm.value } : {}),
  };
}

function errorIn(text: string): string | undefined {
  if (text.trim() === "") return undefined;
  const parsed = parseNumber(text);
  if (!parsed.ok) return parsed.message;
  return parsed.value < 0 || parsed.value > 20_000 ? "Enter 0 to 20 000, or leave it empty." : undefined;
}

const WIDE = 300;

/** Safety without and with, and the safe line, on one scale. */
function SafetyBar({ without, withIt, asks }: { without: number; withIt: number; asks: number }) {
  const most = asks * 3;
  const x = (safety: number) => Math.min(1, safety / most) * WIDE;
  return (
    <svg width={WIDE} height="34" viewBox={`0 0 ${WIDE} 34`} aria-hidden="true" className="mt-1 block">
      <rect x="0.75" y="6" width={WIDE - 1.5} height="20" fill="var(--color-panel)" stroke="currentColor" strokeWidth="1.5" />
      <rect x="0" y="6" width={x(withIt)} height="20" fill="none" stroke="currentColor" strokeWidth="2" strokeDasharray="5 3" />
      <rect x="0" y="10" width={x(without)} height="12" fill="currentColor" />
      <path d={`M${x(asks)} 0V34`} stroke="var(--color-minium)" strokeWidth="3" />
    </svg>
  );
}

function Option({ option, chosen, choose }: { option: SizedBrace; chosen: boolean; choose: () => void }) {
  return (
    <div className={`way ${chosen ? "chosen" : ""}`}>
      <div className="flex items-start justify-between gap-2">
        <h3 className="text-[16px]">{LABELS[option.kind]}</h3>
        {option.refused ? (
          <Sign name="never">Refused</Sign>
        ) : chosen ? (
          <Sign name="done">Taken</Sign>
        ) : (
          <button type="button" className="btn small" onClick={choose} aria-label={`Take: ${LABELS[option.kind]}`}>
            Take
          </button>
        )}
      </div>
      <ul>
        {option.reasons.map((reason) => (
          <li key={reason} className="leading-[18px]">
            {reason}
          </li>
        ))}
        {option.refused && option.size.largest_mm !== undefined && (
          <li>
            <b>The largest that would fit: {plain(option.size.largest_mm)} mm.</b>
          </li>
        )}
      </ul>
    </div>
  );
}

const JIG_MM = 12;
const ROUTER_BIT_MM = 6;

/** Nearest drills of the set one owns, or the router's passes; and the card to lay the bit against. */
function Drilling({ kind, size, treatment }: { kind: BraceKind; size: Readonly<Record<string, number>>; treatment: string }) {
  const { owned, drills, keep } = useDrills();
  const holes = (["pilot_mm", "hole_mm"] as const).flatMap((name) => (size[name] === undefined ? [] : [[name, size[name]] as const]));
  if (kind === "spline") return <Router slot_mm={size.depth_mm ?? 0} />;
  if (holes.length === 0) return null;
  const depth = size.hole_depth_mm ?? size.embed_mm ?? 0;
  // a hole no wider than the brace leaves no room for glue
  const wider = drills.filter(({ mm }) => mm > (size.diameter_mm ?? 0));
  const nearest = holes.map(([name, mm]) => ({ name, mm, found: nearestDrill(mm, name === "hole_mm" ? wider : drills) }));
  const query = new URLSearchParams({
    depth: plain(depth, 1),
    ...Object.fromEntries(nearest.map(({ name, found }) => [name.replace("_mm", ""), found?.drill.label ?? ""])),
  });
  return (
    <section aria-label="Drill card" className="pt-3">
      <div className="btn-row justify-between">
        <h3>Drill card</h3>
        <Segmented
          label="Drills in the drawer"
          value={owned.set}
          options={[
            ["metric", "Metric"],
            ["inch", "Inch fractions"],
          ]}
          onChange={(set) => keep({ set, missing: [] })}
        />
      </div>
      {nearest.map(({ name, mm, found }) => (
        <p key={name}>
          {name === "pilot_mm" ? "Pilot" : "Hole"}: wanted {plain(mm, 1)} mm, nearest{" "}
          <b>{found ? found.drill.label : "none in the drawer"}</b>
          {found && Math.abs(found.off_mm) > 0.05 && `, ${plain(Math.abs(found.off_mm), 2)} mm ${found.off_mm > 0 ? "wider" : "tighter"}`}
        </p>
      ))}
      <p>{plain(depth, 1)} mm deep: pilot first, then the size; a backing block where it comes out, a depth stop on the bit.</p>
      <details>
        <summary className="link-btn flex items-center">Which drills lie in the drawer</summary>
        <div className="chips">
          {DRILL_SETS[owned.set].map(({ label }) => (
            <button
              key={label}
              type="button"
              className="chip"
              aria-pressed={!owned.missing.includes(label)}
              onClick={() =>
                keep({
                  ...owned,
                  missing: owned.missing.includes(label) ? owned.missing.filter((each) => each !== label) : [...owned.missing, label],
                })
              }
            >
              {label}
            </button>
          ))}
        </div>
      </details>
      <Link className="link-btn inline-flex items-center" href={`/treatments/${treatment}/drill-card?${query}`}>
        Print it, A6, with the depth as a bar
      </Link>
    </section>
  );
}

function Router({ slot_mm }: { slot_mm: number }) {
  const { projection_mm, passes } = routerPasses(slot_mm, JIG_MM, ROUTER_BIT_MM);
  return (
    <section aria-label="Router" className="pt-3">
      <h3>Router</h3>
      <p>
        Bit stands out <b>{plain(projection_mm)} mm</b>: {plain(slot_mm)} mm of slot and {JIG_MM} mm of jig. {passes.length} passes:
      </p>
      <ol>
        {passes.map(({ depth_mm, riser_mm }, i) => (
          <li key={depth_mm}>
            {i + 1}. to {plain(depth_mm)} mm{riser_mm > 0.05 ? `, on a riser of ${plain(riser_mm)} mm` : ", without a riser"}
          </li>
        ))}
      </ol>
    </section>
  );
}
