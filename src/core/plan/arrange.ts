import { type MaterialClass, middle, type Range, type Stage } from "../catalogue";
import { type Air, type Lag, lagOf } from "../cure/lag";
import type { NeedRow } from "../operation/row";
import type { Draft } from "./expand";
import type { Measured } from "./measure";
import { ENDS } from "./rows";

/** What an operation waits for, why, and between which minutes after it. */
export interface Edge {
  readonly from: Measured;
  readonly because: string;
  readonly lag?: Lag;
  readonly max?: Lag;
  /** How much of the thickness that was laid lies at these places, where that is less than all of it. */
  readonly share?: number;
}

/** What each operation waits for: needs by name become edges, within the damage, shared by the piece, or at the inner joint of a frame. */
export function edgesOf(all: readonly Measured[], airs: ReadonlyMap<string, Air>): ReadonlyMap<Measured, readonly Edge[]> {
  const index = indexOf(all);
  const edges = new Map<Measured, readonly Edge[]>();
  const asked = (each: Measured, of: (need: Asked) => boolean) =>
    each.members.flatMap((member) =>
      needsOf(member)
        .filter(of)
        .flatMap((need) => found(each, member, need, index).map((from) => edge(from, need, member, airs.get(member.damage)))),
    );
  for (const each of all) {
    const own = asked(each, ({ after }) => after !== ENDS);
    edges.set(each, [...roundBefore(each, own, all), ...own]);
  }
  // the ends of the work are what nothing else waits for: known once everything else has its edges
  const ends = endsOf(all, edges);
  for (const each of all) {
    const last = each.members.flatMap((member) =>
      needsOf(member)
        .filter(({ after }) => after === ENDS)
        .flatMap((need) =>
          (ends.get(member.damage) ?? []).filter((from) => from !== each).map((from) => edge(from, need, member, airs.get(member.damage))),
        ),
    );
    if (last.length > 0) edges.set(each, [...last, ...(edges.get(each) ?? [])]);
  }
  return edges;
}

type Asked = NeedRow<never>;

/** The needs of a draft that hold for its subject. */
const needsOf = ({ row, subject }: Draft): Asked[] =>
  (row.needs ?? [])
    .map((need): Asked => (typeof need === "string" ? { after: need, because: "" } : need))
    .filter((need) => need.when?.(subject as never) !== false);

/** Everything that is placed, by damage and name. */
type Index = { readonly all: readonly Measured[]; readonly named: ReadonlyMap<string, readonly Measured[]> };

function indexOf(all: readonly Measured[]): Index {
  const named = new Map<string, Measured[]>();
  for (const each of all)
    for (const damage of each.damages) {
      const key = `${damage} ${each.lead.name}`;
      named.set(key, [...(named.get(key) ?? []), each]);
    }
  return { all, named };
}

function found(each: Measured, member: Draft, need: Asked, { all, named }: Index): readonly Measured[] {
  const round = each.upto ?? each.round;
  const mayGo = (other: Measured) => other !== each && (other.round <= round || each.lead.station === "close");
  if (need.of === "inner") return innerJoints(member, need, all.filter(mayGo));
  if (need.of === "beside") return breaksBeside(member, need, all.filter(mayGo));
  if (need.of === "part") return all.filter((other) => mayGo(other) && other.lead.name === need.after && other.lead.part === member.part);
  const alike = ofGroup((named.get(`${member.damage} ${need.after}`) ?? []).filter(mayGo), member);
  const same = alike.filter((other) => other.round === round);
  const surface = member.here.some(({ kind }) => kind === "surface");
  return numbered(same.length > 0 && !surface ? same : alike, need, member).filter(
    // what is done place by place waits for its own place, and what is shared for all of them
    (other) => !isByPlace(other.lead) || !isByPlace(member) || shares(other, member),
  );
}

const isByPlace = ({ row }: Draft): boolean => row.each === "place";
const shares = ({ here }: Measured, member: Draft): boolean => here.some(({ id }) => member.here.some((place) => place.id === id));

/** At one station, places that are filled alike wait for one another only. */
function ofGroup(others: readonly Measured[], { station, subject: { group } }: Draft): readonly Measured[] {
  const alike = others.filter(({ lead }) => lead.station === station && lead.subject.group === group);
  return alike.length > 0 ? alike : others;
}

/** Of several with a name, the one that is meant by its number; what is shared has a number of its own in each damage. */
function numbered(others: readonly Measured[], { n: which }: Asked, { damage, subject: { n = 1 } }: Draft): readonly Measured[] {
  if (which === undefined) return others;
  const numberOf = ({ members }: Measured) => members.find((member) => member.damage === damage)?.subject.n ?? 1;
  const last = Math.max(...others.map(numberOf));
  const wanted = which === "same" ? n : which === "before" ? n - 1 : which === "last" ? last : which;
  return others.filter((other) => numberOf(other) === wanted);
}

/** Broken through, it has to hold before anything is pressed on it. */
const BROKEN: readonly string[] = ["shards", "break-along", "break-across"];

/** The breaks of its own part, of other damages. */
const breaksBeside = (member: Draft, { after }: Asked, others: readonly Measured[]): readonly Measured[] =>
  others.filter(
    ({ lead }) =>
      lead.name === after && lead.damage !== member.damage && lead.part === member.part && BROKEN.includes(lead.subject.f.damage),
  );

/** Joints that this one closes in: breaks of its own part, and loose joints that do not close the frame. */
function innerJoints(member: Draft, { after, n }: Asked, others: readonly Measured[]): readonly Measured[] {
  const closes = ({ subject: { f } }: Draft) => f.damage === "loose-joint" && f.measures.closes_frame === true;
  const inner = ({ subject: { f } }: Draft) => f.damage === "break-along" || f.damage === "break-across";
  return others.filter(
    ({ lead }) =>
      lead.name === after &&
      lead.subject.n === n &&
      lead.damage !== member.damage &&
      lead.part === member.part &&
      (inner(lead) || (lead.subject.f.damage === "loose-joint" && closes(member) && !closes(lead))),
  );
}

/** What is first at a station in a later round comes after what the round before did there, at the same places. */
function roundBefore(each: Measured, own: readonly Edge[], all: readonly Measured[]): Edge[] {
  const { round, lead, members } = each;
  if (round === 1 || own.some(({ from }) => from.round === round && from.lead.station === lead.station)) return [];
  return all
    .filter(
      (other) =>
        (other.upto ?? other.round) < round && other.lead.station === lead.station && members.some((member) => shares(other, member)),
    )
    .map((from) => ({ from, because: `round ${round - 1} went before` }));
}

/** A need settled: the wait of the material that was laid there, in its real thickness and this air, or the wait of the row itself. */
function edge(from: Measured, need: Asked, { here, subject }: Draft, air: Air | undefined): Edge {
  const { material, row } = from.lead;
  const because = (need.because || row.meanwhile || "in this order").replace("#", String(from.lead.subject.n));
  if (!air) return { from, because };
  const mm = need.thickness?.(subject as never) ?? thickAt(from, here);
  const reached = (stages: readonly Stage[] | undefined) => (material && stages ? lagOf(material, stages, mm, air) : undefined);
  if (need.of === "inner") return withLags(from, because, undefined, reached(["working"]));
  const shuts = need.recoat && material ? recoatEnd(material, mm, air) : undefined;
  const settles = need.settles?.(subject as never) ?? (need.stage ? undefined : waitOf(from.lead));
  const closes = need.closes?.(subject as never);
  return {
    ...withLags(
      from,
      shuts ? (need.recoat ?? because) : because,
      reached(need.stage) ?? (settles && asLag(settles)),
      reached(need.until) ?? shuts ?? (closes && { min: (closes[0] + closes[1]) / 2, range: closes }),
    ),
    ...shareOf(mm, from),
  };
}

/** A thin place is ready before the thick one that was laid of the same mix. */
const shareOf = (mm: number, { thickness_mm: laid = 0 }: Measured): Pick<Edge, "share"> =>
  mm > 0 && mm < laid ? { share: mm / laid } : {};

/** A plain wait is planned with its low end. */
const asLag = (wait: Range | Lag): Lag => ("range" in wait ? wait : { min: wait[0], range: wait });

const withLags = (from: Measured, because: string, lag: Lag | undefined, max: Lag | undefined): Edge => ({
  from,
  because,
  ...(lag ? { lag } : {}),
  ...(max ? { max } : {}),
});

/** What passes after a row before anything that needs it, minutes low to high. */
const waitOf = ({ row: { wait_min }, subject }: Draft): Range | undefined =>
  wait_min instanceof Function ? wait_min(subject.f) : wait_min;

/** The thickest of what was laid at these places; where it was laid at none of them, of all. mm. */
function thickAt({ members }: Measured, here: Draft["here"]): number {
  const all = members.flatMap(({ thick }) => [...thick]);
  const mine = all.filter(([id]) => here.some((place) => place.id === id));
  return Math.max(0, ...(mine.length > 0 ? mine : all).map(([, mm]) => mm));
}

/** When a coat no longer takes the next one of itself: as far off as the air makes all of its cure slower or quicker. */
function recoatEnd(material: MaterialClass, mm: number, air: Air): Lag | undefined {
  const opens = lagOf(material, ["recoat"], mm, air);
  const published = material.cure.stages.find(({ stage }) => stage === "recoat")?.minutes;
  if (!opens || opens.never || !published || !material.recoat_until_min) return undefined;
  const pace = opens.min / middle(published);
  const [low, high] = material.recoat_until_min;
  return { min: low * pace, range: [low * pace, high * pace] };
}

/** By damage, what nothing else of it waits for before it is closed. */
function endsOf(all: readonly Measured[], edges: ReadonlyMap<Measured, readonly Edge[]>): ReadonlyMap<string, readonly Measured[]> {
  const open = all.filter(({ lead }) => lead.station !== "close");
  const waited = new Set(open.flatMap((each) => (edges.get(each) ?? []).map(({ from }) => from)));
  const ends = new Map<string, Measured[]>();
  for (const each of open) if (!waited.has(each)) for (const damage of each.damages) ends.set(damage, [...(ends.get(damage) ?? []), each]);
  return ends;
}
