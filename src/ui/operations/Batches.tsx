import { grams } from "@/core/units";
import type { OperationView } from "@/core/views/operationView";
import { useWall } from "../frame/now";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";

interface Props {
  readonly batch: NonNullable<OperationView["batch"]>;
  /** Ms since the epoch. */
  readonly now: number;
}

/** The cups of one mix: those that are stirred, with their pot lives, and what the next one holds. */
export function Batches({ batch: { n, of, whole_g, mixed }, now }: Props) {
  const log = useLog();
  const wall = useWall();
  const behind = mixed.reduce((sum, { mass_g }) => sum + mass_g, 0);
  return (
    <div className="batches">
      {mixed.map(({ entry, at, mass_g, until }, i) => (
        <p key={entry}>
          <Sign name={i === mixed.length - 1 && until !== undefined && until > now ? "soon" : "done"} wrap>
            Batch {i + 1}: <b>{grams(mass_g)}</b>, mixed {wall.when(at, now)}
            {until === undefined ? "" : `, workable ${until > now ? "until" : "till"} ${wall.when(until, now)}`}
          </Sign>
          {i === mixed.length - 1 && (
            <button
              type="button"
              className="link-btn"
              disabled={log.busy}
              onClick={() => void log.write({ kind: "withdrawn" }, { corrects: entry })}
              aria-label={`Take back batch ${i + 1}`}
            >
              Take back
            </button>
          )}
        </p>
      ))}
      <p>
        <span>
          <b>
            Next, batch {n} of {of}
          </b>
          {mixed.length > 0 && `: ${grams(behind)} of ${grams(whole_g)} are mixed; use up what is in the cup first`}
        </span>
      </p>
    </div>
  );
}
