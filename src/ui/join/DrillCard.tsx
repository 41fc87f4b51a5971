import Link from "next/link";
import { plain } from "@/core/units";
import { PrintButton } from "../record/PrintButton";
import "./drill-card.css";

interface Props {
  readonly treatment: string;
  readonly title: string;
  readonly reference: string;
  readonly depth_mm: number;
  readonly drills: ReadonlyArray<readonly [what: string, drill: string]>;
}

const CHECK_MM = 50;

/** Depths as bars in full size to lay the bit against, with a line that proves the print. */
export function DrillCard({ treatment, title, reference, depth_mm, drills }: Props) {
  return (
    <main className="drill-card">
      <div className="no-print btn-row mb-4">
        <PrintButton label="Print on A6" />
        <Link className="btn" href={`/treatments/${treatment}/join`}>
          Back to Join
        </Link>
      </div>
      <h1 className="clamp-3">{title}</h1>
      <p className="sub">{reference}</p>
      {drills
        .filter(([, drill]) => drill !== "")
        .map(([what, drill]) => (
          <section key={what}>
            <h2>
              {what}: {drill}
            </h2>
            <div
              className="drill-bar"
              style={{ width: `${depth_mm}mm` }}
              role="img"
              aria-label={`${plain(depth_mm)} mm deep, in full size`}
            />
            <p>{plain(depth_mm)} mm: lay the bit against the bar, tip left, and set the stop at its end.</p>
          </section>
        ))}
      <section>
        <div className="check-line" style={{ width: `${CHECK_MM}mm` }} />
        <p className="sub">This line is {CHECK_MM} mm. If your ruler says otherwise, print at 100 %, without fitting to the page.</p>
      </section>
    </main>
  );
}
