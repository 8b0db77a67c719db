import { screen, within } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import type { Ladder, Lesson, NextLesson } from "../../api/types";
import { choose, press, pressSoon, refusal, sentTo, serve, show } from "../../test-page";
import { block, ladder, quiet } from "./one-task";
import { ProposeLesson } from "./propose-lesson";

const WHERE = "POST /api/lessons/l1/proposed";

type Asked = { soon: boolean; wanted: { wish: string; keep: string[]; without: string[] } };

const reason = {
  blockId: "b1",
  ladderId: "wall-catch",
  rungId: "r1",
  daysSince: 9,
  dueInDays: -2.2,
  near: 1,
  held: 5,
  atOnce: 8,
  aspects: ["hand-eye"],
};

const proposal = (more: object = {}) =>
  ({
    lesson: { blocks: [{ ...block, sets: 1 }], circuits: [], minutes: 40 },
    reasons: [reason],
    passedOver: [],
    gapShare: 0.0123,
    oneAfterTheOther: null,
    movingLimit: null,
    minutes: { movingSecPerPupil: 720, movingShare: 0.3, quietSecPerPupil: 0 },
    ...more,
  }) as unknown as NextLesson;

afterEach(() => vi.unstubAllGlobals());

function open(lesson: Partial<Lesson> = {}) {
  const used: Lesson[] = [];
  show(
    <ProposeLesson
      open
      onOpenChange={() => undefined}
      lessonId="l1"
      lesson={{ minutes: 40, startMin: null, audience: "CLASS", blocks: [], ...lesson } as unknown as Lesson}
      ladders={
        [
          { ...ladder, sports: ["cricket"] },
          { ...quiet, sports: ["all"] },
        ] as Ladder[]
      }
      pupils={24}
      onUse={(next) => used.push(next)}
    />,
  );
  return used;
}

it("shows a good one at once and the proof after it, with why each task is in it", async () => {
  const heard = serve({ [WHERE]: ({ soon }: Asked) => proposal({ gapShare: soon ? null : 0.0123 }) });
  open();
  const row = await screen.findByText(/Due for 2 days: last done 9 days ago\./);
  expect(row).toHaveTextContent("1 pupil is a round or a few from the next rung. 5 hold it already. 8 at once.");
  expect(row).toHaveTextContent("Trains hand eye.");
  expect(await screen.findByText("At most 1.3 % better is possible, by the same weights.")).toBeInTheDocument();
  expect(screen.getByTestId("proposed-moving")).toHaveTextContent("Each pupil moves 12:00, 30 % of the time");
  expect(sentTo(heard, WHERE).map((a) => (a as Asked).soon)).toEqual([true, false]);
});

it("calls it the best within half a percent, and says so of stations as far as it goes", async () => {
  serve({ [WHERE]: proposal({ gapShare: 0.004 }) });
  open();
  expect(await screen.findByText(/^No better lesson is possible/)).toBeInTheDocument();
});

it("keeps what is to stay and leaves out what is not wanted, each asked anew", async () => {
  const heard = serve({ [WHERE]: proposal() });
  open();
  await pressSoon("Keep Wall catch");
  expect(screen.getByRole("button", { name: "Keep Wall catch" })).toHaveAttribute("aria-pressed", "true");
  screen.getByLabelText("calmer").click();
  press("Not Wall catch");
  await pressSoon("Allow the one left out");
  const wanted = () => sentTo(heard, WHERE).map((a) => (a as Asked).wanted);
  await vi.waitFor(() => expect(wanted().at(-1)).toMatchObject({ wish: "CALMER", keep: [], without: [] }));
  expect(wanted()).toContainEqual(
    expect.objectContaining({ wish: "AS_USUAL", keep: ["wall-catch"], without: [], sport: null }),
  );
  expect(wanted()).toContainEqual(expect.objectContaining({ wish: "CALMER", keep: [], without: ["wall-catch"] }));
});

it("asks for one sport, and for one skill where the plan has that shape", async () => {
  const heard = serve({ [WHERE]: proposal() });
  open({ shape: "ONE_SKILL" });
  expect(await screen.findByRole("checkbox", { name: "one skill from start to end" })).toBeChecked();
  await choose("Sport", "cricket");
  await vi.waitFor(() =>
    expect((sentTo(heard, WHERE).at(-1) as Asked).wanted).toMatchObject({ sport: "cricket", oneSkill: true }),
  );
});

it("puts in what was nearly in it, but not what stands against the room", async () => {
  const near = { ladderId: "cup", rungId: "q1", near: 2, verdict: "FEW_AT_A_TIME", finding: null };
  const stopped = { ...near, ladderId: "wall-catch", finding: { code: "NO_WALL", figures: {}, pupils: [] } };
  const heard = serve({ [WHERE]: proposal({ passedOver: [near, stopped] }) });
  open();
  const over = within((await screen.findByText("Nearly in it")).closest("section") as HTMLElement);
  expect(over.getAllByRole("button").map((b) => b.getAttribute("aria-label"))).toEqual(["Put Cup on the table in"]);
  expect(over.getByText(/the others are worth more together/)).toHaveTextContent("Only a few of 24 at a time.");
  press("Put Cup on the table in");
  await vi.waitFor(() => expect((sentTo(heard, WHERE).at(-1) as Asked).wanted.keep).toEqual(["cup"]));
});

it("says how many blocks it takes the place of, and is used with one press", async () => {
  serve({ [WHERE]: proposal() });
  const used = open({ blocks: [block, { ...block, id: "b9" }] });
  await pressSoon("Use it instead of the 2 blocks");
  expect(used).toMatchObject([{ blocks: [{ id: "b1", sets: 1 }] }]);
});

it("says of stations where each is and what they bring", async () => {
  serve({
    [WHERE]: proposal({
      lesson: { blocks: [block], circuits: [{ stationIds: ["x", "b1"] }], minutes: 40 },
      oneAfterTheOther: { movingShare: 0.21 },
    }),
  });
  open();
  expect(await screen.findByText(/station 2 of 2/)).toBeInTheDocument();
  expect(screen.getByTestId("proposed-moving")).toHaveTextContent("one task after the other it would be 21 %");
});

it.each([
  [0.65, /^.*No lesson for this class can move them more than 65 % here\./],
  [0.32, /That is about all there is: .* more than \d+ % here\./],
])("says what the room allows: %s", async (movingLimit, words) => {
  serve({ [WHERE]: proposal({ movingLimit }) });
  open();
  await screen.findByTestId("proposed-moving");
  expect(screen.getByTestId("proposed-moving")).toHaveTextContent(words);
});

it("does not say of a loose proof that so much better is possible", async () => {
  serve({ [WHERE]: proposal({ gapShare: 1.031 }) });
  open();
  expect(await screen.findByText(/what is proven is only that it is by at most 104 %/)).toBeInTheDocument();
});

it("says that nothing fits, and what went wrong", async () => {
  serve({ [WHERE]: proposal({ lesson: null, reasons: [], minutes: null }) });
  open();
  expect(await screen.findByText(/^Nothing fits/)).toBeInTheDocument();
  expect(screen.queryByRole("button", { name: /^Use/ })).toBeNull();
  vi.unstubAllGlobals();
  serve({ [WHERE]: () => refusal(409, {}) });
  open();
  expect(await screen.findByRole("alert")).toHaveTextContent("Some fields are not right.");
});
