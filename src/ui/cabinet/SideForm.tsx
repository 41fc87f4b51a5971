"use client";
import type { ReactNode } from "react";
import type { FieldValues, UseFormReturn } from "react-hook-form";
import { FormEnd, Restored } from "../forms/FormEnd";
import type { Errors, Read } from "../forms/read";
import type { send } from "../forms/send";
import { useSavedForm } from "../forms/useSavedForm";

export interface SideFormProps<Form extends FieldValues, Value> {
  /** Under this name what is typed is kept on this device until it is saved or left. */
  readonly name: string;
  readonly start: Form;
  readonly read: (typed: Form) => Read<Value>;
  readonly save: (value: Value) => ReturnType<typeof send>;
  readonly button: string;
  readonly close: () => void;
  readonly children: (form: Pick<UseFormReturn<Form>, "register" | "watch">, errors: Errors) => ReactNode;
}

/** A small form beside the list; it closes when it is saved or left. */
export function SideForm<Form extends FieldValues, Value>(props: SideFormProps<Form, Value>) {
  const { name, start, read, save, button, close, children } = props;
  const { form, errors, submit, restored, forget, ...end } = useSavedForm({ name, start, read, save, saved: close });
  const leave = () => {
    forget();
    close();
  };
  return (
    <form method="post" className="grid gap-2 pt-2" onSubmit={submit} noValidate>
      <Restored when={restored} />
      {children(form as Pick<UseFormReturn<Form>, "register" | "watch">, errors)}
      <FormEnd save={button} className="btn small" {...end}>
        <button type="button" className="link-btn" onClick={leave}>
          Leave it as it was
        </button>
      </FormEnd>
    </form>
  );
}
