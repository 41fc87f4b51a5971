"use client";
import { useState } from "react";
import { useFieldArray } from "react-hook-form";
import type { Shop } from "@/core/shop/shop.schema";
import { FormEnd, Restored } from "../forms/FormEnd";
import { send } from "../forms/send";
import { TextField } from "../forms/TextField";
import { useSavedForm } from "../forms/useSavedForm";
import { ShopDays } from "./ShopDays";
import { ShopTools } from "./ShopTools";
import { readShop, shopFields } from "./shopForm";
import type { ShopList, ShopPart } from "./shopPart";

/** What holds for the whole shop; an edit made meanwhile in another window is told, not overwritten. */
export function ShopForm({ shop }: { shop: Shop & { readonly version: number } }) {
  const { version, ...kept } = shop;
  // what the fields began from, whatever the page hears since; after a collision it was said, and the newest counts
  const [began, setBegan] = useState<number | undefined>(version);
  const { form, errors, submit, restored, ...end } = useSavedForm({
    name: "shop",
    start: shopFields(kept),
    read: readShop,
    save: async (value) => {
      const sent = await send<{ version: number }>("PUT", "/api/shop", { version: began ?? version, ...value });
      if (sent.ok) setBegan(sent.value.version);
      else if (sent.problem.status === 409) setBegan(undefined);
      return sent;
    },
  });
  const part: ShopPart = { form, errors, values: form.watch() };
  return (
    <form method="post" className="form-page" onSubmit={submit} noValidate>
      <h1 className="pb-1">Shop</h1>
      <p className="dim pb-4">It holds for every piece and every device: clocks, doses, tools and names come from here.</p>
      <Restored when={restored} />
      <TextField
        label="Name of the shop or collection"
        field={form.register("name")}
        error={errors.name}
        hint="stands in the top bar"
        maxLength={120}
      />
      <People {...part} control={form.control} />
      <ShopDays {...part} control={form.control} />
      <ShopTools {...part} />
      <FormEnd save="Save the shop" {...end} />
    </form>
  );
}

function People({ form, errors, control }: ShopList) {
  const rows = useFieldArray({ control, name: "people" });
  return (
    <fieldset className="rule-ash mt-4 pt-2">
      <legend className="txt-label">People at the bench</legend>
      <p className="dim pb-2">Who stands here now is one press in the top bar, kept on each device: every entry then says who.</p>
      {rows.fields.map(({ id }, i) => (
        <div key={id} className="flex items-end gap-3 pb-2">
          <TextField
            label={`Person ${i + 1}`}
            field={form.register(`people.${i}.called`)}
            error={errors[`people.${i}`]}
            maxLength={60}
            autoComplete="off"
          />
          <button type="button" className="link-btn" onClick={() => rows.remove(i)} aria-label={`Take person ${i + 1} off the list`}>
            Take off the list
          </button>
        </div>
      ))}
      {errors.people && (
        <p className="wrong-note" role="alert">
          {errors.people}
        </p>
      )}
      <button type="button" className="link-btn" onClick={() => rows.append({ called: "" })}>
        Add a person
      </button>
    </fieldset>
  );
}
