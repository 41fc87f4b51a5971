import { Cabinet } from "@/ui/cabinet/Cabinet";
import { cabinetPage } from "@/work/cabinet";
import { withRecord } from "../withRecord";

export const metadata = { title: "Cabinet" };

export default async function CabinetPage({ searchParams }: PageProps<"/cabinet">) {
  const { product } = await searchParams;
  return withRecord(
    () => cabinetPage(new Date()),
    ({ products, needs, going_off, now }) => (
      <Cabinet
        products={products}
        needs={needs}
        goingOff={going_off}
        now={now}
        selected={typeof product === "string" ? product : undefined}
      />
    ),
  );
}
