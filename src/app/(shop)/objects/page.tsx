import { LISTS, ORDERS } from "@/core/views/listed";
import { Link } from "@/ui/frame/Link";
import { ImportDossier } from "@/ui/objects/ImportDossier";
import { ObjectList } from "@/ui/objects/ObjectList";
import { listPage } from "@/work/lists";
import { withRecord } from "../withRecord";

export const metadata = { title: "Objects" };

export default async function ObjectsPage({ searchParams }: PageProps<"/objects">) {
  const { list, order, words } = await searchParams;
  return withRecord(
    () =>
      listPage(
        {
          list: LISTS.find((each) => each === list) ?? "open",
          order: ORDERS.find((each) => each === order) ?? "promised",
          words: typeof words === "string" ? words.slice(0, 200).replaceAll("\0", "") : "",
        },
        new Date(),
      ),
    (page) => (
      <>
        <ObjectList page={page} />
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
