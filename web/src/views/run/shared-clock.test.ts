import { afterEach, beforeEach, expect, it, vi } from "vitest";

/** Each test has a clock and ids of its own, as a freshly opened page has. */
const HOUR = 3_600_000;
const SERVER = 1_790_000_000_000;

beforeEach(() => {
  vi.resetModules();
  localStorage.clear();
  vi.useFakeTimers({ toFake: ["Date"] });
});

afterEach(() => vi.useRealTimers());

it("a tablet whose clock is an hour behind goes by the server's, and keeps doing so without it", async () => {
  vi.setSystemTime(SERVER - HOUR);
  const first = await import("./shared-clock");
  first.heardClock(SERVER + 20, Date.now() - 40);
  expect(Math.abs(first.sharedNow() - SERVER)).toBeLessThan(100);

  vi.resetModules();
  const reloaded = await import("./shared-clock");
  expect(Math.abs(reloaded.sharedNow() - SERVER)).toBeLessThan(100);
});

it("small differences and slow answers do not make the clock jump", async () => {
  vi.setSystemTime(SERVER);
  const { heardClock, sharedNow } = await import("./shared-clock");
  heardClock(SERVER + HOUR, Date.now() - 20);
  const before = sharedNow();
  heardClock(SERVER + HOUR + 60, Date.now() - 20);
  heardClock(SERVER + HOUR - 500, Date.now() - 900);
  heardClock(Number.NaN);
  expect(sharedNow()).toBe(before);
});

it("what was done after something was seen sorts after it, whatever the clocks say", async () => {
  vi.setSystemTime(SERVER - HOUR);
  const { idAfter, timeOf } = await import("./ids");
  const alone = idAfter(undefined);
  expect(timeOf(alone)).toBe(SERVER - HOUR);
  const fast = alone.replace(
    /^.{8}-.{4}/,
    (SERVER + HOUR)
      .toString(16)
      .padStart(12, "0")
      .replace(/^(.{8})/, "$1-"),
  );
  const after = [idAfter(fast), idAfter(fast), idAfter(fast)];
  expect([fast, ...after].sort()).toEqual([fast, ...after]);
});
