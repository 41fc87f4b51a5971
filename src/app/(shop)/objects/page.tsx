import { ImportDossier } from "@/ui/objects/ImportDossier";
import { ObjectList } from "@/ui/objects/ObjectList";
import { closedItems, listedItems, overview } from "@/work/overview";
import { withRecord } from "../withRecord";

export const metadata = { title: "Objects" };

export default async function ObjectsPage() {
  return withRecord(
    async () => {
      const [counts, items, closed] = await Promise.all([overview(), listedItems(), closedItems()]);
      return { counts, items, closed };
    },
    ({ counts, items, closed }) => (
      <>
        <ObjectList items={items} openCount={counts.open} closed={closed} closedCount={counts.closed} />
        <div className="px-gutter pb-6">
          <ImportDossier />
        </div>
      </>
    ),
  );
}
