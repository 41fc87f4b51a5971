"use client";
import { useState } from "react";
import { ADDITIVE_PCT, type ByHand, SECOND_POUR_PCT, withAdditive } from "@/core/mix/byHand";
import { doseGrams, plain } from "@/core/units";
import { Segmented } from "../forms/Segmented";

interface Props {
  readonly water: ByHand;
  readonly powder: ByHand;
  readonly water_pct: number;
  readonly litres: number;
}

/** Plaster in its order: water first, powder into it; an additive in place of some water; the thinner second pour; litres of the mould. */
export function Plaster({ water, powder, water_pct, litres }: Props) {
  const [share, setShare] = useState<`${(typeof ADDITIVE_PCT)[number]}`>("0");
  const with_it = withAdditive(water.mass_g, Number(share));
  return (
    <section aria-label="Plaster">
      <h3 className="txt-label">Water first, then the powder into it</h3>
      <Segmented
        label="Acrylic additive, share of the water"
        value={share}
        options={ADDITIVE_PCT.map((pct) => [`${pct}` as const, pct === 0 ? "no additive" : `${pct} % of the water`] as const)}
        onChange={setShare}
      />
      <ol className="plaster-order">
        <li>
          <b>{doseGrams(with_it.water_g)}</b> of water
          {with_it.additive_g > 0 && (
            <>
              {" "}
              and <b>{doseGrams(with_it.additive_g)}</b> of acrylic additive: together as much as the water alone
            </>
          )}
        </li>
        <li>
          <b>{doseGrams(powder.mass_g)}</b> of {powder.name}, sifted in till islands stand; let it drink a minute, stir without air
        </li>
        <li>Pour from one side in one go, rap and tamp until no bubble rises</li>
        <li>
          Second pour: the same powder with {SECOND_POUR_PCT} % more water, once the first has sunk and stiffened; it runs into what is left
        </li>
      </ol>
      <p className="sub">
        It fills {plain(litres, litres < 1 ? 3 : 2)} litres of mould, {plain(water_pct, 0)} parts of water to 100 of powder.
      </p>
    </section>
  );
}
