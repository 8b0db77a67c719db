import { describe, expect, it } from "vitest";
import type { RunScript } from "../../api/types";
import { roundAt, roundStart, roundsOfTurn, turnsEnded } from "./log";

const kinds = ["COUNT_IN", "WORK", "SIDE_SWAP", "WORK", "TURN_SWAP", "COUNT_IN", "WORK", "SIDE_SWAP", "WORK"] as const;
const lengths = [5, 20, 4, 20, 10, 5, 20, 4, 20];
const script: RunScript = {
  segments: kinds.map((kind, index) => ({
    index,
    block: 0,
    kind,
    startSec: lengths.slice(0, index).reduce((a, b) => a + b, 0),
    durationSec: lengths[index] ?? 0,
    set: 0,
    turn: index < 5 ? 0 : 1,
    side: [1, 6].includes(index) ? 0 : [3, 8].includes(index) ? 1 : -1,
    beside: null,
  })),
  blocks: [],
  circuits: [],
};

describe("rounds and turns", () => {
  it("a first side begins with its count-in, a second side with itself", () => {
    expect(roundStart(script.segments, 1)).toBe(0);
    expect(roundStart(script.segments, 3)).toBe(3);
    expect([0, 1, 2, 3, 4, 5].map((s) => roundAt(script.segments, s))).toEqual([1, 1, 1, 3, 3, 6]);
  });

  it("a turn has ended after its last side", () => {
    expect(roundsOfTurn(script.segments, 3)).toEqual([1, 3]);
    expect(turnsEnded(script.segments, 3)).toEqual([]);
    expect(turnsEnded(script.segments, 4)).toEqual([3]);
    expect(turnsEnded(script.segments, 9)).toEqual([3, 8]);
  });
});
