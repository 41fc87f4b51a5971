import type { Operation } from "../plan/plan.schema";
import type { EventBody, LogEntry } from "../record/events.schema";
import { isLike, isPlaceOf } from "../record/opId";
import { damageOf, type Entry, is, readLog, type Treatment } from "../record/treatment";
import type { Worked } from "./worked";

/** An entry as it stands in the log of the treatment that a damage is taken out into. */
export interface PartedEntry extends Pick<LogEntry, "at" | "by"> {
  readonly body: EventBody;
}

/**
 * The log of a damage that is treated apart: what was written of it, and what was done of it, alone or with others. Minutes of hands stay
 * where they were counted. `planOf` answers the plan of a log, to find the operations under the names that they have there.
 */
export function partedLog(
  treatment: Treatment,
  worked: Worked | undefined,
  damage: string,
  part: string,
  planOf: (told: Treatment) => Worked | undefined,
): PartedEntry[] {
  const told = treatment.entries.filter((entry) => !isDone(entry) && concerns(entry, damage)).map((entry) => copied(entry, damage, part));
  const alone = planOf(readLog(told.map(asLine)));
  const done = treatment.entries.filter(isDone).flatMap((entry) => {
    const known = worked?.repair.operations.find(({ id }) => id === entry.body.op);
    if (!known || (known.damages.length > 0 && !known.damages.includes(damage))) return [];
    const {
      places: _places,
      hands_min: _hands,
      ...body
    } = { ...entry.body } as typeof entry.body & { places?: unknown; hands_min?: unknown };
    return [{ ...whenAndWho(entry), body: { ...body, op: nameIn(alone, known) } as EventBody }];
  });
  return [...told, ...done];
}

type OfOperation = Entry<Extract<EventBody, { readonly op: string }>["kind"]>;
const isDone = (entry: Entry): entry is OfOperation => "op" in entry.body;

const KINDS: readonly string[] = [
  "surveyed",
  "matched",
  "dry-run",
  "shards-mapped",
  "form-chosen",
  "fill-set",
  "spot-found",
  "stepped-back",
  "braced",
  "marked",
];

function concerns(entry: Entry, damage: string): boolean {
  if (is(entry, "round-opened")) return entry.body.places.some((place) => isOf(place, damage));
  return KINDS.includes(entry.body.kind) && damageOf(entry) === damage;
}

const isOf = (place: string, damage: string): boolean => place === damage || isPlaceOf(place, damage);

const whenAndWho = ({ at, by }: Entry) => ({ at, ...(by ? { by } : {}) });

function copied(entry: Entry, damage: string, part: string): PartedEntry {
  const { hands_min: _hands, ...body } = { ...entry.body } as EventBody & { hands_min?: number };
  if (body.kind === "surveyed") return { ...whenAndWho(entry), body: { ...body, damage, part } };
  if (body.kind === "round-opened")
    return {
      ...whenAndWho(entry),
      body: { ...body, places: body.places.filter((place) => isOf(place, damage)) },
    };
  return { ...whenAndWho(entry), body: { ...body, damage } as EventBody };
}

const asLine = ({ at, body }: PartedEntry, i: number): LogEntry => ({
  id: `00000000-0000-4000-8000-${String(i).padStart(12, "0")}`,
  seq: i + 1,
  at,
  body,
});

/** The same operation in the plan of the damage alone: by its id, else by round, station and name. */
function nameIn(alone: Worked | undefined, { id }: Operation): string {
  const operations = alone?.repair.operations ?? [];
  if (operations.some((operation) => operation.id === id)) return id;
  return operations.find((operation) => isLike(operation.id, id))?.id ?? id;
}
