"use client";
import { useState } from "react";
import type { PieceKind } from "@/core/catalogue";
import type { SpotView } from "@/core/views/rounds";
import { Segmented } from "../forms/Segmented";
import { Link } from "../frame/Link";
import { PieceIcon } from "../signs/PieceIcon";
import { Sign } from "../signs/Sign";
import { SpotDots } from "../spots/SpotDots";
import { useLog } from "../treatment/TreatmentLog";
import { at, HIGH, MovableMark, type Place } from "./MovableMark";

export interface DamageMark {
  readonly treatment: string;
  readonly damage: string;
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
  /** The treatment whose damages are numbered; those of others wear letters. */
  readonly treatment: string;
  /** The damage whose own mark may be moved here; absent = nothing moves. */
  readonly own?: string;
  /** What was found of filled faces since. */
  readonly spots?: readonly SpotView[];
}

/** A mark that nobody has placed stands in the row at the foot. */
const unplaced = (i: number): Place => ({ x: Math.min(0.06 + i * 0.1, 0.94), y: 0.94 });

/** Where the damages are: numbered marks on the photograph or a plain outline; marks stay where they are when the two are swapped. */
export function ConditionMap({ kind, damages, photograph, own, treatment, spots = [] }: Props) {
  const labels = labelsOf(damages, treatment);
  const isOwn = (each: DamageMark) => each.treatment === treatment && each.damage === own;
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
          isOwn(damage) ? (
            <OwnMark
              key={keyOf(damage)}
              damage={damage.damage}
              label={labels[i] ?? ""}
              title={damage.title}
              place={damage.mark ?? unplaced(i)}
              placed={damage.mark !== undefined}
            />
          ) : (
            <Mark key={keyOf(damage)} label={labels[i] ?? ""} place={damage.mark ?? unplaced(i)} />
          ),
        )}
        <SpotDots spots={spots} />
      </div>
      <ol className="map-list">
        {damages.map((damage, i) => (
          <li key={keyOf(damage)} className={isOwn(damage) ? "here" : ""}>
            <span className={`map-no ${isOwn(damage) ? "own" : ""}`}>{labels[i]}</span>
            {isOwn(damage) ? (
              <b className="clamp-3">{damage.title}</b>
            ) : (
              <Link className="link clamp-3" href={`/treatments/${damage.treatment}/survey?damage=${damage.damage}`}>
                {damage.title}
              </Link>
            )}
            <span className="sub text-right">
              {damage.closed ? <Sign name="done">closed</Sign> : [damage.part, damage.size].filter(Boolean).join(", ")}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}

const keyOf = ({ treatment, damage }: DamageMark) => `${treatment} ${damage}`;

/** Numbers within the treatment, as its tokens wear them; letters for damages of other treatments. */
function labelsOf(damages: readonly DamageMark[], treatment: string): string[] {
  const nth = (each: DamageMark, same: boolean) => damages.filter((other) => (other.treatment === treatment) === same).indexOf(each);
  return damages.map((each) =>
    each.treatment === treatment ? String(nth(each, true) + 1) : String.fromCharCode(97 + (nth(each, false) % 26)),
  );
}

function Mark({ label, place }: { label: string; place: Place }) {
  return (
    <span className={`map-mark ${place.y < HIGH ? "low" : ""}`} style={at(place)}>
      <span className="map-dot" />
      <span className="map-no">{label}</span>
    </span>
  );
}

/** The mark of this damage; where it is put goes into the treatment's log. */
function OwnMark({ damage, label, title, place, placed }: { damage: string; label: string; title: string; place: Place; placed: boolean }) {
  const log = useLog();
  return (
    <>
      <MovableMark number={label} title={title} place={place} busy={log.busy} put={(to) => log.write({ kind: "marked", damage, ...to })} />
      {!placed && <span className="map-hint">Drag mark {label} to the damage</span>}
    </>
  );
}
