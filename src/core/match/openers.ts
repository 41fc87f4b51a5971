import { ROLE_LABELS } from "../catalogue";
import type { Warning } from "../units/schema";
import { factsOf } from "./case";
import { bestChains } from "./chains";
import { byFitness, judgeRole, reasonsOf } from "./judge";
import type { MatchInput } from "./match.schema";
import type { Matching } from "./matching";
import { rolesFor } from "./roles";

/** What the piece would have to be, where a demand on it is what refuses every chain. */
const DEMANDS: Readonly<Record<keyof MatchInput["service"], string>> = {
  flex: "need not flex",
  outdoor: "were kept indoors",
  acoustic: "need not sound",
  wet: "were never washed",
  food: "were kept off food",
  heat_C: "were kept cooler",
  load: "carried nothing",
  touched: "were only looked at",
  skin: "touched neither mouth nor skin",
  sprung: "were not pushed open",
};

/** Another way to meet the damage, as it changes what is asked. */
const WAYS: ReadonlyArray<{ readonly says: string; readonly opens: (input: MatchInput) => MatchInput | undefined }> = [
  {
    says: "Close the joint first, by hand, clamp or damp air: faces that meet take a glue.",
    opens: (input) => (input.damage.closes === true ? undefined : { ...input, damage: { ...input.damage, closes: true } }),
  },
  {
    says: "Split the assembly: joins made one by one have time enough.",
    opens: ({ working_min, ...input }) => (working_min === undefined ? undefined : input),
  },
  {
    says: "Warm the room and the piece.",
    opens: ({ climate_C, ...input }) => (climate_C === undefined ? undefined : input),
  },
  {
    says: "Look at all materials, not only at what is here.",
    opens: (input) => (input.stock_only === true ? { ...input, stock_only: false } : undefined),
  },
];

const opensWith = (input: MatchInput): boolean => {
  const facts = factsOf(input);
  const judged = new Map(rolesFor(facts).map((role) => [role, judgeRole(facts, role)]));
  return bestChains(facts, judged).length > 0;
};

/** Where no chain holds: the single demand, way or override that would open one. */
export function openersOf(input: MatchInput, found: Pick<Matching, "byRole">): Warning[] {
  const demands = (Object.keys(DEMANDS) as Array<keyof typeof DEMANDS>)
    .filter((demand) => input.service[demand] !== undefined && input.service[demand] !== false)
    .filter((demand) => opensWith({ ...input, service: without(input.service, demand) }))
    .map((demand) => ({ code: "opens-demand", message: `A chain would hold if the piece ${DEMANDS[demand]}.` }));
  const ways = WAYS.flatMap(({ says, opens }) => {
    const other = opens(input);
    return other && opensWith(other) ? [{ code: "opens-way", message: says }] : [];
  });
  return [...demands, ...ways, ...overrides(found)];
}

function without(service: MatchInput["service"], demand: keyof MatchInput["service"]): MatchInput["service"] {
  const { [demand]: _, ...rest } = service;
  return rest;
}

/** Refusals that no reason overrides: it does not hold, or it is another thing altogether. */
const NO_MATTER_WHY = ["bond-none", "only-for"];

/** Of each role that nothing serves, the material that comes nearest and harms nobody: it may be taken with a reason. */
function overrides({ byRole }: Pick<Matching, "byRole">): Warning[] {
  return [...byRole].flatMap(([role, judged]) => {
    if (judged.some(({ verdict }) => verdict !== "refused")) return [];
    const near = [...judged]
      .sort(byFitness)
      .find(({ fired }) => !fired.some(({ hazard, id }) => hazard === true || NO_MATTER_WHY.includes(id)));
    const why = near && reasonsOf(near).find(({ effect }) => effect === "refuse");
    return near && why
      ? [{ code: "opens-override", message: `${ROLE_LABELS[role]}: ${near.row.name} may be taken with a reason. Against it: ${why.text}` }]
      : [];
  });
}
