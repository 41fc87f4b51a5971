import { type Finish, type Grade, gradeLabel, gradeNamed, grainOf, sameGrade } from "../catalogue";
import { LADDER_ENDS, LADDER_STARTS, lubricantOf } from "../level/plan.data";
import { AROUND, overFace } from "../level/rung";
import { isStocked, stocked } from "../level/stocked";
import { walk } from "../level/walk";
import { grams, inSentence, plain } from "../units";
import { after, type Context, first, linkAt, placesWith, told, type Weighed, type WorkPlace, wastePct, weigh } from "./context";
import type { Drafts, Need } from "./draft";
import { dustOf } from "./dust";

const P = (grade: number): Grade => ({ system: "P", grade });
/** Nothing coarser than this touches a glaze, or a gloss film; ISO 6344, trade practice. */
const GLAZE_FROM = P(1000);
const FILM_FROM = P(400);
const FILM_TO = P(1500);
const COMPOUNDS = ["medium", "fine"] as const;

const base = (c: Context, places: readonly WorkPlace[]) => ({ damage: c.f.id, places, of: "damage" as const, station: "level" as const });

/** What levelling waits for. */
const BEFORE: readonly Need[] = [
  first("check-fill", "nothing is low"),
  first("dry", "it is dry"),
  first("shrink", "it has stopped shrinking"),
  first("measure-after", "its thickness is on record"),
  first("flush", "it is flush"),
  first("lead-test", "before anything makes dust"),
  first("mask", "the neighbours are guarded"),
  first("squeeze-out", "the line is clean"),
  first("unclamp-1", "the joint holds"),
];

/** Levelling of one damage: file, grits, compounds, then surfacer with its look. */
export function levelOps(c: Context, out: Drafts): void {
  const filled = placesWith(c, "filler").filter(({ kind, hidden }) => (kind === "void" || kind === "film") && !hidden);
  const [lead] = filled;
  const filler = lead && linkAt(c, lead, "filler");
  if (lead && filler && c.f.on.family !== "skin" && filler.material.rigidity !== "flexible")
    grits(c, filled, filler.material.hardness, inSentence(filler.material.name.split(",")[0] ?? ""), filler.class === "veneer-sheet", out);
  for (const place of placesWith(c, "levelling")) surfacer(c, place, out);
}

/** From where to where it is sanded, and why not further. */
interface Ladder {
  readonly from: Grade;
  readonly to: Grade;
  readonly because: string;
  readonly film: boolean;
  readonly sheet: boolean;
}

function ladderOf(c: Context, film: boolean, sheet: boolean, hardness: 1 | 2 | 3 | 4 | 5): Ladder {
  const { to, because } = endOf(c, film, sheet);
  const wanted = sheet ? P(180) : film ? FILM_FROM : LADDER_STARTS[hardness];
  const from = (grainOf(wanted) ?? 0) < (grainOf(to) ?? 0) ? to : wanted;
  return { from, to, because, film, sheet };
}

function endOf(c: Context, film: boolean, sheet: boolean): Pick<Ladder, "to" | "because"> {
  if (sheet) return { to: P(240), because: "no finer before stain: it closes the pores" };
  if (film) return { to: FILM_TO, because: "then compound: a film is levelled very fine" };
  if (isBareMetal(c)) return { to: P(400), because: isSoft(c) ? "then polish; finer smears soft metal" : "then polish" };
  if (isBarePolish(c)) return { to: FILM_TO, because: "then compound: a dense bare face shows every scratch" };
  return LADDER_ENDS[c.f.finish.finish as Finish];
}

/** Paint and leaf want a key under them; only a bare face is polished. */
const isBareMetal = ({ f: { finish, on } }: Context): boolean => on.family === "metal" && finish.finish === "none";
const isSoft = ({ f }: Context): boolean => f.on.substrate === "soft-metal";

/** A dense face without a finish is its own gloss: polymer, bone and horn, sintered ware. Trade practice. */
const isBarePolish = ({ f: { finish, on } }: Context): boolean =>
  finish.finish === "none" && (on.family === "polymer" || on.family === "bone" || (on.family === "ceramic" && !on.porous));

function grits(c: Context, places: readonly WorkPlace[], hardness: 1 | 2 | 3 | 4 | 5, fill: string, sheet: boolean, out: Drafts): void {
  const film = places.some(({ kind }) => kind === "film");
  const metal = c.f.on.family === "metal";
  const start = metal ? filed(c, places, out) : [...BEFORE];
  const last = rungs(c, places, ladderOf(c, film, sheet, hardness), fill, start, out);
  if (film || isBarePolish(c)) compounds(c, places, last, out);
  if (isBareMetal(c)) burnish(c, places, last, out);
}

function filed(c: Context, places: readonly WorkPlace[], out: Drafts): Need[] {
  out.add({
    ...base(c, places),
    name: "file",
    kind: "file",
    text: "File it: second cut, then smooth; card the teeth clean",
    why: isSoft(c)
      ? "Bulk comes off with a file while grit would smear the soft metal."
      : "A file keeps it flat; grit rides over the hard metal and digs into the fill.",
    done_when: "a straight edge shows light nowhere",
    hands_min: [8, 20],
    cautions: ["dust-metal", "dust-resin"],
    needs: [...BEFORE],
  });
  return [first("file", "bulk is off")];
}

/** Every rung of the ladder after the one before; answers what waits for the last. */
function rungs(
  c: Context,
  places: readonly WorkPlace[],
  { from, to, because, film, sheet }: Ladder,
  fill: string,
  start: Need[],
  out: Drafts,
): Need[] {
  const stock = hereOf(c);
  const face = places.reduce((sum, { opening_mm2 = 0 }) => sum + opening_mm2 * AROUND, 0);
  const ends = stock ? ([stocked(from, stock), stocked(to, stock, true)] as const) : ([from, to] as const);
  const steps = walkedAgain(c, walk(...ends, [], stock).steps, ends[1]);
  return steps.reduce((needs, { grade, name, again }, i) => {
    const before = offGlaze(c, places, grade, steps[i - 1]?.grade, needs, out);
    const label = gradeLabel(grade);
    const top = `${fill.charAt(0).toUpperCase()}${fill.slice(1)} stands proud; to ${gradeLabel(ends[1])}: ${because}.`;
    out.add({
      ...base(c, places),
      name,
      kind: "grit",
      text: `Sand with ${label}${again ? " again" : ""}${isStocked(grade, stock) ? "" : " (none in the drawer: get a sheet)"}, ${inSentence(sandedWith(c).words)}${where(c, grade)}`,
      why: i === 0 ? top : `Until the scratches of ${gradeLabel(steps[i - 1]?.grade ?? grade)} are gone.`,
      done_when: i === 0 ? "it is level by straight edge and fingertip" : "no scratch of the grade before is left in raking light",
      hands_min: overFace(sheet || film ? [4, 10] : [3, 9], face),
      cautions: dust(c, film),
      needs: before,
      meets: ["level-hump", "level-even", "level-gum", "level-scratches-metal"],
    });
    return [first(name, "each grit only erases the one before")];
  }, start);
}

/** What a ladder is built of: what lies in the drawer, and what was there when it was walked. */
function hereOf({ tools: { grits }, walked = new Set() }: Context): readonly Grade[] | undefined {
  const used = [...walked].flatMap((name) => gradeNamed(name.replace(/^grit-/, "").replace(/-\d+$/, "")) ?? []);
  return grits && [...grits, ...used.filter((grade) => !grits.some((each) => sameGrade(each, grade)))];
}

/** A rung by the name of its operation. */
interface NamedRung {
  readonly grade: Grade;
  readonly name: string;
  readonly again: boolean;
}

/** The rungs with those that come again: after a step back what was not walked before is walked in its turn, once. */
function walkedAgain(c: Context, steps: ReadonlyArray<{ readonly grade: Grade }>, to: Grade): NamedRung[] {
  const { back = [], walked } = c;
  const first = steps.map(({ grade }): NamedRung => ({ grade, name: `grit-${gradeLabel(grade)}`, again: false }));
  return back.reduce((all, grade, i) => {
    // the ladder may end coarser since: then there is nothing to walk again
    if ((grainOf(grade) ?? 0) < (grainOf(to) ?? 0)) return all;
    const again = walk(grade, to, [], hereOf(c)).steps.map(
      (step): NamedRung => ({ grade: step.grade, name: `grit-${gradeLabel(step.grade)}-${i + 2}`, again: true }),
    );
    return [...all.filter(({ name }) => walked?.has(name)), ...again];
  }, first);
}

const marksGlaze = (grade: Grade): boolean => (grainOf(grade) ?? 0) > (grainOf(GLAZE_FROM) ?? 0);

/** Before the first grade that may touch the glaze the mask comes off: that grade, and colour after it, run out over the edge. */
function offGlaze(c: Context, places: readonly WorkPlace[], grade: Grade, last: Grade | undefined, needs: Need[], out: Drafts): Need[] {
  if (c.f.finish.finish !== "glaze" || marksGlaze(grade) || (last && !marksGlaze(last))) return needs;
  out.add({
    ...base(c, places),
    name: "unmask-glaze",
    kind: "unmask",
    text: "Take the tape off, flat back on itself: what is left to do runs out over the glaze",
    why: "An edge at the tape shows for ever under colour.",
    done_when: "no glue of the tape is left on the glaze",
    hands_min: [2, 5],
    cautions: [],
    needs: [...needs, first("mask", "it is on")],
  });
  return [first("unmask-glaze", "the tape is off")];
}

function burnish(c: Context, places: readonly WorkPlace[], needs: readonly Need[], out: Drafts): void {
  out.add({
    ...base(c, places),
    name: "burnish",
    kind: "compound",
    text: "Polish lightly and stop early, a clean pad",
    why: isSoft(c)
      ? "Soft metal smears under strong compound: it runs over the edge of the overlay."
      : "The fill polishes down faster than the metal beside it.",
    done_when: "it reflects as its surroundings do, no more",
    hands_min: [3, 8],
    cautions: ["dust-metal"],
    needs: [...needs],
  });
}

/** What a fill is sanded with here: what film, fill and surroundings ask together. */
export function sandedWith({ f, places }: Context) {
  const { filler } = f.chain;
  const fears_water = filler?.group === "plaster" || (filler?.carrier === "water" && filler.water === "no");
  return lubricantOf(
    f.on,
    places.some(({ kind }) => kind === "film"),
    fears_water,
  );
}

/** Beside what must not be scratched: inside the mask, until the grade may touch it. */
function where(c: Context, grade: Grade): string {
  if (c.f.finish.finish !== "glaze") return "";
  return marksGlaze(grade) ? ", inside the mask: it never touches the glaze" : ", over the edge: this one may touch the glaze";
}

/** Dust by what is really sanded: the fill, and what lies beside it. */
function dust(c: Context, film: boolean): string[] {
  const { filler } = c.f.chain;
  return [
    ...new Set([
      ...fillDust(filler),
      ...(film ? [] : [dustOf(c.f.on)]),
      ...(c.f.finish.finish === "paint" ? ["old-paint"] : []),
      ...(c.f.on.substrate === "celluloid" ? ["celluloid"] : []),
    ]),
  ];
}

function fillDust(filler: Context["f"]["chain"]["filler"]): string[] {
  if (!filler) return [];
  const own = filler.hazards.filter((hazard) => hazard.startsWith("dust"));
  return own.length > 0 ? own : [filler.hatch === "wood" ? "dust-wood" : "dust-resin"];
}

function compounds(c: Context, places: readonly WorkPlace[], before: readonly Need[], out: Drafts): void {
  let needs = before;
  for (const word of COMPOUNDS) {
    out.add({
      ...base(c, places),
      name: `compound-${word}`,
      kind: "compound",
      text: `Polish with ${word} compound, a clean pad of its own, labelled`,
      why: "A grain of the coarser one scratches all over again; keep the pad moving, or it burns.",
      done_when: word === "fine" ? "the lamp’s edge is sharp in it" : "P1500 is gone",
      hands_min: [4, 10],
      cautions: ["dust-resin"],
      needs,
    });
    needs = [first(`compound-${word}`, "coarse to fine")];
  }
}

/** Levelling medium or primer: one thin pull, the look for low spots, rubbed down. */
function surfacer(c: Context, place: WorkPlace, out: Drafts): void {
  const link = linkAt(c, place, "levelling");
  if (!link) return;
  const { material } = link;
  const cm3 = ((place.area_mm2 ?? 0) * material.max_layer_mm) / 1000;
  const weighed = weigh(material, cm3, wastePct(cm3), "spread", c.air);
  const words = ({ mass_g }: Weighed) =>
    `Pull ${inSentence(material.name)} over it, ${plain(material.max_layer_mm * 1000, 0)} µm, ${grams(mass_g)}`;
  const info = { link: link.id, role: "levelling" as const, class: link.class, material, thickness_mm: material.max_layer_mm };
  const lastGrit = c.places.some(({ takes }) => takes.includes("filler"))
    ? [...BEFORE, first("grits", "every grit is walked")]
    : [...BEFORE];
  out.add({
    ...base(c, [place]),
    ...info,
    name: "prime-1",
    kind: "prime",
    ...told(weighed, words),
    need_cm3: cm3,
    together: (all) => told(weigh(material, all, wastePct(all), "spread", c.air), words),
    shared: `level/${link.class}`,
    why: "It closes pores and scratches and shows every low spot.",
    done_when: "it lies even to past the edge",
    hands_min: [4, 10],
    cautions: [...material.hazards],
    needs: lastGrit,
    starts: "coated",
    meets: ["gesso-on-dense", "solvent-trapped"],
  });
  out.add({
    ...base(c, [place]),
    name: "check-prime",
    kind: "look",
    text: "Look for low spots in raking light",
    why: "A low spot goes back to Fill now: under colour it stays.",
    done_when: "no shadow, or a round back to Fill is opened",
    hands_min: [2, 5],
    cautions: [],
    needs: [after("prime-1", material, ["hard", "recoat", "full"], material.max_layer_mm, c.air, "dry")],
  });
  out.add({
    ...base(c, [place]),
    name: "rub-prime",
    kind: "grit",
    text: `Rub it down with P400, ${c.f.on.fears_water || c.f.on.family === "wood" ? "dry" : "wet"}, a foam pad`,
    why: "Colour shows what the primer leaves.",
    done_when: "it is matt and even, no edge felt",
    hands_min: [4, 10],
    cautions: [...material.hazards.filter((hazard) => hazard.startsWith("dust"))],
    needs: [first("check-prime", "looked at")],
  });
}
