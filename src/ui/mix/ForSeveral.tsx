"use client";
import { useEffect, useRef, useState } from "react";
import { classRow } from "@/core/catalogue";
import { counted, doseGrams, grams, inSentence } from "@/core/units";
import { inOneCup, type Share, unaccounted } from "@/core/views/batch";
import type { OperationView } from "@/core/views/operationView";
import { FieldError } from "../forms/FieldError";
import { parseNumber } from "../forms/parse";
import { Segmented } from "../forms/Segmented";
import type { Air } from "../frame/climate";
import type { Take } from "../outbox/queue";
import { useLog } from "../treatment/TreatmentLog";

interface Props {
  readonly operation: OperationView;
  readonly air: Air;
  readonly close: () => void;
}

interface Taker extends Share {
  readonly treatment: string;
  readonly version: number;
  readonly piece: string;
}

interface Answer {
  readonly treatments: ReadonlyArray<{
    readonly treatment: string;
    readonly version: number;
    readonly piece: string;
    readonly shares: readonly Share[];
  }>;
}

const keyOf = ({ treatment, op }: Pick<Taker, "treatment" | "op">) => `${treatment} ${op}`;

/** One mix for this and others that could take of it now: in this treatment, and in those of other pieces. */
export function ForSeveral({ operation, air, close }: Props) {
  const log = useLog();
  const [takers, setTakers] = useState<readonly Taker[]>();
  const [trouble, setTrouble] = useState("");
  const name = operation.start?.class;
  useEffect(() => {
    if (!name) return;
    const gone = new AbortController();
    fetch(`/api/batches?class=${name}`, { signal: gone.signal })
      .then((response) => response.json())
      .then((answer: Answer) =>
        setTakers(
          answer.treatments.flatMap(({ treatment, version, piece, shares }) =>
            shares.map((share) => ({ ...share, treatment, version, piece })),
          ),
        ),
      )
      .catch(() => !gone.signal.aborted && setTrouble("The server does not answer. Mix for this one alone, or try again in a moment."));
    return () => gone.abort();
  }, [name]);
  return (
    <section aria-label="One mix for several">
      <h2 className="text-title leading-[24px]">One mix{name ? ` of ${inSentence(classRow(name).name)}` : ""}</h2>
      {trouble !== "" && (
        <p className="wrong-note" role="alert">
          {trouble}
        </p>
      )}
      {!takers && trouble === "" && <p className="dim py-3">Looking for others that take of it now …</p>}
      {takers && takers.length < 2 && (
        <p className="py-3 text-read leading-[22px]">
          Nothing else takes of it now. What waits for a clock or for an earlier step can’t share this mix.
        </p>
      )}
      {takers && takers.length >= 2 && (
        <BatchForm
          operation={operation}
          air={air}
          close={close}
          takers={takers}
          own={keyOf({ treatment: log.treatment, op: operation.id })}
        />
      )}
    </section>
  );
}

/** What is typed of a mix for several, and what it comes to. */
function useBatch(takers: readonly Taker[]) {
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set(takers.map(keyOf)));
  const [portions, setPortions] = useState<Readonly<Record<string, string>>>({});
  const [weighed, setWeighed] = useState<Readonly<Record<string, string>>>({});
  const taking = takers.filter((taker) => chosen.has(keyOf(taker)));
  const planned = inOneCup(taking);
  const parts = planned.map(({ name, mass_g }) => ({ name, planned_g: mass_g, actual_g: read(weighed[name], mass_g) }));
  const mixed = parts.reduce((sum, { actual_g }) => sum + actual_g, 0);
  const shares = taking.map((taker) => ({ taker, mass_g: read(portions[keyOf(taker)], taker.mass_g) }));
  const left_g = Math.max(0, mixed - shares.reduce((sum, { mass_g }) => sum + mass_g, 0));
  const figures = [...parts.map(({ actual_g }) => actual_g), ...shares.map(({ mass_g }) => mass_g)];
  const wrong = figures.some((figure) => Number.isNaN(figure))
    ? "Enter grams as numbers."
    : unaccounted(
        mixed,
        shares.map(({ mass_g }) => mass_g),
        left_g,
      );
  return { chosen, setChosen, portions, setPortions, weighed, setWeighed, taking, planned, parts, shares, left_g, wrong };
}

/** So many entries each log will have more. */
function takesBy(taking: readonly Taker[]): Take[] {
  const logs = new Map(taking.map(({ treatment, version }) => [treatment, version]));
  return [...logs].map(([treatment, version]) => ({
    treatment,
    version,
    entries: taking.filter((taker) => taker.treatment === treatment).length,
  }));
}

function BatchForm({ operation, air, close, takers, own }: Props & { takers: readonly Taker[]; own: string }) {
  const log = useLog();
  const batch = useBatch(takers);
  const { chosen, setChosen, portions, setPortions, taking, planned, parts, shares, left_g } = batch;
  const [left, setLeft] = useState<"thrown" | "kept">("thrown");
  const [wrong, setWrong] = useState("");
  const id = useRef<string>(undefined);
  const { start, jars } = operation;
  const mix = async () => {
    setWrong(batch.wrong ?? "");
    if (batch.wrong || !start) return;
    id.current ??= crypto.randomUUID();
    const jar = jars?.[0];
    const request = {
      id: id.current,
      class: start.class,
      ...(start.product ? { product: start.product } : {}),
      ...(jar ? { lot_id: jar.lot_id, lot: jar.label } : {}),
      parts,
      portions: shares.map(({ taker: { treatment, op }, mass_g }) => ({ treatment, op, mass_g })),
      left_g,
      left_over: left,
      climate: { temp_C: air.temp_C, rh_pct: air.rh_pct },
    };
    const words = `One mix of ${inSentence(classRow(start.class).name)} for ${counted(taking.length, "taker")}`;
    if (await log.writeBatch({ kind: "done", op: operation.id }, { words, request, takes: takesBy(taking) })) close();
  };
  return (
    <form
      method="post"
      className="mt-2 grid grid-cols-[minmax(0,1fr)] gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void mix();
      }}
      noValidate
    >
      <fieldset className="min-w-0">
        <legend className="txt-label">Who takes of it</legend>
        {takers.map((taker) => (
          <TakerRow
            key={keyOf(taker)}
            taker={taker}
            fixed={keyOf(taker) === own}
            on={chosen.has(keyOf(taker))}
            toggle={(on) => setChosen(new Set(on ? [...chosen, keyOf(taker)] : [...chosen].filter((key) => key !== keyOf(taker))))}
            grams={portions[keyOf(taker)] ?? ""}
            setGrams={(text) => setPortions({ ...portions, [keyOf(taker)]: text })}
          />
        ))}
      </fieldset>
      <Cup planned={planned} weighed={batch.weighed} setWeighed={batch.setWeighed} jar={jars?.[0]} />
      <div className="flex flex-wrap items-center justify-between gap-3">
        <span>
          Left over: <b>{grams(left_g)}</b>
        </span>
        <Segmented
          label="What becomes of the rest"
          value={left}
          options={[
            ["thrown", "Thrown away"],
            ["kept", "Kept in its jar"],
          ]}
          onChange={setLeft}
        />
      </div>
      <FieldError id="batch-wrong">{wrong || log.refusal}</FieldError>
      <div className="btn-row">
        <button type="submit" className="btn go" disabled={log.busy || taking.length < 2}>
          {taking.length < 2 ? "Choose at least two" : `Mixed now, for ${counted(taking.length, "taker")}`}
        </button>
        <button type="button" className="btn" onClick={close}>
          Not now
        </button>
      </div>
    </form>
  );
}

interface CupProps {
  readonly planned: ReadonlyArray<{ readonly name: string; readonly mass_g: number }>;
  readonly weighed: Readonly<Record<string, string>>;
  readonly setWeighed: (weighed: Readonly<Record<string, string>>) => void;
  readonly jar: NonNullable<OperationView["jars"]>[number] | undefined;
}

/** The parts of the one mix, as planned and as weighed. */
function Cup({ planned, weighed, setWeighed, jar }: CupProps) {
  return (
    <div>
      <p className="txt-label">In one cup</p>
      {planned.map(({ name, mass_g }) => (
        <label key={name} className="flex min-h-[44px] items-center justify-between gap-3 border-t border-ash-deep">
          <span>
            {name} <b className="big-figure">{doseGrams(mass_g)}</b>
          </span>
          <input
            className="txt w-[130px]"
            inputMode="decimal"
            placeholder="as planned"
            aria-label={`${name}, weighed`}
            value={weighed[name] ?? ""}
            onChange={(event) => setWeighed({ ...weighed, [name]: event.target.value })}
          />
        </label>
      ))}
      {jar && (
        <p className="sub pt-1">
          Taken from {jar.name}, {jar.label}; it goes down by what is mixed.
        </p>
      )}
    </div>
  );
}

const read = (text: string | undefined, otherwise: number): number => {
  if (text === undefined || text.trim() === "") return otherwise;
  const parsed = parseNumber(text);
  return parsed.ok && parsed.value >= 0 ? parsed.value : Number.NaN;
};

interface TakerRowProps {
  readonly taker: Taker;
  /** The one that asked is always among them. */
  readonly fixed: boolean;
  readonly on: boolean;
  readonly toggle: (on: boolean) => void;
  readonly grams: string;
  readonly setGrams: (text: string) => void;
}

function TakerRow({ taker: { piece, title, mass_g }, fixed, on, toggle, grams: typed, setGrams }: TakerRowProps) {
  return (
    <div className="flex min-h-[48px] items-center justify-between gap-3 border-t border-ash-deep">
      <label className="flex min-w-0 items-center gap-3">
        <input
          type="checkbox"
          className="size-5 shrink-0"
          checked={on}
          disabled={fixed}
          onChange={(event) => toggle(event.target.checked)}
        />
        <span className="min-w-0">
          <b className="clamp-3 wrap-anywhere">{piece}</b>
          <span className="sub">{title}</span>
        </span>
      </label>
      <label className="flex items-center gap-2">
        <span className="visually-hidden">Grams for {piece}</span>
        <input
          className="txt w-[92px]"
          inputMode="decimal"
          placeholder={doseGrams(mass_g).replace(" g", "")}
          value={typed}
          onChange={(event) => setGrams(event.target.value)}
        />
        g
      </label>
    </div>
  );
}
