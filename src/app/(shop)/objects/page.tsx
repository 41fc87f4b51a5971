import { ImportDossier } from "@/ui/objects/ImportDossier";
import { ObjectList } from "@/ui/objects/ObjectList";
import { closedItems, overview } from "@/work/overview";
import { withRecord } from "../withRecord";

export const metadata = { title: "Objects" };

export default async function ObjectsPage() {
  return withRecord(
    async () => {
      const [open, closed] = await Promise.all([overview(), closedItems()]);
      return { open, closed };
    },
    ({ open, closed }) => (
      <>
        <ObjectList items={open.items} closed={closed} closedCount={open.closed} />
        <div className="px-gutter pb-6">
          <ImportDossier />
        </div>
      </>
    ),
  );
}
