import type { MaterialClass, OpRow } from "../catalogue";
import { READY_OPS } from "../ready/operations.data";
import { grams, inSentence, plain } from "../units";
import { type Context, first, linkAt, placesWith, wait, weigh } from "./context";
import type { Drafts, Need } from "./draft";

const ROWS = new Map(READY_OPS.map((row) => [row.op, row]));

/** Preparation of one damage, and the ways that need no chain: every row that belongs to it. */
export function readyOps(c: Context, out: Drafts): void {
  for (const [rank, row] of READY_OPS.entries()) {
    if (row.op === "barrier") consolidate(c, rank, out);
    if (!row.when(c.f)) continue;
    const settle = <T>(value: T | ((f: Context["f"]) => T)): T => (value instanceof Function ? value(c.f) : value);
    out.add({
      name: row.op,
      rank,
      kind: row.kind,
      station: row.station,
      of: row.of,
      damage: c.f.id,
      places: c.places,
      text: settle(row.text),
      why: settle(row.why),
      done_when: settle(row.done_when),
      hands_min: settle(row.hands_min),
      cautions: settle(row.cautions ?? []),
      needs: (row.needs ?? []).map((op) => needOf(c, op)),
      ...(row.meets ? { meets: row.meets } : {}),
      ...(row.uses ? { uses: row.uses } : {}),
    });
  }
}

/** A row's need, with the wait of the row that it waits for. */
function needOf(c: Context, op: string): Need {
  const row = ROWS.get(op);
  const lag = row && waitOf(row, c);
  return row && lag ? wait(op, lag, row.meanwhile ?? "it settles") : first(op, "in this order");
}

/** What passes after a row of Make ready before anything that needs it. */
export function waitOf({ wait_min }: OpRow, { f }: Context): readonly [number, number] | undefined {
  return wait_min instanceof Function ? wait_min(f) : wait_min;
}

/** The wait of a preparation by its name; nothing for what is no row. */
export function waitAfter(name: string, c: Context): readonly [number, number] | undefined {
  const row = ROWS.get(name);
  return row && waitOf(row, c);
}

/** How far a consolidant goes into what powders or frays, mm; trade practice. */
const SINKS_MM = 1;

function consolidate(c: Context, rank: number, out: Drafts): void {
  const places = placesWith(c, "consolidant");
  const [place] = places;
  const link = place && linkAt(c, place, "consolidant");
  if (!link) return;
  const { material } = link;
  const area = places.reduce((sum, { opening_mm2 = 0 }) => sum + opening_mm2, 0);
  const weighed = weigh(material, (area * SINKS_MM) / 1000, 20, "faced", c.air);
  const dust = c.damage.kind === "eroded" ? "the powdering face" : "the cut edge";
  out.add({
    rank: rank - 0.5,
    name: "consolidate",
    kind: "consolidate",
    station: "ready",
    of: "damage",
    damage: c.f.id,
    places,
    text: `Lock ${dust} with ${inSentence(material.name)}, thin, about ${grams(weighed.mass_g)}`,
    why: `Fibres and powder drink the glue out of what comes next. ${dryWords(material)}`,
    done_when: "the edge feels hard and dry",
    hands_min: [5, Math.max(15, plainMinutes(area))],
    cautions: [...material.hazards],
    needs: ["clean", "trim", "pare", "lead-test", "dry-out", "stop-cause", "mask", "cut-core"].map((op) => needOf(c, op)),
    meets: ["bond-powders", "bond-hollow", "water-board-thin", "reverse-consolidant", "solvent-trapped", "water-trapped", "silicate-wait"],
    link: link.id,
    role: "consolidant",
    class: link.class,
    material,
    mass_g: weighed.mass_g,
    volume_cm3: weighed.volume_cm3,
    parts: weighed.parts,
    thickness_mm: 0.1,
    starts: "coated",
  });
}

const dryWords = ({ class: name }: MaterialClass) =>
  name === "ethyl-silicate" ? "It throws water off for two to four weeks: nothing water-borne before that." : "Let it dry through.";
/** Brushing a face wet in wet, a minute for some 20 cm². */
const plainMinutes = (area_mm2: number) => Number(plain(area_mm2 / 2000, 0));
