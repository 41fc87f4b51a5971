import { type Static, Type } from "@sinclair/typebox";
import { above0, carried, name, oneOf, percent, strict } from "../units/schema";

/** g/cm³: nothing on a bench is lighter than aerogel or heavier than osmium. */
const density = () => above0(25);

export const MixInput = strict(
  {
    need_cm3: Type.Optional(above0()),
    need_g: Type.Optional(above0()),
    overfill_pct: Type.Optional(percent()),
    waste_pct: Type.Optional(percent()),
    parts: Type.Array(strict({ name: name(), ratio: above0(), density: density() }), { minItems: 1, maxItems: 20 }),
    ratio_by: oneOf(["mass", "volume"]),
    mixed_density: Type.Optional(density()),
    scale_step_g: Type.Optional(above0(1000)),
    pot_life_min: Type.Optional(above0()),
    apply_cm3_per_min: Type.Optional(above0()),
  },
  { oneOf: [{ required: ["need_cm3"] }, { required: ["need_g"] }] },
);
export type MixInput = Static<typeof MixInput>;

const Dose = strict({ name: Type.String(), mass_g: Type.Number() });

export const MixResult = strict({
  total_g: Type.Number(),
  total_cm3: Type.Number(),
  density: Type.Number(),
  parts: Type.Array(strict({ name: Type.String(), mass_g: Type.Number(), volume_cm3: Type.Number(), ball_mm: Type.Number() })),
  batches: Type.Array(strict({ total_g: Type.Number(), parts: Type.Array(Dose) })),
  dose_error_pct: Type.Optional(Type.Number()),
  ...carried,
});
export type MixResult = Static<typeof MixResult>;
