"use client";
import { useMemo, useState } from "react";
import { guide, nextPour, type PlannedPart, type Pour, ratioOf } from "@/core/mix/weighing";
import { doseGrams, figure } from "@/core/units";
import { serialScale } from "@/devices/browser/serialScale";
import { simulatedScale } from "@/devices/browser/simulatedScale";
import { useKept } from "../forms/kept";
import { parseNumber } from "../forms/parse";
import { useShop } from "../frame/now";
import { Sign } from "../signs/Sign";
import { BigGuide } from "./BigGuide";
import { type Chosen, ScaleChoice } from "./ScaleChoice";
import { useScale } from "./useScale";

interface Weighed {
  readonly grams: readonly string[];
  readonly scale?: { readonly name: string; readonly off_g: number };
}

interface Props {
  /** Under this name what was taken is kept on this device until it is used. */
  readonly name: string;
  readonly title: string;
  readonly parts: readonly PlannedPart[];
  readonly use: (weighed: Weighed) => void;
  readonly close: () => void;
}

/** Part by part onto the scale: what is still to go, and what brings it back when the hand slipped. */
export function Weigh({ name, title, parts, use, close }: Props) {
  const { scale_step_g } = useShop();
  const [kept, keep, forget] = useKept<{ readonly poured: readonly (number | null)[]; readonly scale?: string }>(`weigh:${name}`, {
    poured: [],
  });
  const [chosen, choose] = useKept<Chosen>("scale", { kind: "simulated", baud: 9600, marks_rest: true });
  const hands = useMemo(() => simulatedScale(scale_step_g), [scale_step_g]);
  const { kind, baud, marks_rest } = chosen;
  const scale = useMemo(
    () => (kind === "hand" ? undefined : kind === "simulated" ? hands : serialScale({ baud, marks_rest }, scale_step_g)),
    [kind, baud, marks_rest, hands, scale_step_g],
  );
  const { reading, trouble } = useScale(scale);
  const poured = parts.map((_, i) => kept.poured[i] ?? undefined);
  const pour = nextPour(parts, poured);
  const take = (g: number) => {
    if (!pour) return;
    const now = parts.map((_, i) => (i === pour.part ? (poured[i] ?? 0) + g : (poured[i] ?? null)));
    keep({ poured: now, ...(scale ? { scale: scale.name } : {}) });
    scale?.tare();
  };
  const finish = () => {
    const off_g = scale_step_g / 2;
    use({ grams: poured.map((g) => figure(g ?? 0, 2)), ...(kept.scale ? { scale: { name: kept.scale, off_g } } : {}) });
    forget();
    close();
  };
  return (
    <section aria-label={title} className="grid gap-2">
      <h2 className="text-title leading-[24px]">{title}</h2>
      {pour ? (
        <Pouring
          key={`${pour.part} ${pour.rescue} ${poured[pour.part] ?? ""}`}
          pour={pour}
          parts={parts}
          poured={poured}
          step_g={scale_step_g}
          reading={reading?.g}
          stable={reading?.stable ?? false}
          byHand={kind === "hand" || trouble !== ""}
          tare={() => scale?.tare()}
          take={take}
        />
      ) : (
        <Done parts={parts} poured={poured} finish={finish} />
      )}
      {trouble !== "" && kind !== "hand" && (
        <Sign name="away" wrap>
          {trouble}
        </Sign>
      )}
      {poured.some((g) => g !== undefined) && (
        <button type="button" className="link-btn" onClick={() => keep({ poured: [] })}>
          Throw it away and begin again
        </button>
      )}
      <ScaleChoice chosen={chosen} choose={choose} hands={hands} />
      <button type="button" className="link-btn justify-self-start" onClick={close}>
        Back to the amounts
      </button>
    </section>
  );
}

interface PouringProps {
  readonly pour: Pour;
  readonly parts: readonly PlannedPart[];
  readonly poured: readonly (number | undefined)[];
  readonly step_g: number;
  readonly reading: number | undefined;
  readonly stable: boolean;
  /** No scale tells: grams are typed. */
  readonly byHand: boolean;
  readonly tare: () => void;
  readonly take: (g: number) => void;
}

/** What lies in the cup of this part: as the scale says once it rests, or as it was typed. */
function useGrams({ reading, stable, byHand }: Pick<PouringProps, "reading" | "stable" | "byHand">) {
  const [typed, setTyped] = useState("");
  const read = parseNumber(typed);
  const g = byHand ? (read.ok && read.value > 0 ? read.value : undefined) : reading;
  return {
    typed,
    setTyped,
    g,
    ready: g !== undefined && g > 0 && (byHand || stable),
    refused: byHand && typed.trim() !== "" && g === undefined,
  };
}

function Pouring(props: PouringProps) {
  const { pour, parts, poured, step_g, byHand, tare, take } = props;
  const { typed, setTyped, g = 0, ready, refused } = useGrams(props);
  const there = poured[pour.part];
  return (
    <form
      method="post"
      className="grid gap-2 pt-1"
      onSubmit={(event) => {
        event.preventDefault();
        if (ready) take(g);
      }}
    >
      <p className="text-title font-semibold">
        {pour.rescue ? "Add " : ""}
        {parts[pour.part]?.name}: {doseGrams(pour.target_g)}
        <span className="sub block">
          part {pour.part + 1} of {parts.length}
          {there === undefined ? "" : `, on top of ${doseGrams(there)}`}
        </span>
      </p>
      {pour.rescue && <Rescue parts={parts} poured={poured} />}
      <BigGuide {...guide(pour.target_g, Math.max(0, g), step_g)} target_g={pour.target_g} />
      {byHand && (
        <label className="txt-label">
          Grams of this part
          <input className="txt" value={typed} inputMode="decimal" maxLength={20} onChange={(event) => setTyped(event.target.value)} />
        </label>
      )}
      {refused && (
        <p className="wrong-note" role="alert">
          Enter grams above zero.
        </p>
      )}
      <TakeIt ready={ready} g={g} byHand={byHand} tare={tare} />
    </form>
  );
}

function TakeIt({ ready, g, byHand, tare }: Pick<PouringProps, "byHand" | "tare"> & { ready: boolean; g: number }) {
  return (
    <div className="btn-row">
      <button type="submit" className="btn go big" disabled={!ready}>
        {ready ? `Take ${doseGrams(g)}` : byHand ? "Type the grams" : g > 0 ? "Wait until it rests" : "Pour first"}
      </button>
      {!byHand && (
        <button type="button" className="btn big" onClick={tare}>
          Tare
        </button>
      )}
    </div>
  );
}

function Rescue({ parts, poured }: Pick<PouringProps, "parts" | "poured">) {
  const ratio = ratioOf(parts, poured);
  const planned = parts.reduce((sum, { mass_g }) => sum + mass_g, 0);
  if (!ratio) return null;
  return (
    <Sign name="soon" wrap>
      The ratio is {figure(ratio.error_pct, 1)} % off. This brings it back; the mix is then {doseGrams(ratio.total_g)} instead of{" "}
      {doseGrams(planned)}. Nothing is stirred yet, so its pot life has not begun. Too much of it? Throw it away and begin again.
    </Sign>
  );
}

function Done({ parts, poured, finish }: { parts: readonly PlannedPart[]; poured: readonly (number | undefined)[]; finish: () => void }) {
  const ratio = ratioOf(parts, poured);
  return (
    <div className="grid gap-2 pt-1">
      <Sign name="done" size={16}>
        {ratio ? `Ratio right, ${figure(ratio.error_pct, 1)} % off at most` : "Weighed"}
      </Sign>
      <dl className="kv">
        {parts.flatMap(({ name, mass_g }, i) => [
          <dt key={name}>
            {name}, planned {doseGrams(mass_g)}
          </dt>,
          <dd key={`${name} g`}>{doseGrams(poured[i] ?? 0)}</dd>,
        ])}
      </dl>
      <button type="button" className="btn go big" onClick={finish}>
        Use these weights
      </button>
    </div>
  );
}
