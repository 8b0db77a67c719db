import { fireEvent, screen, within } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import type { Circuit, CircuitPlan, Edit, Lesson } from "../../api/types";
import { choose, press, sentTo, serve, show } from "../../test-page";
import { CircuitHead } from "./circuit-head";
import { LessonOnPage } from "./on-page";
import { circuit, circuitFigures, who } from "./one-task";

let edits: Edit[];

beforeEach(() => {
  edits = [];
});

afterEach(() => vi.unstubAllGlobals());

const open = (plan: Partial<CircuitPlan> = {}, readOnly = false) =>
  show(
    <CircuitHead
      circuit={circuit}
      plan={{ ...circuitFigures, ...plan }}
      who={who}
      must={(field) => (field === "restSec" ? "must be 0 to 600" : undefined)}
      readOnly={readOnly}
      onChange={() => undefined}
      onEdit={(some) => edits.push(...some)}
    />,
  );

it("says how many work at a time, and how far from the most that the room allows", () => {
  open();
  expect(screen.getByText(/The class in 2 groups of 1 and 2/)).toHaveTextContent(
    "Each pupil works in 63 % of the rounds. At most 75 % is possible in this room. Time enough to drink on the way.",
  );
  expect(screen.getByText("5:30")).toBeInTheDocument();
});

const LAID = "POST /api/lessons/l1/laid";

const laid = (more: object) => ({
  [LAID]: {
    lesson: { circuits: [{ ...circuit, places: [] }] },
    better: false,
    share: 0.63,
    most: 0.63,
    ...more,
  },
});

const onPage = (changed: Circuit[], plan: CircuitPlan = circuitFigures) =>
  show(
    <LessonOnPage value={{ id: "l1", lesson: { blocks: [] } as unknown as Lesson, totalSec: 1200, movingShare: 0.4 }}>
      <CircuitHead
        circuit={circuit}
        plan={plan}
        who={who}
        must={() => undefined}
        readOnly={false}
        onChange={(next) => changed.push(next)}
        onEdit={() => undefined}
      />
    </LessonOnPage>,
  );

it("has it proven that the stations lie as well as they can, and asks no more then", async () => {
  const heard = serve(laid({}));
  onPage([]);
  press("Look for a better layout");
  expect(await screen.findByText(/Proven: however these stations lie/)).toBeInTheDocument();
  expect(screen.queryByText(/At most 75 %/)).toBeNull();
  expect(screen.queryByRole("button", { name: "Look for a better layout" })).toBeNull();
  expect(sentTo(heard, LAID)).toMatchObject([{ circuitId: "c1" }]);
});

it("puts the stations where they lie better, and says so; where none was found in the time, what is possible", async () => {
  const changed: Circuit[] = [];
  const places = [{ stationId: "b1", xM: 1, yM: 0, alongM: 2, acrossM: 2 }];
  serve(laid({ better: true, share: 0.7, most: 0.7, lesson: { circuits: [{ ...circuit, places }] } }));
  const { unmount } = onPage(changed);
  press("Look for a better layout");
  expect(await screen.findByText(/each works in 70 % of the rounds now/)).toBeInTheDocument();
  expect(changed).toMatchObject([{ id: "c1", places }]);
  unmount();
  vi.unstubAllGlobals();
  serve(laid({ most: 0.71 }));
  onPage([]);
  press("Look for a better layout");
  expect(await screen.findByText(/No better layout found in the time; at most 71 %/)).toBeInTheDocument();
});

it("says that more is not possible where it is the most", () => {
  open({ share: 0.75 - 1e-12, timeToDrink: false });
  expect(screen.getByText(/More is not possible/)).not.toHaveTextContent("drink");
});

it("looks further where a loud station lies beside a quiet one, also when more work is not possible", async () => {
  const look = () => screen.queryByRole("button", { name: "Look for a better layout" });
  const atBest = { ...circuitFigures, share: 0.75 };
  const { unmount } = onPage([], atBest);
  expect(look()).toBeNull();
  unmount();
  onPage([], { ...atBest, quietApart: false });
  expect(screen.getByText(/A loud one lies beside a quiet one. More is not possible/)).toBeInTheDocument();
  serve(laid({ share: 0.75, most: 0.75 }));
  press("Look for a better layout");
  expect(await screen.findByText(/No layout found in which the loud one lies off/)).toBeInTheDocument();
});

it("puts a pupil into another group, all others stay", async () => {
  open();
  press("Groups");
  await choose("Group of Beatrix O.", "Group 2");
  expect(edits).toEqual([{ type: "SET_GROUPS", circuitId: "c1", groups: [["p0"], ["p2", "p1"]] }]);
});

it("asks the core for fair groups, for like with like, and for the order of the class", () => {
  open();
  press("Groups");
  const sheet = within(screen.getByRole("dialog"));
  for (const name of ["Fair: each group like the class", "Like with like", "In the order of the class"])
    fireEvent.click(sheet.getByRole("button", { name }));
  expect(edits).toEqual([
    { type: "GROUP_BY", circuitId: "c1", mode: "EVEN" },
    { type: "GROUP_BY", circuitId: "c1", mode: "ALIKE" },
    { type: "SET_GROUPS", circuitId: "c1", groups: [] },
  ]);
});

it("is laid out anew and taken apart by the core", () => {
  open();
  press("Lay out anew");
  press("Take apart");
  expect(edits).toEqual([
    { type: "LAY_OUT", circuitId: "c1" },
    { type: "TAKE_APART", circuitId: "c1" },
  ]);
});

it("says at the field what is refused, and lets nobody change who may only read", () => {
  open();
  expect(screen.getByLabelText("Rest between rounds, s of rest")).toHaveAccessibleDescription(/must be 0 to 600/);
  open({}, true);
  expect(screen.getAllByLabelText("Rest between rounds, s of rest")[1]).toBeDisabled();
  expect(screen.getAllByRole("button", { name: "Take apart" })).toHaveLength(1);
});
