"use client";
import { bitError, routerPasses } from "@/core/join/routing";
import { counted, plain } from "@/core/units";
import { NumberField } from "../forms/NumberField";
import { parseNumber } from "../forms/parse";

interface Slot {
  readonly depth_mm: number;
  readonly width_mm: number;
}

/** Widest jig and bit that are believed. */
const MOST_MM = 100;

/** The jig and the bit as they are typed. */
export interface RouterTyped {
  readonly jig_mm: string;
  readonly bit_mm: string;
}

/** The jig and the bit that are recorded with a brace; undefined where one of them can't be read. */
export function routerOf({ jig_mm, bit_mm }: RouterTyped): { readonly jig_mm: number; readonly bit_mm: number } | undefined {
  const [jig, bit] = [sizeIn(jig_mm).mm, sizeIn(bit_mm).mm];
  return jig === undefined || bit === undefined ? undefined : { jig_mm: jig, bit_mm: bit };
}

/** How far the bit stands out, and pass by pass on which riser; the jig and the bit are those of this shop, or others for this slot. */
export function Router({ slot, typed, change: keep }: { slot: Slot; typed: RouterTyped; change: (to: RouterTyped) => void }) {
  const change = (to: Partial<RouterTyped>) => keep({ ...typed, ...to });
  const [jig, bit] = [sizeIn(typed.jig_mm), sizeIn(typed.bit_mm)];
  const wide = bit.mm === undefined ? undefined : bitError(bit.mm, slot.width_mm);
  return (
    <section aria-label="Router" className="pt-3">
      <h3>Router</h3>
      <div className="grid grid-cols-2 gap-2">
        <NumberField name="jig_mm" label="Jig" unit="mm" value={typed.jig_mm} onChange={(jig_mm) => change({ jig_mm })} error={jig.error} />
        <NumberField
          name="bit_mm"
          label="Bit"
          unit="mm"
          value={typed.bit_mm}
          onChange={(bit_mm) => change({ bit_mm })}
          error={bit.error ?? wide}
        />
      </div>
      {jig.mm !== undefined && bit.mm !== undefined && !wide && <Passes slot_mm={slot.depth_mm} jig_mm={jig.mm} bit_mm={bit.mm} />}
    </section>
  );
}

function sizeIn(text: string): { readonly mm?: number; readonly error?: string } {
  const parsed = parseNumber(text);
  if (!parsed.ok) return { error: parsed.message };
  return parsed.value > 0 && parsed.value <= MOST_MM ? { mm: parsed.value } : { error: `Enter more than 0, up to ${MOST_MM} mm.` };
}

function Passes({ slot_mm, jig_mm, bit_mm }: { slot_mm: number; jig_mm: number; bit_mm: number }) {
  const { projection_mm, passes } = routerPasses(slot_mm, jig_mm, bit_mm);
  return (
    <>
      <p>
        Bit stands out <b>{plain(projection_mm)} mm</b>: {plain(slot_mm)} mm of slot and {plain(jig_mm)} mm of jig.{" "}
        {counted(passes.length, "pass", "passes")}:
      </p>
      <ol>
        {passes.map(({ depth_mm, riser_mm }, i) => (
          <li key={depth_mm}>
            {i + 1}. to {plain(depth_mm)} mm{riser_mm > 0.05 ? `, on a riser of ${plain(riser_mm)} mm` : ", without a riser"}
          </li>
        ))}
      </ol>
    </>
  );
}
