import type { ReactNode } from "react";
import type { Station } from "@/core/catalogue";
import type { Instrument } from "@/core/views/instrument";
import type { OperationView, PlaceView } from "@/core/views/operationView";
import type { RoundView } from "@/core/views/rounds";
import type { Air } from "../frame/climate";

/** What a station at work is given by its page. */
export interface WorkProps {
  readonly station: Station;
  /** Every operation of the treatment, in order. */
  readonly operations: readonly OperationView[];
  readonly places: readonly PlaceView[];
  /** Rounds that come through this station. */
  readonly rounds: readonly RoundView[];
  readonly air: Air;
  readonly closed: boolean;
  /** Stations that one can go back to from here. */
  readonly back: readonly Station[];
  /** Where it goes on to, as an address; absent = nowhere. */
  readonly next?: { readonly station: Station; readonly href: string };
  /** Operations that are recorded by an instrument, by kind. */
  readonly elsewhere?: Readonly<Record<string, string>>;
  /** By when it has to be begun so that what follows falls into hours, by operation. */
  readonly starts: Readonly<Record<string, string>>;
  /** What stands beside what to do. */
  readonly instruments: Readonly<Partial<Record<Instrument, ReactNode>>>;
}
