export const WIDTH = 420;
export const LEFT = 34;
const DAY_MS = 86_400_000;

/** Where a day stands on a chart of this width. */
export function timeAxis(from: string, to: string): (on: string) => number {
  const start = Date.parse(from);
  const days = Math.max(1, (Date.parse(to) - start) / DAY_MS);
  return (on) => LEFT + ((WIDTH - LEFT - 10) * (Date.parse(on) - start)) / DAY_MS / days;
}
