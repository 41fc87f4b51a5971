"use client";
import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import { useForm } from "react-hook-form";
import { useDraft } from "../forms/draft";
import { isPassing, send } from "../forms/send";
import { errorsByPath } from "../objects/PieceFields";
import { Sign } from "../signs/Sign";
import { LotFields, ProductFields } from "./ProductFields";
import { EMPTY_LOT, type Errors, type LotForm, type ProductForm, readLot, readProduct } from "./productForm";

interface NewForm extends ProductForm {
  readonly lot: LotForm;
}

/** Put a jar in: what it is, what its data sheet says, how full it is. */
export function NewProduct() {
  const router = useRouter();
  const form = useForm<NewForm>({ defaultValues: { class: "", name: "", figures: {}, lot: EMPTY_LOT } });
  const draft = useDraft("new-product", form);
  const [errors, setErrors] = useState<Errors>({});
  const [trouble, setTrouble] = useState("");
  const [busy, setBusy] = useState(false);
  // one pair of ids a form: pressing twice puts one jar in
  const ids = useRef<{ readonly id: string; readonly lot: string }>(undefined);
  const name = form.watch("class");
  const submit = form.handleSubmit(async (values) => {
    const [product, lot] = [readProduct(values), readLot(values.lot)];
    const wrong: Errors = {
      ...(product.ok ? {} : product.errors),
      ...(lot.ok ? {} : Object.fromEntries(Object.entries(lot.errors).map(([key, message]) => [`lot.${key}`, message]))),
    };
    setErrors(wrong);
    setTrouble("");
    if (!product.ok || !lot.ok) {
      requestAnimationFrame(() => document.querySelector<HTMLElement>("[aria-invalid=true]")?.focus());
      return;
    }
    setBusy(true);
    ids.current ??= { id: crypto.randomUUID(), lot: crypto.randomUUID() };
    const sent = await send<{ id: string }>("POST", "/api/cabinet/products", {
      id: ids.current.id,
      ...product.value,
      lot: { id: ids.current.lot, ...lot.value },
    });
    if (sent.ok) {
      draft.clear();
      router.push(`/cabinet?product=${sent.value.id}`);
      router.refresh();
      return;
    }
    setBusy(false);
    setErrors(errorsByPath(sent.problem.errors));
    setTrouble(isPassing(sent.problem) ? `${sent.problem.detail} The fields keep what you typed.` : sent.problem.detail);
  });
  return (
    <form className="form-page" onSubmit={submit} noValidate>
      <h1 className="pb-1">Put a jar in</h1>
      <p className="dim pb-4">Match then takes it before anything that has to be bought, with its own figures.</p>
      {draft.restored && <p className="pb-3 font-semibold">What you typed last time was kept and is back in the fields.</p>}
      <div className="form-grid">
        <ProductFields form={form} errors={errors} name={name} />
        <h2 className="span-2 rule pt-3">The jar</h2>
        <LotFields form={form} errors={errors} at="lot." />
      </div>
      {trouble !== "" && (
        <div role="alert" className="mt-3">
          <Sign name="never" wrap>
            {trouble}
          </Sign>
        </div>
      )}
      <button type="submit" className="btn go big mt-5" disabled={busy}>
        {busy ? "Saving …" : "Put it in the cabinet"}
      </button>
    </form>
  );
}
