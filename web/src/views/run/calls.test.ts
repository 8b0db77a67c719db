import { expect, it } from "vitest";
import type { Segment } from "../../api/types";
import { callNow, callsOf } from "./calls";

const segment = (kind: Segment["kind"]): Segment => ({
  index: 3,
  block: 0,
  kind,
  startSec: 0,
  durationSec: 30,
  set: 0,
  turn: 0,
  side: 0,
});

it("calls go, half time, ten seconds, the last three and stop", () => {
  expect(callsOf(segment("WORK"), 30_000).map((c) => [c.atMs / 1000, c.text])).toEqual([
    [0, "Go"],
    [15, "Halfway"],
    [20, "Ten seconds"],
    [27, "3"],
    [28, "2"],
    [29, "1"],
    [30, "Stop"],
  ]);
});

it("a short round has no half time, and a count-in counts three down", () => {
  expect(callsOf(segment("WORK"), 8_000).map((c) => c.text)).toEqual(["Go", "3", "2", "1", "Stop"]);
  expect(callsOf(segment("COUNT_IN"), 5_000).map((c) => c.atMs)).toEqual([2000, 3000, 4000]);
});

it("the screen reads a call for a moment only", () => {
  const calls = callsOf(segment("WORK"), 30_000);
  expect([0, 1500, 1700, 15_100, 27_500].map((ms) => callNow(calls, ms))).toEqual(["Go", "Go", "", "Halfway", "3"]);
});
