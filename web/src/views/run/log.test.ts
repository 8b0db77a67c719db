import { describe, expect, it } from "vitest";
import type { RunEvent, RunScript } from "../../api/types";
import { disputes, Played, roundAt, roundStart, roundsOfTurn, standing, tallies, tallyKey, turnsEnded } from "./log";

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
  })),
  blocks: [],
};

let number = 0;
function event(kind: RunEvent["kind"], sec: number, details: Partial<RunEvent> = {}): RunEvent {
  number++;
  return {
    id: `0198-${String(number).padStart(6, "0")}`,
    kind,
    atMs: 1_000_000 + sec * 1000,
    segment: null,
    offsetMs: null,
    take: null,
    pupilId: null,
    score: null,
    addSec: null,
    target: null,
    device: null,
    note: null,
    xCm: null,
    yCm: null,
    ...details,
  };
}

const play = (...events: RunEvent[]) => new Played(script, standing(events));
const at = (played: Played, sec: number) => {
  const p = played.at(1_000_000 + sec * 1000);
  return [p.segment, p.offsetMs];
};
const go = () => event("GO", 0, { segment: 0, offsetMs: 0 });

describe("where a run stands", () => {
  it("flows through the segments and stays at the end", () => {
    const played = play(go());
    expect(at(played, 4.9)).toEqual([0, 4900]);
    expect(at(played, 5)).toEqual([1, 0]);
    expect(at(played, 30)).toEqual([3, 1000]);
    expect(at(played, 9999)).toEqual([9, 0]);
  });

  it("holds the second and goes on from it", () => {
    const held = [go(), event("HOLD", 12, { segment: 1, offsetMs: 7000 })];
    expect(at(play(...held), 500)).toEqual([1, 7000]);
    expect(at(play(...held, event("GO", 60, { segment: 1, offsetMs: 7000 })), 62)).toEqual([1, 9000]);
  });

  it("jumps while held stay held, and a jump taken back never was", () => {
    const first = go();
    const next = event("NEXT", 3, { segment: 4, offsetMs: 0 });
    expect(at(play(first, next), 5)).toEqual([4, 2000]);
    expect(at(play(first, next, event("TAKE_BACK", 5, { target: next.id })), 6)).toEqual([1, 1000]);
    expect(at(play(event("NEXT", 3, { segment: 4, offsetMs: 0 })), 60)).toEqual([4, 0]);
  });

  it("added seconds make a segment longer from where it is", () => {
    const played = play(go(), event("EXTEND", 10, { segment: 1, addSec: 15 }));
    expect(at(played, 39)).toEqual([1, 34_000]);
    expect(at(played, 41)).toEqual([2, 1000]);
  });

  it("counts how often a round was begun", () => {
    const played = play(
      go(),
      event("AGAIN", 8, { segment: 0, offsetMs: 0 }),
      event("BACK", 70, { segment: 5, offsetMs: 0 }),
    );
    expect([1, 3, 6, 8].map((s) => played.take(s))).toEqual([2, 2, 3, 3]);
  });
});

describe("what the pads show", () => {
  it("hits, misses and the last number told, without what was taken back", () => {
    const tap = (kind: RunEvent["kind"], score: number | null = null) =>
      event(kind, 9, { segment: 1, take: 1, pupilId: "ada", score });
    const wrong = tap("HIT");
    const log = [
      tap("HIT"),
      wrong,
      tap("MISS"),
      event("TAKE_BACK", 9, { target: wrong.id }),
      tap("COLLECT", 7),
      tap("COLLECT", 8),
    ];
    expect(tallies(standing(log)).get(tallyKey(1, 1, "ada"))).toMatchObject({ hits: 1, misses: 1, told: 8 });
  });
});

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

describe("two devices and one log", () => {
  const tap = (device: string, kind: RunEvent["kind"] = "HIT") =>
    event(kind, 8, { segment: 1, take: 1, pupilId: "ada", device });

  it("are never added up, and whose count stands is asked until somebody says so or a number is told", () => {
    const log = [tap("a"), tap("b"), tap("a"), tap("b", "MISS"), tap("b")];
    const counts = tallies(standing(log));
    expect(counts.get(tallyKey(1, 1, "ada"))).toMatchObject({ hits: 2, misses: 0 });
    expect(disputes(counts)).toHaveLength(1);

    const settled = tallies(standing([...log, event("STANDS", 9, { segment: 1, take: 1, pupilId: "ada", note: "b" })]));
    expect(settled.get(tallyKey(1, 1, "ada"))).toMatchObject({ hits: 2, misses: 1 });
    expect(disputes(settled)).toEqual([]);
    expect(
      disputes(tallies(standing([...log, event("COLLECT", 9, { segment: 1, take: 1, pupilId: "ada", score: 3 })]))),
    ).toEqual([]);
  });

  it("stop for all holds the second on both until somebody says go", () => {
    const stop = [go(), event("STOP_ALL", 12, { segment: 1, offsetMs: 7000 })];
    expect(play(...stop).stopped).toBe(true);
    expect(at(play(...stop), 300)).toEqual([1, 7000]);
    const on = play(...stop, event("GO", 300, { segment: 1, offsetMs: 7000 }));
    expect(on.stopped).toBe(false);
    expect(at(on, 301)).toEqual([1, 8000]);
  });
});
