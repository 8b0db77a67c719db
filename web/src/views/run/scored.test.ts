import { expect, it } from "vitest";
import shared from "../../../../core/src/test/resources/runs/pads.json";
import { noBalls, type ScriptRung, type Stairs, scored, type Tap, walked } from "./scored";

/** The very cases that the core passes: what a pad shows is what will be recorded. */
type Case = {
  name: string;
  measure: ScriptRung["measure"];
  scoring: Partial<ScriptRung["scoring"]>;
  stairs: Stairs | null;
  taps: Partial<Tap>[];
  expect: { score: number | null; timeMs?: number; next?: number; halfScores?: number };
};
const cases = shared as unknown as Case[];
const none = { score: null, offsetMs: null, xCm: null, yCm: null, note: null };
const ROUND_MS = 20_000;

it.each(cases)("$name", (c) => {
  const taps = c.taps.map((t) => ({ ...none, ...t }) as Tap);
  const rung = { id: "r", measure: c.measure, scoring: c.scoring as ScriptRung["scoring"], stairs: c.stairs };
  const got = scored(taps, rung, ROUND_MS);
  expect(got.score).toBe(c.expect.score);
  if (c.expect.timeMs) expect(got.timeMs).toBe(c.expect.timeMs);
  if (c.expect.next && c.stairs) expect(walked(taps, c.stairs).step).toBe(c.expect.next);
  if (c.expect.halfScores) expect(noBalls(taps).halfScores).toBe(c.expect.halfScores);
});
