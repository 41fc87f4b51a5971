"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { plain } from "@/core/units";
import { NumberField } from "../forms/NumberField";
import { parseNumber } from "../forms/parse";
import { fieldOf, send } from "../forms/send";
import type { Air } from "./climate";
import { useWall } from "./now";
import { Panel } from "./Panel";

/** Sets the air by hand, or gives it back to the sensor; loaded when it is first asked for. */
export function ClimateDialog({ air, close }: { air: Air; close: () => void }) {
  return (
    <Panel title="Climate at the bench" close={close}>
      <ClimateForm air={air} close={close} />
    </Panel>
  );
}

function ClimateForm({ air, close }: { air: Air; close: () => void }) {
  const router = useRouter();
  const wall = useWall();
  const [temp, setTemp] = useState(plain(air.temp_C));
  const [rh, setRh] = useState(plain(air.rh_pct, 0));
  const [errors, setErrors] = useState<Record<string, string>>({});
  const post = async (source: Air["source"]) => {
    const [temp_C, rh_pct] = [parseNumber(temp), parseNumber(rh)];
    if (!temp_C.ok || !rh_pct.ok) {
      setErrors({ ...(temp_C.ok ? {} : { temp_C: temp_C.message }), ...(rh_pct.ok ? {} : { rh_pct: rh_pct.message }) });
      return;
    }
    const sent = await send("POST", "/api/climate", { source, temp_C: temp_C.value, rh_pct: rh_pct.value });
    if (sent.ok) {
      close();
      router.refresh();
    } else
      setErrors({
        whole: sent.problem.detail,
        ...Object.fromEntries((sent.problem.errors ?? []).map((error) => [fieldOf(error), error.message])),
      });
  };
  return (
    <form
      method="post"
      className="mt-2 grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void post("hand");
      }}
    >
      <p>
        {air.source === "hand" && air.since
          ? `Set by hand at ${wall.stamp(Date.parse(air.since))}. All clocks run on this figure until you give it back to the sensor.`
          : air.sensor === ""
            ? "No sensor reads the air here. Clocks run on this figure until you set another."
            : `Read by the ${air.sensor}. Clocks run on what it read, and ahead on the last 24 hours over again.`}
      </p>
      <NumberField name="temp_C" label="Temperature" unit="°C" value={temp} onChange={setTemp} error={errors.temp_C} />
      <NumberField name="rh_pct" label="Humidity" unit="% RH" value={rh} onChange={setRh} error={errors.rh_pct} />
      {errors.whole && (
        <p className="wrong-note" role="alert">
          {errors.whole}
        </p>
      )}
      <div className="btn-row">
        <button type="submit" className="btn go">
          Run the clocks on this
        </button>
        {air.source === "hand" && (
          <button type="button" className="btn" onClick={() => void post("sensor")}>
            Back to the sensor
          </button>
        )}
        <button type="button" className="btn" onClick={close}>
          Leave it
        </button>
      </div>
    </form>
  );
}
