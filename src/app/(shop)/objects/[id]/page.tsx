import { readLog } from "@/core/record/treatment";
import { Link } from "@/ui/frame/Link";
import { EditPiece } from "@/ui/objects/EditPiece";
import { PieceActions } from "@/ui/objects/PieceActions";
import { PieceIcon } from "@/ui/signs/PieceIcon";
import { Sign } from "@/ui/signs/Sign";
import { PhotographFigure } from "@/ui/stations/Photographs";
import { piecePage } from "@/work/pieces";
import { asId, withRecord } from "../../withRecord";

export const metadata = { title: "Piece" };

export default async function PiecePage({ params }: PageProps<"/objects/[id]">) {
  const id = asId((await params).id);
  return withRecord(
    () => piecePage(id),
    ({ piece, treatments, photographs }) => (
      <>
        <div className="thead">
          <PieceIcon kind={piece.kind} />
          <h1 className="clamp-3">{piece.title}</h1>
          <span className="inv one-line">{piece.reference}</span>
        </div>
        <div className="station">
          <div className="station-body cols cols-close mt-3">
            <section className="col-rule">
              <h2>Treatments</h2>
              {treatments.map((treatment) => (
                <Link
                  key={treatment.id}
                  href={`/treatments/${treatment.id}`}
                  className="flex min-h-[56px] items-center justify-between gap-3 border-b border-ash-deep"
                >
                  <b className="clamp-3 text-read">{treatment.title}</b>
                  {readLog(treatment.log).closed ? <Sign name="done">closed</Sign> : <Sign name="to-come">open</Sign>}
                </Link>
              ))}
              <PieceActions id={piece.id} title={piece.title} parts={piece.parts} />
              <div className="photo-grid mt-4">
                {photographs.map((photograph) => (
                  <PhotographFigure key={photograph.id} photograph={photograph} plain />
                ))}
              </div>
            </section>
            <section>
              <h2 className="pb-2">What is known of it</h2>
              <EditPiece piece={piece} />
            </section>
          </div>
        </div>
      </>
    ),
  );
}
