import type { SizedBrace } from "@/core/join/sizing";
import { plain } from "@/core/units";
import { Sign } from "../signs/Sign";
import { BRACE_LABELS } from "./braceLabels";

interface Props {
  readonly option: SizedBrace;
  readonly chosen: boolean;
  readonly choose: () => void;
}

/** One way to brace with its dimensions and their reasons, or why it does not fit and the largest that would. */
export function BraceOption({ option: { kind, size, reasons, refused }, chosen, choose }: Props) {
  return (
    <div className={`way ${chosen ? "chosen" : ""}`}>
      <div className="flex items-start justify-between gap-2">
        <h3 className="text-[16px]">{BRACE_LABELS[kind]}</h3>
        {refused ? (
          <Sign name="never">Refused</Sign>
        ) : chosen ? (
          <Sign name="done">Taken</Sign>
        ) : (
          <button type="button" className="btn small" onClick={choose} aria-label={`Take: ${BRACE_LABELS[kind]}`}>
            Take
          </button>
        )}
      </div>
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
