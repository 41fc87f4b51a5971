import { Bench } from "@/ui/bench/Bench";
import { EmptyBench } from "@/ui/states/EmptyBench";
import { isNew, overview } from "@/work/overview";
import { withRecord } from "./withRecord";

export const metadata = { title: "Bench" };

export default async function BenchPage() {
  const read = async () => ({ ...(await overview()), untouched: await isNew() });
  return withRecord(read, ({ items, open, untouched }) => {
    if (untouched) return <EmptyBench />;
    return (
      <Bench
        more={open - items.length}
        items={items.map(({ id, piece, title, brief, kind, damages }) => ({ id, piece, title, brief, kind, damages }))}
      />
    );
  });
}
