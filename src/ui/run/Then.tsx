import type { Wall } from "@/core/units";
import { cardOf } from "@/core/views/card";
import type { OperationView } from "@/core/views/operationView";
import { SignShape } from "../signs/Sign";

interface Props {
  readonly open: readonly OperationView[];
  readonly card: string | undefined;
  readonly now: number;
  readonly wall: Wall;
}

const KEYS = [
  ["Enter", "do it"],
  ["Space", "pause me"],
  ["Page ↓ ↑", "next, before"],
  ["⌫", "take back"],
] as const;
/** While nothing may be done these do nothing. */
const TO_DO: readonly string[] = ["Enter", "Space"];

/** The two operations after this one with their times, and the keys. */
export function Then({ open, card, now, wall }: Props) {
  const at = open.findIndex(({ id }) => id === card);
  const then = open.slice(at + 1, at + 3);
  return (
    <aside className="grid content-between gap-6 border-l border-ash-deep p-6 max-[1100px]:border-t max-[1100px]:border-l-0 max-sm:p-4">
      <section aria-label="Then">
        <h2 className="border-b border-ash-deep pb-1 text-title text-ink-2">Then</h2>
        {then.length === 0 && <p className="pt-3 text-title">Nothing more at this station.</p>}
        <ol>
          {then.map((operation) => {
            const { sign, line } = cardOf(operation, now, wall);
            return (
              <li key={operation.id} className="flex gap-3 border-b border-ash-deep py-3 text-title leading-[25px]">
                <span className="pt-1">
                  <SignShape name={sign} size={18} />
                </span>
                <span className="min-w-0 wrap-anywhere">
                  <b>{operation.title}</b>
                  <span className="block text-ink-2">{line}</span>
                </span>
              </li>
            );
          })}
        </ol>
      </section>
      <dl className="grid grid-cols-[auto_1fr] items-center gap-x-3 gap-y-2 text-ink-2 max-sm:hidden">
        {KEYS.filter(([key]) => open[at]?.state === "now" || !TO_DO.includes(key)).map(([key, what]) => (
          <div key={key} className="contents">
            <dt>
              <kbd>{key}</kbd>
            </dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </aside>
  );
}
