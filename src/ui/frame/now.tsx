"use client";
import { createContext, type ReactNode, useContext, useEffect, useMemo, useRef, useState } from "react";
import { type Wall, wall } from "@/core/units";

interface Shop {
  /** The server's time when it rendered, ms since the epoch: the clocks of tablets are not trusted. */
  readonly start: number;
  readonly timeZone: string;
  /** When the day begins and ends, `08:00`. */
  readonly hours?: readonly [from: string, to: string] | undefined;
}

const ShopContext = createContext<Shop>({ start: 0, timeZone: "UTC" });

/** Gives every part of a page the shop's time and time zone. */
export function ShopTime({ start, timeZone, hours, children }: Shop & { children: ReactNode }) {
  const [from, to] = hours ?? [];
  const value = useMemo(() => ({ start, timeZone, ...(from && to ? { hours: [from, to] as const } : {}) }), [start, timeZone, from, to]);
  return <ShopContext value={value}>{children}</ShopContext>;
}

/** The shop's wall clock. */
export function useWall(): Wall {
  return wall(useContext(ShopContext).timeZone);
}

/** The shop's working day in minutes since midnight; eight to six where nothing is kept. */
export function useWorkingDay(): { readonly begins: number; readonly ends: number } {
  const [from = "08:00", to = "18:00"] = useContext(ShopContext).hours ?? [];
  const minutes = (time: string) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3));
  return { begins: minutes(from), ends: minutes(to) };
}

/** The time now, in ms since the epoch, told anew every `everyMs`. The first rendering is the server's. */
export function useNow(everyMs = 5_000): number {
  const { start } = useContext(ShopContext);
  const [now, setNow] = useState(start);
  const origin = useRef({ start, at: 0 });
  useEffect(() => {
    origin.current = { start, at: performance.now() };
    setNow(start);
    const tick = setInterval(() => setNow(origin.current.start + performance.now() - origin.current.at), everyMs);
    return () => clearInterval(tick);
  }, [start, everyMs]);
  return now;
}
