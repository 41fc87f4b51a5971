import type { DamageKind } from "../catalogue";
import type { Damage, DamageOf } from "./measures.data";

/** One way to meet a damage. What it costs in hours, days and material is computed; what it means is said here. */
export interface OptionRow {
  readonly option: string;
  readonly label: string;
  readonly how: string;
  /** What is gone for good. */
  readonly lost: string;
  readonly risk: string;
  /** Hands and waiting that no chain plans: cutting out, making a part. */
  readonly hands_min: number;
  readonly wait_min: number;
  /** The damage that is then treated with a chain; absent = it is done with these hands alone. */
  readonly as?: (damage: Damage) => Damage | undefined;
}

const kind = <K extends DamageKind>(damage: Damage, name: K): DamageOf<K> | undefined => (damage.kind === name ? (damage as DamageOf<K>) : undefined);
const same = (damage: Damage): Damage => damage;

const LEAVE: OptionRow = { option: "leave", label: "Leave it", how: "Record it, guard it, look again in a year.", lost: "nothing", risk: "It may go on; say to the owner how it is handled.", hands_min: 10, wait_min: 0 };

const sheet = (damage: Damage) => kind(damage, "veneer-lifted") ?? kind(damage, "veneer-lost");

/** Cut out and filled, a sheet is a shallow loss. */
function filledSheet(damage: Damage): Damage | undefined {
  const found = sheet(damage);
  return found && { kind: "burn-through", length_mm: found.length_mm, width_mm: found.width_mm, depth_mm: found.thickness_mm + found.swelling_mm, into_core: true };
}

function newSheet(damage: Damage): Damage | undefined {
  const found = sheet(damage);
  return found && { kind: "veneer-lost", length_mm: found.length_mm, width_mm: found.width_mm, thickness_mm: found.thickness_mm, swelling_mm: found.swelling_mm };
}

/** A long break that is braced is treated as one across. */
function bracedAcross(damage: Damage): Damage | undefined {
  const found = kind(damage, "break-along");
  return found && { kind: "break-across", width_mm: found.width_mm, height_mm: found.height_mm };
}

function closed(yes: boolean) {
  return (damage: Damage): Damage | undefined => {
    const found = kind(damage, "crack");
    return found && { ...found, closes: yes };
  };
}

const REPLACE: OptionRow = {
  option: "replace",
  label: "Replace the part",
  how: "Make a new part off the twin or a drawing, fit it, keep the old one bagged and labelled.",
  lost: "the original part",
  risk: "Strong and quick to judge, but it is no longer the original; colour has to be built up on all of it.",
  hands_min: 360,
  wait_min: 2880,
};
const FILL: OptionRow = { option: "fill", label: "Fill it", how: "Clean, fill, level, colour.", lost: "nothing that is there", risk: "only what its chain asks to be kept.", hands_min: 0, wait_min: 0, as: same };
const BOND: OptionRow = { option: "bond", label: "Glue it", how: "Clean, dry run, glue, clamp.", lost: "nothing", risk: "only what its chain asks to be kept.", hands_min: 0, wait_min: 0, as: same };

/** The ways that practitioners choose between, for each kind; leaving it is always one. */
export const OPTIONS: Readonly<Record<DamageKind, readonly OptionRow[]>> = {
  chip: [FILL, LEAVE],
  corner: [FILL, LEAVE],
  tip: [{ ...FILL, option: "build", label: "Build it up" }, LEAVE],
  hole: [FILL, LEAVE],
  shards: [BOND, { ...LEAVE, option: "leave", how: "Keep the shards in a tray, each bagged, in the order they lie." }],
  "break-along": [BOND, { option: "brace", label: "Glue and brace it", how: "Glue as above, and let in what carries across the break.", lost: "original wood where the brace is let in", risk: "Holds a knock that glue alone would not.", hands_min: 30, wait_min: 0, as: bracedAcross }, REPLACE, LEAVE],
  "break-across": [{ ...BOND, option: "brace", label: "Glue and brace it", lost: "original material where the brace is let in" }, REPLACE, LEAVE],
  crack: [
    { ...BOND, option: "close", label: "Close and glue it", how: "Glue in from behind, clamp until the faces meet.", risk: "It opens again beside the joint when the room is drier than when you glued.", as: closed(true) },
    { ...FILL, as: closed(false), risk: "The part moves on and the fill shows a line." },
    LEAVE,
  ],
  tear: [{ ...BOND, option: "back", label: "Back and rejoin it", how: "A patch behind, edges laid on it, the rest filled." }, { ...REPLACE, label: "Replace the panel" }, LEAVE],
  "veneer-lifted": [
    { ...BOND, option: "reglue", label: "Glue it down", how: "Glue under it, press it flat under a board.", risk: "Over a swollen core it stands up again; brittle veneer cracks when it is pressed." },
    { option: "cut-fill", label: "Cut it out and fill", how: "Cut the loose sheet out along the grain, take the core back to sound, fill flush and colour.", lost: "the loose veneer", risk: "No grain in the fill: from the side the eye finds it.", hands_min: 40, wait_min: 0, as: filledSheet },
    { option: "reveneer", label: "Let in new veneer", how: "Cut the loose sheet out, take the core back, let in veneer of the same cut and colour it.", lost: "the loose veneer", risk: "Needs a matching sheet and a sharp joint; looks best of the three.", hands_min: 90, wait_min: 0, as: newSheet },
    LEAVE,
  ],
  "veneer-lost": [
    { option: "reveneer", label: "Let in new veneer", how: "Square the edges, let in veneer of the same cut, colour it.", lost: "a thin line of the old edge", risk: "Needs a matching sheet and a sharp joint.", hands_min: 60, wait_min: 0, as: same },
    { option: "cut-fill", label: "Fill it", how: "Take the core back to sound, fill flush and colour.", lost: "nothing that is there", risk: "No grain in the fill: from the side the eye finds it.", hands_min: 15, wait_min: 0, as: filledSheet },
    LEAVE,
  ],
  scratch: [{ ...FILL, label: "Fill the film" }, { option: "polish", label: "Polish it out", how: "Level the film around it, fine to finer, then polish.", lost: "film: as much as the scratch is deep", risk: "Edges rub through first; not where the film is thin.", hands_min: 40, wait_min: 0 }, LEAVE],
  dent: [{ option: "raise", label: "Raise it with damp heat", how: "A damp cloth and a warm iron, in short touches; let it dry a night between.", lost: "nothing, where the finish stands it", risk: "Steam clouds shellac and wax; broken fibres stay down.", hands_min: 25, wait_min: 720 }, FILL, LEAVE],
  "burn-through": [
    { ...FILL, label: "Build up the place" },
    { option: "refinish", label: "Strip and refinish the face", how: "Take the whole face back to bare and build the finish up anew.", lost: "the old finish of the whole face", risk: "Even, but the age of the surface is gone.", hands_min: 480, wait_min: 10_080 },
    LEAVE,
  ],
  eroded: [{ ...FILL, label: "Consolidate and build up" }, LEAVE],
  "worn-thin": [{ ...BOND, option: "overlay", label: "Back and build it up", how: "Support it, lay up the hidden face to the thickness it should have." }, REPLACE, LEAVE],
  stain: [
    { ...FILL, option: "colour", label: "Tone it over", how: "Lock it, mute it with opaque colour, coat it." },
    { option: "bleach", label: "Bleach it", how: "Mild acid in coats, rinse, neutralise, dry for two days, then look again.", lost: "some colour of the wood around", risk: "Pale patches; the finish there has to go first.", hands_min: 60, wait_min: 2880 },
    LEAVE,
  ],
};

/** An option in words; a name from an older record is shown as it is. */
export function optionLabel(of: DamageKind, option: string): string {
  return optionRow(of, option)?.label ?? option.replaceAll("-", " ");
}

/** The row of an option for a kind of damage, where there is one. */
export function optionRow(of: DamageKind, option: string): OptionRow | undefined {
  return OPTIONS[of].find((row) => row.option === option);
}
