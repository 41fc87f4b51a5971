import type { ReactNode } from "react";
import { Shelf, type ShelfItem } from "../shelf/Shelf";
import { Hatches } from "../signs/Hatches";
import type { Air } from "./climate";
import { Fresh } from "./Fresh";
import { Keys } from "./Keys";
import { ShopTime } from "./now";
import { TopBar } from "./TopBar";
import { Undo } from "./Undo";

interface Props {
  readonly place: string;
  readonly now: number;
  readonly timeZone: string;
  readonly people?: readonly string[];
  /** When the day begins and ends, `08:00`. */
  readonly hours?: readonly [from: string, to: string];
  readonly air?: Air;
  /** Absent while the record is away. */
  readonly shelf?: readonly ShelfItem[];
  readonly children: ReactNode;
}

/** What is on every page: the top bar, the Shelf, the keys, undo. */
export function Shell({ place, people = [], hours, now, timeZone, air, shelf, children }: Props) {
  return (
    <ShopTime start={now} timeZone={timeZone} hours={hours}>
      <Hatches />
      <Keys />
      <Fresh />
      <Undo>
        <div className="shell">
          <TopBar place={place} people={people} air={air} />
          <main className="shell-main">{children}</main>
          {shelf ? <Shelf items={shelf} /> : <p className="no-print border-t border-ink p-4">The Shelf comes back with the record.</p>}
        </div>
      </Undo>
    </ShopTime>
  );
}
