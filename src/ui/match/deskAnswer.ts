import type { ReactNode } from "react";
import type { Role } from "@/core/catalogue";
import type { ChainLink } from "@/core/match/match.schema";
import type { DeskQuestion } from "@/core/views/desk/desk";
import type { ChainRow } from "@/core/views/desk/links";

/** What stands beside the chain. */
export type DeskTab = "candidates" | "facts" | "chain";

/** What the server answers to a question: what a press needs to know, and all the rest as it is shown. */
export interface DeskAnswer {
  readonly role: Role;
  readonly other: string;
  readonly links: readonly ChainLink[];
  readonly missing: string;
  /** Other damages of the piece that have no materials yet and that this choice fits as it is. */
  readonly elsewhere: readonly Elsewhere[];
  /** The chain, link by link. */
  readonly rows: readonly ChainRow[];
  readonly views: Readonly<Record<DeskTab, ReactNode>>;
}

/** The same choice at another damage. */
export interface Elsewhere {
  readonly damage: string;
  readonly title: string;
  readonly links: readonly ChainLink[];
}

/** Asks the server; undefined = no material is needed. */
export type AskDesk = (question: DeskQuestion) => Promise<DeskAnswer | undefined>;
