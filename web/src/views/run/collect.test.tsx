import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import type { Crew, Measure, Run, RunEvent, Segment } from "../../api/types";
import { Collect } from "./collect";
import { Played, standing, tallies } from "./log";
import { missingIn } from "./missing";

const pupils = Array.from({ length: 12 }, (_, i) => ({ pupilId: `p${i}`, name: `Pupil ${i}` }));
const crews: Crew[] = Array.from({ length: 6 }, (_, i) => ({
  spot: i,
  workers: [`p${2 * i}`],
  helpers: [`p${2 * i + 1}`],
}));
const segment = (index: number, kind: Segment["kind"], side: number): Segment => ({
  index,
  kind,
  side,
  beside: null,
  block: 0,
  set: 0,
  turn: 0,
  startSec: index * 20,
  durationSec: 20,
});

function sheet(
  sides: ("NONE" | "RIGHT" | "LEFT")[],
  reps: number | null,
  measure: Measure = reps ? { type: "HITS_OF_N", n: reps } : { type: "COUNT_IN_TIME" },
): Run {
  const segments = sides.map((_, i) => segment(i, "WORK", i));
  const block = {
    ladderId: "l",
    rungId: "r",
    counted: true,
    modifiers: [],
    sides,
    reps,
    rungOf: {},
    rungs: [{ id: "r", measure, stairs: null, words: null }],
  };
  return {
    sheet: {
      pupils,
      ladders: [{ id: "l", name: "Wall and back", rungs: [{ id: "r", unit: "catches", counts: "Clean ones." }] }],
      script: { segments, blocks: [{ ...block, turns: [{ wave: 0, part: 0, crews, waiting: [] }] }] },
    },
  } as unknown as Run;
}

function collect(run: Run, log: RunEvent[] = []) {
  const record = vi.fn();
  const events = standing(log);
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Collect
        run={run}
        played={new Played(run.sheet.script, events)}
        counts={tallies(events)}
        events={events}
        round={run.sheet.script.segments.length - 1}
        missing={[]}
        sent={false}
        onChoose={() => {}}
        onClose={() => {}}
        record={record}
      />
    </QueryClientProvider>,
  );
  return record;
}

const told = (record: ReturnType<typeof vi.fn>) => record.mock.calls.map(([w]) => [w.pupilId, w.segment, w.score]);

function type(text: string) {
  const field = document.activeElement as HTMLInputElement;
  fireEvent.change(field, { target: { value: text } });
  fireEvent.keyDown(field, { key: "Enter" });
  return field;
}

it("takes six numbers in spot order, each with type and Enter, and leaves out the one who forgot", () => {
  const record = collect(sheet(["NONE"], null));
  for (const n of ["12", "9", "", "14", "8", "11"]) type(n);
  expect(told(record)).toEqual([
    ["p0", 0, 12],
    ["p2", 0, 9],
    ["p6", 0, 14],
    ["p8", 0, 8],
    ["p10", 0, 11],
  ]);
  // The one who forgot is asked again, and then it is done.
  expect(document.activeElement).toHaveAccessibleName("Pupil 4");
  type("10");
  expect(told(record).at(-1)).toEqual(["p4", 0, 10]);
  expect(document.activeElement).toHaveTextContent("Done");
});

it("takes numbers from the dial, too, the focus staying where it is", () => {
  const record = collect(sheet(["NONE"], null));
  fireEvent.click(screen.getByText("Dial"));
  screen.getByLabelText("Pupil 0").focus();
  const press = (name: string) => fireEvent.click(screen.getByRole("button", { name }));
  for (const key of ["1", "3", "Erase", "2", "Next", "9", "Next"]) press(key);
  expect(told(record)).toEqual([
    ["p0", 0, 12],
    ["p2", 0, 9],
  ]);
  expect(document.activeElement).toHaveAccessibleName("Pupil 4");
  fireEvent.click(screen.getByText("Dial"));
});

it("keeps the pupil's own word with one tap, and takes it back with another", () => {
  const record = collect(sheet(["NONE"], null));
  fireEvent.click(screen.getByRole("button", { name: "Pupil 2: too hard" }));
  expect(record).toHaveBeenLastCalledWith({ type: "OWN_WORD", segment: 0, pupilId: "p2", word: "TOO_HARD" });
});

it("asks for both sides of a spot before the next spot", () => {
  const record = collect(sheet(["RIGHT", "LEFT"], null));
  expect(document.activeElement).toHaveAccessibleName("Pupil 0, right hand");
  type("7");
  expect(document.activeElement).toHaveAccessibleName("Pupil 0, left hand");
  type("5");
  expect(document.activeElement).toHaveAccessibleName("Pupil 2, right hand");
  expect(told(record)).toEqual([
    ["p0", 0, 7],
    ["p0", 1, 5],
  ]);
});

it("keeps what is no number or more than was to be done, and says so", () => {
  const record = collect(sheet(["NONE"], 10));
  const first = type("x");
  expect(first).toHaveAttribute("aria-invalid", "true");
  expect(document.activeElement).toBe(first);
  type("11");
  expect(screen.getByRole("alert")).toHaveTextContent("Really 11? 10 of so many is the most");
  type("10");
  expect(told(record)).toEqual([["p0", 0, 10]]);
});

it("shows taps as they are and gives all others the full count with one press", () => {
  const tap = (n: number): RunEvent => ({
    id: `e${n}`,
    atMs: n,
    device: "tablet",
    what: { type: "TAPPED", segment: 0, take: 1, pupilId: "p0", tap: { type: "HIT", number: null } },
  });
  const record = collect(sheet(["NONE"], 10, { type: "COUNT_IN_TIME" }), [tap(1), tap(2), tap(3)]);
  expect(screen.getByLabelText("Pupil 0")).toHaveValue("3");
  fireEvent.click(screen.getByText("All others did 10"));
  expect(told(record).map(([pupil, , score]) => `${pupil}:${score}`)).toEqual([
    "p2:10",
    "p4:10",
    "p6:10",
    "p8:10",
    "p10:10",
  ]);
});

it("asks for what the measure is, and never turns goes into hits", () => {
  collect(sheet(["NONE"], 10));
  expect(screen.getByRole("heading")).toHaveTextContent("How many of your 10 went in?");
  expect(screen.queryByText(/All others did/)).toBeNull();
});

it("asks each pupil by the rung that they are on", () => {
  const run = sheet(["NONE"], null);
  const ladder = run.sheet.ladders[0];
  const block = run.sheet.script.blocks[0];
  if (!ladder?.rungs[0] || !block) throw new Error("no ladder");
  ladder.rungs.push({ ...ladder.rungs[0], id: "up", name: "Cup alone" });
  block.rungs.push({ id: "up", measure: { type: "LONGEST_RUN" }, stairs: null, words: null, scoredBy: null });
  block.rungOf = { p2: "up" };
  collect(run);
  expect(screen.getByRole("heading")).toHaveTextContent("Each on their own rung");
  expect(screen.getByText(/Cup alone: The longest row: how many catches without a drop/)).toBeInTheDocument();
  expect(screen.getAllByText(/How many catches in 20 s/)).toHaveLength(5);
});

it("asks back a number that hands cannot make in the time", () => {
  const record = collect(sheet(["NONE"], null));
  type("999");
  expect(screen.getByRole("alert")).toHaveTextContent("Really 999? 200 in 20 s is the most");
  expect(told(record)).toEqual([]);
});

it.each([
  [999, 0],
  [1000, 6],
])("asks for no number of a round that was left after %i ms: %i are missing", (leftMs, missing) => {
  const run = sheet(["NONE"], null);
  const moved = (id: string, atMs: number, type: "GO" | "NEXT", segmentNo: number) =>
    ({ id, atMs, device: "d", what: { type, segment: segmentNo, offsetMs: 0 } }) as RunEvent;
  const events = standing([moved("1", 5000, "GO", 0), moved("2", 5000 + leftMs, "NEXT", 1)]);

  expect(missingIn(run, 0, new Played(run.sheet.script, events), tallies(events), 90_000)).toBe(missing);
});
