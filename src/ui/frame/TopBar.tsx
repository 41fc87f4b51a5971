"use client";
import { usePathname } from "next/navigation";
import { OutboxButton } from "../outbox/OutboxButton";
import { AtBench } from "./AtBench";
import { ClimateButton } from "./ClimateButton";
import { Clock } from "./Clock";
import type { Air } from "./climate";
import { DESTINATIONS } from "./destinations";
import { FindOrJump } from "./FindOrJump";
import { Link } from "./Link";
import { Mark } from "./Mark";

/** Mark, places, find-or-jump, climate and clock. */
export function TopBar({ place, people, air }: { place: string; people: readonly string[]; air?: Air | undefined }) {
  const path = usePathname();
  // a treatment is reached through its object
  const under = path.startsWith("/treatments") ? "/objects" : path;
  const here = (href: string) => (href === "/" ? under === "/" : under.startsWith(href));
  return (
    <header className="top no-print">
      <Link href="/" className="mark tight-focus" aria-label="Wanderjahr, to the Bench">
        <Mark />
        <span>WANDERJAHR</span>
      </Link>
      {place !== "" && <div className="place">{twoLines(place)}</div>}
      <nav className="dest" aria-label="Places">
        {DESTINATIONS.map(({ href, label }) => (
          <Link key={href} href={href} aria-current={here(href) ? "page" : undefined}>
            {label}
          </Link>
        ))}
      </nav>
      <FindOrJump />
      <OutboxButton />
      <AtBench people={people} />
      {air && <ClimateButton air={air} />}
      <Clock />
    </header>
  );
}

function twoLines(place: string) {
  const [first, ...rest] = place.split(" ");
  return (
    <>
      {first}
      <br />
      {rest.join(" ")}
    </>
  );
}
