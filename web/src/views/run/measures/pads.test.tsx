import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, expect, it } from "vitest";
import type { Measure, Rung, Stairs, Tap } from "../../../api/types";
import { choose, press, show } from "../../../test-page";
import { besideScore } from "../../pupils/beside-score";
import { viewOf } from ".";
import { HIT, MISS } from "./measure-view";
import { fairOfFirst } from "./no-balls/fold";
import type { PadProps } from "./shared/pad";

let taps: Tap[];

afterEach(cleanup);

const told = {
  unit: "catches",
  harder: "Step back.",
  standM: 2,
  gate: { type: "REACH", reach: 4 },
} as unknown as Rung;

/** The pad of a measure, whose taps come back to it as they do in a run. */
function pad(measure: Measure, changed: Partial<PadProps> = {}) {
  taps = changed.taps ?? [];
  const { Pad } = viewOf(measure);
  const props = (): PadProps => ({
    who: "Amaru T.",
    note: "",
    measure,
    stairs: null,
    told,
    block: { reps: null, attitude: "EITHER", calls: null } as unknown as PadProps["block"],
    spot: 0,
    open: true,
    running: true,
    workedMs: () => 4300,
    best: undefined,
    crew: [
      { id: "ada", name: "Amaru T." },
      { id: "ben", name: "Beatrix O." },
    ],
    joint: false,
    sides: { A: "Blue", B: "Orange" },
    players: { A: [], B: [] },
    ...changed,
    taps,
    tap: (one) => {
      taps = [...taps, one];
      again(<Pad {...props()} />);
    },
  });
  const { again } = show(<Pad {...props()} />);
  return { score: () => viewOf(measure).score(taps, measure, 30_000) };
}

const button = (name: string | RegExp) => screen.getByRole("button", { name });

it("counts hits and misses, and says when the count is done", () => {
  const { score } = pad({ type: "HITS_OF_N", n: 3 }, { block: { reps: 3 } as PadProps["block"] });
  for (const so of ["0", "1", "2"]) press(`Amaru T.: hit, ${so} of 3 so far`);
  press("Amaru T.: miss, 0 so far");
  expect(screen.getByText("Done. Harder: Step back.")).toBeInTheDocument();
  expect(taps).toEqual([HIT, HIT, HIT, MISS]);
  expect(score()).toEqual({ score: 3, timeMs: null });
});

it("tells the row that is on and the longest, and scores the longest", () => {
  const { score } = pad({ type: "LONGEST_RUN" }, { taps: [HIT, HIT, HIT, MISS, HIT] });
  expect(button("Amaru T.: hit, 1 in a row now, 3 at most")).toBeInTheDocument();
  expect(screen.getByTestId("hits")).toHaveTextContent("1 in a row");
  expect(score().score).toBe(3);
});

it("shows a row where control is asked, and all of them beside it", () => {
  pad(
    { type: "COUNT_IN_TIME" },
    { taps: [HIT, HIT, MISS, HIT], block: { reps: null, attitude: "CONTROL" } as PadProps["block"] },
  );
  expect(screen.getByTestId("hits")).toHaveTextContent("1 in a row");
  expect(screen.getByText("longest 2 · 3 catches in all")).toBeInTheDocument();
});

const shoes: Stairs = { makesToStep: 1, onMiss: "STAY", stepM: 0.24, startM: 1.44, unit: "SHOE" };

it("counts places from where one begins, and says how far off the next one is", () => {
  const { score } = pad({ type: "FURTHEST", stairs: shoes }, { stairs: shoes });
  expect(screen.getByText(/^stand where you began/)).toHaveTextContent("6 shoe lengths off");
  expect(screen.getByText("one hit to step back · no place held yet")).toBeInTheDocument();
  for (const place of [1, 2, 3]) press(`Amaru T.: hit, stand at place ${place}`);
  press("Amaru T.: miss, 0 so far");
  press("Amaru T.: miss, 1 so far");
  press("Amaru T.: hit, stand at place 4");
  expect(screen.getByTestId("place")).toHaveTextContent("5");
  expect(screen.getByText(/^stand 4 steps back/)).toHaveTextContent("10 shoe lengths off");
  expect(screen.getByText(/place 4 held$/)).toBeInTheDocument();
  expect(score().score).toBe(4);
});

it("steps in after a miss, in metres from where the rung stands", () => {
  const stairs: Stairs = { makesToStep: 2, onMiss: "STEP_IN", stepM: 0.5, startM: null, unit: "METRE" };
  const { score } = pad({ type: "HITS_OF_N", n: null }, { stairs, taps: [HIT, HIT, HIT, HIT, MISS] });
  expect(screen.getByText(/^stand one step back/)).toHaveTextContent("2.5 m off");
  expect(screen.getByText("2 hits to step back · place 2 held · 4 hits")).toBeInTheDocument();
  expect(score().score).toBe(4);
});

it("says nothing of a distance that nobody gave", () => {
  pad(
    { type: "FURTHEST", stairs: { ...shoes, startM: null } },
    { stairs: { ...shoes, startM: null }, told: { ...told, standM: null } },
  );
  expect(screen.queryByText(/off$/)).toBeNull();
});

it("keeps the highest level of a record, whatever is tried after it", () => {
  const { score } = pad({ type: "LEVELS" });
  press("Amaru T.: made 3 catches");
  press("Amaru T.: made 2 catches");
  press("Amaru T.: miss, 0 so far");
  expect(screen.getByTestId("level")).toHaveTextContent("3 catches");
  expect(score().score).toBe(3);
  expect(viewOf({ type: "LEVELS" }).key(taps, { type: "LEVELS" }, {} as never)).toEqual({ type: "HIT", number: 4 });
});

it("keeps numbered balls once each, and ends when all are kept", () => {
  const measure = { type: "KEEP_ALL", balls: 3, draw: "LEFT", firstBall: 5 } as Measure;
  const block = { calls: { order: [1, 0, 2] } } as unknown as PadProps["block"];
  const { score } = pad(measure, { block });
  expect(screen.getAllByText("6")[0]?.tagName).toBe("STRONG");
  press("Amaru T.: number 6 caught");
  press("Amaru T.: miss, 0 so far");
  expect(button("Amaru T.: number 6 caught, kept already")).toBeDisabled();
  press("Amaru T.: number 5 caught");
  press("Amaru T.: number 7 caught");
  expect(screen.getByText("All kept")).toBeInTheDocument();
  expect(button("Amaru T.: miss, 1 so far")).toBeDisabled();
  expect(score().score).toBe(4);
});

it("has points where a throw landed, on a line those of the smaller ring, by hand those of the ring", () => {
  const rings = [
    { radiusCm: 10, points: 5 },
    { radiusCm: 30, points: 2 },
  ];
  const { score } = pad({ type: "RINGS", rings }, { taps: [{ type: "LANDED", xCm: 6, yCm: 8 }] });
  expect(screen.getByTestId("points")).toHaveTextContent("5 points");
  press("Amaru T.: ring worth 2");
  press("Amaru T.: outside");
  // The drawing is 800 by 400 here and shows 87 cm from side to side: 80 to the right of the middle is 17.4 cm.
  fireEvent.pointerDown(screen.getByTestId("target"), { clientX: 480, clientY: 200 });
  expect(taps.at(-1)).toEqual({ type: "LANDED", xCm: 17.4, yCm: 0 });
  expect(score().score).toBe(9);
  expect(screen.getByText(/4 thrown, 1 outside/)).toBeInTheDocument();
});

it("counts a fair ball by its kind, which the bowler's page tells", () => {
  pad({ type: "NO_BALLS", n: null }, { taps: [HIT] });
  press("Amaru T.: fair, spun, 0 so far");
  press("Amaru T.: fair, spun, 1 so far");
  expect(taps).toEqual([HIT, { type: "HIT", number: 5 }, { type: "HIT", number: 5 }]);
  expect(screen.getByTestId("hits").textContent).toBe("3");
  expect(besideScore({ type: "BOWLED", noBalls: 1, halfScores: 0, fair: [{ kind: "SPUN", n: 2 }] })).toBe(
    "1 no-ball; fair: 2 spun",
  );
});

it("counts no-balls and gives half a score for the second running", () => {
  const { score } = pad({ type: "NO_BALLS", n: null }, { taps: [HIT] });
  press("Amaru T.: no-ball, high");
  expect(screen.getByText(/one running/)).toBeInTheDocument();
  press("Amaru T.: no-ball, foot");
  expect(screen.getByText(/No-balls 2, half scores given 1/)).toBeInTheDocument();
  expect(screen.queryByText(/one running/)).toBeNull();
  expect(score().score).toBe(1);
});

it("goes on under the relief bowler, to whom a no-ball that runs is handed on, and not to the next batter", async () => {
  pad({ type: "NO_BALLS", n: null }, { taps: [HIT] });
  press("Amaru T.: no-ball, low");
  await choose("Who bowls", "Beatrix O. bowls");
  expect(button("Beatrix O.: hit, 0 so far")).toBeInTheDocument();
  expect(screen.getByText(/one running/)).toBeInTheDocument();
  press("Beatrix O.: no-ball, wide");
  expect(screen.getByText("No-balls 1, half scores given 1")).toBeInTheDocument();
  press("Beatrix O.: no-ball, arm");
  press("Next batter");
  expect(screen.getByText("batter 2")).toBeInTheDocument();
  expect(screen.queryByText(/one running/)).toBeNull();
  press("Beatrix O.: hit, 0 so far");
  await choose("Who bowls", "Amaru T. bowls");
  expect(button("Amaru T.: hit, 1 so far")).toBeInTheDocument();
  expect(fairOfFirst(taps, "ada")).toBe(1);
});

it("says what runners may do while the bowler has the ball", () => {
  pad({ type: "NO_BALLS", n: null }, { joint: true });
  expect(screen.queryByRole("combobox", { name: "Who bowls" })).toBeNull();
  expect(screen.getByText("Runners may run on.")).toBeInTheDocument();
  press("Ball in the square");
  expect(screen.getByText("Runners may not pass the next post.")).toBeInTheDocument();
  expect(taps).toEqual([]);
});

const spots = (more: object): Measure =>
  ({ type: "MADE_FROM_SPOTS", spots: 3, spotOrder: "ROUND", spotBackM: 0, ...more }) as Measure;

it("goes from spot to spot in the order that was asked", () => {
  const due = (spotOrder: string) => {
    pad(spots({ spotOrder }));
    const seen = [0, 1, 2, 3, 4].map((i) => {
      const [, spot] = /made from spot (\d)/.exec(button(/made from spot/).getAttribute("aria-label") ?? "") ?? [];
      press(i === 1 ? /miss/ : /made from spot/);
      return Number(spot);
    });
    cleanup();
    return seen;
  };
  expect(due("ROUND")).toEqual([1, 2, 3, 1, 2]);
  expect(due("OUT_AND_BACK")).toEqual([1, 2, 3, 2, 1]);
  expect(due("UNTIL_MADE")).toEqual([1, 2, 2, 3, 1]);
});

it("takes a throw from any spot, as they like", () => {
  const { score } = pad(spots({ spotOrder: "ANY" }));
  press("Amaru T.: made from spot 3, 0 so far");
  press("Amaru T.: made from spot 3, 1 so far");
  press("Amaru T.: miss, 0 so far");
  expect(button("Amaru T.: made from spot 3, 2 so far")).toBeInTheDocument();
  expect(score().score).toBe(2);
  expect(viewOf(spots({ spotOrder: "ANY" })).key(taps, spots({ spotOrder: "ANY" }), {} as never)).toBeNull();
});

it("goes round the spots and says which is due", () => {
  const { score } = pad(spots({ spots: 2 }));
  press("Amaru T.: made from spot 1, 0 so far");
  press("Amaru T.: miss, 0 so far");
  press("Amaru T.: made from spot 1, 1 so far");
  expect(taps).toEqual([{ type: "HIT", number: 1 }, MISS, { type: "HIT", number: 1 }]);
  expect(score().score).toBe(2);
});

it("times so many: a start, a press for each, and the last one stops the watch", () => {
  const { score } = pad({ type: "TIME_FOR_N", n: 2 }, { taps: [{ type: "START", offsetMs: 1000 }] });
  press(/one more done, 0 of 2/);
  press(/one more done, 1 of 2/);
  expect(taps.slice(1)).toEqual([
    { type: "SPLIT", offsetMs: 4300 },
    { type: "STOP", offsetMs: 4300 },
  ]);
  expect(score()).toEqual({ score: 4, timeMs: 3300 });
  expect(screen.getByText("Start again")).toBeInTheDocument();
});

it("keeps the longest hold and the quickest go", () => {
  const two: Tap[] = [
    { type: "START", offsetMs: 0 },
    { type: "STOP", offsetMs: 9_000 },
    { type: "START", offsetMs: 10_000 },
    { type: "STOP", offsetMs: 14_500 },
  ];
  pad({ type: "HELD_FOR_TIME" }, { taps: two });
  expect(screen.getByText(/longest 9\.0 s/)).toBeInTheDocument();
  cleanup();
  const { score } = pad({ type: "COURSE_TIME", course: null } as unknown as Measure, { taps: two });
  expect(screen.getByText(/quickest 4\.5 s/)).toBeInTheDocument();
  expect(score()).toEqual({ score: 5, timeMs: 4500 });
});

it("cannot be tapped while the round is not on", () => {
  pad({ type: "HITS_OF_N", n: null }, { open: false });
  for (const b of screen.getAllByRole("button")) expect(b).toBeDisabled();
});
