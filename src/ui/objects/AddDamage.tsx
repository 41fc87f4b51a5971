"use client";
import { useRouter } from "next/navigation";
import { useId, useRef, useState } from "react";
import { useForm } from "react-hook-form";
import { send } from "../forms/send";
import { TextField } from "../forms/TextField";
import { errorsByPath, missingInPart, PartFields, type PartForm, type PieceErrors } from "./PieceFields";

interface Props {
  readonly piece: string;
  readonly parts: ReadonlyArray<{ readonly id: string; readonly name: string; readonly substrate: string; readonly finish: string }>;
}

interface DamageForm {
  readonly title: string;
  /** Id of a part, or `other` for one that is entered here. */
  readonly where: string;
  readonly part: PartForm;
}

const OTHER = "other";

/** Each damage is met by a treatment of its own, on the part where it is. */
export function AddDamage({ piece, parts }: Props) {
  const router = useRouter();
  const at = useId();
  const form = useForm<DamageForm>({
    defaultValues: { title: "", where: parts[0]?.id ?? OTHER, part: { name: "", substrate: "", finish: "" } },
  });
  const [errors, setErrors] = useState<PieceErrors>({});
  const [trouble, setTrouble] = useState("");
  // one pair of ids a form: pressing twice makes one damage
  const ids = useRef<{ readonly id: string; readonly part: string }>(undefined);
  const where = form.watch("where");
  const add = form.handleSubmit(async ({ title, part }) => {
    const missing: PieceErrors = {
      ...(title.trim() === "" ? { title: "Say in two words what is to be mended." } : {}),
      ...(where === OTHER ? missingInPart(part, "part.") : {}),
    };
    setErrors(missing);
    if (Object.keys(missing).length > 0) return;
    ids.current ??= { id: crypto.randomUUID(), part: crypto.randomUUID() };
    const known = parts.find(({ id }) => id === where);
    const sent = await send<{ id: string }>("POST", `/api/pieces/${piece}/treatments`, {
      id: ids.current.id,
      title: title.trim(),
      part: known ?? { id: ids.current.part, ...part },
    });
    if (sent.ok) router.push(`/treatments/${sent.value.id}/survey`);
    else {
      setErrors(errorsByPath(sent.problem.errors));
      setTrouble(sent.problem.detail);
    }
  });
  return (
    <form className="grid gap-2 pt-3" onSubmit={add} noValidate>
      <TextField
        label="What else is to be mended?"
        field={form.register("title")}
        error={errors.title}
        maxLength={200}
        autoComplete="off"
      />
      <div>
        <label className="txt-label" htmlFor={`${at}-where`}>
          Where
        </label>
        <select id={`${at}-where`} className="txt" {...form.register("where")}>
          {parts.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
          <option value={OTHER}>Another part …</option>
        </select>
      </div>
      {where === OTHER && <PartFields form={form} errors={errors} at="part." />}
      {trouble !== "" && (
        <p className="wrong-note" role="alert">
          {trouble}
        </p>
      )}
      <button type="submit" className="btn justify-self-start">
        Add the damage
      </button>
    </form>
  );
}
