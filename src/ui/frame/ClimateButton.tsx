"use client";
import { useRouter } from "next/navigation";
import { Dialog } from "radix-ui";
import { useState } from "react";
import { plain } from "@/core/units";
import { NumberField } from "../forms/NumberField";
import { parseNumber } from "../forms/parse";
import { fieldOf, send } from "../forms/send";
import type { Air } from "./climate";
import { useWall } from "./now";

/** The air that all clocks run on; opens the form to set it by hand. */
export function ClimateButton({ air }: { air: Air }) {
  const [open, setOpen] = useState(false);
  const reading = `${plain(air.temp_C)} °C · ${plain(air.rh_pct, 0)} % RH`;
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="clim" aria-label={`Climate: ${reading}${air.source === "hand" ? ", set by hand" : ""}. Change it`}>
        {air.source === "hand" ? `by hand ${reading}` : reading}
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="overlay" />
        <Dialog.Content className="dialog" aria-describedby={undefined}>
          <Dialog.Title asChild>
            <h2>Climate at the bench</h2>
          </Dialog.Title>
          <ClimateForm air={air} close={() => setOpen(false)} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
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
      className="mt-2 grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void post("hand");
      }}
    >
      <p>
        {air.source === "hand" && air.since
          ? `Set by hand at ${wall.stamp(Date.parse(air.since))}. All clocks run on this figure until you give it back to the sensor.`
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
        <Dialog.Close className="btn">Leave it</Dialog.Close>
      </div>
    </form>
  );
}
