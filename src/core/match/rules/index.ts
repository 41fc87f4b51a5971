import { BOND_RULES } from "./bond.data";
import { FINISH_RULES } from "./finish.data";
import { GAP_RULES } from "./gap.data";
import { LEVEL_RULES } from "./level.data";
import { REVERSE_RULES } from "./reverse.data";
import type { Rule } from "./rule";
import { SERVICE_RULES } from "./service.data";
import { SHELF_RULES } from "./shelf.data";
import { STRENGTH_RULES } from "./strength.data";
import { TIME_RULES } from "./time.data";

export type { Effect, Rule } from "./rule";

/** Every rule of one material against one piece. A new rule is a new entry in the table of what it looks at. */
export const RULES: readonly Rule[] = [
  ...BOND_RULES,
  ...GAP_RULES,
  ...TIME_RULES,
  ...LEVEL_RULES,
  ...STRENGTH_RULES,
  ...SERVICE_RULES,
  ...REVERSE_RULES,
  ...FINISH_RULES,
  ...SHELF_RULES,
];
