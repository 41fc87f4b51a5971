import { Bench } from "@/ui/bench/Bench";
import { EmptyBench } from "@/ui/states/EmptyBench";
import { overview } from "@/work/overview";
import { withRecord } from "./withRecord";

export const metadata = { title: "Bench" };

export default async function BenchPage() {
  return withRecord(overview, ({ items, open, closed }) => {
    if (items.length === 0 && closed === 0) return <EmptyBench />;
    return (
      <Bench
        more={open - items.length}
        items={items.map(({ id, piece, title, brief, kind, damages }) => ({ id, piece, title, brief, kind, damages }))}
      />
    );
  });
}
