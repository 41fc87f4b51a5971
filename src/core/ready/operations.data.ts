import type { OpRow } from "../catalogue";
import { PLACE_OPS } from "./guard.data";
import { PIECE_OPS } from "./piece.data";

/** Preparation. Order follows from `needs`, never from the order of these rows. */
export const READY_OPS: readonly OpRow[] = [...PIECE_OPS, ...PLACE_OPS];
