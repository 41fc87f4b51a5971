"use client";
import { useState } from "react";
import { useForm } from "react-hook-form";
import type { Range } from "@/core/catalogue";
import { euros, formatMinutes } from "@/core/units";
import type { ClosingView } from "@/core/views/closing";
import { useDraft } from "../forms/draft";
import { messagesOf, type Read, resolverOf } from "../forms/read";
import { fieldOf } from "../forms/send";
import { TextField } from "../forms/TextField";
import { useWall } from "../frame/now";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";
import { ReviewTable } from "./ReviewTable";

interface Props {
  readonly treatment: string;
  readonly closing: ClosingView;
}

/** The whole repair looked back at: planned against done, its times, the record to take along, and the signature. */
export function CloseReview({ treatment, closing }: Props) {
  return (
    <div className="grid gap-4">
      <Times {...closing} />
      <ReviewTable review={closing.review} />
      {closing.closed ? (
        <Closed {...closing.closed} />
      ) : (
        <SignForm treatment={treatment} open={closing.open} operations={closing.operations} />
      )}
      <section aria-label="Take the record with you" className="rule pt-3">
        <h2 className="pb-2">Take the record with you</h2>
        <div className="grid grid-cols-2 gap-3">
          <a className="btn" href={`/treatments/${treatment}/record`}>
            <span>
              Print view, A4
              <span className="sub block font-normal">with photographs, for the owner</span>
            </span>
          </a>
          <a className="btn" href={`/treatments/${treatment}/owner-card`}>
            <span>
              Owner’s card, A5
              <span className="sub block font-normal">what may be done, and from when</span>
            </span>
          </a>
          <a className="btn" href={`/api/treatments/${treatment}/dossier`}>
            <span>
              Dossier
              <span className="sub block font-normal">JSON, whole log and photographs</span>
            </span>
          </a>
        </div>
      </section>
    </div>
  );
}

function againstPlan(hands: number, [low, high]: Range): string {
  const plan = `the plan of ${formatMinutes(low)} to ${formatMinutes(high)}`;
  if (hands < low) return `${formatMinutes(low - hands)} under ${plan}`;
  return hands > high ? `${formatMinutes(hands - high)} over ${plan}` : `within ${plan}`;
}

function Times({ hands, planned_min, elapsed_min, planned_elapsed_min, cost_eur }: ClosingView) {
  const whole = hands.given === hands.of;
  return (
    <div className="grid grid-cols-[repeat(auto-fit,minmax(200px,1fr))] gap-x-6 gap-y-2">
      <div>
        <p className="text-big leading-[38px] font-extrabold tracking-[-0.03em] [font-stretch:108%]">{formatMinutes(hands.min)}</p>
        <p className="dim">
          your hands,{" "}
          {whole ? againstPlan(hands.min, planned_min) : `given for ${hands.given} of ${hands.of} acts; the others nobody timed`}
        </p>
      </div>
      <div>
        <p className="text-big leading-[38px] font-extrabold tracking-[-0.03em] [font-stretch:108%]">{formatMinutes(elapsed_min)}</p>
        <p className="dim">
          on the clock, nights and weekends counted; planned {formatMinutes(planned_elapsed_min[0])} to{" "}
          {formatMinutes(planned_elapsed_min[1])}
        </p>
      </div>
      <div>
        <p className="text-big leading-[38px] font-extrabold tracking-[-0.03em] [font-stretch:108%]">{euros(cost_eur)}</p>
        <p className="dim">of material, from catalogue or own prices</p>
      </div>
    </div>
  );
}

const UNSIGNED = { notes: "", signed_by: "" };

function readSigned({ notes, signed_by }: typeof UNSIGNED): Read<typeof UNSIGNED> {
  if (signed_by.trim() === "") return { ok: false, errors: { signed_by: "Write your name or initial: the record is signed." } };
  return { ok: true, value: { notes: notes.trim(), signed_by: signed_by.trim() } };
}

function SignForm({ treatment, open, operations }: Pick<Props, "treatment"> & Pick<ClosingView, "open" | "operations">) {
  const log = useLog();
  const form = useForm({ defaultValues: UNSIGNED, resolver: resolverOf(readSigned) });
  const draft = useDraft(`close:${treatment}`, form);
  const told = { ...messagesOf(form.formState.errors), ...Object.fromEntries(log.errors.map((each) => [fieldOf(each), each.message])) };
  const submit = form.handleSubmit(async (signed) => {
    if (await log.write({ kind: "closed", ...signed, operations: [...operations] })) draft.clear();
  });
  return (
    <form method="post" className="rule grid gap-3 pt-3" onSubmit={submit}>
      <TextField
        label="Final notes"
        field={form.register("notes")}
        hint="deviations and why; what you would do differently; care"
        long
        error={told.notes}
      />
      {open.length > 0 && (
        <Sign name="soon" wrap>
          Still open: {open.join(", ")}. You may close all the same; the record says so.
        </Sign>
      )}
      <div className="grid grid-cols-[minmax(0,1fr)_auto] items-end gap-3">
        <TextField
          label="I have seen it whole, in raking light. Signed"
          field={form.register("signed_by")}
          error={told.signed_by}
          maxLength={200}
          autoComplete="off"
        />
        <button type="submit" className="btn go big" disabled={log.busy}>
          Sign and close
        </button>
      </div>
    </form>
  );
}

function Closed({ at, notes, signed_by }: NonNullable<ClosingView["closed"]>) {
  const wall = useWall();
  const log = useLog();
  const [reason, setReason] = useState("");
  return (
    <div className="rule grid gap-3 pt-3">
      <Sign name="done" size={18} className="text-title leading-[26px]" wrap>
        Signed and closed {wall.stamp(Date.parse(at))}, {signed_by}
      </Sign>
      {notes !== "" && <p className="whitespace-pre-wrap wrap-anywhere text-read leading-[22px]">{notes}</p>}
      <form
        method="post"
        className="grid grid-cols-[minmax(0,1fr)_auto] items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (reason.trim() !== "") void log.write({ kind: "reopened", reason: reason.trim() });
        }}
      >
        <label className="txt-label">
          Reopen it, because
          <input className="txt" value={reason} maxLength={2000} onChange={(event) => setReason(event.target.value)} />
        </label>
        <button type="submit" className="btn" disabled={reason.trim() === "" || log.busy}>
          Reopen
        </button>
      </form>
    </div>
  );
}
