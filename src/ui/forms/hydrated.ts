"use client";
import { useSyncExternalStore } from "react";

const never = () => () => undefined;

/** False until the page answers: what is chosen before that would be lost, so it waits. */
export function useHydrated(): boolean {
  return useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
}
