"use client";
import { useState } from "react";
import type { Station } from "@/core/catalogue";
import type { PlaceView } from "@/core/views/operationView";
import { lazily } from "../frame/lazily";
import type { RoundDraft } from "./RoundForm";

const RoundForm = lazily(() => import("./RoundForm").then((module) => module.RoundForm));

interface Props {
  readonly stations: readonly Station[];
  readonly here: Station;
  readonly places: readonly PlaceView[];
  /** What was found, where that is known: the press says it and the form holds it. */
  readonly found?: Pick<RoundDraft, "places" | "because" | "low">;
  /** What is found is kept apart from what else is. */
  readonly name?: string;
}

/** The press that opens a further round: the operations of its places come again from an earlier station on. */
export function BackTo({ stations, here, places, found, name = "back" }: Props) {
  const [open, setOpen] = useState(false);
  const worked = places.filter(({ kind }) => kind !== "surface" && kind !== "core");
  if (stations.length === 0 || worked.length === 0) return null;
  const station = stations.includes("fill") ? "fill" : (stations.at(-1) ?? here);
  const first: RoundDraft = {
    station,
    places: worked.length === 1 ? worked.map(({ id }) => id) : [],
    because: "",
    low: "",
    count: "1",
    filler: "",
    ...found,
  };
  if (open) return <RoundForm name={name} stations={stations} places={worked} first={first} close={() => setOpen(false)} />;
  return (
    <button type="button" className={found ? "btn go" : "link-btn"} onClick={() => setOpen(true)}>
      {found ? `Back to Fill: ${found.because}` : "Back to …"}
    </button>
  );
}
