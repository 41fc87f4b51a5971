"use client";
import { useNow, useWall } from "./now";

/** Day and time of the shop. */
export function Clock() {
  const now = useNow();
  const wall = useWall();
  return (
    <div className="clock">
      <span>{wall.day(now)}</span>
      <b>{wall.time(now)}</b>
    </div>
  );
}
