"use client";
import { useState } from "react";
import { SEEN_FROM_UM, type SurfaceInput } from "@/core/level/surface";
import { formatMinutes, plain } from "@/core/units";
import type { Levelling } from "@/core/views/levelling";
import { Segmented } from "../forms/Segmented";
import { Sign } from "../signs/Sign";
import { RakingLight } from "./RakingLight";
import { type Drawn, useSurface } from "./useSurface";

const LENGTH_MM = 2;
const POINTS = 1000;
const ROWS = 96;
const SEED = 19;
const NONE = "none";

/** The surface that the ladder leaves, and what it would be with one rung skipped: reckoned in a worker, shown in raking light. */
export function SurfaceLeft({ level: { rungs, sanded, under } }: { level: Levelling }) {
  const inner = rungs.slice(1, -1);
  const [skip, setSkip] = useState<string>(inner.at(-1)?.op ?? NONE);
  const [cover, setCover] = useState<Levelling["under"]>(under);
  const { drawn, share, cancelled, start, cancel } = useSurface(ROWS);
  const skipped = rungs.find(({ op }) => op === skip);
  const ladders = [rungs, ...(skipped ? [rungs.filter(({ op }) => op !== skip)] : [])];
  const show = () =>
    void start(
      ladders.map(
        (each): SurfaceInput => ({
          rungs: each.map(({ micron, takes_um }) => ({ micron, takes_um })),
          sanded,
          length_mm: LENGTH_MM,
          points: POINTS,
          seed: SEED,
        }),
      ),
    );
  return (
    <section aria-label="Surface that is left" className="pt-4">
      <h2>The surface that will be left</h2>
      <div className="flex flex-wrap items-end gap-3 pt-2">
        <label className="txt-label">
          Skip a rung
          <select className="txt" value={skip} onChange={(event) => setSkip(event.target.value)}>
            {inner.map(({ op, label }) => (
              <option key={op} value={op}>
                without {label}
              </option>
            ))}
            <option value={NONE}>none: the whole ladder alone</option>
          </select>
        </label>
        <Segmented
          label="Seen"
          value={cover}
          options={[
            ["gloss", "in gloss"],
            ["satin", "in satin"],
            ["primer", "under coats"],
          ]}
          onChange={setCover}
        />
        {share === undefined ? (
          <button type="button" className="btn" onClick={show}>
            Show it
          </button>
        ) : (
          <button type="button" className="btn" onClick={cancel}>
            Cancel, {plain(share * 100, 0)} %
          </button>
        )}
      </div>
      {cancelled && <p className="sub">Cancelled.</p>}
      <div aria-live="polite" className="surface-pair">
        {drawn?.map((each, i) => (
          <One
            key={i === 0 ? "whole" : "skipped"}
            drawn={each}
            cover={cover}
            title={i === 0 ? "The whole ladder" : `Without ${skipped?.label ?? ""}`}
          />
        ))}
      </div>
      {drawn && skipped && (
        <p className="sub">
          Skipping {skipped.label} saves {formatMinutes(skipped.minutes[0])} to {formatMinutes(skipped.minutes[1])}.
        </p>
      )}
      <p className="sub">
        A picture of a model, not of your piece: 2 mm across the strokes, grains scattered as the standard allows, each rung given the time
        that is planned for it. It shows which scratch would stay; raking light shows which did.
      </p>
    </section>
  );
}

function One({ drawn: { surface, rows }, cover, title }: { drawn: Drawn; cover: Levelling["under"]; title: string }) {
  const [from, to] = SEEN_FROM_UM[cover];
  const { deepest_um, ra_um, rz_um, of_micron } = surface;
  const sign = deepest_um < from ? "done" : deepest_um < to ? "soon" : "never";
  const words = {
    done: "not seen",
    soon: "seen by who looks for it",
    never: "shows in raking light",
  }[sign];
  return (
    <figure>
      <figcaption>
        <b>{title}</b>
      </figcaption>
      <RakingLight rows={rows} cover={cover} label={`${title}: deepest scratch ${plain(deepest_um, 1)} µm, ${words}`} />
      <p>
        deepest <b>{plain(deepest_um, 1)} µm</b>, of a grain of {plain(of_micron, 1)} µm; Ra {plain(ra_um, 2)}, Rz {plain(rz_um, 1)} µm
      </p>
      <Sign name={sign} wrap>
        {words}; seen from {plain(from, 1)} to {plain(to, 1)} µm on
      </Sign>
    </figure>
  );
}
