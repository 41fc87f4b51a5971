"use client";
import { useRouter } from "next/navigation";
import { type ReactNode, useState } from "react";
import { type DefaultValues, type FieldValues, type UseFormReturn, useForm } from "react-hook-form";
import type { Problem } from "@/core/problem";
import { useDraft } from "../forms/draft";
import type { send } from "../forms/send";
import { errorsByPath } from "../objects/PieceFields";
import { Sign } from "../signs/Sign";
import type { Errors, Read } from "./productForm";

export interface SideFormProps<Form extends FieldValues, Value> {
  /** Under this name what is typed is kept on this device until it is saved or left. */
  readonly name: string;
  readonly start: Form;
  readonly read: (typed: Form) => Read<Value>;
  readonly save: (value: Value) => ReturnType<typeof send>;
  readonly button: string;
  readonly close: () => void;
  readonly children: (form: UseFormReturn<Form>, errors: Errors) => ReactNode;
}

/** A small form beside the list: errors at the fields, a refusal in words; what collides is told and keeps what was typed. */
export function SideForm<Form extends FieldValues, Value>({
  name,
  start,
  read,
  save,
  button,
  close,
  children,
}: SideFormProps<Form, Value>) {
  const router = useRouter();
  const form = useForm<Form>({ defaultValues: start as DefaultValues<Form> });
  const draft = useDraft(name, form);
  const [errors, setErrors] = useState<Errors>({});
  const [problem, setProblem] = useState<Problem>();
  const leave = () => {
    draft.clear();
    close();
  };
  const submit = form.handleSubmit(async (typed) => {
    const found = read(typed);
    setErrors(found.ok ? {} : found.errors);
    if (!found.ok) return;
    const sent = await save(found.value);
    setProblem(sent.ok ? undefined : sent.problem);
    if (!sent.ok) setErrors(errorsByPath(sent.problem.errors));
    if (sent.ok) leave();
    if (sent.ok || sent.problem.status === 409) router.refresh();
  });
  return (
    <form className="grid gap-2 pt-2" onSubmit={submit} noValidate>
      {draft.restored && <p className="font-semibold">What you typed last time was kept and is back in the fields.</p>}
      {children(form, errors)}
      {problem && (
        <div role="alert">
          <Sign name="never" wrap>
            {problem.title}. {problem.detail}
          </Sign>
          {problem.status === 409 && <p>What is on record now stands above; your fields keep yours. Save again to let yours stand.</p>}
        </div>
      )}
      <div className="btn-row">
        <button type="submit" className="btn small">
          {button}
        </button>
        <button type="button" className="link-btn" onClick={leave}>
          Leave it as it was
        </button>
      </div>
    </form>
  );
}
