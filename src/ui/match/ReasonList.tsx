import type { Reason } from "@/core/match/judge";

const SIDES: ReadonlyArray<readonly [label: string, effects: readonly Reason["effect"][]]> = [
  ["Against it", ["refuse", "against", "fair"]],
  ["On condition", ["if"]],
  ["For it", ["for"]],
  ["Know", ["note"]],
];

/** Every rule that spoke, by its side, each with its source; what is not certain says so. */
export function ReasonList({ reasons }: { reasons: readonly Reason[] }) {
  if (reasons.length === 0) return <p className="pb-2 pl-1">No rule spoke for or against it: it stands as its class does.</p>;
  return (
    <div className="reasons">
      {SIDES.map(([label, effects]) => {
        const said = reasons.filter(({ effect }) => effects.includes(effect));
        return said.length === 0 ? null : (
          <div key={label}>
            <p className="font-bold">{label}</p>
            <ul>
              {said.map(({ rule, text, source, unsure, effect }) => (
                <li key={rule}>
                  {effect === "refuse" && <b>Refused. </b>}
                  {text} {unsure && <b>Not certain: {unsure}. </b>}
                  <span className="sub">
                    Rule {rule}; {source}.
                  </span>
                </li>
              ))}
            </ul>
          </div>
        );
      })}
    </div>
  );
}
