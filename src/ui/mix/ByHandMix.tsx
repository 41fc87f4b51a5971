"use client";
import { classRow } from "@/core/catalogue";
import { type ByHand, CONSISTENCIES, mixByHand, plasterOf, thickener_g } from "@/core/mix/byHand";
import { hardenerOf } from "@/core/mix/hardener";
import { doseGrams, inSentence, plain } from "@/core/units";
import type { OperationView } from "@/core/views/operationView";
import { useKept } from "../forms/kept";
import { NumberField } from "../forms/NumberField";
import { parseNumber } from "../forms/parse";
import type { Air } from "../frame/climate";
import { Sideways } from "../frame/Sideways";
import { Balls } from "./Balls";
import { HardenerCurve } from "./HardenerCurve";
import { Plaster } from "./Plaster";

interface Props {
  readonly operation: OperationView;
  readonly air: Air;
  readonly close: () => void;
}

/** A nozzle that most tubes have, mm. */
const NOZZLE_MM = "4";

/** A mix by what is at hand where no scale is: balls in true size, beads, spoons, drops; how hardener and thickener act. */
export function ByHandMix({ operation, air, close }: Props) {
  const { start, parts = [], batch } = operation;
  const [nozzle, keepNozzle] = useKept("nozzle-mm", NOZZLE_MM);
  if (!start) return null;
  const row = classRow(start.class);
  const read = parseNumber(nozzle);
  const bore = read.ok && read.value > 0 && read.value <= 50 ? read.value : undefined;
  const mix = mixByHand(row, parts, bore ?? Number(NOZZLE_MM));
  const plaster = row.group === "plaster" ? plasterOf(mix) : undefined;
  return (
    <section aria-label={`Mix ${inSentence(row.name)} without a scale`}>
      <h2 className="text-title leading-[24px]">Mix {inSentence(row.name)} without a scale</h2>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-4 pt-2">
        <p className="text-read leading-[23px]">
          {batch ? `For batch ${batch.n} of ${batch.of}. ` : ""}
          {row.mix.ratio_by === "volume"
            ? "This one is dosed by volume: by hand it is as good as by the scale."
            : "This one is dosed by mass: by hand it is off by some 20 %. Use the scale where you can."}
        </p>
        {row.mix.ratio_by === "volume" && mix.parts.length > 1 && <Balls parts={mix.parts} />}
        <Counted parts={mix.parts} bore={bore} />
        <div className="max-w-[260px]">
          <NumberField
            name="nozzle"
            label="Nozzle, bore"
            unit="mm"
            value={nozzle}
            onChange={keepNozzle}
            error={bore === undefined ? "Enter a bore from 0.5 to 50 mm." : undefined}
            note="for the length of a bead; kept on this device"
          />
        </div>
        {hardenerOf(row) && <HardenerCurve material={row} resin_g={mix.parts[0]?.mass_g ?? 0} temp_C={air.temp_C} />}
        {plaster && <Plaster {...plaster} litres={mix.litres} />}
        {mix.thickens && <Thickness {...mix.thickens} />}
        <p className="text-read">
          <b>Mixed when:</b> {row.mix.cue}
        </p>
        <div className="btn-row">
          <button type="button" className="btn" onClick={close}>
            Back to the amounts
          </button>
        </div>
      </div>
    </section>
  );
}

/** Each part by bead, spoon and drop. */
function Counted({ parts, bore }: { parts: readonly ByHand[]; bore: number | undefined }) {
  return (
    <Sideways label="Parts">
      <table className="lst">
        <thead>
          <tr>
            <th scope="col">Part</th>
            <th scope="col" className="num">
              Mass
            </th>
            <th scope="col" className="num">
              Volume
            </th>
            <th scope="col" className="num">
              Bead
            </th>
            <th scope="col" className="num">
              Spoons
            </th>
            <th scope="col" className="num">
              Drops
            </th>
          </tr>
        </thead>
        <tbody>
          {parts.map(({ name, mass_g, volume_cm3, bead_mm, spoons, drops }) => (
            <tr key={name}>
              <td>{name}</td>
              <td className="num">{doseGrams(mass_g)}</td>
              <td className="num">{plain(volume_cm3, 2)} cm³</td>
              <td className="num">{bore === undefined || bead_mm > 2000 ? "–" : `${plain(bead_mm, 0)} mm`}</td>
              <td className="num">
                {spoons ? `${plain(spoons.count, 1)} of ${plain(spoons.ml, 2)} ml, ± ${plain(Math.max(10, spoons.off_pct), 0)} %` : "–"}
              </td>
              <td className="num">{drops ?? "–"}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Sideways>
  );
}

/** How much thickener makes it how stiff. */
function Thickness({ mixed_g, name }: { mixed_g: number; name: string }) {
  return (
    <section aria-label="Thickness">
      <h3 className="txt-label">
        {name}: how stiff it gets in {doseGrams(mixed_g)} of resin and hardener
      </h3>
      <table className="lst">
        <tbody>
          {CONSISTENCIES.map((each) => {
            const [least, most] = thickener_g(mixed_g, each.pct);
            return (
              <tr key={each.name}>
                <td>
                  <b>{each.name}</b>, {each.use}
                </td>
                <td className="num">
                  {plain(each.pct[0], 0)} to {plain(each.pct[1], 0)} %
                </td>
                <td className="num">
                  {plain(least, 2)} to {plain(most, 2)} g
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="sub">
        Ranges of typical data sheets of fumed silica; in last, by feel, once resin and hardener are one. Mask on: the dust is fine.
      </p>
    </section>
  );
}
