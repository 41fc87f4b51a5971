"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { useFieldArray, useForm } from "react-hook-form";
import type { Problem } from "@/core/problem";
import type { Shop } from "@/core/shop/shop.schema";
import { plain } from "@/core/units";
import { useDraft } from "../forms/draft";
import { parseNumber } from "../forms/parse";
import { fieldOf, send } from "../forms/send";
import { TextField } from "../forms/TextField";
import { Sign } from "../signs/Sign";

interface Form {
  readonly name: string;
  readonly people: ReadonlyArray<{ readonly called: string }>;
  readonly from: string;
  readonly to: string;
  readonly time_zone: string;
  readonly scale_step_g: string;
}

/** What holds for the whole shop; an edit made meanwhile in another window is told, not overwritten. */
export function ShopForm({ shop }: { shop: Shop & { readonly version: number } }) {
  const router = useRouter();
  const { version, people, scale_step_g, ...rest } = shop;
  const form = useForm<Form>({
    defaultValues: { ...rest, people: people.map((called) => ({ called })), scale_step_g: plain(scale_step_g, 3) },
  });
  const rows = useFieldArray({ control: form.control, name: "people" });
  const draft = useDraft("shop", form);
  const [errors, setErrors] = useState<Partial<Record<string, string>>>({});
  const [problem, setProblem] = useState<Problem>();
  const [saved, setSaved] = useState(false);
  const submit = form.handleSubmit(async ({ people: typed, scale_step_g: step, ...values }) => {
    const grams = parseNumber(step);
    setErrors(grams.ok ? {} : { scale_step_g: grams.message });
    setSaved(false);
    if (!grams.ok) return;
    const named = typed.map(({ called }) => called).filter((called) => called.trim() !== "");
    const sent = await send("PUT", "/api/shop", { version, ...values, people: named, scale_step_g: grams.value });
    setProblem(sent.ok ? undefined : sent.problem);
    if (!sent.ok) setErrors(Object.fromEntries((sent.problem.errors ?? []).map((error) => [fieldOf(error), error.message])));
    if (sent.ok) draft.clear();
    setSaved(sent.ok);
    if (sent.ok || sent.problem.status === 409) router.refresh();
  });
  return (
    <form className="form-page" onSubmit={submit} noValidate>
      <h1 className="pb-1">Shop</h1>
      <p className="dim pb-4">It holds for every piece and every device: clocks, doses and names come from here.</p>
      <div className="form-grid">
        <TextField
          label="Name of the shop or collection"
          field={form.register("name")}
          error={errors.name}
          hint="stands in the top bar"
          maxLength={120}
        />
        <TextField
          label="Time zone"
          field={form.register("time_zone")}
          error={errors.time_zone}
          hint="as Europe/Berlin: every clock shows this time"
          maxLength={60}
        />
        <TextField
          label="The day begins"
          field={form.register("from")}
          error={errors.from}
          type="time"
          hint="the line of the day folds the night before it"
        />
        <TextField label="The day ends" field={form.register("to")} error={errors.to} type="time" />
        <TextField
          label="The scale’s step, g"
          field={form.register("scale_step_g")}
          error={errors.scale_step_g}
          hint="doses smaller than it can tell are refused, with drops or a bigger mix instead"
          inputMode="decimal"
        />
      </div>
      <fieldset className="rule-ash mt-4 pt-2">
        <legend className="txt-label">People at the bench</legend>
        <p className="dim pb-2">Who stands here now is one press in the top bar, kept on each device: every entry then says who.</p>
        {rows.fields.map(({ id }, i) => (
          <div key={id} className="flex items-end gap-3 pb-2">
            <TextField label={`Person ${i + 1}`} field={form.register(`people.${i}.called`)} maxLength={60} autoComplete="off" />
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
      {problem && !problem.errors && (
        <div className="notice mx-0" role="alert">
          <Sign name="never">{problem.title}</Sign>
          <p>{problem.detail}</p>
        </div>
      )}
      <div className="btn-row mt-4">
        <button type="submit" className="btn go">
          Save the shop
        </button>
        {saved && <Sign name="done">Saved</Sign>}
      </div>
    </form>
  );
}
