import type { Range } from "../catalogue";
import { humidityFactor } from "../cure/pace";
import { first, row } from "../operation/row";
import type { LaidSubject } from "../operation/subject";

/** What has to breathe through lime, or is burnt by it. */
const OVER_LIME: readonly string[] = ["levelling", "colour", "topcoat"];
const isLime = ({ link }: Pick<LaidSubject, "link">) => link.class === "lime-mortar";
const isCovered = ({ links }: LaidSubject) => links.some(({ role }) => OVER_LIME.includes(role));

/** Plaster gives its water off through its thickness: about a day for a centimetre squared, twice that where one face is shut; trade practice, EN 13279-1. */
const DRY_DAYS_PER_CM2 = [0.6, 2.4] as const;
function driesIn({ link, here, air }: LaidSubject): Range {
  const cm = Math.max(0.5, Math.max(...here.map(({ depth_mm = 0 }) => depth_mm)) / 10);
  const water = { ...link.material, cure: { ...link.material.cure, by: "drying" as const } };
  const factor = humidityFactor(water, air.rh_pct) * 1440 * cm ** 2;
  return [DRY_DAYS_PER_CM2[0] * factor, DRY_DAYS_PER_CM2[1] * factor];
}

/** What lime and plaster ask for once they are laid: damp, air, and time. */
export const DRY_OPS = {
  // what is laid in layers is kept damp from the first of them on, not from the last
  "mist-layers": row({
    each: "layer",
    stem: "mist-layers",
    together: "part",
    kind: "damp",
    when: (s) => isLime(s) && s.n === 1 && s.of > 1,
    needs: [{ after: "place", n: "same", because: "laid" }],
    hands: [5, 15],
    words: { title: "Mist each layer", text: "Mist this layer of lime, and each that follows, from its first hours on, morning and evening for three days", why: "Lime that dries before it hardens stays powder, and the next layer holds on powder no better.", done_when: "no layer has whitened before the next is laid" },
    cautions: ["wet-plaster-skin"],
  }),
  // bare lime needs no month before work goes on, but its first days decide; EN 459-1 and trade practice
  "damp-cure": row({
    each: "laid",
    stem: "damp-cure",
    together: "part",
    kind: "damp",
    when: isLime,
    needs: [{ after: "place", n: "same", because: "laid" }, first("blade", "it is floated")],
    hands: [5, 20],
    wait_min: [2880, 4320],
    meanwhile: "it is kept damp for three days",
    words: { title: "Mist the lime", text: "Mist each layer of lime from its first hours on, morning and evening for three days, sun and wind kept off, no frost for a month", why: "Lime that dries before it hardens stays powder.", done_when: "three days are over and a fingernail leaves no mark" },
    cautions: ["wet-plaster-skin"],
  }),
  "dry-lime": row({
    each: "laid",
    stem: "dry",
    together: "part",
    kind: "wait",
    when: (s) => isLime(s) && isCovered(s),
    needs: [{ after: "place", n: "same", because: "laid" }, first("damp-cure", "it was kept damp"), { after: "mix", n: "same", stage: ["full"], thickness: ({ link }) => link.material.cure.at_mm, because: "it hardens from the air" }],
    hands: [2, 5],
    words: { title: "Leave lime a month", text: "Leave the lime a month before anything is laid over it", why: "Young lime burns colour and must breathe; it hardens from the air.", done_when: "a month is over and the face is evenly pale" },
    cautions: ["wet-plaster-skin"],
    meets: ["film-on-lime"],
  }),
  dry: row({
    each: "laid",
    stem: "dry",
    together: "part",
    kind: "dry",
    when: (s) => !isLime(s) && s.link.material.group === "plaster" && s.link.material.carrier === "water",
    needs: [{ after: "place", n: "same", because: "laid" }, first("demould", "air gets at it"), first("blade", "it is trimmed"), { after: "mix", n: "same", settles: driesIn, because: "dries by the square of its thickness" }],
    hands: [2, 5],
    words: { title: "Let it dry", text: "Let it dry until it is no longer cold to the cheek", why: "Its water leaves by the square of the thickness and by the dryness of the room: test it, no clock tells.", done_when: "cheek, or under 1 % on the meter" },
    meets: ["film-on-wet-plaster", "film-on-lime"],
  }),
};
