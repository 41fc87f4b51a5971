import { after, type Context, first } from "./context";
import type { Drafts, Need } from "./draft";

const LAST: readonly Need[] = [first("last", "the work is done")];

/** Looking, dressing and signing: what comes last for every damage. */
export function closeOps(c: Context, out: Drafts): void {
  unmask(c, out);
  dress(c, out);
  lookAndSign(c, out);
}

const base = (c: Context) => ({ damage: c.f.id, places: c.places, station: "close" as const });

function unmask(c: Context, out: Drafts): void {
  if (c.links.length === 0 || out.list.some(({ kind }) => kind === "unmask")) return;
  out.add({
    ...base(c),
    of: "piece",
    name: "unmask",
    kind: "unmask",
    text: "Take tape and film off, slowly, flat back on itself",
    why: "Pulled up, tape takes the edge of the coat with it.",
    done_when: "the edge is whole",
    hands_min: [2, 6],
    cautions: [],
    needs: [...LAST, first("mask", "it is on")],
  });
}

/** Leather is dressed once nothing in it cures any more. */
function dress(c: Context, out: Drafts): void {
  if (c.f.on.family !== "skin" || !c.links.some(({ role }) => role === "topcoat" || role === "adhesive")) return;
  const soft = c.links.find(({ role }) => role === "filler") ?? c.links.find(({ role }) => role === "adhesive");
  const cured: Need[] = soft
    ? [
        after(
          soft.role === "filler" ? "fill/mix-1" : "back",
          soft.material,
          ["full"],
          soft.material.max_layer_mm,
          c.air,
          "the filler has cured: a dressing before that stops it",
        ),
      ]
    : [];
  out.add({
    ...base(c),
    of: "damage",
    name: "dress",
    kind: "finish",
    text: "Dress the leather, thinly, the whole panel",
    why: "Dressing before the filler has cured stops it; on one spot alone it makes a ring.",
    done_when: "it has sunk in by the next day",
    hands_min: [5, 15],
    cautions: [],
    needs: [...LAST, ...cured, first("unmask", "the whole panel is bare")],
    meets: ["dressing-stops-cure"],
  });
}

function lookAndSign(c: Context, out: Drafts): void {
  const weak = c.safety && c.safety.reached < c.safety.asked;
  out.add({
    ...base(c),
    of: "piece",
    name: "photograph-after",
    kind: "photograph",
    text: "Photograph it from the same places as before",
    why: "Before and after belong together.",
    done_when: "both are in the record",
    hands_min: [3, 8],
    cautions: [],
    needs: [...LAST, first("dress", "it is dressed"), first("unmask", "nothing covers it")],
  });
  out.add({
    ...base(c),
    of: "piece",
    name: "sign",
    kind: "sign",
    urgent: weak === true,
    text: weak
      ? "Look it over in its own light and sign: the owner’s card allows no load"
      : "Look it over in the light it will live in, and sign",
    why: weak
      ? `The safety reached is ${c.safety?.reached.toFixed(1)} of ${c.safety?.asked}: no load, no person.`
      : "What the owner may do, and from when, goes on the card.",
    done_when: "record and owner’s card are signed",
    hands_min: [10, 25],
    cautions: c.f.food ? ["food"] : [],
    needs: [...LAST, first("photograph-after", "pictures are taken")],
    meets: ["food-decorative", "strength-load-fill", "strength-warm-load", "heat-near", "wet-splash", "service-skin-cured"],
  });
}
