import { classRow } from "@/core/catalogue";
import { type ProductRow, rowsOf } from "@/core/views/cabinetRows";
import { Cabinet } from "@/ui/cabinet/Cabinet";
import { SORTS } from "@/ui/cabinet/columns";
import { FigureBars } from "@/ui/cabinet/FigureBars";
import { ProductSide } from "@/ui/cabinet/ProductSide";
import { cabinetPage } from "@/work/cabinet";
import { withRecord } from "../withRecord";

export const metadata = { title: "Cabinet" };

export default async function CabinetPage({ searchParams }: PageProps<"/cabinet">) {
  const { product: asked } = await searchParams;
  return withRecord(
    () => cabinetPage(new Date()),
    ({ products, needs, going_off, now }) => {
      const rows = rowsOf(products, needs, now);
      const shown = rows.find(({ product }) => product.id === asked) ?? [...rows].sort(SORTS.name)[0];
      return <Cabinet rows={rows} goingOff={going_off} here={shown?.product.id} side={shown && <Side row={shown} />} />;
    },
  );
}

function Side({ row }: { row: ProductRow }) {
  const { product } = row;
  const { food, source } = classRow(product.class);
  return (
    <ProductSide
      key={product.id}
      row={row}
      figures={<FigureBars product={product} />}
      note={`Food: ${food}. Figures of the class: ${source}.`}
    />
  );
}
