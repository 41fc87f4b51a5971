"use client";
import { createContext, type ReactNode, useContext, useEffect, useMemo, useRef, useState } from "react";
import { freshShop, minutesOf } from "@/core/shop/shop";
import type { Shop } from "@/core/shop/shop.schema";
import { type Wall, wall } from "@/core/units";

interface Here {
  /** The server's time when it rendered, ms since the epoch: the clocks of tablets are not trusted. */
  readonly start: number;
  readonly timeZone: string;
  /** What is kept of the shop; absent while the record is away. */
  readonly shop?: Shop;
}

const ShopContext = createContext<Here>({ start: 0, timeZone: "UTC" });

/** Gives every part of a page the shop, its time and its time zone. */
export function ShopTime({ start, timeZone, shop, children }: Here & { children: ReactNode }) {
  const value = useMemo(() => ({ start, timeZone, ...(shop ? { shop } : {}) }), [start, timeZone, shop]);
  return <ShopContext value={value}>{children}</ShopContext>;
}

/** The shop's wall clock. */
export function useWall(): Wall {
  return wall(useContext(ShopContext).timeZone);
}

/** The shop, else as one is taken to be. */
export function useShop(): Shop {
  const { shop, timeZone } = useContext(ShopContext);
  return shop ?? freshShop("", timeZone);
}

/** The shop's working day in minutes since midnight; eight to six where nothing is kept. */
export function useWorkingDay(): { readonly begins: number; readonly ends: number } {
  const { from, to } = useShop();
  return { begins: minutesOf(from), ends: minutesOf(to) };
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
