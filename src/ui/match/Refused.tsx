import { ROLE_LABELS, type Role } from "@/core/catalogue";
import { doubtsOf, reasonsOf } from "@/core/match/judge";
import { insteadOf, REFER } from "@/core/match/match";
import type { Matching } from "@/core/match/matching";
import { insteadWords, keyOf, refusedOf } from "@/core/views/desk/picks";
import { HatchSwatch } from "../signs/Hatches";
import { Sign } from "../signs/Sign";
import { TakeAnyway } from "./presses";

/** What was refused for a link, each with one sentence and what to use instead; nothing is hidden. */
export function Refused({ role, found, changes }: { role: Role; found: Matching; changes: ReadonlyMap<string, string> }) {
  const { told, plain } = refusedOf(found, role);
  const instead = insteadOf(role, found.byRole, found.chains);
  const use = instead === REFER ? "No material here does this: refer." : insteadWords(instead);
  return (
    <section aria-label="Refused" className="mt-5">
      <h2 className="border-b border-ink pb-1">Refused for the {ROLE_LABELS[role].toLowerCase()}, and what instead</h2>
      {told.map((judgement) => {
        const against = reasonsOf(judgement).filter(({ effect }) => effect === "refuse");
        const or = against.flatMap((reason) => reason.or ?? []);
        const doubts = doubtsOf(judgement);
        return (
          <div key={keyOf(judgement)} className="refusal">
            <span className="dim flex min-w-0 items-center gap-2 pl-1 font-semibold">
              <HatchSwatch hatch={judgement.row.hatch} size={28} />
              <span className="clamp-3">{judgement.row.name}</span>
            </span>
            <span>
              <Sign name="never">Refused</Sign>
              {changes.get(keyOf(judgement)) && <span className="changed">{changes.get(keyOf(judgement))}</span>}
            </span>
            <span>
              {against.map(({ text }) => text).join(" ")}{" "}
              <b>
                {use} {or.join(" ")}
              </b>
              {doubts.length > 0 && <span className="dim"> Not certain: {doubts.join(", ")}.</span>}
              {judgement.fired.some(({ hazard }) => hazard) ? (
                <span className="dim"> It guards people: no reason lifts it.</span>
              ) : (
                <TakeAnyway role={judgement.role} of={keyOf(judgement)} name={judgement.row.name} />
              )}
            </span>
          </div>
        );
      })}
      {plain.length > 0 && (
        <p className="py-2">
          <Sign name="never">Refused</Sign> Not made for this material or damage:{" "}
          {plain.map(({ row }) => row.name.toLowerCase()).join(", ")}. <b>{use}</b> “Why not …?” at Every fact gives each its reason.
        </p>
      )}
    </section>
  );
}
