import { plain } from "@/core/units";
import { PrintBar } from "../paper/PrintBar";
import "./drill-card.css";

interface Props {
  readonly treatment: string;
  readonly title: string;
  readonly reference: string;
  readonly depth_mm: number;
  readonly drills: ReadonlyArray<readonly [what: string, drill: string]>;
}

const CHECK_MM = 50;
/** The card is 136 mm wide between its margins. */
const LONGEST_BAR_MM = 136;

/** Depths as bars in full size to lay the bit against, with a line that proves the print. */
export function DrillCard({ treatment, title, reference, depth_mm, drills }: Props) {
  return (
    <main className="drill-card">
      <PrintBar label="Print on A6" links={[[`/treatments/${treatment}/join`, "Back to Join"]]} />
      <h1 className="clamp-3">{title}</h1>
      <p className="sub">{reference}</p>
      {drills
        .filter(([, drill]) => drill !== "")
        .map(([what, drill]) => (
          <section key={what}>
            <h2>
              {what}: {drill}
            </h2>
            <Depth mm={depth_mm} />
          </section>
        ))}
      <section>
        <div className="check-line" style={{ width: `${CHECK_MM}mm` }} />
        <p className="sub">This line is {CHECK_MM} mm. If your ruler says otherwise, print at 100 %, without fitting to the page.</p>
      </section>
    </main>
  );
}

function Depth({ mm }: { mm: number }) {
  if (mm > LONGEST_BAR_MM)
    return <p>{plain(mm)} mm: deeper than this card is wide. Measure it with a ruler, tip left, and set the stop there.</p>;
  return (
    <>
      <div className="drill-bar" style={{ width: `${mm}mm` }} role="img" aria-label={`${plain(mm)} mm deep, in full size`} />
      <p>{plain(mm)} mm: lay the bit against the bar, tip left, and set the stop at its end.</p>
    </>
  );
}
