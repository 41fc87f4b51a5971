"use client";
import { useState } from "react";
import { brace, braceWarnings, safetyWith } from "@/core/join/brace";
import type { BraceInput, BraceKind, BraceResult } from "@/core/join/brace.schema";
import { braceLabel } from "@/core/join/kinds.data";
import { asSold } from "@/core/join/rods";
import { type SizedBrace, sizedFor } from "@/core/join/sizing";
import { STRENGTHS } from "@/core/join/strengths.data";
import { braceSketch } from "@/core/plan/braceQuestion";
import type { BodyOf } from "@/core/record/events.schema";
import { figure, plain, present } from "@/core/units";
import type { BraceQuestion } from "@/core/views/braceQuestions";
import { useKept } from "../forms/kept";
import { NumberField } from "../forms/NumberField";
import { parseNumber } from "../forms/parse";
import { useShop } from "../frame/now";
import { Sign, type SignName } from "../signs/Sign";
import { Sketch } from "../survey/Sketch";
import { BraceOption } from "./BraceOption";
import { BraceRecorder } from "./BraceRecorder";
import { Drilling } from "./Drilling";
import { Router, routerOf } from "./Router";
import { SafetyBar } from "./SafetyBar";

interface Props extends BraceQuestion {
  readonly treatment: string;
}

const JUDGEMENTS: Readonly<Record<"yes" | "no" | "optional", readonly [sign: SignName, word: string]>> = {
  yes: ["never", "A brace is needed"],
  optional: ["soon", "A brace is optional"],
  no: ["go", "No brace is needed"],
};

/** Whether glue alone carries it, and if not, what does: safety without and with, every dimension with its reason, drawn in scale. */
export function BracePanel({ treatment, damage, question, hatch, planned, recorded }: Props) {
  const judgedBy = recorded?.judged_by ?? question;
  const start = { load: typed(judgedBy.load_N), lever: typed(judgedBy.lever_mm) };
  const [{ load, lever }, keep, forget] = useKept(`brace:${treatment}:${damage}`, start);
  const [picked, setPicked] = useState<BraceKind | undefined>(recorded?.brace ?? planned);
  const asked = askedWith(question, load, lever);
  const found = brace(asked);
  const kind = shownOf(found, picked);
  const shop = useShop();
  const startRouter = { jig_mm: plain(recorded?.router?.jig_mm ?? shop.jig_mm), bit_mm: plain(recorded?.router?.bit_mm ?? shop.bit_mm) };
  const [router, keepRouter, forgetRouter] = useKept(`router:${treatment}:${damage}`, startRouter);
  const options = [...sizedFor(asked).map((each) => asSold(each, asked, shop.units === "mm" ? "metric" : "inch")), NONE];
  const option = options.find((each) => each.kind === kind) ?? NONE;
  const reached = safetyWith(option, asked);
  const [sign, word] = JUDGEMENTS[found.needed];
  const { asks } = STRENGTHS[question.material];
  const routed = kind === "spline" ? present({ router: routerOf(router) }) : {};
  return (
    <section aria-label="Brace" className="mt-5">
      <h2 className="border-b border-ink pb-1">Brace</h2>
      <div className="brace-top">
        <div>
          <Sign name={sign}>{word}</Sign>
          <p className="pt-1 leading-[18px]">
            Safety {figure(found.safety_without, 1)} with glue alone
            {kind !== "none" && (
              <b>
                , {figure(reached, 1)} with the {braceLabel(kind).toLowerCase()}
              </b>
            )}
            ; {asks} is asked.
          </p>
          <SafetyBar without={found.safety_without} withIt={reached} asks={asks} />
          <div className="mt-2 grid gap-1">
            <NumberField
              name="load_N"
              label="Load at the end"
              unit="N"
              value={load}
              onChange={(text) => keep({ load: text, lever })}
              error={errorIn(load)}
              note="1 kg weighs about 10 N; empty = handling"
            />
            <NumberField
              name="lever_mm"
              label="Lever arm"
              unit="mm"
              value={lever}
              onChange={(text) => keep({ load, lever: text })}
              error={errorIn(lever)}
              note="from the break to the load"
            />
          </div>
          {braceWarnings(asked, option).map(({ code, message }) => (
            <Sign key={code} name={code === "refer" ? "never" : "soon"} wrap>
              {message}
            </Sign>
          ))}
          <p className="sub pt-1">
            {found.basis.formula}. {found.basis.source}.
          </p>
        </div>
        {kind !== "none" && (
          <Sketch
            drawing={braceSketch(asked, option)}
            hatch={hatch}
            legend="the piece hatched, the brace dashed, white"
            width={520}
            height={250}
          />
        )}
      </div>
      <div className="ways">
        {options.map((each) => (
          <BraceOption
            key={each.kind}
            option={each}
            safety={safetyWith(each, asked)}
            asks={asks}
            chosen={each.kind === kind}
            choose={() => setPicked(each.kind)}
          />
        ))}
      </div>
      {kind === "spline" && (
        <Router slot={{ depth_mm: option.size.depth_mm ?? 0, width_mm: option.size.width_mm ?? 0 }} typed={router} change={keepRouter} />
      )}
      <Drilling size={option.size} treatment={treatment} />
      <BraceRecorder
        body={{ damage, joint: asked.joint, brace: kind, size: { ...option.size }, judged_by: loadOf(asked), ...routed }}
        against={found.needed === (kind === "none" ? "yes" : "no")}
        recorded={recorded}
        done={() => {
          forget();
          forgetRouter();
        }}
      />
    </section>
  );
}

/** What was picked while it is still offered; else what the figures speak for. */
function shownOf({ needed, options }: BraceResult, picked: BraceKind | undefined): BraceKind {
  const offered = options.map((each) => each.kind);
  if (picked && (picked === "none" || offered.includes(picked))) return picked;
  return needed === "no" ? "none" : (offered[0] ?? "none");
}

const NONE: SizedBrace = { kind: "none", size: {}, reasons: ["The piece stays whole; the glue line has to carry it."] };

const typed = (figure: number | undefined) => (figure === undefined ? "" : plain(figure, 1));

function askedWith(question: BraceInput, load: string, lever: string): BraceInput {
  const { load_N: _, lever_mm: __, ...rest } = question;
  const [force, arm] = [parseNumber(load), parseNumber(lever)];
  return {
    ...rest,
    ...(force.ok && force.value > 0 && errorIn(load) === undefined ? { load_N: force.value } : {}),
    ...(arm.ok && arm.value > 0 && errorIn(lever) === undefined ? { lever_mm: arm.value } : {}),
  };
}

function loadOf({ load_N, lever_mm }: BraceInput): NonNullable<BodyOf<"braced">["judged_by"]> {
  return { ...(load_N === undefined ? {} : { load_N }), ...(lever_mm === undefined ? {} : { lever_mm }) };
}

function errorIn(text: string): string | undefined {
  if (text.trim() === "") return undefined;
  const parsed = parseNumber(text);
  if (!parsed.ok) return parsed.message;
  return parsed.value < 0 || parsed.value > 20_000 ? "Enter 0 to 20 000, or leave it empty." : undefined;
}
