import { type Judgement, termsOf } from "@/core/match/judge";
import { figure, plain } from "@/core/units";

/** The score as a sum that can be read: what each criterion gave of its weight. */
export function ScoreSum({ judgement }: { judgement: Judgement }) {
  const terms = termsOf(judgement);
  const [got, whole] = [terms.reduce((sum, { points }) => sum + points, 0), terms.reduce((sum, { weight }) => sum + weight, 0)];
  return (
    <p className="pb-1 pl-1">
      <b>Score {figure(judgement.score)} of 100</b> ={" "}
      {terms.map(({ criterion, label, points, weight }, i) => (
        <span key={criterion} className={points < weight ? "font-semibold" : ""}>
          {i > 0 ? " + " : ""}
          {label.toLowerCase()} {plain(points)}/{weight}
        </span>
      ))}{" "}
      = {plain(got)} of {whole}
    </p>
  );
}
