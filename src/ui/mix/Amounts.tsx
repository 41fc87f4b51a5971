"use client";
import { type ReactNode, useState } from "react";
import { doseGrams, plain } from "@/core/units";
import type { OperationView } from "@/core/views/operationView";
import type { Air } from "../frame/climate";
import { lazily } from "../frame/lazily";
import { useDraft } from "../operations/useDraft";
import { Poured } from "./Poured";

const Weigh = lazily(() => import("../weigh/Weigh").then((module) => module.Weigh));
const ByHandMix = lazily(() => import("./ByHandMix").then((module) => module.ByHandMix));
const ForSeveral = lazily(() => import("./ForSeveral").then((module) => module.ForSeveral));

interface Props {
  readonly operation: OperationView;
  readonly air: Air;
  /** What else of amounts the station knows. */
  readonly more?: ReactNode;
}

/** One mix, weighed where it stands: its parts, where they go, the scale, what works without one, and others that take of it. */
export function Amounts({ operation, air, more }: Props) {
  const { parts = [], batch, text, start, mass_g, portions } = operation;
  const { name, draft, change } = useDraft(operation);
  const [face, setFace] = useState<"scale" | "by-hand" | "several">();
  const close = () => setFace(undefined);
  if (face === "scale")
    return (
      <Weigh
        name={name}
        title={batch ? `Weigh batch ${batch.n} of ${batch.of}` : "Weigh it"}
        parts={parts}
        use={(weighed) => change(weighed)}
        close={close}
      />
    );
  if (face === "by-hand") return <ByHandMix operation={operation} air={air} close={close} />;
  if (face === "several") return <ForSeveral operation={operation} air={air} close={close} />;
  return (
    <div className="grid gap-5">
      <div className="grid gap-5 min-[1180px]:grid-cols-[minmax(0,1fr)_260px]">
        <div className="grid content-start gap-4">
          <div className="grid grid-cols-[repeat(auto-fit,minmax(120px,1fr))] border-[1.5px] border-ink">
            {parts.map(({ name: part, mass_g: grams }) => (
              <p key={part} className="border-ink px-3 py-2 not-last:border-r-[1.5px]">
                {part}
                <b className="block text-head leading-[28px] [font-stretch:108%]">{doseGrams(grams)}</b>
              </p>
            ))}
          </div>
          <div className="btn-row">
            <button type="button" className="btn" onClick={() => setFace("scale")} aria-label={`Weigh it: ${text}`}>
              Weigh it on the scale
            </button>
            {start && (
              <button type="button" className="link-btn" onClick={() => setFace("by-hand")} aria-label={`Without a scale: ${text}`}>
                Without a scale
              </button>
            )}
            {start && mass_g !== undefined && !batch && operation.state === "now" && (
              <button type="button" className="link-btn" onClick={() => setFace("several")} aria-label={`Mix for others too: ${text}`}>
                Mix for others too
              </button>
            )}
          </div>
          <Poured parts={parts} draft={draft} change={change} />
        </div>
        {mass_g !== undefined && <WhereItGoes operation={operation} mass_g={mass_g} portions={portions} />}
      </div>
      {more}
    </div>
  );
}

interface WhereProps extends Pick<OperationView, "portions"> {
  readonly operation: OperationView;
  readonly mass_g: number;
}

/** What the grams are for, by place, and how many cups they are. */
function WhereItGoes({ operation: { batch, need_cm3, waste_pct }, mass_g, portions }: WhereProps) {
  return (
    <section aria-label="Where it goes">
      <h3 className="border-b border-ink pb-1">Where {doseGrams(mass_g)} go</h3>
      <dl className="kv pt-1">
        {portions?.flatMap(({ label, mass_g: grams }) => [<dt key={label}>{label}</dt>, <dd key={`${label} g`}>{doseGrams(grams)}</dd>])}
        {need_cm3 !== undefined && [
          <dt key="need">To be filled, with what it shrinks and stands proud</dt>,
          <dd key="need-v">{plain(need_cm3, 2)} cm³</dd>,
        ]}
        {waste_pct !== undefined && [<dt key="loss">More than that, on slab and gloves</dt>, <dd key="loss-v">{plain(waste_pct, 0)} %</dd>]}
        {batch && [
          <dt key="batch">
            Batch {batch.n} of {batch.of}
          </dt>,
          <dd key="batch-v">of {doseGrams(batch.whole_g)}</dd>,
        ]}
      </dl>
    </section>
  );
}
