import { v7 } from "uuid";
import { sharedNow } from "./shared-clock";

/** Milliseconds that a time-ordered id carries in its first twelve digits. */
export function timeOf(id: string): number {
  return Number.parseInt(id.replace(/-/g, "").slice(0, 12), 16);
}

let last = 0;
let inSame = 0;

/**
 * An id that sorts after every id of the log so far, whatever clock that was made by: what was done after something was seen comes after it.
 *
 * @param seen the greatest id of the log, if there is one
 */
export function idAfter(seen: string | undefined): string {
  const least = Math.max(sharedNow(), last, seen ? timeOf(seen) + (timeOf(seen) > last ? 1 : 0) : 0);
  inSame = least === last ? inSame + 1 : 0;
  last = least;
  return v7({ msecs: last, seq: inSame });
}
