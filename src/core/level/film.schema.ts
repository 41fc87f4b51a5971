import { type Static, Type } from "@sinclair/typebox";
import { above0, carried, from0, oneOf, strict } from "../units/schema";

const um = () => from0(100_000);
/** The thinnest wipe of a film that is told: a hundredth of a µm, below what any gauge reads. */
const step = () => Type.Number({ minimum: 0.01, maximum: 100_000 });

export const FilmInput = strict({
  existing_um: um(),
  existing_sd_um: Type.Optional(um()),
  /** Wet film, solids by volume, how many coats. */
  coats: Type.Array(
    strict({ wet_um: um(), solids_pct: Type.Number({ minimum: 0, maximum: 100 }), count: Type.Integer({ minimum: 0, maximum: 1000 }) }),
    { maxItems: 100 },
  ),
  cuts: Type.Array(strict({ um: um(), sd_um: Type.Optional(um()) }), { maxItems: 200 }),
  /** At an edge there is less film, and more is cut. */
  edge: Type.Optional(strict({ film_factor: above0(10), cut_factor: above0(100) })),
  safe_um: um(),
  scratch: Type.Optional(strict({ depth_um: above0(100_000), mode: oneOf(["spray", "drop"] as const), coat_um: step(), cut_um: step() })),
});
export type FilmInput = Static<typeof FilmInput>;

export const FilmResult = strict({
  film_um: Type.Number(),
  left_um: Type.Number(),
  left_edge_um: Type.Number(),
  rub_through_pct: Type.Number(),
  rub_through_edge_pct: Type.Number(),
  cycles: Type.Optional(Type.Integer()),
  ...carried,
});
export type FilmResult = Static<typeof FilmResult>;
