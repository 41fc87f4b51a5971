"use client";
import { useCallback, useEffect, useState } from "react";
import type { FieldValues, UseFormReturn } from "react-hook-form";

const PREFIX = "wanderjahr:draft:";

/** Keeps what is typed in a form on this device until it is saved, so that a closed tab loses nothing. */
export function useDraft<T extends FieldValues>(
  name: string,
  form: Pick<UseFormReturn<T>, "reset" | "watch" | "getValues">,
): { restored: boolean; clear: () => void } {
  const key = PREFIX + name;
  const [restored, setRestored] = useState(false);
  const { reset, watch, getValues } = form;
  useEffect(() => {
    const kept = localStorage.getItem(key);
    if (kept) {
      reset({ ...getValues(), ...(JSON.parse(kept) as T) }, { keepDefaultValues: true });
      setRestored(true);
    }
    const { unsubscribe } = watch((values) => localStorage.setItem(key, JSON.stringify(values)));
    return unsubscribe;
  }, [key, reset, watch, getValues]);
  const clear = useCallback(() => localStorage.removeItem(key), [key]);
  return { restored, clear };
}
