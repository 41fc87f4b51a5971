"use client";
import { useState } from "react";
import type { RunningCure } from "@/core/plan/clocks";
import type { LayerRow } from "@/core/plan/layerRows";
import { PLANNED_MIN } from "@/core/plan/planned.data";
import { type StepMark, trimStep } from "@/core/record/treatment";
import { plain } from "@/core/units";
import { NumberField } from "../forms/NumberField";
import { parseNumber } from "../forms/parse";
import { useNow, useWall } from "../frame/now";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";

/** What is recorded of a layer while its clock runs: placed, trimmed, measured. */
export function LayerActs({ cure, layer, trimmed }: { cure: RunningCure; layer: LayerRow | undefined; trimmed: StepMark | undefined }) {
  const now = useNow();
  const wall = useWall();
  const log = useLog();
  if (!layer) return null;
  const at = (stage: string) => cure.stages.find((time) => time.stage === stage)?.at;
  const [firm, stiff, hard] = [at("firm"), at("stiff"), at("hard")];
  const trimOpen = firm !== undefined && stiff !== undefined && now >= firm && now < stiff;
  return (
    <div className="mt-2 grid gap-2">
      {layer.placed_mm === undefined && (
        <Figure
          label={`Layer ${layer.layer} placed`}
          planned={plain(layer.applied_mm, 2)}
          act="Placed"
          busy={log.busy}
          write={(value) => log.write({ kind: "placed", layer: layer.layer, applied_mm: value })}
          max={1000}
        />
      )}
      {layer.placed_mm !== undefined && firm !== undefined && !trimmed && now < (stiff ?? 0) && (
        <button
          type="button"
          className={`btn ${trimOpen ? "go" : ""}`}
          disabled={!trimOpen || log.busy}
          onClick={() => void log.write({ kind: "step-done", station: "fill", step: trimStep(layer.layer), hands_min: PLANNED_MIN.trim })}
        >
          {trimOpen ? `Trimmed layer ${layer.layer}` : `Not yet: trim ${wall.when(firm, now)} to ${wall.time(stiff ?? firm)}`}
        </button>
      )}
      {layer.placed_mm !== undefined && !trimmed && stiff !== undefined && now >= stiff && (
        <p className="sub">The firm window has passed untrimmed: file it when hard.</p>
      )}
      {trimmed && <Sign name="done">Trimmed {wall.when(Date.parse(trimmed.at), now)}</Sign>}
      {layer.placed_mm !== undefined && layer.measured_mm === undefined && hard !== undefined && now >= hard && (
        <Figure
          label="Surface measured, below = minus"
          planned={plain(layer.surface_mm, 2)}
          act="Note it"
          busy={log.busy}
          write={(value) => log.write({ kind: "measured", layer: layer.layer, surface_mm: value })}
          min={-1000}
          max={1000}
        />
      )}
    </div>
  );
}

interface FigureProps {
  readonly label: string;
  readonly planned: string;
  readonly act: string;
  readonly busy: boolean;
  readonly min?: number;
  readonly max: number;
  readonly write: (value: number) => Promise<boolean>;
}

function Figure({ label, planned, act, busy, min = 0, max, write }: FigureProps) {
  const [text, setText] = useState(planned);
  const parsed = parseNumber(text);
  const error = !parsed.ok
    ? parsed.message
    : parsed.value < min || parsed.value > max
      ? `Enter ${plain(min)} to ${plain(max)} mm.`
      : undefined;
  return (
    <form
      className="grid grid-cols-[minmax(0,1fr)_auto] gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (parsed.ok && !error) void write(parsed.value);
      }}
    >
      <NumberField name="mm" label={label} unit="mm" value={text} onChange={setText} error={error} />
      <button type="submit" className="btn go" disabled={busy || error !== undefined}>
        {act}
      </button>
    </form>
  );
}
