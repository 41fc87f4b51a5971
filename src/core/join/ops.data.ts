import { BACK_OPS } from "./backOps.data";
import { BOND_OPS } from "./bondOps.data";
import { BRACE_OPS } from "./braceOps.data";
import { CLEAT_OPS } from "./cleatOps.data";

/** Everything that is done at Join. */
export const JOIN_OPS = { ...BRACE_OPS, ...BACK_OPS, ...BOND_OPS, ...CLEAT_OPS };
