import type { Grade, MaterialClass, OperationKind, Role } from "../catalogue";
import type { Amount } from "../mix/weigh";
import type { Facts } from "../operation/row";
import type { LinkFacts, PlaceFacts, Subject } from "../operation/subject";
import { present } from "../units";
import type { Context } from "./context";
import { type NamedRow, ROWS } from "./rows";
import { subjectsOf } from "./subjects/subjects";

/** A row asked about one subject: what is to be done, before it is merged, measured, ordered and put in words. */
export interface Draft extends NamedRow {
  readonly subject: Subject;
  readonly damage: string;
  readonly part: string;
  readonly here: readonly PlaceFacts[];
  readonly kind: OperationKind;
  readonly stem: string;
  readonly facts: Facts;
  readonly link?: LinkFacts;
  readonly role?: Role;
  readonly material?: MaterialClass;
  readonly amount?: Amount;
  readonly grade?: Grade;
  readonly abrasive?: string;
  /** How thick it is laid, by place, mm. */
  readonly thick: ReadonlyMap<string, number>;
}

/** Every draft of one damage, in the order of the rows. */
export function expand(c: Context): Draft[] {
  const subjects = subjectsOf(c);
  return ROWS.flatMap((named) =>
    (subjects[named.row.each] as readonly Subject[])
      .filter((subject) => named.row.when?.(subject as never) !== false)
      .map((subject) => draftOf(named, subject, c)),
  );
}

function draftOf(named: NamedRow, subject: Subject, { f, part }: Context): Draft {
  const { row } = named;
  const asked = subject as never;
  const here = row.at?.(asked) ?? subject.here;
  const link = row.link?.(asked);
  const thick = here.flatMap((place): Array<[string, number]> => {
    const mm = row.thickness?.(asked, place);
    return mm ? [[place.id, mm]] : [];
  });
  return {
    ...named,
    subject,
    damage: f.id,
    part,
    here,
    kind: settled(row.kind, asked),
    stem: stemOf(named, subject),
    facts: row.facts?.(asked) ?? {},
    thick: new Map(thick),
    ...present({
      link,
      role: row.role && settled(row.role, asked),
      material: row.material?.(asked) ?? link?.material,
      amount: row.amount?.(asked),
      grade: row.grade?.(asked),
      abrasive: row.abrasive?.(asked),
    }),
  };
}

const settled = <T extends string>(value: T | ((subject: never) => T), subject: never): T =>
  value instanceof Function ? value(subject) : value;

/** Its name with its number, or as row or subject say it: `#` is the number, `@` the subject's own stem. */
function stemOf({ name, row }: NamedRow, { n, stem }: Subject): string {
  if (row.stem) return row.stem.replace("#", String(n)).replace("@", stem ?? "");
  return stem ?? (n === undefined ? name : `${name}-${n}`);
}
