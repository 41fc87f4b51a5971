import type { Rows } from "./wayParts";
import { JOIN_WAYS } from "./waysJoins.data";
import { LOSS_WAYS } from "./waysLosses.data";

/** The ways that practitioners choose between, for each kind: the least that holds first, leaving it always last. */
export const WAYS: Rows = { ...LOSS_WAYS, ...JOIN_WAYS };
