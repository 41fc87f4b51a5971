import type { ClassName } from "../catalogue";
import { takenInAll, takenOf } from "../mix/batches";
import type { Start } from "../record/events.schema";
import type { Act } from "./acts";
import type { Worked } from "./worked";

/** What an operation takes of a mix that others could share: of one class, weighed, and ready to be mixed now. */
export interface Share {
  readonly op: string;
  readonly title: string;
  readonly class: ClassName;
  readonly mass_g: number;
  readonly parts: ReadonlyArray<{ readonly name: string; readonly mass_g: number }>;
}

/** The operations of a treatment that a batch of this class could serve now. */
export function sharesOf(acts: readonly Act[], name: ClassName): Share[] {
  return acts.flatMap(({ op, state }) =>
    // what fills several cups by itself shares none
    state === "now" && op.starts && op.class === name && op.mass_g && !op.mixed && (op.batches ?? 1) < 2
      ? [{ op: op.id, title: op.title, class: name, mass_g: op.mass_g, parts: op.parts ?? [] }]
      : [],
  );
}

/** The parts of several shares in one cup, g; in the order of the first. */
export function inOneCup(shares: readonly Pick<Share, "parts">[]): Array<{ name: string; mass_g: number }> {
  const sums = new Map<string, number>();
  for (const { name, mass_g } of shares.flatMap(({ parts }) => parts)) sums.set(name, (sums.get(name) ?? 0) + mass_g);
  return [...sums].map(([name, mass_g]) => ({ name, mass_g }));
}

/** So much of a batch may be unaccounted for, g and share: what sticks to cup and knife. */
const LOST_G = 0.05;
const LOST_SHARE = 0.02;

/** What portions and rest don't account for, in words; undefined where they add up. */
export function unaccounted(mixed_g: number, portions_g: readonly number[], left_g: number): string | undefined {
  const given = portions_g.reduce((sum, each) => sum + each, 0) + left_g;
  const off = mixed_g - given;
  if (Math.abs(off) <= Math.max(LOST_G, mixed_g * LOST_SHARE)) return undefined;
  const [what, much] = off > 0 ? ["is missing from portions and rest", off] : ["more is given out than was mixed", -off];
  return `${Math.round(much * 100) / 100} g ${what}: ${Math.round(mixed_g * 100) / 100} g were mixed`;
}

/** How a share's clock starts out of a batch: the parts as they really were, in proportion. */
export function startOfShare(
  worked: Worked,
  { op, mass_g }: { readonly op: string; readonly mass_g: number },
  mixed: Pick<Start, "class" | "product" | "lot" | "lot_id" | "climate"> & { readonly parts: NonNullable<Start["parts"]> },
): Start | undefined {
  const operation = worked.repair.operations.find(({ id }) => id === op);
  if (!operation || operation.class !== mixed.class || !operation.starts) return undefined;
  const whole = takenInAll(mixed.parts);
  const link = worked.repair.links.find(({ id }) => id === operation.link);
  const planned = new Map(operation.parts?.map((part) => [part.name, part.mass_g]));
  return {
    ...mixed,
    thickness_mm: operation.thickness_mm ?? link?.material.cure.at_mm ?? 1,
    parts: mixed.parts.map((part) => ({
      name: part.name,
      planned_g: planned.get(part.name) ?? part.planned_g,
      actual_g: whole > 0 ? (takenOf(part) * mass_g) / whole : 0,
    })),
  };
}
