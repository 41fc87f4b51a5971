"use client";
import { createContext, useContext } from "react";
import type { Role } from "@/core/catalogue";

/** What a press in what the server drew does here. */
export interface DeskActs {
  /** Take a candidate for a link; a refused one with its reason. */
  readonly choose: (role: Role, key: string, because?: string) => void;
  readonly takeBack: () => void;
  readonly whyNot: (key: string) => void;
}

export const DeskContext = createContext<DeskActs>({ choose: () => undefined, takeBack: () => undefined, whyNot: () => undefined });
export const useDesk = () => useContext(DeskContext);
