import { screen } from "@testing-library/react";
import { useState } from "react";
import { afterEach, expect, it, vi } from "vitest";
import type { Block, BlockPlan } from "../../api/types";
import { choose, press, pressSoon, refusal, sentTo, serve, show, type } from "../../test-page";
import { block, figures } from "./one-task";
import { RoutineEditor } from "./routine-editor";

type Routine = NonNullable<Block["routine"]>;

const moves = [
  { what: "Arms up", count: 10, sec: 10, eachSide: false },
  { what: "Hold the stretch", count: null, sec: 20, eachSide: true },
  { what: "Turn about", count: 4, sec: 8, eachSide: false },
];
const routine = { name: "Morning ten", moves } as Routine;

let now: Block;

function Page({ must = {} }: { must?: Record<string, string> }) {
  const [shown, setShown] = useState({ ...block, kind: "ROUTINE", routine } as Block);
  now = shown;
  return (
    <RoutineEditor
      block={shown}
      routine={shown.routine as Routine}
      plan={{ ...figures, workSec: 58, touches: 14, steps: ["a", "b", "c", "d"] } as BlockPlan}
      must={(field) => must[field]}
      onChange={setShown}
      readOnly={false}
      onRemove={() => undefined}
      onCopy={() => undefined}
    />
  );
}

afterEach(() => vi.unstubAllGlobals());

const names = () => now.routine?.moves.map((m) => m.what);

it("orders, adds and takes out moves, and turns them round", () => {
  serve({ "GET /api/routines": [] });
  show(<Page />);
  press("Move 3 earlier");
  expect(names()).toEqual(["Arms up", "Turn about", "Hold the stretch"]);
  press("Add a move");
  expect(names()).toEqual(["Arms up", "Turn about", "Hold the stretch", "Move 4"]);
  press("Turn it round");
  expect(names()).toEqual(["Move 4", "Hold the stretch", "Turn about", "Arms up"]);
  for (const _ of [1, 2, 3]) press("Take out move 1");
  expect(names()).toEqual(["Arms up"]);
  expect(screen.getByRole("button", { name: "Take out move 1" })).toBeDisabled();
});

it("holds a move for its seconds where it has no count, and does it on each side", () => {
  serve({ "GET /api/routines": [] });
  show(<Page />);
  type("Count of move 1, count", "");
  type("Seconds of move 2, s", "25");
  screen.getByLabelText("Move 3 on each side").click();
  expect(now.routine?.moves).toMatchObject([{ count: null }, { sec: 25 }, { eachSide: true }]);
});

it("tells its time and count as the core worked them out", () => {
  serve({ "GET /api/routines": [] });
  show(<Page must={{ "routine.moves[1].what": "must not be empty" }} />);
  expect(screen.getByTestId("routine-total")).toHaveTextContent("4 calls, 58 s once through; 14 in all.");
  expect(screen.getByLabelText("Move 2")).toHaveAttribute("aria-invalid", "true");
});

it("is kept under its name, and a change of it over what is kept so", async () => {
  const kept = { id: "k1", version: 7, routine: { ...routine, moves: moves.slice(0, 2) } };
  const other = { id: "k2", version: 1, routine: { name: "Quiet end", moves: moves.slice(2) } };
  const heard = serve({ "GET /api/routines": [kept, other], "PUT /api/routines/k1": kept });
  show(<Page />);
  await pressSoon("Keep the change, too");
  await vi.waitFor(() => expect(sentTo(heard, "PUT /api/routines/k1")).toEqual([{ version: 7, routine }]));
  await choose("Put in a kept routine", "Quiet end");
  expect(now.routine).toMatchObject({ name: "Quiet end", moves: moves.slice(2) });
  expect(screen.getByText("Kept: any lesson can have it.")).toBeInTheDocument();
});

it("says why it cannot be kept", async () => {
  serve({
    "GET /api/routines": [],
    "POST /api/routines": () => refusal(400, { "routine.name": "must not be empty" }),
  });
  show(<Page />);
  await pressSoon("Keep it under its name");
  expect(await screen.findByRole("alert")).toHaveTextContent("routine.name must not be empty");
});
