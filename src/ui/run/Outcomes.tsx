"use client";
import { present } from "@/core/units";
import type { OperationView } from "@/core/views/operationView";
import { useLog } from "../treatment/TreatmentLog";

type Ways = NonNullable<NonNullable<OperationView["mark"]>["came_out"]>;

/** As many as have a key. */
const MOST = 5;

/** How the last mix or coat came out badly: one press each, kept with what the record speaks for. */
export function useOutcomes(behind: readonly OperationView[]) {
  const log = useLog();
  const last = behind.findLast(({ mark }) => mark?.came_out !== undefined);
  const ways: Ways = (last?.mark?.came_out ?? []).slice(0, MOST);
  const record = (n: number): boolean => {
    const way = ways[n - 1];
    if (!last || !way || log.busy) return false;
    const causes = way.causes.filter(({ seen }) => seen).map(({ text }) => text);
    void log.write({ kind: "came-out", op: last.id, defect: way.defect, causes, ...present({ next: way.next }) });
    return true;
  };
  return { of: last?.title, ways, record };
}

/** The keys of the outcomes, a hand wide. */
export function Outcomes({ of, ways, record }: ReturnType<typeof useOutcomes>) {
  if (of === undefined) return null;
  return (
    <section aria-label="It came out badly" className="border-t border-ash-deep px-6 pt-2 pb-3 max-sm:px-4">
      <p className="pb-2 text-ink-2">
        <b className="text-ink">It came out badly</b> {of}: tap, or press its key.
      </p>
      <div className="grid grid-cols-5 gap-2 max-lg:grid-cols-3 max-sm:grid-cols-2">
        {ways.map(({ defect, label }, i) => (
          <button
            key={defect}
            type="button"
            className="flex min-h-[72px] items-center justify-between gap-2 border border-ash-deep bg-panel px-3 text-left text-title font-semibold"
            onClick={() => record(i + 1)}
          >
            {label}
            <kbd>{i + 1}</kbd>
          </button>
        ))}
      </div>
    </section>
  );
}
