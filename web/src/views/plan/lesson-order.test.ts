import { expect, it } from "vitest";
import type { LessonLine } from "../../api/types";
import { inOrder, noteBefore } from "./lesson-order";

const line = (id: string, onDay: string, more: Partial<LessonLine> = {}) =>
  ({ id, onDay, taughtOn: null, afterNote: null, ...more }) as LessonLine;

it("has the next lesson first, and one of today that was taught behind", () => {
  const all = [
    line("old", "2026-11-24", { taughtOn: "2026-11-24" }),
    line("missed", "2026-11-26"),
    line("morning", "2026-11-28", { taughtOn: "2026-11-28" }),
    line("afternoon", "2026-11-28"),
    line("later", "2026-12-01"),
  ];
  const { coming, before } = inOrder(all, "2026-11-28");
  expect(coming.map((l) => l.id)).toEqual(["afternoon", "later"]);
  expect(before.map((l) => l.id)).toEqual(["morning", "missed", "old"]);
});

it("takes the note of the lesson before, not of this one or a later one", () => {
  const all = [
    line("a", "2026-11-10", { afterNote: "chalk runs out" }),
    line("b", "2026-11-17", { afterNote: "Dov feeds well" }),
    line("c", "2026-11-24", { afterNote: "mine" }),
    line("d", "2026-12-01", { afterNote: "later" }),
  ];
  expect(noteBefore(all, "c", "2026-11-24")?.id).toBe("b");
  expect(noteBefore(all.slice(2), "c", "2026-11-24")).toBeUndefined();
});
