import { cleanup, screen } from "@testing-library/react";
import { expect, it } from "vitest";
import type { Finding, Lesson, LessonView } from "../../api/types";
import { press, show, type } from "../../test-page";
import { Findings } from "./findings";
import { block, figures, ladder } from "./one-task";

const stop = {
  id: "KIT_SHORT/b1",
  code: "PAST_BELL",
  level: "STOP",
  blockId: "b1",
  silenced: null,
  pupils: [],
  figures: { totalSec: 2520, pastSec: 120, bellSec: 2400, side: "LEFT", share: 0.2, need: 24, have: 8, what: "hoop" },
  school: "BALL_FIRST",
  threshold: { name: "minutes", value: 40 },
  mend: null,
} as unknown as Finding;
const look = { ...stop, id: "SIDE/b1", code: "SIDE_LEFT_OUT", level: "MIND" } as unknown as Finding;

function open(findings: Finding[], plan: object = {}, more: { readOnly?: boolean; waiting?: boolean } = {}) {
  const done: { mended: string[]; silenced: Lesson["silenced"][]; chosen: string[] } = {
    mended: [],
    silenced: [],
    chosen: [],
  };
  const view = {
    findings,
    lesson: { blocks: [block], silenced: [{ finding: "OLD", reason: "seen" }] },
    plan: { blocks: [figures], pastBellSec: -90, rightSec: 60, leftSec: 60, idleSecPerPupil: 0, ...plan },
    gather: { items: [{}] },
  } as unknown as LessonView;
  show(
    <Findings
      view={view}
      catalogue={[ladder]}
      readOnly={more.readOnly ?? false}
      waiting={more.waiting ?? false}
      onMend={(id) => done.mended.push(id)}
      onSilence={(s) => done.silenced.push(s)}
      onChoose={(id) => done.chosen.push(id)}
    />,
  );
  return done;
}

it("counts what must be mended before what is only to be looked at", () => {
  open([look, stop]);
  expect(screen.getByTestId("finding-count")).toHaveTextContent("1 to mend first");
  const [mind, stops] = screen.getAllByTestId("finding");
  expect(mind).toHaveTextContent("The left side gets 20 % of it.");
  expect(stops).toHaveTextContent("It takes 42:00: 2:00 past the bell at 40:00.");
  expect(stops).toHaveTextContent("Said from: the bell at 40 min · school: ball first");
  open([look]);
  expect(screen.getAllByTestId("finding-count")[1]).toHaveTextContent("1 to look at");
});

it("says what is in order only where nothing says the contrary", () => {
  open([]);
  expect(screen.getByTestId("finding-count")).toHaveTextContent("nothing stands against it");
  for (const told of [
    "Ends 1:30 before the bell.",
    "Right and left get the same time.",
    "There is enough kit for everyone at once.",
    "Nobody waits with nothing to do.",
  ])
    expect(screen.getByText(told)).toBeInTheDocument();
});

it("does not praise what a finding is about, or a side that has no time", () => {
  open([stop, { ...look, code: "KIT_SHORT" } as unknown as Finding], { rightSec: 0, leftSec: 0, idleSecPerPupil: 5 });
  for (const word of [/^Ends/, /^Right and left/, /^There is enough/, /^Nobody waits/])
    expect(screen.queryByText(word)).toBeNull();
});

it("lets a finding stand with a reason only, beside those that stand already", () => {
  const done = open([look]);
  press("Let it stand");
  expect(screen.getByRole("button", { name: "Let it stand" })).toBeDisabled();
  type("Why it may stand", "   ");
  expect(screen.getByRole("button", { name: "Let it stand" })).toBeDisabled();
  type("Why it may stand", " left is done on Friday ");
  press("Let it stand");
  expect(done.silenced).toEqual([
    [
      { finding: "OLD", reason: "seen" },
      { finding: "SIDE/b1", reason: "left is done on Friday" },
    ],
  ]);
});

it("says one again that was let stand", () => {
  const done = open([{ ...look, id: "OLD", silenced: "seen" }]);
  expect(screen.getByTestId("finding-count")).toHaveTextContent("nothing stands against it");
  press("Say it again");
  expect(done.silenced).toEqual([[]]);
});

it("leads to its block", () => {
  const done = open([stop]);
  press("1 Wall catch");
  expect(done.chosen).toEqual(["b1"]);
});

it("is mended by a press, but not twice while the mend is on its way, and not by whoever may only read", () => {
  const mendable = { ...stop, mend: { kind: "WATER_IN", figures: { seconds: 60, before: 3 } } } as unknown as Finding;
  const done = open([mendable]);
  expect(screen.getByTestId("finding")).toHaveTextContent("Water60 s before block 3");
  press("Water");
  expect(done.mended).toEqual(["KIT_SHORT/b1"]);
  cleanup();
  open([mendable], {}, { waiting: true });
  expect(screen.getByRole("button", { name: "Water" })).toBeDisabled();
  expect(screen.getByTestId("findings")).toHaveAttribute("aria-busy", "true");
  cleanup();
  open([mendable], {}, { readOnly: true });
  expect(screen.queryByRole("button", { name: "Water" })).toBeNull();
});
