import { fireEvent, render, screen } from "@testing-library/react";
import { expect, it } from "vitest";
import type { Ladder, LadderRecord, PupilOnLadder } from "../../api/types";
import { BothSides } from "./both-sides";
import { LadderChart } from "./ladder-chart";

const rung = (id: string) => ({ id, name: `Rung ${id}`, unit: "catches", measure: "COUNT_IN_TIME", gate: {} });
const ladder = { id: "l", name: "Wall and back", rungs: [rung("a"), rung("b")] } as unknown as Ladder;

const side = (name: "RIGHT" | "LEFT", hits: number, misses: number) => ({
  side: name,
  hits,
  misses,
  hold: 0.8,
  share: { share: hits / (hits + misses || 1), low: 0.5, high: 0.9 },
});
const attempt = (id: string, on: string, rungId: string, where = "SCHOOL") => ({
  struck: false,
  metGate: id === "3",
  jointWithNames: [],
  againstNames: [],
  attempt: { id, on, rungId, where, modifiers: [], side: "RIGHT" },
});
const rate = (id: string, on: string, perMin: number, best: boolean) => ({
  attemptId: id,
  on,
  side: "RIGHT",
  perMin,
  lowPerMin: perMin - 4,
  highPerMin: perMin + 5,
  best,
});
const tries = {
  advice: { rungId: "b", sides: [side("RIGHT", 8, 2)] },
  attempts: [
    attempt("1", "2026-11-01", "a"),
    attempt("2", "2026-11-08", "a", "HOME"),
    attempt("3", "2026-11-15", "b"),
    attempt("4", "2026-11-22", "b"),
  ],
  overTime: [
    {
      rungId: "a",
      shares: [],
      rates: [rate("1", "2026-11-01", 20, true), rate("2", "2026-11-08", 18, false)],
      aims: [],
    },
    {
      rungId: "b",
      shares: [
        { attemptId: "3", on: "2026-11-15", side: "RIGHT", hits: 8, misses: 2, low: 0.55, high: 0.93, best: true },
      ],
      rates: [],
      aims: [],
    },
  ],
} as unknown as PupilOnLadder;

it("draws the rung where the pupil stands, and any other that was tried: home as a square, a best in a ring", () => {
  const { container } = render(<LadderChart ladder={ladder} tries={tries} />);
  expect(
    screen.getByRole("img", { name: /1 round with counted misses: first 80 %, between 55 % and 93 %/ }),
  ).toBeTruthy();
  expect(container.querySelectorAll("rect")).toHaveLength(0);

  fireEvent.keyDown(screen.getByRole("combobox"), { key: "ArrowDown" });
  fireEvent.keyDown(screen.getByRole("option", { name: "1 Rung a" }), { key: "Enter" });
  expect(
    screen.getByRole("img", {
      name: "2 rounds, catches a minute: first 20, between 16 and 25, last 18, between 14 and 23",
    }),
  ).toBeTruthy();
  // The second was at home; only the first is a best.
  expect(container.querySelectorAll("rect")).toHaveLength(1);
  expect(container.querySelectorAll("circle[fill=none]")).toHaveLength(1);
});

it("says of two sides whether one is behind, with how sure that is, and nothing of one side alone", () => {
  const on = (chance: number) =>
    ({
      advice: { rungId: "b", sides: [side("RIGHT", 8, 2), side("LEFT", 3, 7)] },
      behind: { side: "LEFT", chance },
      challenges: [{ rungId: "b", modifiers: [], sides: [] }],
    }) as unknown as LadderRecord;
  const { rerender } = render(<BothSides ladder={ladder} on={on(0.97)} />);
  expect(screen.getByText(/The left side is behind: almost certainly \(97 %\)/)).toBeTruthy();
  expect(screen.getByText("3 of 10")).toBeTruthy();
  rerender(<BothSides ladder={ladder} on={on(0.55)} />);
  expect(screen.getByText("Both sides look alike.")).toBeTruthy();

  const { container } = render(
    <BothSides ladder={ladder} on={{ ...on(0.9), advice: { ...on(0.9).advice, sides: [] } }} />,
  );
  expect(container.textContent).toBe("");
});
