import { fireEvent, screen, within } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import type { Block, BlockPlan, CircuitPlan, Edit, Ladder, StationPlan } from "../../api/types";
import { choose, press, serve, show, type } from "../../test-page";
import { BlockEditor } from "./block-editor";
import { block, circuitFigures, figures, ladder, quiet, rungs, who } from "./one-task";

let edits: Edit[];
let typed: Block[];

beforeEach(() => {
  edits = [];
  typed = [];
  serve({ "GET /api/classes": [], "GET /api/kit": { kinds: [], rules: [], items: [], standIns: [] } });
});

afterEach(() => vi.unstubAllGlobals());

function open({
  changed = {},
  plan = {},
  of = ladder,
  must = {},
  station = false,
  circuit,
  readOnly = false,
}: {
  changed?: Partial<Block>;
  plan?: Partial<BlockPlan>;
  of?: Ladder;
  must?: Record<string, string>;
  station?: boolean;
  circuit?: CircuitPlan;
  readOnly?: boolean;
}) {
  const shown = { ...block, ...changed };
  show(
    <BlockEditor
      block={shown}
      blocks={[shown]}
      ladder={of}
      rung={rungs[0]}
      plan={{ ...figures, ...plan }}
      catalogue={[ladder, quiet]}
      onOffer={[ladder, quiet]}
      station={station}
      circuit={circuit}
      who={who}
      must={(field) => must[field]}
      readOnly={readOnly}
      onChange={(next) => typed.push(next)}
      onEdit={(edit) => edits.push(edit)}
      onRemove={() => undefined}
      onCopy={() => undefined}
    />,
  );
}

it("leaves to the core what follows from another rung, school of dose or cue", async () => {
  open({});
  await choose("Rung", "2 On one foot");
  await choose("School of dose", "by count");
  await choose("When the cue is given", /^try first/);
  expect(edits).toEqual([
    { type: "CHOOSE_RUNG", blockId: "b1", rungId: "r2" },
    { type: "CHOOSE_DOSE", blockId: "b1", school: "COUNT" },
    { type: "GIVE_CUE", blockId: "b1", cue: "AFTER_A_TRY" },
  ]);
  expect(typed).toEqual([]);
});

it("types figures as they stand, also those that cannot be: the server judges", () => {
  open({ must: { "dose.workSec": "must be 5 to 3600", sets: "must be 1 to 40" } });
  type("Work, s", "");
  type("Sets", "400");
  type("Rest, s", "7,5");
  expect(typed.map((b) => [b.dose, b.sets, b.restSec])).toEqual([
    [{ type: "CLOCK", workSec: null }, 3, 20],
    [{ type: "CLOCK", workSec: 30 }, 400, 20],
    [{ type: "CLOCK", workSec: 30 }, 3, 7.5],
  ]);
  expect(screen.getByLabelText("Work, s")).toHaveAccessibleDescription("Work must be 5 to 3600");
  expect(screen.getByLabelText("Sets")).toHaveAttribute("aria-invalid", "true");
});

it("steps a figure by arrow keys, never below nothing", () => {
  open({ changed: { restSec: 3 } });
  const rest = screen.getByLabelText("Rest, s");
  fireEvent.keyDown(rest, { key: "ArrowUp" });
  fireEvent.keyDown(rest, { key: "ArrowDown" });
  expect(typed.map((b) => b.restSec)).toEqual([8, 0]);
});

it("takes counts to choose from as they are typed", () => {
  open({ changed: { dose: { type: "COUNT", reps: 40, orReps: [], secPerRep: 1.5 } } });
  type("Or fewer, as they like", "20, 30;10");
  expect(typed.at(-1)?.dose).toMatchObject({ reps: 40, orReps: [20, 30, 10] });
  expect(screen.getByText("= 30 s,")).toBeInTheDocument();
});

it("says of a staircase what a hit and a miss do", async () => {
  open({
    changed: {
      dose: { type: "STAIRCASE", makesToStep: 1, stepM: 0.3, onMiss: "STAY", limitSec: 120 } as Block["dose"],
    },
  });
  expect(screen.getByText("hit, then")).toBeInTheDocument();
  await choose("What a miss does", "starts again");
  type("Hits for a step", "3");
  expect(typed.map((b) => b.dose)).toMatchObject([{ onMiss: "RESTART" }, { makesToStep: 3 }]);
});

it("asks no order of sides where there is only one", async () => {
  open({});
  await choose("Sides", /^only left/);
  expect(typed.at(-1)).toMatchObject({ sides: "SECOND_ONLY" });
  expect(screen.getByRole("combobox", { name: "Order of sides" })).toBeInTheDocument();
});

it("asks what those who wait do, and whether their waiting is rest, only where some wait", async () => {
  open({ plan: { turns: 2, waves: 2, waiting: 2, idleSecPerPupil: 90 } });
  await choose("Quiet task for those who wait", "Cup on the table: One cup");
  await choose("Waiting and rest", "waiting is no rest");
  expect(edits).toEqual([{ type: "SET_MEANWHILE", blockId: "b1", task: { ladderId: "cup", rungId: "q1" } }]);
  expect(typed.at(-1)).toMatchObject({ waitIsRest: false });
  expect(screen.getByText(/the 2 who wait:/)).toBeInTheDocument();
  expect(screen.getByLabelText("Change places, s")).toBeInTheDocument();
});

it("takes a quiet task out again, also one that is on offer no more", async () => {
  open({
    changed: { meanwhile: { ladderId: "wall-catch", rungId: "r1" } },
    plan: { turns: 2, waves: 2, waiting: 1 },
  });
  expect(screen.getByRole("combobox", { name: "Quiet task for those who wait" })).toHaveTextContent(
    "Wall catch: Off both feet",
  );
  await choose("Quiet task for those who wait", "nothing to do");
  expect(edits).toEqual([{ type: "SET_MEANWHILE", blockId: "b1", task: null }]);
});

it("has no waiting, change of places or quiet task where all work at once", () => {
  open({ plan: { sides: 1 } });
  for (const name of ["Waiting and rest", "Quiet task for those who wait"])
    expect(screen.queryByRole("combobox", { name })).toBeNull();
  for (const name of ["Change places, s", "Change sides, s"]) expect(screen.queryByLabelText(name)).toBeNull();
});

it("leaves rounds and rest of a station to its circuit", () => {
  open({ station: true });
  expect(screen.queryByLabelText("Sets")).toBeNull();
  expect(screen.queryByLabelText("Rest, s")).toBeNull();
  expect(screen.queryByText("Split it for some")).toBeNull();
  expect(screen.getByLabelText("Set up, s")).toBeInTheDocument();
});

it("gives a station a rest of its own, as long as the core says it may be", async () => {
  open({ station: true, circuit: circuitFigures });
  await choose("Rest at this station between rounds", "25 s rest here");
  expect(edits).toEqual([{ type: "SET_STATION_REST", circuitId: "c1", blockId: "b1", restSec: 25 }]);
});

it("only tells the rest of a station that has nothing to choose", () => {
  open({ station: true, circuit: { ...circuitFigures, stations: circuitFigures.stations.map(asAll) } });
  expect(screen.getByText("15 s rest between rounds")).toBeInTheDocument();
});

const asAll = (s: StationPlan) => ({ ...s, rest: { sec: 15, leastSec: 15, mostSec: 15 } });

it("says who is on which rung, and of whoever is not on their own why", () => {
  open({
    changed: { rungBy: "OWN" },
    plan: {
      onRungs: [
        { rungId: "r1", names: ["Amaru T.", "Cosmo V."] },
        { rungId: "r2", names: ["Beatrix O."] },
      ],
      elsewhere: [{ name: "Cosmo V.", standsOn: "r2", why: "ROOM" }],
    } as unknown as Partial<BlockPlan>,
  });
  const rows = within(screen.getByTestId("on-rungs")).getAllByRole("listitem");
  expect(rows.map((r) => r.textContent)).toEqual([
    "1 Off both feet:2 · Amaru T., Cosmo V.",
    "2 On one foot:1 · Beatrix O.",
    expect.stringMatching(/Cosmo V.*On one foot/),
  ]);
});

it("shows the figures that are in force, not those of the rung", () => {
  open({
    plan: {
      gate: { type: "SO_MANY_OF", reach: 16, of: 20 },
      words: { ...rungs[0], task: "Twenty catches from 3 m.", counts: "no bounce", harder: "Step back to 3.5 m." },
      onSets: [
        { set: 1, rungId: "r1", words: rungs[0] },
        { set: 2, rungId: "r2", words: rungs[1] },
      ],
    } as unknown as Partial<BlockPlan>,
  });
  expect(screen.getByText("Twenty catches from 3 m.")).toBeInTheDocument();
  expect(screen.getByText(/16 of 20/)).toHaveTextContent("Harder: Step back to 3.5 m.");
  expect(screen.getByTestId("on-sets")).toHaveTextContent("Set 2: On one foot. Task of On one foot.");
});

it("can be read and not changed by whoever may not", () => {
  open({ readOnly: true });
  expect(screen.getByLabelText("Sets")).toBeDisabled();
  expect(screen.getByRole("combobox", { name: "Rung" })).toBeDisabled();
  expect(screen.queryByRole("button", { name: "Remove" })).toBeNull();
});

it("opens a fold whose field is refused", () => {
  open({ must: { countInSec: "must be 0 to 60" } });
  expect(screen.getByLabelText("Count in, s").closest("details")).toHaveAttribute("open");
  expect(screen.getByLabelText("Rest, s").closest("details")).not.toHaveAttribute("open");
});

it("gives each role a turn where there are several", async () => {
  open({
    plan: { perSpot: 2 },
    changed: { roleTurns: "EVERYONE_WORKS", together: "IN_ORDER" },
  });
  await choose("Turns of the roles", "until everyone had each role");
  expect(typed.at(-1)).toMatchObject({ roleTurns: "EVERY_ROLE" });
  await choose("Who shares a spot", "together as fair teams");
  expect(typed.at(-1)).toMatchObject({ together: "MIXED" });
  press("Split it for some");
  expect(screen.getByText("Who does Wall catch in this block?")).toBeInTheDocument();
});
