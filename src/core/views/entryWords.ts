import { gradeLabel, STANCE_LABELS, stationLabel } from "../catalogue";
import { COAT_DEFECTS } from "../colour/coatDefects.data";
import type { Lab } from "../colour/spectrum";
import { stateRow } from "../colour/states.data";
import { MIX_DEFECTS } from "../fill/mixDefects.data";
import { SHAPINGS, textureRow } from "../fill/shaping.data";
import { spotRow } from "../fill/spots.data";
import { gradeIn } from "../level/ladder";
import { takenOf } from "../mix/batches";
import { sittingText } from "../ready/joiningOrder";
import type { BodyOf, EventBody, EventKind, Start } from "../record/events.schema";
import { opWords } from "../record/opId";
import { materialTaken } from "../record/treatment";
import { DAMAGE_LABELS } from "../survey/measures.data";
import { sizeOf } from "../survey/size";
import { wayLabel } from "../survey/ways";
import { counted, doseGrams, inSentence, plain } from "../units";

type Names = ReadonlyMap<string, string>;
type Sayings = { readonly [K in EventKind]: (body: BodyOf<K>, names: Names) => string };

const CAME_OUT_LABELS: ReadonlyMap<string, string> = new Map([
  ...MIX_DEFECTS.map(({ defect, label }) => [defect, label] as const),
  ...COAT_DEFECTS.map(({ defect, label }) => [defect, label] as const),
]);

const AGAINST = { "too-early": "too early", "too-late": "too late", blocked: "out of order" } as const;

/** What an operation was: as its entry says, else as it is called today. */
function opName({ op, title, words }: { readonly op: string; readonly title?: string; readonly words?: string }, names: Names): string {
  return title ?? names.get(op) ?? words ?? opWords(op);
}

/** Places by their names; where those are not known, how many they are. */
function placeWords(places: readonly string[], names: Names): string {
  const known = places.flatMap((place) => names.get(place) ?? []);
  return known.length === places.length ? known.join(", ") : counted(places.length, "place");
}

/** The jars that something was taken from; empty where none is known. */
function lotWords({ lot, also }: Pick<Start, "lot" | "also">): string {
  const first = lot ? `, lot ${lot}` : "";
  return also ? `${first}, and ${doseGrams(also.mass_g)} of lot ${also.lot}` : first;
}

function started(start: BodyOf<"done">["start"]): string {
  if (!start) return "";
  const weighed = start.parts?.some(({ actual_g }) => actual_g !== undefined);
  const grams = start.parts?.map((part) => `${part.name} ${doseGrams(takenOf(part))}`).join(", ");
  return `, ${inSentence(materialTaken(start).name)}${grams ? ` (${weighed ? "weighed" : "planned"}: ${grams})` : ""}${lotWords(start)}${start.scale ? `, on the ${start.scale.name} ± ${plain(start.scale.off_g, 3)} g` : ""}`;
}

const labText = ({ L, a, b }: Lab): string => `L ${plain(L, 0)}, a ${plain(a, 0)}, b ${plain(b, 0)}`;

/** Each kind of entry in the words of the log; complete by type. */
const SAY: Sayings = {
  surveyed: ({ damage, survey, way, title }) =>
    `Surveyed${damage && damage !== "d1" ? ` ${title ?? damage}` : ""}: ${DAMAGE_LABELS[survey.damage.kind].toLowerCase()}, ${sizeOf(survey.damage)}${way ? `. ${wayLabel(survey.damage.kind, way.way)}: ${way.reason}` : ""}`,
  "step-added": ({ text }) => `Added: ${text}`,
  "dry-run": ({ minutes, two_marks, items }) =>
    `Dry run: ${plain(minutes)} min, ${counted(items.length, "thing")} on the clamp map, ${two_marks ? "two marks meet" : "no marks"}`,
  "shards-mapped": ({ count, touching, order = [] }) =>
    `Mapped ${count} shards, ${counted(touching.length, "touch", "touches")}${order.length > 0 ? `; joined ${order.map(sittingText).join("; ")}` : ""}`,
  "form-chosen": ({ form, reason }) => `Form: ${form}${reason ? `. ${reason}` : ""}`,
  "fill-set": ({ shaping, texture, proud_mm, extra_pct, volumes = [] }, names) =>
    `Fill: ${[
      SHAPINGS.find((row) => row.shaping === shaping)?.label.toLowerCase(),
      texture && textureRow(texture).label.toLowerCase(),
      proud_mm === undefined ? undefined : `${plain(proud_mm, 2)} mm proud`,
      extra_pct === undefined ? undefined : `${plain(extra_pct, 0)} % over the need`,
      ...volumes.map(({ place, cm3, by }) => `${placeWords([place], names)} holds ${plain(cm3, 2)} cm³ by ${by}`),
    ]
      .filter((part) => part !== undefined)
      .join(", ")}`,
  "spot-found": ({ what, depth_mm }) =>
    `Found on the condition map: ${spotRow(what).one}${depth_mm === undefined ? "" : `, ${plain(depth_mm, 2)} mm`}`,
  "stepped-back": ({ to, because }) => {
    const grade = gradeIn(to);
    return `Back to ${grade ? gradeLabel(grade) : to.grade}: ${because}`;
  },
  braced: ({ brace, size, judged_by, reason }) =>
    `Brace: ${brace}${size.diameter_mm ? ` Ø ${plain(size.diameter_mm)} mm` : ""}${judged_by?.load_N ? `, judged by ${plain(judged_by.load_N)} N` : ""}${reason ? `. ${reason}` : ""}`,
  marked: () => "Moved the mark on the condition map",
  matched: ({ stance, chain }) =>
    `Chose ${chain.map((link) => `${inSentence(materialTaken(link).name)}${link.because ? ` (against the rules: ${link.because})` : ""}`).join(" → ")}, ${STANCE_LABELS[stance].toLowerCase()}`,
  done: ({ start, portion_g, note, surface_mm, caliper_mm, film_um, paper, against, ...said }, names) =>
    [
      `${opName(said, names)}${started(start)}`,
      portion_g === undefined ? "" : `${doseGrams(portion_g)} of a batch that was mixed for several`,
      paper ? `${plain(paper.sheets, 2)} of a sheet used up` : "",
      film_um === undefined ? "" : `film ${plain(film_um, 0)} µm by the gauge`,
      surface_mm === undefined ? "" : `measured ${plain(Math.abs(surface_mm), 2)} mm ${surface_mm < 0 ? "low" : "proud"}`,
      caliper_mm === undefined ? "" : `${plain(caliper_mm, 2)} mm thick by the caliper`,
      note ?? "",
      against ? `${AGAINST[against.state]}, because ${against.because}` : "",
    ]
      .filter((part) => part !== "")
      .join(". "),
  "batch-mixed": ({ start, note, against, ...said }, names) =>
    `One batch of it: ${inSentence(opName(said, names))}${started(start)}${note ? `. ${note}` : ""}${against ? `. ${AGAINST[against.state]}, because ${against.because}` : ""}`,
  "recipe-kept": ({ name: called, parts, mass_g, dE00: off, ended }) =>
    `Recipe ${called}: ${parts.map((part) => `${part.name} ${plain(part.pct, part.pct < 10 ? 1 : 0)} %${mass_g ? ` (${doseGrams((mass_g * part.pct) / 100)})` : ""}`).join(", ")}${off === undefined ? "" : `, reckoned ${plain(off, 1)} dE00 off`}${ended ? `, dried to ${labText(ended)}` : ""}`,
  "swatch-read": ({ name: called, state, lab, by }) => `Swatch ${called}, ${stateRow(state).label}: ${labText(lab)}, ${by}`,
  "found-soft": ({ op, note }, names) => `Still soft: ${opName({ op }, names)}${note ? `. ${note}` : ""}`,
  "came-out": ({ op, defect, causes = [], next }, names) =>
    `${opName({ op }, names)}: ${inSentence(CAME_OUT_LABELS.get(defect) ?? defect)}. ${causes.length > 0 ? `Likely: ${causes.join(" ")}` : "Nothing on record tells why."}${next ? ` Next: ${next}` : ""}`,
  "sheen-read": ({ here_gu, beside_gu, next }) =>
    `Sheen: ${plain(here_gu, 0)} gloss units here, ${plain(beside_gu, 0)} beside it${next ? `. ${next}` : ""}`,
  parted: ({ title }) => `Treated apart from here on: ${title}`,
  skipped: ({ reason, ...said }, names) => `Left out: ${opName(said, names)}. ${reason}`,
  "round-opened": ({ station, places, because }, names) => `Back to ${stationLabel(station)}, ${placeWords(places, names)}: ${because}`,
  noted: ({ text }) => `Note: ${text}`,
  closed: ({ signed_by, notes }) => `Signed and closed by ${signed_by}${notes ? `: ${notes}` : ""}`,
  reopened: ({ reason }) => `Reopened: ${reason}`,
  withdrawn: ({ reason }) => `Taken back${reason ? `: ${reason}` : ""}`,
};

/** An entry in one line; operations by their own words where they are known. */
export function entryWords(body: EventBody, names: Names = new Map()): string {
  return say(body, names);
}

function say<K extends EventKind>(body: BodyOf<K>, names: Names): string {
  const known = SAY[body.kind as K] as ((b: BodyOf<K>, n: Names) => string) | undefined;
  return known ? known(body, names) : `An entry that this version can’t read (${String((body as { kind: unknown }).kind)})`;
}
