import { expect, it } from "vitest";
import { daysBefore, daysBetween, localDay, plusDays } from "./local-day";

/** The tests run half a day from Greenwich (vite.config.ts), where a day of UTC is another for half of the time. */
it("is the day of the school and not of Greenwich", () => {
  expect(new Date(2026, 10, 28, 0, 30).toISOString().slice(0, 10)).toBe("2026-11-27");
  expect(localDay(new Date(2026, 10, 28, 0, 30))).toBe("2026-11-28");
  expect(localDay(new Date(2026, 10, 28, 23, 30))).toBe("2026-11-28");
});

it("counts days over a change of the clock and of the year", () => {
  expect(daysBefore("2026-09-28", 2)).toBe("2026-09-26");
  expect(daysBefore("2027-01-03", 7)).toBe("2026-12-27");
  expect(plusDays("2026-09-26", 7)).toBe("2026-10-03");
  expect(daysBetween("2026-09-26", "2026-10-03")).toBe(7);
  expect(daysBetween("2026-10-03", "2026-09-26")).toBe(-7);
});
