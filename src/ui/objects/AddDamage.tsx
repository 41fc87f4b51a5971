"use client";
import { useRouter } from "next/navigation";
import { useId, useRef } from "react";
import { FormEnd, Restored } from "../forms/FormEnd";
import type { Read } from "../forms/read";
import { send } from "../forms/send";
import { TextField } from "../forms/TextField";
import { useSavedForm } from "../forms/useSavedForm";
import { missingInPart, NO_PART, PartFields, type PartForm, partOf, unless } from "./PieceFields";

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

function readDamage({ title, where, part }: DamageForm): Read<DamageForm> {
  return unless(
    {
      ...(title.trim() === "" ? { title: "Say in two words what is to be mended." } : {}),
      ...(where === OTHER ? missingInPart(part, "part.") : {}),
    },
    { title: title.trim(), where, part },
  );
}

/** Each damage is met by a treatment of its own, on the part where it is. */
export function AddDamage({ piece, parts }: Props) {
  const router = useRouter();
  const at = useId();
  // one pair of ids a form: pressing twice makes one damage
  const ids = useRef<{ readonly id: string; readonly part: string }>(undefined);
  const { form, errors, submit, restored, ...end } = useSavedForm({
    name: `damage:${piece}`,
    start: { title: "", where: parts[0]?.id ?? OTHER, part: NO_PART } as DamageForm,
    read: readDamage,
    save: ({ title, where, part }) => {
      ids.current ??= { id: crypto.randomUUID(), part: crypto.randomUUID() };
      const known = parts.find(({ id }) => id === where) ?? { id: ids.current.part, ...partOf(part) };
      return send<{ id: string }>("POST", `/api/pieces/${piece}/treatments`, { id: ids.current.id, title, part: known });
    },
    saved: ({ id }) => router.push(`/treatments/${id}/survey`),
  });
  const where = form.watch("where");
  return (
    <form method="post" className="grid gap-2 pt-3" onSubmit={submit} noValidate>
      <Restored when={restored} />
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
      <FormEnd save="Add the damage" className="btn" {...end} />
    </form>
  );
}
