import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { type DefaultValues, type FieldValues, type Path, useForm } from "react-hook-form";
import type { Problem } from "@/core/problem";
import { useDraft } from "./draft";
import { formPath, messagesOf, type Read, resolverOf } from "./read";
import type { Sent } from "./send";

interface Options<Form, Value, Answer> {
  /** Under this name what is typed is kept on this device until it is saved or left. */
  readonly name: string;
  readonly start: Form;
  readonly read: (typed: Form) => Read<Value>;
  readonly save: (value: Value) => Promise<Sent<Answer>>;
  readonly saved?: (answer: Answer) => void;
}

/** The first field that is wrong, as the page has them from top to bottom, once it says so. */
export function focusFirstWrong(): void {
  requestAnimationFrame(() => document.querySelector<HTMLElement>("[aria-invalid=true]")?.focus());
}

/**
 * The one way that a form is read, sent and answered: words at the fields, busy while it is sent, a refusal or a collision told with all
 * that was typed still in place, and what was typed kept on this device until it stands in the record.
 */
export function useSavedForm<Form extends FieldValues, Value, Answer = unknown>({
  name,
  start,
  read,
  save,
  saved,
}: Options<Form, Value, Answer>) {
  const router = useRouter();
  const form = useForm<Form, unknown, Value>({
    defaultValues: start as DefaultValues<Form>,
    resolver: resolverOf(read),
    shouldFocusError: false,
  });
  const draft = useDraft(name, form);
  const [problem, setProblem] = useState<Problem>();
  const [done, setDone] = useState(false);
  // what is typed after it is not saved
  useEffect(() => form.watch(() => setDone(false)).unsubscribe, [form]);
  const { errors, isSubmitting } = form.formState;
  const submit = form.handleSubmit(
    async (value) => {
      setDone(false);
      const sent = await save(value);
      setProblem(sent.ok ? undefined : sent.problem);
      setDone(sent.ok);
      if (sent.ok) {
        draft.clear();
        saved?.(sent.value);
      } else for (const { path, message } of sent.problem.errors ?? []) form.setError(formPath(path) as Path<Form>, { message });
      if (!sent.ok && sent.problem.errors) focusFirstWrong();
      if (sent.ok || sent.problem.status === 409) router.refresh();
    },
    () => {
      setDone(false);
      setProblem(undefined);
      focusFirstWrong();
    },
  );
  return { form, errors: messagesOf(errors), problem, done, busy: isSubmitting, restored: draft.restored, submit, forget: draft.clear };
}
