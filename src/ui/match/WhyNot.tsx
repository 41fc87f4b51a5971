import { CLASS_ROWS, materialOf, ROLE_LABELS, type Role } from "@/core/catalogue";
import type { Facts } from "@/core/match/case";
import { type Judgement, judge, reasonsOf } from "@/core/match/judge";
import { factsAt } from "@/core/match/match";
import type { AtPlaces, Matching } from "@/core/match/matching";
import { keyOf } from "@/core/views/desk/picks";
import { Sign } from "../signs/Sign";
import { ChooseButton, TakeAnyway, WhyNotSelect } from "./presses";
import { ReasonList } from "./ReasonList";
import { ScoreSum } from "./ScoreSum";

const WORDS = { fits: "Fits", "fits-if": "Fits if", refused: "Refused" } as const;

/** Takes any class or own jar and lists every rule that spoke for and against it, in every link that it could be. */
export function WhyNot({ asked, found, facts, places }: { asked: string; found: Matching; facts: Facts; places: AtPlaces }) {
  const jars = facts.shelf?.jars ?? [];
  const judged = asked === "" ? [] : judgementsOf(asked, found.roles, facts, places);
  return (
    <section aria-label="Why not" className="pb-4">
      <WhyNotSelect value={asked}>
        <option value="">Choose a material …</option>
        {jars.length > 0 && (
          <optgroup label="In the cabinet">
            {jars.map(({ id: jar, name }) => (
              <option key={jar} value={jar}>
                {name}
              </option>
            ))}
          </optgroup>
        )}
        <optgroup label="All classes">
          {[...CLASS_ROWS]
            .sort((a, b) => a.name.localeCompare(b.name))
            .map((row) => (
              <option key={row.class} value={row.class}>
                {row.name}
              </option>
            ))}
        </optgroup>
      </WhyNotSelect>
      {asked !== "" && judged.length === 0 && <p className="pt-2">{noLink(asked, facts, found.roles)}</p>}
      {judged.map((judgement) => (
        <div key={judgement.role} className="rule-ash mt-2 pt-2">
          <p className="text-read font-bold">
            {judgement.row.name} as {ROLE_LABELS[judgement.role].toLowerCase()}:{" "}
            {judgement.verdict === "refused" ? <Sign name="never">Refused</Sign> : WORDS[judgement.verdict]}
          </p>
          <ReasonList reasons={reasonsOf(judgement)} />
          <ScoreSum judgement={judgement} />
          {judgement.verdict === "refused" ? <TakeAnyway {...candidate(judgement)} /> : <ChooseButton {...candidate(judgement)} />}
        </div>
      ))}
    </section>
  );
}

const candidate = (judged: Judgement) => ({ role: judged.role, of: keyOf(judged), name: judged.product?.name ?? judged.row.name });

function rowFor(asked: string, { shelf }: Facts) {
  const product = shelf?.jars.find(({ id }) => id === asked);
  const row = product ? materialOf(product.class, product) : CLASS_ROWS.find((each) => each.class === asked);
  return row && { row, ...(product ? { product } : {}) };
}

function judgementsOf(asked: string, roles: readonly Role[], facts: Facts, { at }: AtPlaces): Judgement[] {
  const candidate = rowFor(asked, facts);
  if (!candidate) return [];
  return roles
    .filter((role) => candidate.row.roles.includes(role))
    .map((role) => judge({ ...(at[role] ? factsAt(facts, at[role]) : facts), ...candidate, role }));
}

/** A material that no link of this chain could be: says what it is for. */
function noLink(asked: string, facts: Facts, roles: readonly Role[]): string {
  const row = rowFor(asked, facts)?.row;
  const needed = roles.map((role) => ROLE_LABELS[role].toLowerCase()).join(", ");
  if (!row) return "";
  if (row.roles.length === 0)
    return `${row.name} keeps a material off where it must not stick; it is no link of a chain. See release and masking above.`;
  return `${row.name} serves as ${row.roles.map((role) => ROLE_LABELS[role].toLowerCase()).join(" or ")}; this damage needs ${needed}.`;
}
