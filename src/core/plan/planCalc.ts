import type { ClassName, Station } from "../catalogue";
import { gradeOf } from "../level/ladder";
import type { Tools } from "../operation/subject";
import { isPlaceOf } from "../record/opId";
import { type Place, volumeOf } from "../survey/place";
import { plain, present } from "../units";
import type { BraceChoice } from "./joint";
import { type DoneFacts, markFacts, type OpMark } from "./marks";
import type { PlanInput, PlanResult } from "./plan.schema";
import { type Repair, repairOf } from "./repair";
import type { Round } from "./roundContext";

/** The read-out of a bench scale, g, where none is told. */
export const SCALE_STEP_G = 0.01;

/**
 * The whole repair without a screen: damages become places, ways give each place its links, links and their conditions become operations
 * in an order in which they can be done. Waits are those of `cure` at the thickness really laid and the air that is given.
 * @throws {RangeError} on a part or way that is not there, a choice for a place that no way makes, an entry for an operation that is not
 */
export function plan(input: PlanInput): PlanResult {
  const repair = planned(input);
  return {
    places: repair.places.map(placeOf),
    ways: repair.damages.map(({ id, way, because }) => ({ damage: id, way: way.way, label: way.label, ...(because ? { because } : {}) })),
    links: repair.links.map(({ material: _material, product: _product, order: _order, reasons, ...link }) => ({
      ...link,
      reasons: reasons.map(({ rule, effect, text }) => ({ rule, effect, text })),
    })),
    operations: [...repair.operations],
    hands_min: repair.hands_min,
    elapsed_min: repair.elapsed_min,
    cost_eur: repair.cost_eur,
    refer: [...repair.refer],
    basis: {
      formula:
        "ways make places, places take links, links and their conditions yield operations; order by dependencies (Kahn); waits by cure at the layer’s thickness; elapsed = longest path",
      source: "tables of ways and operations with their sources in src/core; figures of the catalogue with theirs",
    },
    warnings: warningsOf(repair),
  };
}

/** The repair behind the result, for the sheet and whoever draws it. */
export function planned({ piece, damages, stance, climate, at, entries = [], tools }: PlanInput): Repair {
  const inputs = damages.map((damage) => {
    const part = piece.parts.find(({ id }) => id === damage.part);
    if (!part) throw new RangeError(`damage ${damage.id} is on part “${damage.part}”, and the piece has no such part`);
    return {
      ...damage,
      piece: piece.kind ?? "other",
      substrate: part.substrate,
      finish: part.finish ?? "none",
      ...present({ finish_to_be: part.finish_to_be === part.finish ? undefined : part.finish_to_be }),
      choose: damage.choose ?? [],
      ...present({ brace: damage.brace && braceOf(damage.brace) }),
      ...present({ override: damage.choose?.find(({ because }) => because)?.because }),
    };
  });
  if (new Set(inputs.map(({ id }) => id)).size < inputs.length) throw new RangeError("two damages have the same id");
  const { rounds, marks } = readEntries(entries);
  const repair = repairOf({
    damages: inputs,
    stance,
    air: climate,
    tools: toolsOf(tools),
    rounds,
    marks,
    at: Date.parse(at),
  });
  checkRefers(repair, inputs, marks, rounds);
  return repair;
}

/** Jig and bit belong to the router that cuts a slot, whatever its own sizes are. */
function braceOf({ kind, size }: NonNullable<PlanInput["damages"][number]["brace"]>): BraceChoice {
  if (!size) return { kind };
  const { jig_mm, bit_mm, ...own } = size;
  return { kind, ...(Object.keys(own).length > 0 ? { size: own } : {}), router: present({ jig_mm, bit_mm }) };
}

function toolsOf({ scale_step_g = SCALE_STEP_G, grits, drills }: NonNullable<PlanInput["tools"]> = {}): Tools {
  return { scale_step_g, ...present({ grits: grits?.map(gradeOf), drills: drills?.map((mm) => ({ label: `${plain(mm, 2)} mm`, mm })) }) };
}

function readEntries(entries: NonNullable<PlanInput["entries"]>): { rounds: Omit<Round, "round">[]; marks: Map<string, OpMark> } {
  const marks = new Map<string, OpMark>();
  const rounds: Omit<Round, "round">[] = [];
  // entries are judged by the time that they speak of, in whatever order they were written
  const byTime = [...entries].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  for (const { at, body } of byTime) {
    if ((body.kind === "done" || body.kind === "skipped") && body.op !== undefined)
      marks.set(body.op, { status: body.kind, at, ...(body.kind === "done" ? markFacts(body as DoneFacts) : {}) });
    if (body.kind === "round-opened")
      rounds.push({
        station: body.station as Station,
        places: body.places as string[],
        because: String(body.because),
        at,
        ...present({
          low_mm: body.low_mm as number | undefined,
          count: body.count as number | undefined,
          filler: body.filler as ClassName | undefined,
        }),
      });
  }
  return { rounds, marks };
}

type Chosen = ReadonlyArray<{
  readonly id: string;
  readonly choose: ReadonlyArray<{ readonly place?: string; readonly role: string; readonly class: string }>;
}>;

/** What is named must be there. @throws {RangeError} */
function checkRefers(repair: Repair, inputs: Chosen, marks: ReadonlyMap<string, OpMark>, rounds: readonly Omit<Round, "round">[]): void {
  const known = new Set(repair.operations.map(({ id }) => id));
  const op = [...marks.keys()].find((each) => !known.has(each));
  if (op !== undefined) throw new RangeError(`no operation ${op} in this plan`);
  const named = new Set([...repair.places.map(({ id }) => id), ...inputs.map(({ id }) => id)]);
  const place = rounds.flatMap((round) => round.places).find((each) => !named.has(each));
  if (place !== undefined) throw new RangeError(`no place ${place} in this plan`);
  for (const { id, choose } of inputs) checkChosen(repair, id, choose);
}

function checkChosen({ links }: Repair, id: string, choose: Chosen[number]["choose"]): void {
  const at = (place: string | undefined) => (link: { readonly place: string }) =>
    place === undefined ? isPlaceOf(link.place, id) : link.place === place;
  const idle = choose.find(
    ({ place, role, class: name }) => !links.filter(at(place)).some((link) => link.role === role && link.class === name),
  );
  if (idle)
    throw new RangeError(
      `damage ${id} takes no ${idle.role}${idle.place ? ` at ${idle.place}` : ""} in this way: it was chosen ${idle.class}`,
    );
}

function warningsOf({ damages, links }: Repair): PlanResult["warnings"] {
  const overridden = links
    .filter(({ overridden }) => overridden !== undefined)
    .map(({ id, reasons }) => ({
      code: "overridden",
      message: `${id} is taken against the rules: ${reasons.find(({ effect }) => effect === "refuse")?.text ?? ""}`,
    }));
  return [
    ...overridden,
    ...damages.flatMap(({ missing, id }) =>
      missing.map(({ role, because, warm_C }) => ({
        code: warm_C === undefined ? "no-material" : "too-cold",
        message: `${id}: nothing serves as ${role}. ${because}`,
      })),
    ),
  ];
}

function placeOf(place: Place): PlanResult["places"][number] {
  const { id, damage, kind, label, solids, area_mm2, film_mm, gap_mm, depth_mm, open_behind } = place;
  const volume_cm3 = solids && solids.length > 0 ? volumeOf(place) : undefined;
  return {
    id,
    damage,
    kind,
    label,
    ...present({
      volume_cm3,
      area_mm2,
      film_mm,
      gap_mm: gap_mm?.[1],
      gap_from_mm: gap_mm?.[0],
      depth_mm,
      open_behind: open_behind || undefined,
    }),
  };
}
