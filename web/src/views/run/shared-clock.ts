/**
 * The clock that all screens of a run share: the server's, as well as this device knows it. A tablet whose own clock is an hour wrong does no harm;
 * without a server the last known difference holds.
 */

const KEPT = "marble.clock";
/** Less than this is as likely the way of the answer as the clock. */
const WORTH_MS = 80;

let difference = Number(globalThis.localStorage?.getItem(KEPT) ?? 0) || 0;
let surest = Number.POSITIVE_INFINITY;

export function sharedNow(): number {
  return Date.now() + difference;
}

/**
 * Hears what the server's clock said.
 *
 * @param askedMs when it was asked, on this device's clock; unknown for what comes unasked
 */
export function heardClock(serverMs: number, askedMs?: number) {
  if (!Number.isFinite(serverMs)) return;
  const now = Date.now();
  const onTheWay = askedMs === undefined ? 400 : now - askedMs;
  const found = serverMs + (askedMs === undefined ? 0 : onTheWay / 2) - now;
  // A quick answer tells more than a slow one; a great difference means that a clock was set.
  if (Math.abs(found - difference) < Math.max(WORTH_MS, onTheWay)) return;
  if (onTheWay > surest && Math.abs(found - difference) < 1_000) return;
  surest = onTheWay;
  difference = Math.round(found);
  globalThis.localStorage?.setItem(KEPT, String(difference));
}
