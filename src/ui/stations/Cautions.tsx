import { type Caution, cautionRow } from "@/core/catalogue";
import { SignShape } from "../signs/Sign";

/** Cautions with the step that needs them; the full sentence unless `short`. */
export function Cautions({ of, short = false }: { of: readonly Caution[]; short?: boolean }) {
  return [...new Set(of)].map((caution) => {
    const row = cautionRow(caution);
    return (
      <p key={caution} className="caution">
        <SignShape name="never" size={12} />
        <span>
          <b>{row.short}.</b> {!short && row.text}
        </span>
      </p>
    );
  });
}
