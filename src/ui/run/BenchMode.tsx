"use client";
import { Dialog } from "radix-ui";
import { useEffect, useRef } from "react";
import { type Station, stationLabel } from "@/core/catalogue";
import { cardOf } from "@/core/views/card";
import type { OperationView } from "@/core/views/operationView";
import type { Air } from "../frame/climate";
import { Link } from "../frame/Link";
import { useNow, useWall } from "../frame/now";
import type { WorkProps } from "../operations/workProps";
import { useLog } from "../treatment/TreatmentLog";
import { Outcomes, useOutcomes } from "./Outcomes";
import { RunCard } from "./RunCard";
import { Then } from "./Then";
import { usePedal } from "./usePedal";

interface Props {
  readonly station: Station;
  readonly open: readonly OperationView[];
  readonly behind: readonly OperationView[];
  readonly card: OperationView | undefined;
  readonly pick: (id: string) => void;
  readonly air: Air;
  readonly next: WorkProps["next"];
  readonly elsewhere: NonNullable<WorkProps["elsewhere"]>;
  readonly leave: () => void;
}

/** The card alone, at night, for three metres and gloves: every step by key, by foot pedal, or by a tap. */
export function BenchMode({ station, open, behind, card, pick, air, next, elsewhere, leave }: Props) {
  const log = useLog();
  const now = useNow(15_000);
  const wall = useWall();
  const body = useRef<HTMLDivElement>(null);
  const outcomes = useOutcomes(behind);
  useNightDress();
  useScreenOn();
  useEffect(() => {
    if (card?.id !== undefined && !log.busy) toMain(body.current);
  }, [card?.id, log.busy]);
  const step = (by: number) => {
    const at = open.findIndex(({ id }) => id === card?.id);
    const to = open[at + by];
    if (to) pick(to.id);
  };
  usePedal({ behind, step, outcome: outcomes.record });
  return (
    <Dialog.Root open onOpenChange={(is) => !is && leave()}>
      <Dialog.Portal>
        <Dialog.Content
          aria-describedby={undefined}
          onSubmit={(event) => event.stopPropagation()}
          onOpenAutoFocus={(event) => {
            event.preventDefault();
            toMain(event.currentTarget);
          }}
          className="bench-mode fixed inset-0 bottom-[92px] z-40 max-[1100px]:bottom-0 min-[1101px]:grid-rows-[56px_minmax(0,1fr)_auto] grid grid-cols-[minmax(0,1fr)] grid-rows-[56px_auto_auto] content-start overflow-y-auto bg-ground text-ink"
        >
          <header className="flex items-center gap-6 border-b border-ash-deep px-6 max-sm:gap-3 max-sm:px-4">
            <Dialog.Title className="min-w-0 truncate text-title font-bold">{log.piece}</Dialog.Title>
            <span className="text-ink-2 max-sm:hidden">
              {stationLabel(station)}, {open.length} to do
            </span>
            <b className="ml-auto text-head font-extrabold [font-stretch:116%]">{wall.time(now)}</b>
            <Dialog.Close className="inline-flex shrink-0 min-h-[44px] items-center gap-2 border border-ink px-3 font-semibold">
              <span>
                Leave<span className="max-sm:hidden"> the bench</span>
              </span>
              <kbd className="max-sm:hidden">Esc</kbd>
            </Dialog.Close>
          </header>
          <div ref={body} tabIndex={-1} className="grid grid-cols-[minmax(0,1fr)_320px] max-[1100px]:grid-cols-[minmax(0,1fr)]">
            {card ? (
              <RunCard key={card.id} operation={card} card={cardOf(card, now, wall)} air={air} elsewhere={elsewhere[card.kind]} />
            ) : (
              <div className="grid content-center gap-6 p-6">
                <h2 className="text-huge font-extrabold">{stationLabel(station)} is done</h2>
                {next && (
                  <Link className="btn go min-h-[124px] justify-center text-head" href={next.href}>
                    Go on to {stationLabel(next.station)}
                  </Link>
                )}
              </div>
            )}
            <Then open={open} card={card?.id} now={now} wall={wall} />
          </div>
          <Outcomes {...outcomes} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** The foot pedal's Enter falls on what is to be done next. */
function toMain(within: EventTarget | null): void {
  if (!(within instanceof HTMLElement)) return;
  // where nothing may be done yet nothing is to be pressed by a foot
  (within.querySelector<HTMLElement>("article .card-main [data-stop], article .file-input, a.btn") ?? within).focus();
}

/** The whole page reads its colours at night while one stands at the bench. */
function useNightDress(): void {
  useEffect(() => {
    const { dataset } = document.documentElement;
    dataset.mode = "night";
    return () => {
      delete dataset.mode;
    };
  }, []);
}

/** The screen stays on; where a device can't, or may not, it goes dark as it always does. */
function useScreenOn(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    let left = false;
    const ask = async () => {
      if (document.visibilityState !== "visible") return;
      lock = await navigator.wakeLock?.request("screen").catch(() => undefined);
      if (left) await lock?.release();
    };
    void ask();
    document.addEventListener("visibilitychange", ask);
    return () => {
      left = true;
      document.removeEventListener("visibilitychange", ask);
      void lock?.release();
    };
  }, []);
}
