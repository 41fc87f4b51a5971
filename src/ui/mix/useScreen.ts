"use client";
import { PX_PER_MM } from "@/core/units";
import { useKept } from "../forms/kept";

/** CSS pixels of a millimetre on this screen, once it was held against something of known size; kept on this device. */
export function useScreen() {
  const [{ px_per_mm, calibrated }, keep] = useKept<{ px_per_mm: number; calibrated: boolean }>("screen-mm", {
    px_per_mm: PX_PER_MM,
    calibrated: false,
  });
  return { px_per_mm, calibrated, calibrate: (px: number) => keep({ px_per_mm: px, calibrated: true }) };
}
