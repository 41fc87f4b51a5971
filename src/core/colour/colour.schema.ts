import { type Static, Type } from "@sinclair/typebox";
import { above0, carried, from0, name, oneOf, strict } from "../units/schema";
import { ILLUMINANTS, type Illuminant, NM } from "./spectra.data";

/** CIELAB under daylight. */
export const LabSchema = strict({ L: Type.Number({ minimum: 0, maximum: 120 }), a: within(200), b: within(200) });

function within(most: number) {
  return Type.Number({ minimum: -most, maximum: most });
}

/** Reflectance, 0 to 1, at each 10 nm from 400 to 700. */
const Reflectances = Type.Array(Type.Number({ minimum: 0, maximum: 1 }), { minItems: NM.length, maxItems: NM.length });

export const DeltaEInput = strict({ a: LabSchema, b: LabSchema });
export type DeltaEInput = Static<typeof DeltaEInput>;
export const DeltaEResult = strict({ dE00: Type.Number(), ...carried });
export type DeltaEResult = Static<typeof DeltaEResult>;

const Target = strict({ lab: Type.Optional(LabSchema), r: Type.Optional(Reflectances) }, { minProperties: 1, maxProperties: 1 });

export const ColourInput = strict({
  pigments: Type.Array(strict({ name: name(), r: Reflectances }), { minItems: 1, maxItems: 60 }),
  target: Target,
  /** So many pigments at most. */
  most: Type.Optional(Type.Integer({ minimum: 1, maximum: 6 })),
  illuminants: Type.Optional(Type.Array(oneOf(Object.keys(ILLUMINANTS) as Illuminant[]), { maxItems: 3, uniqueItems: true })),
});
export type ColourInput = Static<typeof ColourInput>;

const Recipe = Type.Array(strict({ name: Type.String(), pct: Type.Number() }));

export const ColourResult = strict({
  recipe: Recipe,
  lab: LabSchema,
  dE00: Type.Number(),
  r: Type.Array(Type.Number()),
  metamerism: Type.Array(strict({ illuminant: Type.String(), dE00: Type.Number() })),
  /** With fewer pigments each, and almost as good. */
  simpler: Type.Array(strict({ recipe: Recipe, dE00: Type.Number() })),
  ...carried,
});
export type ColourResult = Static<typeof ColourResult>;

export const TintInput = strict({
  base: strict({ r: Reflectances }),
  colorant: strict({
    name: name(),
    absorbance_per_um: Type.Array(from0(1000), { minItems: NM.length, maxItems: NM.length }),
  }),
  film_um: above0(10_000),
  coats: Type.Integer({ minimum: 1, maximum: 100 }),
  pct: Type.Optional(Type.Number({ minimum: 0, maximum: 100 })),
  target: Type.Optional(strict({ lab: LabSchema })),
  most_coats: Type.Optional(Type.Integer({ minimum: 1, maximum: 100 })),
});
export type TintInput = Static<typeof TintInput>;

export const TintResult = strict({
  pct: Type.Number(),
  coats: Type.Array(strict({ n: Type.Integer(), lab: LabSchema })),
  dE00: Type.Optional(Type.Number()),
  best_coats: Type.Optional(Type.Integer()),
  ...carried,
});
export type TintResult = Static<typeof TintResult>;
