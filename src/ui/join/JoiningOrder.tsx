import { type JoiningOrder as Order, sittingText } from "@/core/ready/joiningOrder";

/** The order in which shards are joined, as it is on record: step by step, sections as wholes. */
export function JoiningOrder({ of, order }: { of?: string | undefined; order: Order }) {
  return (
    <section aria-label="Joining order" className="panel-block">
      <h2 className="border-b border-ink pb-1">Joining order{of ? `: ${of}` : ""}</h2>
      <ol>
        {order.map((joins, i) => (
          <li key={sittingText(joins)} className="border-b border-ash py-1 text-read leading-[24px]">
            <b>{i + 1}</b> {sittingText(joins)}
          </li>
        ))}
      </ol>
    </section>
  );
}
