import { ShopForm } from "@/ui/shop/ShopForm";
import { shop } from "@/work/shop";
import { withRecord } from "../withRecord";

export const metadata = { title: "Shop" };

export default async function ShopPage() {
  return withRecord(shop, (kept) => <ShopForm shop={kept} />);
}
