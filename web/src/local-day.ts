/** A day as the clock on the wall says it, as "2026-11-27": shortly after midnight it is the new one, wherever the school is. */
export function localDay(at = new Date()): string {
  const two = (n: number) => String(n).padStart(2, "0");
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
}

/** So many days before a day. */
export function daysBefore(day: string, days: number): string {
  return plusDays(day, -days);
}

/** So many days after a day. */
export function plusDays(day: string, days: number): string {
  const at = new Date(`${day}T12:00:00`);
  at.setDate(at.getDate() + days);
  return localDay(at);
}

/** How many days one day is after another. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(`${to}T12:00:00Z`) - Date.parse(`${from}T12:00:00Z`)) / A_DAY_MS);
}

const A_DAY_MS = 86_400_000;
