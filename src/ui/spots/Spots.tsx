"use client";
import { type PointerEvent, useState } from "react";
import type { PieceKind } from "@/core/catalogue";
import { SPOTS, type Spot, spotRow } from "@/core/fill/spots.data";
import { plain } from "@/core/units";
import type { FilledDamage } from "@/core/views/filledDamages";
import type { PlaceView } from "@/core/views/operationView";
import { roundFor, type SpotView } from "@/core/views/rounds";
import { useKept } from "../forms/kept";
import { NumberField } from "../forms/NumberField";
import { parseNumber } from "../forms/parse";
import { Segmented } from "../forms/Segmented";
import { BackTo } from "../operations/BackTo";
import { PieceIcon } from "../signs/PieceIcon";
import { Sign } from "../signs/Sign";
import { MovableMark, type Place } from "../survey/MovableMark";
import { useLog } from "../treatment/TreatmentLog";
import { SpotDots } from "./SpotDots";

interface Props {
  readonly kind: PieceKind;
  readonly photograph?: { readonly id: string; readonly caption: string };
  readonly damages: readonly FilledDamage[];
  readonly spots: readonly SpotView[];
}

const MIDDLE: Place = { x: 0.5, y: 0.5 };

/** What raking light, primer or a wiped colour shows: marked where it is, measured, and sent back to Fill in one press. */
export function Spots({ kind, photograph, damages, spots }: Props) {
  const [chosen, choose] = useState(damages[0]?.damage ?? "");
  const damage = damages.find((each) => each.damage === chosen) ?? damages[0];
  if (!damage) return null;
  return (
    <section aria-label="Found when looked at">
      <p className="dim pb-2">
        Raking light, primer or a wiped dark colour shows what eyes miss. Mark it where it is; the next round fills it.
      </p>
      {damages.length > 1 && (
        <label className="txt-label pb-2">
          Of
          <select className="txt" value={damage.damage} onChange={(event) => choose(event.target.value)}>
            {damages.map(({ damage: id, title }) => (
              <option key={id} value={id}>
                {title}
              </option>
            ))}
          </select>
        </label>
      )}
      <div className="spots">
        <Finder key={damage.damage} kind={kind} photograph={photograph} damage={damage} spots={spots} />
        <Found spots={spots.filter((spot) => spot.damage === damage.damage)} places={damage.places} />
      </div>
    </section>
  );
}

interface FinderProps {
  readonly kind: PieceKind;
  readonly photograph: Props["photograph"] | undefined;
  readonly damage: FilledDamage;
  readonly spots: readonly SpotView[];
}

interface Draft {
  readonly place: Place | null;
  readonly what: Spot;
  readonly depth: string;
}

/** The map with what is on record, and the mark that is being set. */
function Finder({ kind, photograph, damage, spots }: FinderProps) {
  const log = useLog();
  const first: Draft = { place: null, what: "low", depth: "" };
  const [draft, keep, forget] = useKept<Draft>(`spot:${log.treatment}:${damage.damage}`, first);
  const change = (to: Partial<Draft>) => keep({ ...draft, ...to });
  const depth = draft.depth.trim() === "" ? undefined : parseNumber(draft.depth);
  const wrong = depth && !(depth.ok && depth.value > 0 && depth.value <= 100) ? "Enter millimetres above 0, to 100." : undefined;
  const pressed = (event: PointerEvent<HTMLDivElement>) => {
    if (event.target instanceof Element && event.target.closest("button")) return;
    const box = event.currentTarget.getBoundingClientRect();
    change({ place: { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height } });
  };
  const write = async () => {
    if (!draft.place || wrong) return;
    const { x, y } = draft.place;
    const measured = spotRow(draft.what).measured && depth?.ok ? { depth_mm: depth.value } : {};
    if (!(await log.write({ kind: "spot-found", damage: damage.damage, x, y, what: draft.what, ...measured }))) return;
    keep(first);
    forget();
  };
  return (
    <div>
      <div className="map spot-map" onPointerUp={pressed}>
        {photograph ? (
          <img src={`/api/photographs/${photograph.id}`} alt={photograph.caption || "the piece"} />
        ) : (
          <PieceIcon kind={kind} size={250} />
        )}
        <SpotDots spots={spots} />
        {draft.place && (
          <MovableMark number="+" title="what was found" place={draft.place} busy={log.busy} put={(place) => change({ place })} />
        )}
      </div>
      {draft.place ? (
        <form
          method="post"
          className="grid gap-2 pt-2"
          onSubmit={(event) => {
            event.preventDefault();
            void write();
          }}
          noValidate
        >
          <Segmented
            label="What it is"
            value={draft.what}
            options={SPOTS.map(({ spot, label }) => [spot, label] as const)}
            onChange={(what) => change({ what })}
          />
          {spotRow(draft.what).measured && (
            <NumberField
              name={`depth-${damage.damage}`}
              label="How low, if measured"
              unit="mm"
              value={draft.depth}
              onChange={(text) => change({ depth: text })}
              error={wrong}
            />
          )}
          <div className="btn-row">
            <button type="submit" className="btn go" disabled={log.busy}>
              Mark it
            </button>
            <button type="button" className="btn" onClick={() => change({ place: null })}>
              Not now
            </button>
          </div>
        </form>
      ) : (
        <div className="btn-row pt-2">
          <button type="button" className="btn" onClick={() => change({ place: damage.mark ?? MIDDLE })}>
            Mark what you found
          </button>
          <span className="sub">or press on the picture</span>
        </div>
      )}
    </div>
  );
}

/** What was found of one damage, and the round that fills it. */
function Found({ spots, places }: { spots: readonly SpotView[]; places: readonly PlaceView[] }) {
  const log = useLog();
  const round = roundFor(spots);
  if (spots.length === 0) return <p className="dim">Nothing is marked yet.</p>;
  return (
    <div className="min-w-0">
      <ol aria-label="Found" className="map-list">
        {spots.map(({ entry, label, what, depth_mm, round: met }) => (
          <li key={entry} className="spot-row">
            <span className={`spot-no ${met === undefined ? "open" : ""}`}>{label}</span>
            <span>
              {spotRow(what).label}
              {depth_mm !== undefined && <b>, {plain(depth_mm, 2)} mm</b>}
            </span>
            {met === undefined ? (
              <button
                type="button"
                className="link-btn"
                disabled={log.busy}
                onClick={() => void log.write({ kind: "withdrawn" }, { corrects: entry })}
                aria-label={`Take back ${label}`}
              >
                Take back
              </button>
            ) : (
              <Sign name="done">round {met}</Sign>
            )}
          </li>
        ))}
      </ol>
      {round && places.length > 0 && (
        <div className="pt-3">
          <BackTo stations={["fill"]} here="fill" places={places} found={foundIn(round, places)} name={`back:${spots[0]?.damage}`} />
        </div>
      )}
    </div>
  );
}

/** Where there is one place it is the one that is meant. */
const foundIn = ({ because, low_mm }: NonNullable<ReturnType<typeof roundFor>>, places: readonly PlaceView[]) => ({
  places: places.length === 1 ? places.map(({ id }) => id) : [],
  because,
  low: low_mm === undefined ? "" : plain(low_mm, 2),
});
