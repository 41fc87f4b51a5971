"use client";
import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";

/** A point of a picture, 0 to 1 across and down. */
export type Place = { readonly x: number; readonly y: number };

const STEP = 0.01;
const FAR = 0.05;
const MOVES: Readonly<Record<string, Place>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};
/** Above this the number stands below its dot. */
export const HIGH = 0.16;
const within = (n: number) => Math.min(1, Math.max(0, Math.round(n * 1000) / 1000));

export const at = ({ x, y }: Place) => ({ left: `${x * 100}%`, top: `${y * 100}%` });

/** A finger trembles: from so many px on it drags. */
const DRAG_FROM_PX = 6;

interface Props {
  readonly number: number | string;
  readonly title: string;
  readonly place: Place;
  readonly busy: boolean;
  readonly put: (to: Place) => unknown;
  /** What a press without a drag does; absent = nothing. `pressed` = it is held. */
  readonly press?: () => void;
  readonly pressed?: boolean;
}

/** A mark that is dragged, or moved by arrow keys (with Shift five times as far) and put down with Enter. */
export function MovableMark({ number, title, place, busy, put, press, pressed }: Props) {
  const [moving, setMoving] = useState<Place>();
  const dragged = useRef(false);
  const from = useRef<{ readonly x: number; readonly y: number }>(undefined);
  const shown = moving ?? place;
  const putDown = async (to: Place) => {
    setMoving(to);
    await put(to);
    setMoving(undefined);
  };
  const drag = (event: PointerEvent<HTMLButtonElement>) => {
    const box = event.currentTarget.parentElement?.getBoundingClientRect();
    if (!from.current || !box) return;
    if (Math.hypot(event.clientX - from.current.x, event.clientY - from.current.y) >= DRAG_FROM_PX) dragged.current = true;
    if (!dragged.current) return;
    setMoving({ x: within((event.clientX - box.left) / box.width), y: within((event.clientY - box.top) / box.height) });
  };
  const step = (event: KeyboardEvent) => {
    const by = MOVES[event.key];
    if (event.key === "Enter" && moving) {
      event.preventDefault();
      void putDown(moving);
    }
    if (event.key === "Escape") setMoving(undefined);
    if (!by) return;
    event.preventDefault();
    const size = event.shiftKey ? FAR : STEP;
    setMoving({ x: within(shown.x + by.x * size), y: within(shown.y + by.y * size) });
  };
  const drop = () => {
    from.current = undefined;
    if (dragged.current && moving) void putDown(moving);
  };
  // the end of a drag is a click as well
  const click = () => {
    if (!dragged.current) press?.();
    dragged.current = false;
  };
  return (
    <button
      type="button"
      className={`map-mark own ${press ? "centred" : shown.y < HIGH ? "low" : ""}`}
      style={at(shown)}
      aria-label={`Mark ${number}, ${title}, ${Math.round(shown.x * 100)} % across, ${Math.round(shown.y * 100)} % down. Arrow keys move it, Enter puts it down.`}
      aria-pressed={press && pressed}
      disabled={busy}
      onClick={click}
      onPointerDown={(event) => {
        dragged.current = false;
        from.current = { x: event.clientX, y: event.clientY };
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={drag}
      onPointerUp={drop}
      onPointerCancel={() => {
        from.current = undefined;
        dragged.current = false;
        setMoving(undefined);
      }}
      onKeyDown={step}
      onBlur={() => moving && !from.current && void putDown(moving)}
    >
      {!press && <span className="map-dot" />}
      <span className={`map-no ${press && !pressed ? "" : "own"}`}>{number}</span>
    </button>
  );
}
