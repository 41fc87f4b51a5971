import { braceLabel } from "@/core/join/kinds.data";
import type { SizedBrace } from "@/core/join/sizing";
import { figure, plain } from "@/core/units";
import { Sign } from "../signs/Sign";

interface Props {
  readonly option: SizedBrace;
  /** What it would reach, over what is asked. */
  readonly safety: number;
  readonly asks: number;
  readonly chosen: boolean;
  readonly choose: () => void;
}

/** One way to brace with its dimensions and their reasons, or why it does not fit and the largest that would. */
export function BraceOption({ option: { kind, size, reasons, refused }, safety, asks, chosen, choose }: Props) {
  return (
    <div className={`way ${chosen ? "chosen" : ""}`}>
      <div className="flex items-start justify-between gap-2">
        <h3 className="text-read">{braceLabel(kind)}</h3>
        {refused ? (
          <Sign name="never">Refused</Sign>
        ) : chosen ? (
          <Sign name="done">Taken</Sign>
        ) : (
          <button type="button" className="btn small" onClick={choose} aria-label={`Take: ${braceLabel(kind)}`}>
            Take
          </button>
        )}
      </div>
      {!refused && (
        <p className="text-body leading-[20px]">
          Safety <b>{figure(safety, 1)}</b> {safety < asks && `of ${asks} asked`}
        </p>
      )}
      <ul>
        {reasons.map((reason) => (
          <li key={reason} className="leading-[18px]">
            {reason}
          </li>
        ))}
        {refused && size.largest_mm !== undefined && (
          <li>
            <b>The largest that would fit: {plain(size.largest_mm)} mm.</b>
          </li>
        )}
      </ul>
    </div>
  );
}
