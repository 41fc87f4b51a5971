const HOUR = 60;
const DAY = 24 * HOUR;

/**
 * Minutes in the words of the bench: under an hour in minutes, under ten hours with minutes,
 * then whole hours, then days with hours.
 * @example formatMinutes(98) // => "1 h 38"
 * @example formatMinutes(1140) // => "19 h"
 */
export function formatMinutes(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole < HOUR) return `${whole} min`;
  if (whole < 10 * HOUR) return hoursAndMinutes(whole);
  const hours = Math.round(whole / HOUR);
  return hours < 36 ? `${hours} h` : daysAndHours(hours);
}

function hoursAndMinutes(minutes: number): string {
  const rest = minutes % HOUR;
  const hours = Math.floor(minutes / HOUR);
  return rest === 0 ? `${hours} h` : `${hours} h ${String(rest).padStart(2, "0")}`;
}

function daysAndHours(hours: number): string {
  const days = Math.floor(hours / (DAY / HOUR));
  const rest = hours % (DAY / HOUR);
  return rest === 0 || days > 6 ? `${days} d` : `${days} d ${rest} h`;
}

/** A running clock: `13:04`, and from 100 minutes on `1:40:04`. Never below zero. */
export function formatClock(seconds: number): string {
  const whole = Math.max(0, Math.floor(seconds));
  const two = (n: number) => String(n).padStart(2, "0");
  const minutes = Math.floor(whole / 60);
  if (minutes < 100) return `${two(minutes)}:${two(whole % 60)}`;
  return `${Math.floor(minutes / 60)}:${two(minutes % 60)}:${two(whole % 60)}`;
}
