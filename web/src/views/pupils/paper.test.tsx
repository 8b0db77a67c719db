import { screen } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import type { Ladder, PupilRecord, Tried } from "../../api/types";
import { choose, press, refusal, sentTo, serve, show, type } from "../../test-page";
import { Correct } from "./correct";
import { TypeIn } from "./type-in";

afterEach(() => vi.unstubAllGlobals());

const rung = (id: string, measure: string, sides = "NONE") => ({
  id,
  name: `Rung ${id}`,
  unit: "catches",
  counts: "A clean catch.",
  sides,
  measure: { type: measure },
});
const ladder = {
  id: "wall",
  name: "Wall catch",
  rungs: [rung("a", "COUNT_IN_TIME", "BOTH"), rung("b", "TIME_FOR_N"), rung("c", "HITS_OF_N")],
} as unknown as Ladder;
const record = { pupilId: "p1", name: "Amaru T.", attempts: [] } as unknown as PupilRecord;

const POST = "POST /api/pupils/p1/attempts";

function typeIn(answer: unknown = {}) {
  const heard = serve({ [POST]: answer });
  show(<TypeIn record={record} ladders={[ladder]} />);
  press("Type in a result");
  return () => sentTo(heard, POST) as Record<string, unknown>[];
}

it("keeps a result from paper with its hits, seconds, hand and place", async () => {
  const sent = typeIn();
  await choose("Side", /^left/);
  type("Score", "18");
  type("Hits, if counted", "18");
  type("Misses, if counted", "4");
  type("Seconds of the round", "30");
  type("Distance in m, if another", "2,5");
  screen.getByLabelText("done at home").click();
  press("Keep the result");
  await vi.waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
  expect(sent()).toMatchObject([
    {
      rungId: "a",
      side: "LEFT",
      score: 18,
      hits: 18,
      misses: 4,
      workSec: 30,
      distanceM: 2.5,
      where: "HOME",
      seen: false,
    },
  ]);
});

it("sends nothing that was typed for another rung and is not asked for this one", async () => {
  const sent = typeIn();
  await choose("Side", /^left/);
  type("Seconds of the round", "30");
  type("Hits, if counted", "9");
  await choose("Rung", "2 Rung b");
  expect(screen.queryByLabelText("Seconds of the round")).toBeNull();
  type("Score", "21");
  press("Keep the result");
  await vi.waitFor(() => expect(sent()).toHaveLength(1));
  expect(sent()[0]).toMatchObject({ rungId: "b", side: "NONE", score: 21, hits: null, workSec: null });
});

it("takes what went in of so many as score and hits", async () => {
  const sent = typeIn();
  await choose("Rung", "3 Rung c");
  type("Hits", "7");
  type("Misses, if counted", "3");
  press("Keep the result");
  await vi.waitFor(() => expect(sent()[0]).toMatchObject({ score: 7, hits: 7, misses: 3, workSec: null }));
});

it("loses nothing that was refused, and says at its field what it must be", async () => {
  const sent = typeIn(() => refusal(400, { misses: "must be a whole number" }));
  type("Score", "18");
  type("Misses, if counted", "four");
  press("Keep the result");
  await vi.waitFor(() =>
    expect(screen.getByLabelText("Misses, if counted")).toHaveAccessibleDescription(/must be a whole number/),
  );
  expect(screen.getByLabelText("Score")).toHaveValue("18");
  expect(sent()[0]).toMatchObject({ misses: "four" });
});

it("shows a refusal that belongs to no field", async () => {
  typeIn(() => refusal(409, {}));
  type("Score", "18");
  press("Keep the result");
  expect(await screen.findByRole("alert")).toHaveTextContent("Refused. Some fields are not right.");
});

const tried = (more: object = {}) =>
  ({ struck: false, attempt: { id: "t1", score: 7, hits: 7, misses: null, ...more } }) as unknown as Tried;
const CORRECT = "POST /api/attempts/t1/corrections";

it("puts a tally right with what was seen, and leaves what was not counted uncounted", async () => {
  const heard = serve({ [CORRECT]: {} });
  show(<Correct tried={tried()} what="Rung a" />);
  press("correct");
  type("Score", "9");
  type("Hits", "x9");
  type("Why", "one was behind the bench");
  press("Keep the correction");
  await vi.waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
  expect(sentTo(heard, CORRECT)).toEqual([
    { seenScore: 7, score: 9, hits: "x9", misses: null, struck: false, reason: "one was behind the bench" },
  ]);
});

it("begins each time from the result as it is now", async () => {
  serve({ [CORRECT]: () => refusal(409, {}) });
  const { again } = show(<Correct tried={tried()} what="Rung a" />);
  press("correct");
  type("Score", "9");
  screen.getByLabelText(/strike it out/).click();
  await vi.waitFor(() => expect(screen.getByLabelText("Score")).toBeDisabled());
  press("Close");
  again(<Correct tried={tried({ score: 8, hits: 8 })} what="Rung a" />);
  press("correct");
  expect(screen.getByLabelText("Score")).toHaveValue("8");
  expect(screen.getByLabelText("Score")).toBeEnabled();
});
