import Link from "next/link";
import { ImportDossier } from "@/ui/objects/ImportDossier";
import { ObjectList } from "@/ui/objects/ObjectList";
import { closedItems, listedItems } from "@/work/overview";
import { withRecord } from "../withRecord";

export const metadata = { title: "Objects" };

export default async function ObjectsPage() {
  return withRecord(
    async () => {
      const [listed, closed] = await Promise.all([listedItems(), closedItems()]);
      return { listed, closed };
    },
    ({ listed, closed }) => (
      <>
        <ObjectList items={listed.items} openCount={listed.open} closed={closed} closedCount={listed.closed} />
        <div className="px-gutter pb-6">
          <ImportDossier />
          <Link className="link-btn inline-flex items-center" href="/shop">
            Shop: name, people, hours, scale
          </Link>
        </div>
      </>
    ),
  );
}
