import type { BodyOf, EventBody } from "@/core/record/events.schema";
import type { OperationView } from "@/core/views/operationView";
import type { PlacedRow, UpTyped } from "@/core/views/writtenUp";
import type { Air } from "../frame/climate";
import { doBody, isMeasured, startDraft } from "../operations/doDraft";

/** What is typed of a row. */
export interface UpDraft extends UpTyped {
  /** A height where it is measured, else a note. */
  readonly found: string;
  /** Why it was done then all the same. */
  readonly because: string;
  /** Its entry's key, so that sent twice it is one entry. */
  readonly key: string;
}

export const emptyDraft = (): UpDraft => ({ at: "", took: "", found: "", because: "", key: crypto.randomUUID() });

/** An entry of a write-up, as it is sent. */
export interface UpEntry {
  readonly key: string;
  readonly at: string;
  readonly air_then: true;
  readonly body: EventBody;
}

const HEIGHT = /^(low|proud)? ?([-−+]?) ?(\d+(?:[.,]\d+)?) ?(?:mm)?$/i;

/**
 * A height as it is typed, mm: minus and `low` are below the old surface.
 * @example heightOf("low 0.3 mm") // -0.3
 */
function heightOf(text: string): number | undefined {
  const found = HEIGHT.exec(text.trim());
  if (!found) return undefined;
  const [, word = "", sign, digits = ""] = found;
  const low = word.toLowerCase() === "low" || sign === "-" || sign === "−";
  return Number(digits.replace(",", ".")) * (low ? -1 : 1);
}

/** Whether a row goes up with the press: it fits, is left out with a reason, or stands against the plan with one. */
export function isKept({ state }: PlacedRow, draft: UpDraft | undefined, refused: boolean): boolean {
  if (state === "fits") return !refused || isSaid(draft?.because);
  if (state === "left-out") return isSaid(draft?.left_out);
  return (state === "too-early" || state === "too-late" || state === "blocked") && isSaid(draft?.because);
}

const isSaid = (text: string | undefined): boolean => (text ?? "").trim() !== "";

/** The entry of a row that goes up; `refused`: the record asked why. */
export function upEntry(placed: PlacedRow, draft: UpDraft, air: Air, refused: boolean): UpEntry {
  const { row, state, at = 0 } = placed;
  const { operation } = row;
  return {
    key: draft.key,
    at: new Date(at).toISOString(),
    air_then: true,
    body:
      state === "left-out"
        ? { kind: "skipped", op: operation.id, reason: (draft.left_out ?? "").trim() }
        : doneBody(placed, draft, air, refused),
  };
}

function doneBody({ row, state }: PlacedRow, draft: UpDraft, air: Air, refused: boolean): BodyOf<"done"> {
  const operation = wholeMix(row.operation);
  const height = isMeasured(operation) ? heightOf(draft.found) : undefined;
  const against =
    state === "too-early" || state === "too-late" || state === "blocked" ? { state } : refused ? { state: "blocked" as const } : undefined;
  const typed = {
    ...startDraft(operation),
    minutes: draft.took,
    note: height === undefined ? draft.found : "",
    measured: height === undefined ? "" : String(height),
    reason: draft.because,
  };
  return doBody(operation, typed, air, against);
}

/** A mix that is stirred in several cups is written up as one: how each was filled nobody has said. */
function wholeMix(operation: OperationView): OperationView {
  const { batch, parts, mass_g } = operation;
  if (!batch || !parts || !mass_g) return operation;
  const mixed = batch.mixed.reduce((sum, cup) => sum + cup.mass_g, 0);
  const times = Math.max(0, batch.whole_g - mixed) / mass_g;
  return { ...operation, mass_g: mass_g * times, parts: parts.map((part) => ({ ...part, mass_g: part.mass_g * times })) };
}
