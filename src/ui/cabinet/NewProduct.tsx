"use client";
import { useRouter } from "next/navigation";
import { useRef } from "react";
import { FormEnd, Restored } from "../forms/FormEnd";
import type { Errors, Read } from "../forms/read";
import { send } from "../forms/send";
import { useSavedForm } from "../forms/useSavedForm";
import { LotFields, ProductFields } from "./ProductFields";
import { EMPTY_LOT, type LotForm, type LotValue, type ProductForm, readLot, readProduct } from "./productForm";

interface NewForm extends ProductForm {
  readonly lot: LotForm;
}

function readNew({ lot, ...product }: NewForm): Read<{ readonly product: object; readonly lot: LotValue }> {
  const [what, jar] = [readProduct(product), readLot(lot)];
  if (what.ok && jar.ok) return { ok: true, value: { product: what.value, lot: jar.value } };
  const errors: Errors = {
    ...(what.ok ? {} : what.errors),
    ...(jar.ok ? {} : Object.fromEntries(Object.entries(jar.errors).map(([key, message]) => [`lot.${key}`, message]))),
  };
  return { ok: false, errors };
}

/** Put a jar in: what it is, what its data sheet says, how full it is. */
export function NewProduct() {
  const router = useRouter();
  // one pair of ids a form: pressing twice puts one jar in
  const ids = useRef<{ readonly id: string; readonly lot: string }>(undefined);
  const { form, errors, submit, restored, ...end } = useSavedForm({
    name: "new-product",
    start: { class: "", name: "", figures: {}, lot: EMPTY_LOT } as NewForm,
    read: readNew,
    save: ({ product, lot }) => {
      ids.current ??= { id: crypto.randomUUID(), lot: crypto.randomUUID() };
      return send<{ id: string }>("POST", "/api/cabinet/products", {
        id: ids.current.id,
        ...product,
        lot: { id: ids.current.lot, ...lot },
      });
    },
    saved: ({ id }) => router.push(`/cabinet?product=${id}`),
  });
  return (
    <form method="post" className="form-page" onSubmit={submit} noValidate>
      <h1 className="pb-1">Put a jar in</h1>
      <p className="dim pb-4">Match then takes it before anything that has to be bought, with its own figures.</p>
      <Restored when={restored} />
      <div className="form-grid">
        <ProductFields form={form} errors={errors} name={form.watch("class")} />
        <h2 className="span-2 rule pt-3">The jar</h2>
        <LotFields form={form} errors={errors} at="lot." />
      </div>
      <FormEnd save="Put it in the cabinet" className="btn go big" {...end} />
    </form>
  );
}
