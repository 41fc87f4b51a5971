"use client";
import { useEffect, useState } from "react";
import { upOf } from "@/core/views/card";
import { frontOf, instrumentsAt } from "@/core/views/instrument";
import { liveOf } from "@/core/views/live";
import type { OperationView } from "@/core/views/operationView";
import { useKept } from "../forms/kept";
import { useShortcut } from "../frame/keys";
import { lazily } from "../frame/lazily";
import { useNow } from "../frame/now";
import { InstrumentPane } from "../instruments/InstrumentPane";
import { doneAt, type Kept } from "../outbox/queue";
import { useLog } from "../treatment/TreatmentLog";
import { OperationList } from "./OperationList";
import { OpenOperation } from "./openOperation";
import type { WorkProps } from "./workProps";

const BenchMode = lazily(() => import("../run/BenchMode").then((module) => module.BenchMode));
const Amounts = lazily(() => import("../mix/Amounts").then((module) => module.Amounts));

/** A station at work: left what to do, its card open; right the instrument that belongs to it. */
export function WorkStation({ station, operations, places, air, closed, instruments, ...rest }: WorkProps) {
  const time = useNow(15_000);
  const kept = opsKept(useLog().kept);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [picked, pick] = usePicked(operations);
  // it goes on from station to station on this device
  const [atBench, stand] = useKept("bench-mode", false);
  useShortcut("b", () => !closed && stand(true));
  const [face, setFace] = useState<"list" | "instrument">("list");
  const here = operations
    .filter((operation) => operation.station === station && isOf(operation, chosen))
    .map((operation) => ({ ...operation, ...liveOf(operation, kept, time) }));
  const open = here.filter(({ mark }) => mark === undefined);
  const up = closed
    ? undefined
    : upOf(
        open.filter(({ id }) => !kept.has(id)),
        time,
      );
  const card = closed ? undefined : (open.find(({ id }) => id === picked) ?? open.find(({ id }) => id === up));
  const done = operations.filter(({ mark, station: at }) => mark !== undefined && at === station).length;
  const mix = mixOf(card, open);
  const shown = {
    ...instruments,
    ...(mix && (station === "fill" || card === mix)
      ? { amounts: <Amounts key={mix.id} operation={mix} air={air} more={instruments.amounts} /> }
      : {}),
  };
  const there = instrumentsAt(station).filter((each) => shown[each] !== undefined && shown[each] !== null);
  return (
    <OpenOperation value={card}>
      {atBench && !closed && (
        <BenchMode
          station={station}
          open={open}
          behind={here.filter(({ mark }) => mark !== undefined)}
          card={card}
          pick={pick}
          air={air}
          next={rest.next}
          elsewhere={rest.elsewhere ?? {}}
          leave={() => stand(false)}
        />
      )}
      <div className="panes" data-face={face}>
        <Faces face={face} setFace={setFace} />
        <OperationList
          station={station}
          places={places}
          chosen={chosen}
          choose={setChosen}
          open={open}
          behind={here.filter(({ mark }) => mark !== undefined)}
          card={card?.id}
          pick={pick}
          kept={kept}
          air={air}
          closed={closed}
          stand={() => stand(true)}
          {...rest}
        />
        {there.length > 0 && (
          <InstrumentPane
            turn={`${picked ?? ""} ${done}`}
            there={there}
            front={frontOf(station, card?.instrument, there)}
            up={card?.state === "now"}
            bodies={shown}
          />
        )}
      </div>
    </OpenOperation>
  );
}

const isOf = ({ places }: OperationView, chosen: ReadonlySet<string>) =>
  chosen.size === 0 || places.length === 0 || places.some((place) => chosen.has(place));

/** The mix that is weighed: the open one, else the next of the station. */
function mixOf(card: OperationView | undefined, open: readonly OperationView[]): OperationView | undefined {
  const isMix = ({ kind, parts }: OperationView) => kind === "mix" && parts !== undefined;
  return card && isMix(card) ? card : open.find(isMix);
}

/** What was opened by hand; a link to one operation opens it. */
function usePicked(operations: readonly OperationView[]) {
  const [picked, pick] = useState<string>();
  useEffect(() => {
    const follow = () => {
      const named = decodeURIComponent(window.location.hash.slice(1));
      if (named !== "") pick(named);
    };
    follow();
    window.addEventListener("hashchange", follow);
    return () => window.removeEventListener("hashchange", follow);
  }, []);
  // once it is done what is up leads again
  const open = operations.some(({ id, mark }) => id === picked && mark === undefined);
  return [open ? picked : undefined, pick] as const;
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

interface FacesProps {
  readonly face: "list" | "instrument";
  readonly setFace: (face: "list" | "instrument") => void;
}

/** On a phone the two panes are two faces. */
function Faces({ face, setFace }: FacesProps) {
  return (
    <fieldset className="hidden grid-cols-2 border-b-2 border-ink max-sm:grid">
      <legend className="visually-hidden">Shown</legend>
      {(
        [
          ["list", "To do"],
          ["instrument", "Instrument"],
        ] as const
      ).map(([each, label]) => (
        <button
          key={each}
          type="button"
          aria-pressed={face === each}
          className="min-h-[60px] text-read font-semibold aria-pressed:bg-ink aria-pressed:text-panel"
          onClick={() => setFace(each)}
        >
          {label}
        </button>
      ))}
    </fieldset>
  );
}
