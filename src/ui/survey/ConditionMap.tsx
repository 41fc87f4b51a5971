"use client";
import Link from "next/link";
import { useState } from "react";
import type { PieceKind } from "@/core/catalogue";
import { Segmented } from "../forms/Segmented";
import { PieceIcon } from "../signs/PieceIcon";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";
import { at, HIGH, MovableMark, type Place } from "./MovableMark";

export interface DamageMark {
  readonly id: string;
  readonly title: string;
  readonly part: string;
  readonly size: string;
  readonly closed: boolean;
  readonly mark?: { readonly x: number; readonly y: number };
}

interface Props {
  readonly kind: PieceKind;
  readonly damages: readonly DamageMark[];
  readonly photograph?: { readonly id: string; readonly caption: string };
  /** Where a further damage is entered; absent = not from here. */
  readonly piece?: string;
  /** The treatment whose own mark may be moved here; absent = nothing moves. */
  readonly own?: string;
}

/** A mark that nobody has placed stands in the row at the foot. */
const unplaced = (i: number): Place => ({ x: Math.min(0.06 + i * 0.1, 0.94), y: 0.94 });

/** Where the damages are: numbered marks on the photograph or a plain outline; marks stay where they are when the two are swapped. */
export function ConditionMap({ kind, damages, photograph, own, piece }: Props) {
  const [face, setFace] = useState<"photograph" | "outline">(photograph ? "photograph" : "outline");
  const shown = photograph && face === "photograph" ? photograph : undefined;
  return (
    <section aria-label="Condition map">
      <div className="flex items-center justify-between gap-3 pb-2">
        <h2>Condition map</h2>
        {photograph && own && (
          <Segmented
            label="Drawn on"
            value={face}
            options={[
              ["photograph", "Photograph"],
              ["outline", "Outline"],
            ]}
            onChange={setFace}
          />
        )}
      </div>
      <div className="map">
        {shown ? <img src={`/api/photographs/${shown.id}`} alt={shown.caption || "the piece"} /> : <PieceIcon kind={kind} size={250} />}
        {damages.map((damage, i) =>
          damage.id === own ? (
            <OwnMark
              key={damage.id}
              number={i + 1}
              title={damage.title}
              place={damage.mark ?? unplaced(i)}
              placed={damage.mark !== undefined}
            />
          ) : (
            <Mark key={damage.id} number={i + 1} place={damage.mark ?? unplaced(i)} />
          ),
        )}
      </div>
      <ol className="map-list">
        {damages.map((damage, i) => (
          <li key={damage.id} className={damage.id === own ? "here" : ""}>
            <span className={`map-no ${damage.id === own ? "own" : ""}`}>{i + 1}</span>
            {damage.id === own ? (
              <b className="clamp-3">{damage.title}</b>
            ) : (
              <Link className="link clamp-3" href={`/treatments/${damage.id}/survey`}>
                {damage.title}
              </Link>
            )}
            <span className="sub text-right">
              {damage.closed ? <Sign name="done">closed</Sign> : [damage.part, damage.size].filter(Boolean).join(", ")}
            </span>
          </li>
        ))}
      </ol>
      {piece && (
        <Link className="link-btn inline-flex items-center" href={`/objects/${piece}`}>
          Add another damage
        </Link>
      )}
    </section>
  );
}

function Mark({ number, place }: { number: number; place: Place }) {
  return (
    <span className={`map-mark ${place.y < HIGH ? "low" : ""}`} style={at(place)}>
      <span className="map-dot" />
      <span className="map-no">{number}</span>
    </span>
  );
}

/** The mark of this damage; where it is put goes into the treatment's log. */
function OwnMark({ number, title, place, placed }: { number: number; title: string; place: Place; placed: boolean }) {
  const log = useLog();
  return (
    <>
      <MovableMark number={number} title={title} place={place} busy={log.busy} put={(to) => log.write({ kind: "marked", ...to })} />
      {!placed && <span className="map-hint">Drag mark {number} to the damage</span>}
    </>
  );
}
