import type { Station } from "@/core/catalogue";
import { stationLabel } from "@/core/catalogue";
import { Link } from "@/ui/frame/Link";
import { StationBody } from "@/ui/stations/StationBody";

/** A station that cannot compute yet says what comes first. */
export function Earlier({ id, first, why }: { id: string; first: Station; why: string }) {
  return (
    <StationBody>
      <div className="grid max-w-[480px] gap-3 py-6 text-read leading-[24px]">
        <p>{why}</p>
        <Link href={`/treatments/${id}/${first}`} className="btn go big justify-self-start">
          Go to {stationLabel(first)}
        </Link>
      </div>
    </StationBody>
  );
}
