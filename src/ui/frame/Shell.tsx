import type { ReactNode } from "react";
import type { Shop } from "@/core/shop/shop.schema";
import { Shelf, type ShelfItem } from "../shelf/Shelf";
import { Hatches } from "../signs/Hatches";
import type { Air } from "./climate";
import { Fresh } from "./Fresh";
import { Keys } from "./Keys";
import { LastMinute } from "./LastMinute";
import { ShopTime } from "./now";
import { Tones } from "./Tones";
import { TopBar } from "./TopBar";
import { Undo } from "./Undo";

interface Props {
  readonly place: string;
  readonly now: number;
  readonly timeZone: string;
  /** Absent while the record is away, as is the Shelf. */
  readonly shop?: Shop;
  readonly air?: Air;
  readonly shelf?: readonly ShelfItem[];
  readonly children: ReactNode;
}

/** What is on every page: the top bar, the Shelf, the keys, undo. */
export function Shell({ place, shop, now, timeZone, air, shelf, children }: Props) {
  return (
    <ShopTime start={now} timeZone={timeZone} {...(shop ? { shop } : {})}>
      <Hatches />
      <Keys />
      <Fresh />
      {shop?.sounds && shelf && <Tones items={shelf} />}
      {shop && shelf && <LastMinute items={shelf} sounds={shop.sounds} flash={shop.flash} />}
      <Undo>
        <div className="shell">
          <TopBar place={place} people={shop?.people ?? []} air={air} />
          <main className="shell-main">{children}</main>
          {shelf ? <Shelf items={shelf} /> : <p className="no-print border-t border-ink p-4">The Shelf comes back with the record.</p>}
        </div>
      </Undo>
    </ShopTime>
  );
}
