import { expect, it } from "vitest";
import type { RunScript, Segment } from "../../api/types";
import { calledNow } from "./called";

const work = (index: number): Segment => ({
  index,
  block: 0,
  kind: "WORK",
  startSec: 0,
  durationSec: 10,
  set: 0,
  turn: 0,
  side: 0,
  beside: null,
});
const script = {
  segments: [work(0), work(1)],
  blocks: [{ calls: { words: ["red", "blue"], everySec: 4, order: [0, 0, 1, 1, 0, 1] } }],
} as unknown as RunScript;

it("calls by the clock, and a later round goes on where the one before ended", () => {
  const words = (segment: Segment) => [0, 3_999, 4_000, 9_000].map((ms) => calledNow(script, segment, ms)?.word);
  expect(words(work(0))).toEqual(["red", "red", "red", "blue"]);
  expect(words(work(1))).toEqual(["blue", "blue", "red", "blue"]);
  expect(calledNow(script, work(0), 5_000)).toMatchObject({ number: 1, sinceMs: 1_000 });
  expect(calledNow(script, { ...work(0), kind: "REST" }, 0)).toBeUndefined();
});

it("calls a routine's moves at their own seconds, from the first in every round", () => {
  const routine = {
    segments: [work(0), work(1)],
    blocks: [
      {
        calls: {
          words: ["Waist, one side", "Waist, other side", "Hold"],
          everySec: 0,
          order: [0, 1, 2],
          atSec: [0, 3, 7],
        },
      },
    ],
  } as unknown as RunScript;
  const words = (segment: Segment) => [0, 2_999, 3_000, 8_000].map((ms) => calledNow(routine, segment, ms)?.word);
  expect(words(work(0))).toEqual(["Waist, one side", "Waist, one side", "Waist, other side", "Hold"]);
  expect(words(work(1))).toEqual(words(work(0)));
  expect(calledNow(routine, work(1), 8_000)).toMatchObject({ number: 2, sinceMs: 1_000 });
});
