"use client";
import { useRef } from "react";
import type { StockLot, StockProduct } from "@/core/views/stock";
import { send } from "../forms/send";
import { LotFields, ProductFields } from "./ProductFields";
import { EMPTY_LOT, type LotForm, type LotValue, lotForm, productForm, readLot, readProduct } from "./productForm";
import { SideForm, type SideFormProps } from "./SideForm";

/** What is left in a jar, and its dates. */
export function WeighJar({ lot, close }: { lot: StockLot; close: () => void }) {
  return (
    <JarForm
      name={`jar:${lot.id}`}
      start={lotForm(lot)}
      save={(value) => send("PUT", `/api/cabinet/lots/${lot.id}`, { version: lot.version, ...value })}
      close={close}
    />
  );
}

/** Another jar of a product. */
export function AddJar({ product, close }: { product: string; close: () => void }) {
  const id = useRef<string>(undefined);
  return (
    <JarForm
      name={`new-jar:${product}`}
      start={{ ...EMPTY_LOT, label: "" }}
      save={(value) => {
        id.current ??= crypto.randomUUID();
        return send("POST", `/api/cabinet/products/${product}/lots`, { id: id.current, ...value });
      }}
      close={close}
    />
  );
}

function JarForm(props: Pick<SideFormProps<LotForm, LotValue>, "name" | "start" | "save" | "close">) {
  return (
    <SideForm {...props} read={readLot} button="Save the jar">
      {(form, errors) => <LotFields form={form} errors={errors} />}
    </SideForm>
  );
}

/** A product's name and figures. */
export function EditProduct({ product, close }: { product: StockProduct; close: () => void }) {
  return (
    <SideForm
      name={`product:${product.id}`}
      start={productForm(product)}
      read={readProduct}
      save={(value) => send("PUT", `/api/cabinet/products/${product.id}`, { version: product.version, ...value })}
      button="Save the product"
      close={close}
    >
      {(form, errors) => <ProductFields form={form} errors={errors} name={form.watch("class")} />}
    </SideForm>
  );
}
