import { expect, it } from "vitest";
import type { RunScript, Segment } from "../../api/types";
import { beatsOf, callNow, callsOf, changeOf } from "./calls";

const segment = (kind: Segment["kind"]): Segment => ({
  index: 3,
  block: 0,
  kind,
  startSec: 0,
  durationSec: 30,
  set: 0,
  turn: 0,
  side: 0,
  beside: null,
});

const told = (sec: number) => callsOf(segment("WORK"), sec * 1000).map((c) => `${c.atMs / 1000} ${c.text}`);

it("calls go, half time, the seconds left, the last five and stop", () => {
  expect(told(40)).toEqual([
    ..."0 Go|10 30 seconds|20 Halfway|25 15 seconds|30 10 seconds|35 5|36 4|37 3|38 2|39 1|40 Stop".split("|"),
  ]);
  expect(told(90)).toContain("60 30 seconds");
  expect(told(60).filter((c) => c.startsWith("30 "))).toEqual(["30 Halfway"]);
});

it("a short round has no half time, and a count-in counts three down", () => {
  expect(told(8)).toEqual(["0 Go", "3 5", "4 4", "5 3", "6 2", "7 1", "8 Stop"]);
  expect(callsOf(segment("COUNT_IN"), 5_000).map((c) => c.atMs)).toEqual([2000, 3000, 4000]);
  expect(callsOf(segment("WATER"), 60_000).map((c) => c.text)).toEqual(["Water"]);
});

it("the screen reads a call for a moment only", () => {
  const calls = callsOf(segment("WORK"), 30_000);
  expect([0, 1500, 1700, 15_100, 27_500].map((ms) => callNow(calls, ms))).toEqual(["Go", "Go", "", "Halfway", "3"]);
});

it("the beat keeps the rung's pace within the round, and only where one is wanted", () => {
  expect(beatsOf(segment("WORK"), 10_000, 2.5).map((b) => b.atMs)).toEqual([2500, 5000, 7500]);
  expect(beatsOf(segment("WORK"), 10_000, null)).toEqual([]);
  expect(beatsOf(segment("REST"), 10_000, 2.5)).toEqual([]);
});

it("a second side has its own three, two, one, and a change of roles is called as one", () => {
  const swap = callsOf(segment("SIDE_SWAP"), 5_000);
  expect(swap.map((c) => `${c.atMs / 1000} ${c.text}`)).toEqual(["0 Change sides", "2 3", "3 2", "4 1"]);
  expect(callsOf(segment("SIDE_SWAP"), 2_000).map((c) => c.text)).toEqual(["Change sides", "1"]);

  const at = (index: number, kind: Segment["kind"], turn: number): Segment => ({ ...segment(kind), index, turn });
  const swapping = (second: { wave: number; part: number }) =>
    changeOf(
      {
        segments: [at(0, "WORK", 0), at(1, "TURN_SWAP", -1), at(2, "WORK", 1)],
        blocks: [{ turns: [{ wave: 0, part: 0 }, second] }],
      } as unknown as RunScript,
      at(1, "TURN_SWAP", -1),
    );
  expect(swapping({ wave: 0, part: 1 })).toBe("ROLES");
  expect(swapping({ wave: 1, part: 0 })).toBe("PLACES");
});
