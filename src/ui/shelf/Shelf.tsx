"use client";
import { counted, inSentence } from "@/core/units";
import type { ActBrief } from "@/core/views/brief";
import { byRank, type Plate, platesOf } from "@/core/views/shelf";
import { Link } from "../frame/Link";
import { useNow, useWall } from "../frame/now";
import { Sign } from "../signs/Sign";

export interface ShelfItem {
  readonly id: string;
  readonly piece: string;
  readonly title: string;
  readonly brief: ActBrief;
}

/** Figures shrink from this many plates on; beyond the next, the last plate counts the rest. */
const TIGHT_FROM = 7;
const MOST_PLATES = 8;
const MOST_NARROW = 4;

interface Shown {
  readonly item: ShelfItem;
  readonly plate: Plate;
}

/** Every running cure, on every page: what may be touched, what not, until when. */
export function Shelf({ items }: { items: readonly ShelfItem[] }) {
  const now = useNow();
  const wall = useWall();
  const shown = items
    .flatMap((item) => platesOf(item.brief, now, wall).map((plate): Shown => ({ item, plate })))
    .sort((a, b) => byRank(a.plate, b.plate));
  return (
    <>
      <aside className="shelf no-print" aria-label="Shelf">
        <div className="shelf-label">
          <b>Shelf</b>
          {counted(shown.length, "clock")}
        </div>
        {shown.length === 0 ? (
          <p className="shelf-empty">Nothing is curing. A batch you mix stands here with its times, on every page.</p>
        ) : (
          <div className={`plates ${shown.length >= TIGHT_FROM ? "tight" : ""}`}>
            {shown.slice(0, shown.length > MOST_PLATES ? MOST_PLATES - 1 : MOST_PLATES).map((each, i) => (
              <PlateView key={`${each.item.id} ${each.plate.key}`} {...each} narrow={i >= MOST_NARROW} />
            ))}
            <More count={shown.length - MOST_PLATES + 1} when={shown.length > MOST_PLATES} wide />
            <More count={shown.length - MOST_NARROW} when={shown.length > MOST_NARROW} />
          </div>
        )}
        <div className="shelf-board">
          <svg aria-hidden="true">
            <rect width="100%" height="9" fill="url(#h-shelf)" />
          </svg>
        </div>
      </aside>
      <ShelfLine shown={shown} />
    </>
  );
}

function PlateView({ item, plate, narrow }: Shown & { narrow: boolean }) {
  return (
    <Link
      href={`/treatments/${item.id}/${plate.station}#${plate.key}`}
      className={`plate ${plate.sign} ${narrow ? "max-[1100px]:hidden" : ""}`}
      title={`${item.piece}, ${item.title}`}
    >
      <span className="plate-row">
        <span className="plate-name one-line">{item.piece}</span>
        <span className="plate-material one-line">{inSentence(plate.material)}</span>
      </span>
      <span className="plate-row">
        <Sign name={plate.sign}>{plate.word}</Sign>
        <span className="plate-left">{plate.left}</span>
      </span>
      <span className="plate-until one-line">{plate.until}</span>
      <span className="plate-bar">
        <i className={plate.sign} style={{ width: `${Math.round(plate.used * 1000) / 10}%` }} />
      </span>
    </Link>
  );
}

function More({ count, when, wide = false }: { count: number; when: boolean; wide?: boolean }) {
  if (!when) return null;
  return (
    <Link href="/objects" className={`plate-more ${wide ? "max-[1100px]:hidden" : "min-[1101px]:hidden"}`}>
      {count} more
    </Link>
  );
}

/** On a phone the Shelf is one line: the next act only. */
function ShelfLine({ shown }: { shown: readonly Shown[] }) {
  const first = shown[0];
  return (
    <aside aria-label="Shelf, in a line" className="shelf-line no-print">
      <Link href="/objects">
        <b>Shelf {shown.length}</b>
        <span className="one-line">{first ? `${first.item.piece}: ${first.plate.until}` : "nothing is curing"}</span>
        {first && <Sign name={first.plate.sign}>{first.plate.left}</Sign>}
      </Link>
    </aside>
  );
}
