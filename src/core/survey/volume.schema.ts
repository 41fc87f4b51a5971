import { type Static, type TProperties, Type } from "@sinclair/typebox";
import { above0, carried, strict, tagged } from "../units/schema";

const shape = <N extends string, P extends TProperties>(name: N, dims: P) =>
  strict({ shape: Type.Literal(name), ...dims, count: Type.Optional(Type.Integer({ minimum: 1, maximum: 100_000 })) });

const mm = above0;

export const Solid = tagged("shape", [
  shape("box", { length: mm(), width: mm(), depth: mm() }),
  shape("cylinder", { diameter: mm(), depth: mm() }),
  shape("cone", { diameter: mm(), height: mm() }),
  shape("frustum", { diameter1: mm(), diameter2: mm(), height: mm() }),
  shape("sphericalCap", { diameter: mm(), height: mm() }),
  shape("corner", { a: mm(), b: mm(), c: mm() }),
  shape("edgeChip", { length: mm(), depth: mm(), thickness: mm() }),
  shape("vGroove", { length: mm(), width: mm(), depth: mm() }),
  shape("uGroove", { length: mm(), width: mm(), depth: mm() }),
  shape("sheet", { area_mm2: above0(1e9), depth: mm() }),
]);
export type Solid = Static<typeof Solid>;

export const VolumeInput = strict({ solids: Type.Array(Solid, { minItems: 1, maxItems: 1000 }) });
export type VolumeInput = Static<typeof VolumeInput>;

export const VolumeResult = strict({
  solids: Type.Array(strict({ shape: Type.String(), volume_cm3: Type.Number() })),
  volume_cm3: Type.Number(),
  ...carried,
});
export type VolumeResult = Static<typeof VolumeResult>;
