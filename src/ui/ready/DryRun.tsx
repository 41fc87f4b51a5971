"use client";
import type { MaterialClass, PieceKind } from "@/core/catalogue";
import { CLAMPS, type ClampKind, MOST_CLAMPS } from "@/core/ready/clamps.data";
import { formatMinutes, inSentence, plain } from "@/core/units";
import { judgeDryRun } from "@/core/views/dryRun";
import { useKept } from "../forms/kept";
import { NumberField } from "../forms/NumberField";
import { parseNumber } from "../forms/parse";
import { YesNo } from "../forms/YesNo";
import { useShop } from "../frame/now";
import { PieceIcon } from "../signs/PieceIcon";
import { Sign, type SignName } from "../signs/Sign";
import { MovableMark, type Place } from "../survey/MovableMark";
import { useLog } from "../treatment/TreatmentLog";

interface Item extends Place {
  readonly kind: ClampKind;
}

/** On the page each has a name of its own, so that it stays itself while others come and go. */
interface Shown extends Item {
  readonly id: number;
}

/** The dry run as it stands on the page, recorded or not. */
interface Draft {
  readonly items: readonly Shown[];
  readonly minutes: string;
  readonly marks?: boolean | undefined;
}

interface Props {
  readonly damage: string;
  /** Which damage it is of, where there are several. */
  readonly of?: string;
  readonly kind: PieceKind;
  readonly photograph?: { readonly id: string; readonly caption: string };
  readonly adhesive: MaterialClass;
  readonly on: keyof MaterialClass["bonds"];
  readonly temp_C: number;
  readonly recorded?: { readonly minutes: number; readonly two_marks: boolean; readonly items: readonly Item[] };
}

const SIGNS = { fits: "go", tight: "soon", over: "never" } as const satisfies Record<string, SignName>;

/** Assembled without glue: every clamp on the map in its order, two marks across the break, and the minutes against the open time. */
export function DryRun({ damage, of, kind, photograph, adhesive, on, temp_C, recorded }: Props) {
  const log = useLog();
  const [{ items, minutes, marks }, keep, forget] = useKept(`dry-run:${log.treatment}:${damage}`, startOf(recorded));
  const change = (to: Partial<Draft>) => keep({ items, minutes, marks, ...to });
  const took = readMinutes(minutes);
  const missing = missingFor(took, marks);
  const kept = items.map(({ id: _, ...item }) => item);
  const saved = recorded?.minutes === took && recorded?.two_marks === marks && listed(recorded?.items ?? []) === listed(kept);
  const record = async () => {
    if (took === undefined || marks === undefined) return;
    if (await log.write({ kind: "dry-run", damage, minutes: took, two_marks: marks, items: kept, hands_min: took })) forget();
  };
  const add = (kindOf: ClampKind) =>
    change({ items: [...items, { id: (items.at(-1)?.id ?? -1) + 1, kind: kindOf, x: 0.3 + (items.length % 5) * 0.1, y: 0.5 }] });
  return (
    <section aria-label={of ? `Dry run, ${of}` : "Dry run"} className="panel-block">
      <h2 className="wrap-anywhere">Dry run{of ? `: ${of}` : ""}</h2>
      <p className="dim">Put it together without glue. Everything that will press or pad it goes on the map, in the order you set it.</p>
      <div className="mt-2 grid gap-x-6 min-[1180px]:grid-cols-[minmax(0,440px)_minmax(0,1fr)]">
        <div className="map">
          {photograph ? (
            <img src={`/api/photographs/${photograph.id}`} alt={photograph.caption || "the piece"} />
          ) : (
            <PieceIcon kind={kind} size={210} />
          )}
          {items.map((item, i) => (
            <MovableMark
              key={item.id}
              number={i + 1}
              title={labelOf(item.kind)}
              place={item}
              busy={log.busy}
              put={(to) => change({ items: items.map((each) => (each.id === item.id ? { ...each, ...to } : each)) })}
            />
          ))}
        </div>
        <div className="min-w-0 content-start">
          <div className="chips">
            {CLAMPS.map((clamp) => (
              <button
                key={clamp.kind}
                type="button"
                className="chip"
                disabled={items.length >= MOST_CLAMPS}
                onClick={() => add(clamp.kind)}
              >
                + {clamp.label}
              </button>
            ))}
            {items.length > 0 && (
              <button type="button" className="link-btn" onClick={() => change({ items: items.slice(0, -1) })}>
                Take the last away
              </button>
            )}
          </div>
          {items.length >= MOST_CLAMPS && <Sign name="soon">{MOST_CLAMPS} are the most: split the assembly.</Sign>}
          <TooFewClamps set={items.filter((item) => item.kind === "clamp").length} />
          {items.length > 0 && <p className="pt-1">{items.map((item, i) => `${i + 1} ${labelOf(item.kind).toLowerCase()}`).join(", ")}</p>}
          <div className="mt-2 grid gap-2">
            <NumberField
              name="dry-run"
              label="The dry run took"
              unit="min"
              value={minutes}
              onChange={(text) => change({ minutes: text })}
              error={minutes !== "" && took === undefined ? "Enter 1 to 600 minutes." : undefined}
            />
            <YesNo
              text="Two marks meet across the break"
              detail="one alone can’t tell a turn"
              value={marks}
              onChange={(answer) => change({ marks: answer })}
            />
          </div>
          {took !== undefined && <Verdict minutes={took} adhesive={adhesive} on={on} temp_C={temp_C} />}
          <button type="button" className="btn mt-2" disabled={log.busy || saved || missing !== ""} onClick={() => void record()}>
            {missing || (saved ? "The dry run is on record" : "Record the dry run")}
          </button>
        </div>
      </div>
    </section>
  );
}

function TooFewClamps({ set }: { set: number }) {
  const { clamps } = useShop();
  if (clamps === 0 || set <= clamps) return null;
  return (
    <Sign name="soon" wrap>
      {set} clamps are on the map and {clamps} in the shop: press the rest with wedges, weights or tape, or split the assembly.
    </Sign>
  );
}

function startOf(recorded: Props["recorded"]): Draft {
  return {
    items: (recorded?.items ?? []).map((item, id) => ({ ...item, id })),
    minutes: recorded ? plain(recorded.minutes) : "",
    ...(recorded ? { marks: recorded.two_marks } : {}),
  };
}

/** The store doesn't keep the order of a body's names, so they are told apart by value. */
const listed = (items: readonly Item[]) => items.map(({ kind, x, y }) => `${kind} ${x} ${y}`).join();

const labelOf = (kind: ClampKind) => CLAMPS.find((clamp) => clamp.kind === kind)?.label ?? kind;

function Verdict({ minutes, adhesive, on, temp_C }: { minutes: number } & Pick<Props, "adhesive" | "on" | "temp_C">) {
  const { verdict, open_min, parts, slower } = judgeDryRun(minutes, adhesive, on, temp_C);
  const open = `${adhesive.name} stays open ${formatMinutes(Math.max(1, open_min[0]))} to ${formatMinutes(Math.max(1, open_min[1]))} at ${plain(temp_C)} °C`;
  return (
    <div className="pt-2" aria-live="polite">
      <Sign name={SIGNS[verdict]} wrap>
        {verdict === "fits" && `It fits: ${open}.`}
        {verdict === "tight" && `Tight: ${open}. Makers differ; be quicker, or split it.`}
        {verdict === "over" && `Too long: ${open}.`}
      </Sign>
      {verdict !== "fits" && (
        <p>
          <b>Split it into {parts} sub-assemblies</b>
          {slower.length > 0 ? `, or take a slower adhesive: ${slower.map(inSentence).join(", ")}.` : "; no slower adhesive bonds here."}
        </p>
      )}
    </div>
  );
}

function readMinutes(text: string): number | undefined {
  const parsed = parseNumber(text);
  return parsed.ok && parsed.value > 0 && parsed.value <= 600 ? parsed.value : undefined;
}

function missingFor(took: number | undefined, marks: boolean | undefined): string {
  if (took === undefined) return "Time the dry run first";
  return marks === undefined ? "Say whether two marks meet" : "";
}
