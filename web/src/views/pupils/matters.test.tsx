import { render, screen } from "@testing-library/react";
import { expect, it } from "vitest";
import type { Ladder, PupilRecord } from "../../api/types";
import { Matters } from "./matters";

const ladders = ["One", "Two", "Three", "Four", "Five"].map((name) => ({
  id: name,
  name,
  rungs: [
    { id: "a", name: "Low" },
    { id: "b", name: "High" },
  ],
})) as unknown as Ladder[];

const on = (ladderId: string, lastOn: string, verdict: string, more: object = {}) => ({
  ladderId,
  lastOn,
  advice: { rungId: "a", nextRungId: "b", verdict, sides: [] },
  challenges: [],
  behind: null,
  ...more,
});

const shown = (all: object[]) => {
  render(<Matters record={{ ladders: all } as unknown as PupilRecord} catalogue={ladders} />);
  return [...document.querySelectorAll("dd")].map((d) => d.textContent);
};

it("says who goes up, what to look after and what went well, the latest first and no more than three by name", () => {
  const behind = { behind: { side: "LEFT", chance: 0.95 } };
  const done = { challenges: [{ ladderId: "Two", rungId: "b", completedOn: "2026-11-24", modifiers: [] }] };
  expect(
    shown([
      on("One", "2026-11-10", "STAY", behind),
      on("Two", "2026-11-24", "UP", { ...behind, ...done }),
      on("Three", "2026-11-17", "BACK", behind),
      on("Four", "2026-11-03", "STAY", behind),
    ]),
  ).toEqual([
    "ready to go up on Two",
    "better a rung back on Three; the left side is behind on Two, Three, One and 1 more",
    "completed Two, high on Tue 24 Nov",
  ]);
  expect(screen.getByText("Next")).toBeTruthy();
});

it("goes on with what was practised last where nobody goes up", () => {
  expect(shown([on("One", "2026-11-10", "STAY"), on("Five", "2026-11-17", "MORE")])).toEqual([
    "goes on with Five, rung 1 low",
    "nothing stands out",
    "no challenge completed yet; last practised on Tue 17 Nov",
  ]);
});
