import { expect, it } from "vitest";
import { matchSaid } from "./said";

it("says who won, and end by end, as one's own side sees it", () => {
  const ends = [
    { own: 2, theirs: 0 },
    { own: 0, theirs: 3 },
    { own: 1, theirs: 1 },
  ];
  expect(matchSaid({ type: "PLAYED", ends, against: ["b"] })).toBe("lost 3 : 4 (2–0, 0–3, 1–1)");
  expect(matchSaid({ type: "PLAYED", ends: ends.slice(0, 1), against: [] })).toBe("won 2 : 0 (2–0)");
  expect(matchSaid({ type: "PLAYED", ends: ends.slice(2), against: [] })).toBe("level 1 : 1 (1–1)");
  expect(matchSaid({ type: "STEPS", stepM: 0.3 })).toBeNull();
  expect(matchSaid(null)).toBeNull();
});
