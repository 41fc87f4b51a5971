"use client";
import { useEffect, useRef } from "react";
import { type Plate, platesOf } from "@/core/views/shelf";
import type { ShelfItem } from "../shelf/Shelf";
import { useNow, useWall } from "./now";

/** Hz and s: a wait that is over rises, a window that is closing knocks twice. */
const TONES: Readonly<Partial<Record<Plate["sign"], readonly (readonly [hertz: number, from: number])[]>>> = {
  go: [
    [523, 0],
    [784, 0.18],
  ],
  soon: [
    [659, 0],
    [659, 0.22],
  ],
};
const LONG_S = 0.16;
const LOUD = 0.08;

/** Tells by a tone what the Shelf shows: a wait is over, a window is closing. */
export function Tones({ items }: { items: readonly ShelfItem[] }) {
  const now = useNow();
  const wall = useWall();
  const before = useRef<ReadonlyMap<string, Plate["sign"]>>(undefined);
  const signs = new Map(
    items.flatMap(({ id, brief }) => platesOf(brief, now, wall).map(({ key, sign }) => [`${id} ${key}`, sign] as const)),
  );
  useEffect(() => {
    const turned = before.current ? turnedSince(before.current, signs) : [];
    before.current = signs;
    const tone = turned.includes("soon") ? TONES.soon : turned.includes("go") ? TONES.go : undefined;
    if (tone) sound(tone);
  });
  return null;
}

/** Signs that something turned to; what was not there before is no news. */
export function turnedSince(before: ReadonlyMap<string, Plate["sign"]>, now: ReadonlyMap<string, Plate["sign"]>): Plate["sign"][] {
  return [...now].flatMap(([key, sign]) => (before.has(key) && before.get(key) !== sign ? [sign] : []));
}

/** Hz, and s from now. */
export function sound(tone: readonly (readonly [hertz: number, from: number])[]): void {
  const context = new AudioContext();
  for (const [hertz, from] of tone) {
    const [wave, volume] = [context.createOscillator(), context.createGain()];
    wave.frequency.value = hertz;
    volume.gain.setValueAtTime(LOUD, context.currentTime + from);
    volume.gain.exponentialRampToValueAtTime(0.001, context.currentTime + from + LONG_S);
    wave.connect(volume).connect(context.destination);
    wave.start(context.currentTime + from);
    wave.stop(context.currentTime + from + LONG_S);
  }
  setTimeout(() => void context.close(), 1000);
}
