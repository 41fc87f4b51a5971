"use client";
import { byMeasures, type KnownVolume, known, together, VOLUME_WAYS, type VolumeWay } from "@/core/fill/volumeWays";
import type { BodyOf } from "@/core/record/events.schema";
import { doseGrams, plain } from "@/core/units";
import type { FilledPlace } from "@/core/views/fillPlaces";
import { useKept } from "../forms/kept";
import { NumberField } from "../forms/NumberField";
import { parseNumber } from "../forms/parse";
import { Segmented } from "../forms/Segmented";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";

type Typed = Partial<Record<VolumeWay["way"], string>>;
const MOST = 100_000;

/** Ways to know a volume besides measures, side by side with their spread, and what to mix by all of them together. */
export function HowMuch({ places }: { places: readonly FilledPlace[] }) {
  const log = useLog();
  const [{ shown, typed }, keep] = useKept<{ shown: string; typed: Record<string, Typed> }>(`how-much:${log.treatment}`, {
    shown: "",
    typed: {},
  });
  const place = places.find(({ id }) => id === shown) ?? places[0];
  if (!place) return null;
  const mine = typed[place.id] ?? {};
  const change = (way: VolumeWay["way"], text: string) =>
    keep({ shown: place.id, typed: { ...typed, [place.id]: { ...mine, [way]: text } } });
  const others = VOLUME_WAYS.flatMap(({ way }) => {
    const read = parseNumber(mine[way] ?? "");
    const found = read.ok && read.value <= MOST ? known(way, read.value, place.density) : undefined;
    return found ? [found] : [];
  });
  return (
    <details className="panel-block">
      <summary className="link-btn inline-flex cursor-pointer items-center">How much: measured another way</summary>
      {places.length > 1 && (
        <Segmented
          label="Place to measure"
          value={place.id}
          options={places.map(({ id, label }) => [id, label] as const)}
          onChange={(id) => keep({ shown: id, typed })}
        />
      )}
      <div className="how-much">
        {VOLUME_WAYS.map(({ way, label, unit, hint }) => (
          <NumberField
            key={way}
            name={`how_much_${way}`}
            label={label}
            unit={unit}
            value={mine[way] ?? ""}
            onChange={(text) => change(way, text)}
            error={errorIn(mine[way] ?? "")}
            note={hint}
          />
        ))}
      </div>
      <Compared place={place} volumes={[byMeasures(place.measured_cm3), ...others]} />
    </details>
  );
}

function errorIn(text: string): string | undefined {
  if (text.trim() === "") return undefined;
  const read = parseNumber(text);
  if (!read.ok) return read.message;
  return read.value > 0 && read.value <= MOST ? undefined : "Enter more than nothing, or leave it empty.";
}

/** Nearer than this two volumes are one. */
const SAME = 0.01;

/** What is set of a fill, with a volume that is known better than by its solids. */
const withVolume = ({ id, damage, set }: FilledPlace, cm3: number, by: string): BodyOf<"fill-set"> => ({
  ...set,
  kind: "fill-set",
  damage,
  volumes: [...(set?.volumes ?? []).filter(({ place }) => place !== id), { place: id, cm3, by }],
});

function Compared({ place, volumes }: { place: FilledPlace; volumes: readonly KnownVolume[] }) {
  const log = useLog();
  const all = together(volumes);
  const by = volumes.slice(1).map(({ label }) => label.toLowerCase());
  const known = withVolume(place, all.cm3, [...by, "measures"].join(", "));
  const most = Math.max(...volumes.map(({ cm3, off_pct }) => cm3 * (1 + off_pct / 100)));
  const grams = place.cm3 > 0 ? (place.planned_g * all.cm3) / place.cm3 : 0;
  return (
    <div aria-live="polite" className="pt-2">
      <table className="lst">
        <tbody>
          {volumes.map(({ label, cm3, off_pct }) => (
            <tr key={label}>
              <td>{label}</td>
              <td className="num whitespace-nowrap">
                <b>{plain(cm3, 2)} cm³</b> ± {plain(off_pct, 0)} %
              </td>
              <td className="w-1/2">
                <svg viewBox="0 0 100 10" preserveAspectRatio="none" className="how-much-bar" aria-hidden="true">
                  <path
                    d={`M${((cm3 * (1 - off_pct / 100)) / most) * 100} 5H${((cm3 * (1 + off_pct / 100)) / most) * 100}`}
                    stroke="currentColor"
                    strokeWidth="3"
                  />
                  <path d={`M${(cm3 / most) * 100} 0V10`} stroke="currentColor" strokeWidth="1.500" />
                </svg>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {volumes.length > 1 && !all.disagree && (
        <p className="pt-2 text-read leading-[23px]">
          Together <b>{plain(all.cm3, 2)} cm³</b>, {plain(all.spread_pct, 0)} % apart. Mix <b>{doseGrams(grams)}</b> of {place.material} in
          all; planned are {doseGrams(place.planned_g)} for {plain(place.cm3, 2)} cm³.
        </p>
      )}
      {volumes.length > 1 && !all.disagree && Math.abs(all.cm3 / place.cm3 - 1) > SAME && (
        <button type="button" className="btn" disabled={log.busy} onClick={() => void log.write(known)}>
          Plan with {plain(all.cm3, 2)} cm³
        </button>
      )}
      {all.disagree && (
        <Sign name="soon" wrap>
          They differ by more than their errors explain: measure again, or look whether the loss goes deeper than it shows.
        </Sign>
      )}
    </div>
  );
}
