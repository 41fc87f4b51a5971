"use client";
import { useRouter } from "next/navigation";
import type { Station } from "@/core/catalogue";
import type { RouteStop } from "@/core/views/route";
import { useShortcut } from "../frame/keys";
import { Link } from "../frame/Link";

/** The way of a treatment, edge to edge: walked, now, to come, with the waits between. */
export function Route({ treatment, stops, here }: { treatment: string; stops: readonly RouteStop[]; here: Station | "written-up" }) {
  const router = useRouter();
  const index = stops.findIndex(({ station }) => station === here);
  const go = (i: number) => {
    const stop = stops[i];
    if (stop) router.push(`/treatments/${treatment}/${stop.station}`);
  };
  useShortcut("[", () => go(index - 1));
  useShortcut("]", () => go(index + 1));
  const now = stops.findIndex(({ status }) => status === "now");
  const several = stops.reduce((sum, { tokens }) => sum + tokens.length, 0) > 1;
  const walkedTo = now < 0 ? 100 : ((now + 0.5) / stops.length) * 100;
  return (
    <nav className="route" aria-label="Route of this treatment">
      <i className="route-walked" style={{ width: `${walkedTo}%` }} />
      {stops.map((stop, i) => (
        <Link
          key={stop.station}
          href={`/treatments/${treatment}/${stop.station}`}
          className="stop"
          data-status={stop.status}
          data-here={stop.station === here}
          aria-current={stop.station === here ? "step" : undefined}
        >
          {stop.wait && i < stops.length - 1 && (
            <span className="stop-wait">
              <span>{stop.wait}</span>
            </span>
          )}
          {stop.loop && (
            <span className="stop-loop" title={stop.loop.words}>
              <span className="one-line">↺ {stop.loop.words}</span>
            </span>
          )}
          <Disc status={stop.status} behind={now < 0 || i < now} />
          {several && (
            <span className="stop-tokens">
              {stop.tokens.map(({ number, damage, waits, round }) => (
                <span key={damage} className={`tok small ${waits ? "waits" : ""}`}>
                  <span className="visually-hidden">{`damage ${number} stands here${waits ? ", waiting" : ""}${round ? `, round ${round}` : ""}`}</span>
                  <span aria-hidden="true">{number}</span>
                </span>
              ))}
            </span>
          )}
          <span className="stop-name">{stop.label}</span>
          <span className="visually-hidden">{WORDS[stop.status]}. </span>
          <span className="stop-sub one-line">{stop.sub}</span>
        </Link>
      ))}
    </nav>
  );
}

const WORDS: Readonly<Record<RouteStop["status"], string>> = {
  walked: "done",
  skipped: "skipped",
  now: "now",
  "to-come": "to come",
  unneeded: "not needed",
};

function Disc({ status, behind }: { status: RouteStop["status"]; behind: boolean }) {
  const size = status === "now" ? 34 : 22;
  return (
    <svg className="stop-disc" width={size} height={size} viewBox={`${-size / 2} ${-size / 2} ${size} ${size}`} aria-hidden="true">
      {status === "now" && (
        <>
          <circle r="14.500" fill="var(--color-panel)" stroke="currentColor" strokeWidth="4" />
          <circle r="8" fill="var(--color-verdigris)" />
        </>
      )}
      {status === "walked" && (
        <>
          <circle r="9" fill="currentColor" />
          <path d="M-4 .2l3 3 5.200-6" stroke="var(--color-chalk)" strokeWidth="2" fill="none" />
        </>
      )}
      {status === "to-come" && <circle r="9" fill="var(--color-panel)" stroke="currentColor" strokeWidth="1.8" />}
      {(status === "unneeded" || status === "skipped") && (
        <>
          <circle r="8" fill="var(--color-panel)" stroke="currentColor" strokeWidth={behind ? 3.4 : 1.8} />
          {(!behind || status === "skipped") && <path d="M-5 5L5-5" stroke="currentColor" strokeWidth="1.8" />}
        </>
      )}
    </svg>
  );
}
