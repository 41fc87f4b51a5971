"use client";
import type { Hatch, MaterialClass } from "@/core/catalogue";
import type { Layup, ThinPlace } from "@/core/join/layup";
import { layupBatch, layupSketch } from "@/core/plan/thinPlace";
import type { BodyOf } from "@/core/record/events.schema";
import { counted, figure, formatMinutes, plain } from "@/core/units";
import { Sign } from "../signs/Sign";
import { Sketch } from "../survey/Sketch";
import { BraceRecorder } from "./BraceRecorder";

interface Props {
  readonly place: ThinPlace;
  readonly layup: Layup;
  readonly material: MaterialClass;
  readonly hatch: Hatch;
  readonly temp_C: number;
  readonly recorded?: BodyOf<"braced">;
}

/** A thin place backed from behind: how many layers, how large, how much of it, drawn in scale. */
export function Backing({ place, layup, material, hatch, temp_C, recorded }: Props) {
  const { layers = 1, thickness_mm = 0 } = layup.size;
  const batch = layupBatch(layup, material, temp_C);
  return (
    <section aria-label="Backing" className="mt-5">
      <h2 className="border-b border-ink pb-1">Backing: {material.name.toLowerCase()}</h2>
      <div className="brace-top">
        <div>
          <p className="pt-1 text-[20px] font-bold leading-[24px]">
            {counted(layers, "layer")}, {plain(thickness_mm, 2)} mm
          </p>
          <ul className="pt-1">
            {layup.reasons.map((reason) => (
              <li key={reason} className="leading-[18px]">
                {reason}
              </li>
            ))}
            <li className="leading-[18px]">{layup.how}</li>
          </ul>
          <dl className="kv pt-2">
            {batch.parts.map(({ name, mass_g }) => [<dt key={name}>{name}</dt>, <dd key={`${name} g`}>{figure(mass_g, 2)} g</dd>])}
            {batch.pot_life_min !== undefined && (
              <>
                <dt>Workable at {plain(temp_C)} °C</dt>
                <dd>{formatMinutes(Math.max(1, batch.pot_life_min))}</dd>
                <dt>Batches</dt>
                <dd>{batch.batches.length}</dd>
              </>
            )}
          </dl>
          {batch.warnings.map(({ code, message }) => (
            <Sign key={code} name="soon" wrap>
              {message}
            </Sign>
          ))}
          <p className="sub pt-1">A layer’s thickness: {layup.source}. How much the backing carries is not worked out: test by hand.</p>
        </div>
        <Sketch
          drawing={layupSketch(place, layup)}
          hatch={hatch}
          legend="the piece hatched, each line the edge of a layer"
          width={520}
          height={300}
        />
      </div>
      <BraceRecorder body={{ joint: "worn-thin", brace: "patch", size: layup.size }} against={false} recorded={recorded} />
    </section>
  );
}
