/** A reading of the shop's air. `hand` holds until the next `sensor` row gives it back to the sensor. */
export interface HandReading {
  readonly at: string;
  readonly source: "hand" | "sensor";
  readonly temp_C: number;
  readonly rh_pct: number;
}

export interface ClimatePoint {
  readonly at: string;
  readonly temp_C: number;
}

const HOUR = 3_600_000;
/** The forecast repeats the last day this often: persistence, the plainest forecast there is. */
const DAYS_AHEAD = 7;

/**
 * The temperature for `cure`, from the first sensor point to a week ahead: the sensor's history, overridden where it was
 * set by hand; then the last 24 h of the sensor again and again, or, while set by hand, that figure.
 * `history` is in order of time and ends at `now` (ms).
 */
export function climateSamples(history: readonly ClimatePoint[], hands: readonly HandReading[], now: number): ClimatePoint[] {
  const spans = handSpans(hands);
  const past = history.map((point) => ({ at: point.at, temp_C: handAt(spans, Date.parse(point.at)) ?? point.temp_C }));
  // at both ends of a setting the air jumps: the sensor's own word stands right beside it, so that nothing before or after is bent
  const edges = spans.flatMap(({ from, to, temp_C }) => [
    ...beside(history, spans, from - 1),
    { at: iso(from), temp_C },
    ...(to <= now ? [{ at: iso(to - 1), temp_C }, ...beside(history, spans, to)] : []),
  ]);
  const known = [...past, ...edges].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const held = handAt(spans, now);
  if (held !== undefined) return [...known, { at: iso(now), temp_C: held }].filter(({ at }) => Date.parse(at) <= now);
  return [...known, ...forecast(history, now)];
}

/** What the sensor said at a moment, between its readings; nothing where the air was set by hand then. */
function beside(history: readonly ClimatePoint[], spans: readonly Span[], at: number): ClimatePoint[] {
  const next = history.findIndex((point) => Date.parse(point.at) >= at);
  const [before, after] = [history[next - 1], history[next]];
  if (!before || !after || handAt(spans, at) !== undefined) return [];
  const [from, to] = [Date.parse(before.at), Date.parse(after.at)];
  const share = to === from ? 0 : (at - from) / (to - from);
  return [{ at: iso(at), temp_C: before.temp_C + (after.temp_C - before.temp_C) * share }];
}

/** The last day again, for a week. */
function forecast(history: readonly ClimatePoint[], now: number): ClimatePoint[] {
  const lastDay = history.filter(({ at }) => Date.parse(at) > now - 24 * HOUR && Date.parse(at) <= now);
  return Array.from({ length: DAYS_AHEAD }, (_, day) =>
    lastDay.map(({ at, temp_C }) => ({ at: iso(Date.parse(at) + (day + 1) * 24 * HOUR), temp_C })),
  ).flat();
}

interface Span {
  readonly from: number;
  readonly to: number;
  readonly temp_C: number;
}

function handSpans(hands: readonly HandReading[]): Span[] {
  const rows = [...hands].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  return rows.flatMap(({ at, source, temp_C }, i) => {
    if (source !== "hand") return [];
    const next = rows[i + 1];
    return [{ from: Date.parse(at), to: next ? Date.parse(next.at) : Infinity, temp_C }];
  });
}

function handAt(spans: readonly Span[], at: number): number | undefined {
  return spans.find(({ from, to }) => at >= from && at < to)?.temp_C;
}

const iso = (ms: number) => new Date(ms).toISOString();
