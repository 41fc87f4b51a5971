import { stationLabel } from "@/core/catalogue";
import { PX_PER_MM } from "@/core/units";
import type { Cut } from "@/core/views/cut";
import { Link } from "../frame/Link";
import { PrintButton } from "../paper/PrintButton";
import { Hatches } from "../signs/Hatches";
import { Legend } from "./Legend";
import { Lens } from "./Lens";
import { Section } from "./Section";

interface Props {
  readonly treatment: string;
  readonly title: string;
  readonly reference: string;
  readonly cut: Cut | undefined;
}

const CHECK_MM = 50;
/** A sheet of A4 across, between its margins. */
const WIDTH_MM = 260;
const WIDTH = WIDTH_MM * PX_PER_MM;
const TALLEST = 120 * PX_PER_MM;

/** A cut on A4, printed in the scale that it states, with a line that proves the print. */
export function SectionSheet({ treatment, title, reference, cut }: Props) {
  // what has no layer is a joint
  const from = cut && cut.layers.length === 0 ? "join" : "fill";
  return (
    <main className="section-sheet">
      <Hatches />
      <div className="no-print btn-row mb-4">
        <PrintButton />
        <Link className="btn" href={`/treatments/${treatment}/${from}`}>
          Back to {stationLabel(from)}
        </Link>
      </div>
      <h1 className="clamp-3">{title}</h1>
      <p className="sub">{reference}</p>
      {cut ? (
        <>
          <div style={{ width: `${WIDTH_MM}mm` }}>
            <Section cut={cut} width={WIDTH} tallest={TALLEST} />
          </div>
          <Legend cut={cut} />
          <Lens films={cut.films} />
          <p className="text-read leading-[23px]">{cut.words}</p>
          <div className="check-line" style={{ width: `${CHECK_MM}mm` }} />
          <p className="sub">This line is {CHECK_MM} mm. If your ruler says otherwise, print at 100 %, without fitting to the page.</p>
        </>
      ) : (
        <p className="text-read">Nothing is cut through here yet: choose the materials at Match first.</p>
      )}
    </main>
  );
}
