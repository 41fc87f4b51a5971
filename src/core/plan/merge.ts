import type { Air } from "../cure/lag";
import type { PlaceFacts } from "../operation/subject";
import { cupsOf } from "./cups";
import type { Draft } from "./expand";
import type { OpMark } from "./marks";

/** Drafts that are done in one go, with their round and their id. */
export interface Placed {
  readonly id: string;
  readonly round: number;
  /** A later round whose places it does too: it waits for what that one does before. */
  readonly upto?: number;
  /** The one that speaks where they differ. */
  readonly lead: Draft;
  readonly members: readonly Draft[];
  readonly damages: readonly string[];
  readonly here: readonly PlaceFacts[];
}

/** What is done once for the piece, in one go at one part, or stirred once, becomes one. */
export function merge(drafts: readonly Draft[], round: number, marks: ReadonlyMap<string, OpMark>, air: Air): Placed[] {
  const cup = cupsOf(drafts, keyOf, air);
  const groups = new Map<string, Draft[]>();
  for (const draft of drafts) {
    const inOneCup = draft.kind === "mix" || draft.row.before_cup === true || shuts(draft.row);
    const key = `${keyOf(draft)} ${inOneCup ? cup(draft) : ""}`;
    groups.set(key, [...(groups.get(key) ?? []), draft]);
  }
  const taken = new Set<string>();
  return [...groups.values()]
    .flatMap((group) => coveredApart(group, round, marks))
    .map((members) => {
      const lead = leadOf(members);
      const wanted = idOf(lead, round);
      const id = taken.has(wanted) ? `${wanted}/${members[0]?.damage}` : wanted;
      taken.add(id);
      return placed(id, round, members, lead);
    });
}

/** The same operation for some of its members only; undefined where none is left. */
export function withMembers({ id, round }: Placed, members: readonly Draft[]): Placed | undefined {
  return members.length > 0 ? placed(id, round, members, leadOf(members)) : undefined;
}

function placed(id: string, round: number, members: readonly Draft[], lead: Draft): Placed {
  return {
    id,
    round,
    lead,
    members,
    damages: [...new Set(members.map(({ damage }) => damage))],
    here: [...new Map(members.flatMap(({ here }) => here).map((place) => [place.id, place])).values()],
  };
}

const leadOf = (members: readonly Draft[]): Draft =>
  members.find(({ row, facts }) => row.urgent !== undefined && facts[row.urgent] === true) ?? (members[0] as Draft);

/** What is the same where this is the same is done in one go. */
function keyOf({ row, station, stem, kind, part, damage, facts, here, link, material, amount, subject: { group, of, f } }: Draft): string {
  const says = JSON.stringify((row.apart ?? Object.keys(facts)).map((name) => facts[name]));
  switch (row.together) {
    case "piece":
      return `piece ${stem} ${says}`;
    case "part":
      return `part ${part} ${station} ${stem} ${kind} ${group} ${says}`;
    case "fill":
      return `fill ${part} ${station} ${stem} ${kind} ${group} ${f.chain.filler?.class} ${shuts(row) ? of : ""} ${says}`;
    case "material":
      return `material ${station} ${stem} ${material?.class} ${link?.product?.id} ${amount?.apply} ${of} ${says}`;
    default:
      return `${damage} ${station} ${stem} ${group} ${row.each === "place" ? here[0]?.id : ""}`;
  }
}

/** What has to be done while a mix is firm is done with what was stirred in the same cup: the window of one is never held against another's. */
const shuts = ({ needs = [] }: Draft["row"]): boolean => needs.some((need) => typeof need !== "string" && need.until !== undefined);

function idOf({ row, station, stem, damage, here, material, subject: { group } }: Draft, round: number): string {
  const id = `r${round}/${station}/${stem}${group === undefined ? "" : `~${group}`}`;
  if (row.together === "piece") return id;
  if (row.together === "material") return `${id}/${material?.class}`;
  return `${id}/${row.each === "place" ? here[0]?.id : damage}`;
}

/** What was done before a damage was taken in does not cover it: it is done again for that one. */
function coveredApart(group: readonly Draft[], round: number, marks: ReadonlyMap<string, OpMark>): Draft[][] {
  const [first] = group;
  const covered = first && marks.get(idOf(first, round))?.places;
  if (!covered) return [[...group]];
  const inside = group.filter(({ here }) => here.length === 0 || here.some(({ id }) => covered.includes(id)));
  const outside = group.filter((draft) => !inside.includes(draft));
  return [inside, outside].filter((part) => part.length > 0);
}
