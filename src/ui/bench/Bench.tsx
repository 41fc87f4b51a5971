"use client";
import { useRouter } from "next/navigation";
import type { PieceKind } from "@/core/catalogue";
import { isOpen } from "@/core/shop/shop";
import { formatMinutes } from "@/core/units";
import { byUrgency } from "@/core/views/actState";
import { actAt, type BriefAct, type NextAct, waitsAt } from "@/core/views/brief";
import { MOST_COUNTED } from "@/core/views/listed";
import { useShortcut } from "../frame/keys";
import { Link } from "../frame/Link";
import { useNow, useShop, useWall } from "../frame/now";
import { Tokens } from "../operations/Tokens";
import type { ShelfItem } from "../shelf/Shelf";
import { PieceIcon } from "../signs/PieceIcon";
import { Sign, SignShape } from "../signs/Sign";
import { DayLine, type Timed } from "./DayLine";

export interface BenchItem extends ShelfItem {
  readonly kind: PieceKind;
  readonly damages: number;
}

interface Doable {
  readonly item: BenchItem;
  readonly act: NextAct;
}

/** A place that may not be touched yet. */
interface Waiting {
  readonly item: BenchItem;
  readonly act: BriefAct;
}

/** Lines beside the first one; the rest stands on Objects. */
const MOST_LINES = 8;

/** Bench: what to touch now, what next and when, what not to touch. */
export function Bench({ items, more }: { items: readonly BenchItem[]; more: number }) {
  const now = useNow();
  const all = items.map((item): Doable => ({ item, act: actAt(item.brief, now) }));
  const doable = all.filter(({ act }) => act.state !== "too-early" && act.state !== "closed").sort((a, b) => byUrgency(a.act, b.act));
  const waiting = items.flatMap((item) => waitsAt(item.brief, now).map((act): Waiting => ({ item, act }))).sort(byOpening);
  const [first, ...rest] = doable;
  const nextOpening = waiting[0];
  return (
    <div className="bench">
      <section className="bench-now" aria-label="What you can do now">
        {first ? <Hero {...first} /> : <AllWaiting next={nextOpening} />}
        {rest.slice(0, MOST_LINES).map((each, i) => (
          <Line key={each.item.id} {...each} number={i + 2} opens={nextOpening} />
        ))}
        {rest.length + more > MOST_LINES && (
          <Link href="/objects" className="link inline-flex min-h-[52px] items-center">
            {more >= MOST_COUNTED - items.length ? "Many" : rest.length + more - MOST_LINES} more on Objects
          </Link>
        )}
      </section>
      <HandsOff waiting={waiting} />
      <DayLine all={[...doable.flatMap(timed), ...waiting.map(({ item, act }): Timed => ({ item, act, state: "too-early" }))]} />
    </div>
  );
}

const byOpening = (a: Waiting, b: Waiting) => (a.act.from ?? 0) - (b.act.from ?? 0);

/** A doable act with a window, for the line of the day. */
function timed({ item, act }: Doable): Timed[] {
  return act.from !== undefined && (act.state === "now" || act.state === "closing") ? [{ item, act, state: act.state }] : [];
}

const hrefOf = ({ item, act }: Doable | Waiting) => `/treatments/${item.id}/${act.station}${act.op ? `#${act.op}` : ""}`;

function Hero(doable: Doable) {
  const { item, act } = doable;
  const now = useNow();
  const wall = useWall();
  const router = useRouter();
  useShortcut("1", () => router.push(hrefOf(doable)));
  const left = act.until === undefined ? undefined : Math.max(1, Math.round((act.until - now) / 60_000));
  return (
    <div className="hero">
      <div className="min-w-0">
        <HeroState act={act} until={act.until === undefined ? "" : wall.when(act.until, now)} />
        <h1 className={`hero-what clamp-3 ${act.title.length > 26 ? "long" : ""}`}>{act.title}</h1>
        <p className="hero-of">
          <PieceIcon kind={item.kind} size={30} />
          <span className="clamp-3">
            {item.piece}, {item.title}
          </span>
          <Tokens of={act.tokens} several={item.damages > 1} />
        </p>
        <p className="hero-why">{act.why}</p>
      </div>
      <div className="hero-count">
        {left === undefined ? (
          <p className="hero-left wide">
            {act.hands_min}
            <small>min of work</small>
          </p>
        ) : (
          <p className={`hero-left ${left > 99 ? "wide" : ""}`}>
            {left > 99 ? formatMinutes(left) : left}
            <small>{left > 99 ? "left" : "min left"}</small>
          </p>
        )}
        {act.until !== undefined && act.from !== undefined && (
          <div className="gauge mt-1">
            <i
              className={act.state === "closing" ? "soon" : "go"}
              style={{ width: `${Math.min(100, Math.max(0, ((now - act.from) / (act.until - act.from)) * 100))}%` }}
            />
          </div>
        )}
        <Link href={hrefOf(doable)} className="btn go big" style={{ marginTop: "auto" }}>
          Start, {formatMinutes(act.hands_min)} of work
        </Link>
      </div>
    </div>
  );
}

function HeroState({ act, until }: { act: NextAct; until: string }) {
  if (act.state === "closing")
    return (
      <span className="sign hero-state closing">
        <SignShape name="soon" size={17} />
        Window closing at {until}
      </span>
    );
  if (act.state === "never")
    return (
      <Sign name="never" size={16} className="hero-state never">
        Does not cure here
      </Sign>
    );
  if (act.state === "too-late")
    return (
      <Sign name="never" size={16} className="hero-state never">
        Its window has closed
      </Sign>
    );
  return (
    <Sign name="go" size={15} className="hero-state">
      {until ? `Work now, until ${until}` : "Work now"}
    </Sign>
  );
}

function Line({ number, opens, ...doable }: Doable & { number: number; opens: Waiting | undefined }) {
  const { item, act } = doable;
  const now = useNow();
  const wall = useWall();
  const router = useRouter();
  useShortcut(String(number), () => router.push(hrefOf(doable)));
  return (
    <div className="line">
      <PieceIcon kind={item.kind} size={36} />
      <div className="min-w-0">
        <p className="line-t clamp-3">
          {act.title}
          <span>
            {item.piece}, {item.title}
          </span>
          <Tokens of={act.tokens} several={item.damages > 1} />
        </p>
        <p className="dim leading-[18px]">{act.why}</p>
      </div>
      <p className="line-min">
        {act.hands_min}
        <small>min</small>
      </p>
      <p className="line-lim">
        <b>{act.until === undefined ? "No limit" : `Until ${wall.when(act.until, now)}`}</b>
        <br />
        {fits(act, opens, now, (ms) => wall.when(ms, now))}
      </p>
      <Link href={hrefOf(doable)} className="btn" aria-label={`Start: ${act.title}, ${item.piece}`}>
        Start
      </Link>
    </div>
  );
}

/** Whether it fits before the next window opens. */
function fits({ hands_min }: NextAct, opens: Waiting | undefined, now: number, when: (ms: number) => string): string {
  if (opens?.act.from === undefined) return "any time";
  const free = (opens.act.from - now) / 60_000;
  if (free > 12 * 60) return "any time";
  return hands_min <= free ? `fits until ${when(opens.act.from)}` : `won’t fit before ${when(opens.act.from)}`;
}

function AllWaiting({ next }: { next: Waiting | undefined }) {
  const now = useNow();
  const wall = useWall();
  return (
    <div className="hero">
      <div className="min-w-0">
        <Sign name="off" size={15} className="hero-state">
          Hands off everything
        </Sign>
        <h1 className="hero-what long">
          {next?.act.from === undefined ? "Nothing to do" : `Next: ${next.act.title}, ${wall.when(next.act.from, now)}`}
        </h1>
        <p className="hero-why">{next ? `${next.item.piece}. Until then nothing may be touched.` : "All treatments are closed."}</p>
      </div>
      <div className="hero-count">
        <Link href="/objects/new" className="btn big">
          New piece
        </Link>
      </div>
    </div>
  );
}

function HandsOff({ waiting }: { waiting: readonly Waiting[] }) {
  const now = useNow();
  const wall = useWall();
  const shop = useShop();
  return (
    <aside className="hands-off" aria-label="Hands off">
      <h2>
        <SignShape name="off" size={26} />
        Hands off
        <span>{waiting.length === 0 ? "nothing is setting" : "until the time shown"}</span>
      </h2>
      <div className="hands-off-list">
        {waiting.map(({ item, act }) => {
          const at = act.from ?? now;
          const when = wall.when(at, now);
          return (
            <Link key={`${item.id} ${act.op} ${act.title}`} href={hrefOf({ item, act })} className="off-row">
              <PieceIcon kind={item.kind} size={36} />
              <span className="min-w-0">
                <span className="off-name clamp-3">
                  {item.piece} <Tokens of={act.tokens} several={item.damages > 1} />
                </span>
                <span className="off-why clamp-3">
                  {act.title}. {act.hands_off}
                </span>
              </span>
              <span className={`off-time ${when.length > 5 ? "long" : ""}`}>
                {when}
                <small>{isOpen(shop, at, wall) ? formatMinutes(Math.max(1, (at - now) / 60_000)) : "nobody is here then"}</small>
              </span>
            </Link>
          );
        })}
      </div>
    </aside>
  );
}
