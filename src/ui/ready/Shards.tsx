"use client";
import { type Remote, wrap } from "comlink";
import { useEffect, useRef, useState } from "react";
import type { PieceKind } from "@/core/catalogue";
import { type Assembly, type assemblyOrder, MOST_SHARDS, type ShardMap } from "@/core/ready/assembly";
import { type JoiningOrder, readOrder, shardNames, sittingText } from "@/core/ready/joiningOrder";
import { type DrawnMap, shardMap, touches, withRim, withTouch } from "@/core/ready/shardMap";
import type { BodyOf } from "@/core/record/events.schema";
import { counted, formatMinutes } from "@/core/units";
import { FieldError } from "../forms/FieldError";
import { useKept } from "../forms/kept";
import { Segmented } from "../forms/Segmented";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";
import { ShardPicture } from "./ShardPicture";

interface Props {
  readonly damage: string;
  readonly count: number;
  readonly mapped?: DrawnMap & { readonly order?: JoiningOrder };
  readonly kind: PieceKind;
  readonly photograph?: { readonly id: string; readonly caption: string };
  /** Joins that fit into the open time of the adhesive, one after the other. */
  readonly joins_a_sitting: number;
  /** Cure between two sittings, minutes; undefined = not known yet. */
  readonly between_min: number | undefined;
}

/** Which shard touches which, and from that the sittings: sub-assemblies in an order that locks no shard out. */
export function Shards(props: Props) {
  return (
    <section aria-label="Shards" className="panel-block">
      <h2>Which shard touches which</h2>
      {props.count > MOST_SHARDS ? <TooMany count={props.count} /> : <ShardMapping {...props} />}
    </section>
  );
}

function TooMany({ count }: { count: number }) {
  return (
    <Sign name="never" wrap>
      An order is worked out for up to {MOST_SHARDS} shards; the survey counts {count}. Sort them into sub-assemblies, rim, wall and foot
      say, and survey each as a damage of its own: the last one joins them.
    </Sign>
  );
}

const VIEWS = [
  ["number", "By number"],
  ["picture", "On the picture"],
] as const;

function ShardMapping({ damage, count, mapped, kind, photograph, joins_a_sitting, between_min }: Props) {
  const log = useLog();
  const recorded = mapped && shardMap(count, mapped);
  const [kept, keep, forget] = useKept(`shards:${log.treatment}:${damage}`, recorded ?? shardMap(count));
  const map = kept.count === count ? kept : shardMap(count, kept);
  const [view, setView] = useState<"number" | "picture">(map.places ? "picture" : "number");
  const [held, hold] = useState<number>();
  // by number there is always one in the hand
  const shard = held ?? (view === "number" ? 0 : undefined);
  const found = useAssembly(map, joins_a_sitting);
  const { own, keep: keepOwn, forget: forgetOwn, typed } = useOwnOrder(`${log.treatment}:${damage}`, count, mapped, found);
  const saved = isSaved(mapped, map, typed);
  const record = async () => {
    const order = typed?.ok ? typed.order : found?.sittings.map(({ joins }) => joins);
    if (!(await log.write(bodyOf(damage, map, order)))) return;
    forget();
    forgetOwn();
  };
  return (
    <>
      <p className="dim pb-2">
        Number the shards with a pencil on tape.{view === "number" && " Take one, then press every shard that it touches."}
      </p>
      <Segmented label="Press them" value={view} options={VIEWS} onChange={setView} />
      {view === "picture" && (
        <ShardPicture map={map} kind={kind} {...(photograph ? { photograph } : {})} held={held} hold={hold} change={keep} />
      )}
      <InHand map={map} shard={shard} mayBeNone={view === "picture"} hold={hold} keep={keep} />
      {view === "number" && shard !== undefined && <ByNumber map={map} shard={shard} keep={keep} />}
      <Order found={found} between_min={between_min} joins_a_sitting={joins_a_sitting} />
      <OwnOrder damage={damage} own={own} keep={keepOwn} typed={typed} />
      <button
        type="button"
        className="btn mt-2"
        disabled={log.busy || saved || map.touching.length === 0 || typed?.ok === false}
        onClick={() => void record()}
      >
        {saved ? "The order is on record" : map.touching.length === 0 ? "Press what touches first" : "Record this order"}
      </button>
    </>
  );
}

type Typed = ReturnType<typeof readOrder> | undefined;

/** An order that one has in mind, typed. */
function OwnOrder({ damage, own, keep, typed }: { damage: string; own: string; keep: (text: string) => void; typed: Typed }) {
  return (
    <details className="pt-2" open={own !== ""}>
      <summary className="link-btn inline-flex cursor-pointer items-center">An order of your own</summary>
      <label className="txt-label">
        A line a sitting: 1 to 2, then 3 to 1+2
        <textarea className="txt" rows={4} value={own} maxLength={4000} onChange={(event) => keep(event.target.value)} />
        <FieldError id={`own-order-${damage}`}>{typed && !typed.ok ? typed.says : undefined}</FieldError>
      </label>
    </details>
  );
}

interface PartProps {
  readonly map: DrawnMap;
  readonly keep: (map: DrawnMap) => void;
}

const numbers = ({ count }: DrawnMap) => Array.from({ length: count }, (_, shard) => shard);

/** Whether the record has this map, and the order that was typed for it. */
function isSaved(mapped: Props["mapped"], map: DrawnMap, typed: Typed): boolean {
  if (!mapped || mapped.count !== map.count || listed(mapped) !== listed(map)) return false;
  return typed === undefined || (typed.ok && sameOrder(mapped.order, typed.order));
}

const bodyOf = (damage: string, { count, touching, rim, places }: DrawnMap, order: JoiningOrder | undefined): BodyOf<"shards-mapped"> => ({
  kind: "shards-mapped",
  damage,
  count,
  touching: touching.map(([a, b]): [number, number] => [a, b]),
  rim: [...rim],
  ...(places ? { places: [...places] } : {}),
  ...(order ? { order: order.map((joins) => joins.map(({ a, b }) => ({ a: [...a], b: [...b] }))) } : {}),
});

/** Which shard is in the hand, and whether it has an outer edge. */
function InHand({
  map,
  shard,
  mayBeNone,
  hold,
  keep,
}: PartProps & { shard: number | undefined; mayBeNone: boolean; hold: (shard: number | undefined) => void }) {
  return (
    <>
      <label className="txt-label mt-2 block" htmlFor="shard">
        Shard in your hand
      </label>
      <div className="btn-row">
        <select
          id="shard"
          className="txt w-[90px]"
          value={shard ?? ""}
          onChange={(event) => hold(event.target.value === "" ? undefined : Number(event.target.value))}
        >
          {mayBeNone && <option value="">none</option>}
          {numbers(map).map((each) => (
            <option key={each} value={each}>
              {each + 1}
            </option>
          ))}
        </select>
        {shard !== undefined && (
          <button type="button" className="chip" aria-pressed={map.rim.includes(shard)} onClick={() => keep(withRim(map, shard))}>
            Has an outer edge
          </button>
        )}
      </div>
    </>
  );
}

/** Every other shard, to be pressed where it touches the one in the hand. */
function ByNumber({ map, shard, keep }: PartProps & { shard: number }) {
  return (
    <div className="chips pt-2">
      {numbers(map)
        .filter((each) => each !== shard)
        .map((each) => (
          <button
            key={each}
            type="button"
            className="chip"
            aria-pressed={touches(map, shard, each)}
            onClick={() => keep(withTouch(map, shard, each))}
            aria-label={`Shard ${shard + 1} touches ${each + 1}`}
          >
            {each + 1}
          </button>
        ))}
    </div>
  );
}

const sameOrder = (a: JoiningOrder | undefined, b: JoiningOrder): boolean => a?.map(sittingText).join() === b.map(sittingText).join();

/** An order of one's own as it is typed, kept on this device; one that is on record stands there until it is changed. */
function useOwnOrder(name: string, count: number, mapped: Props["mapped"], found: Assembly | undefined) {
  const [text, keep, forget] = useKept<string | null>(`shard-order:${name}`, null);
  const own = text ?? ownOnRecord(mapped, found);
  return { own, keep, forget, typed: own.trim() === "" ? undefined : readOrder(own, count) };
}

/** The order on record, where it is another than what is worked out. */
function ownOnRecord(mapped: Props["mapped"], found: Assembly | undefined): string {
  if (!mapped?.order || !found) return "";
  const worked = found.sittings.map(({ joins }) => joins);
  return sameOrder(mapped.order, worked) ? "" : mapped.order.map(sittingText).join("\n");
}

/** The store doesn't keep the order of a body's names, so maps are told apart by value. */
const listed = ({ touching, rim, places = [] }: DrawnMap) =>
  [touching.join(" "), rim.join(), places.map(({ x, y }) => `${x} ${y}`).join()].join("|");

/** Worked out in a worker after each press; what is older than the last question is dropped. */
function useAssembly(map: ShardMap, joins: number): Assembly | undefined {
  const worker = useRef<Remote<{ assemblyOrder: typeof assemblyOrder }>>(undefined);
  const [found, setFound] = useState<Assembly>();
  const question = JSON.stringify([map, joins]);
  useEffect(() => {
    const thread = new Worker(new URL("../../workers/assembly.worker.ts", import.meta.url), { type: "module" });
    worker.current = wrap(thread);
    return () => thread.terminate();
  }, []);
  useEffect(() => {
    let stale = false;
    const [asked, open] = JSON.parse(question) as [ShardMap, number];
    void worker.current?.assemblyOrder(asked, open).then((answer) => !stale && setFound(answer));
    return () => {
      stale = true;
    };
  }, [question]);
  return found;
}

function Order({
  found,
  between_min,
  joins_a_sitting,
}: {
  found: Assembly | undefined;
  between_min: number | undefined;
  joins_a_sitting: number;
}) {
  if (!found || found.sittings.length === 0) return null;
  const { sittings, locked, proven } = found;
  return (
    <div className="pt-3" aria-live="polite">
      <p className="text-read font-bold">
        {counted(sittings.length, "sitting")}
        {between_min !== undefined && sittings.length > 1 && `, ${formatMinutes((sittings.length - 1) * between_min)} of cure between them`}
      </p>
      <ol>
        {sittings.map(({ joins }, i) => (
          <li key={`sitting ${joins.map(({ a, b }) => `${a.join()}|${b.join()}`).join(" ")}`} className="border-b border-ash py-1">
            <b>{i + 1}</b> {sittingText(joins)}
          </li>
        ))}
      </ol>
      {locked.length > 0 && (
        <Sign name="never" wrap>
          {locked.map(shardNames).join(" and ")} close a ring: ease them in at once, with slow glue and everything wet.
        </Sign>
      )}
      <p className="sub pt-1">
        {counted(joins_a_sitting, "join of a group fits", "joins of a group fit")} into the open time; groups that don’t touch yet share a
        sitting, each with fresh glue.{" "}
        {proven ? "No order has fewer sittings." : "Found by halving; another order may have fewer sittings."}
      </p>
    </div>
  );
}
