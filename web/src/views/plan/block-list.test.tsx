import { fireEvent, screen } from "@testing-library/react";
import { useState } from "react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { Problem } from "../../api/client";
import type { Block, Circuit, Edit, LessonView } from "../../api/types";
import { press, serve, show, type } from "../../test-page";
import { BlockList } from "./block-list";
import { block, circuit, circuitFigures, figures, ladder, quiet, who } from "./one-task";

let edits: Edit[];
let typed: Block[][];
let circuits: Circuit[][];
let chosen: (string | undefined)[];

const talk = {
  ...block,
  id: "b2",
  kind: "TALK",
  ladderId: null,
  rungId: null,
  dose: { type: "CLOCK", workSec: 60 },
} as unknown as Block;
const three = [block, talk, { ...block, id: "b3", note: "third" }];

beforeEach(() => {
  edits = [];
  typed = [];
  circuits = [];
  chosen = [];
  serve({ "GET /api/classes": [], "GET /api/kit": { kinds: [], rules: [], items: [], standIns: [] } });
});

afterEach(() => vi.unstubAllGlobals());

type Changed = Partial<Parameters<typeof BlockList>[0]>;

/** The list as its page has it: a move of the core's comes back as another order. */
function Page({ changed }: { changed: Changed }) {
  const [blocks, setBlocks] = useState(changed.blocks ?? three);
  return (
    <BlockList
      plans={[figures, { ...figures, id: "b2" }, { ...figures, id: "b3", startSec: 400, endSec: 1000 }]}
      circuits={[]}
      circuitPlans={[]}
      catalogue={[ladder, quiet]}
      onOffer={[ladder, quiet]}
      who={who}
      findings={[]}
      problem={undefined}
      chosenId={undefined}
      onChoose={(id) => chosen.push(id)}
      onChange={(next) => typed.push(next)}
      onCircuits={(next) => circuits.push(next)}
      onEdit={(some) => {
        edits.push(...some);
        const [move] = some;
        if (move?.type !== "MOVE") return;
        const rest = blocks.filter((b) => b.id !== move.blockId);
        const moved = blocks.filter((b) => b.id === move.blockId);
        setBlocks([...rest.slice(0, move.to), ...moved, ...rest.slice(move.to)]);
      }}
      readOnly={false}
      {...changed}
      blocks={blocks}
    />
  );
}

const open = (changed: Changed = {}) => show(<Page changed={changed} />);
const rows = () => [...document.querySelectorAll<HTMLElement>("button[data-block]")];

it("moves a block by keyboard, and the focus stays with it", () => {
  open();
  rows()[0]?.focus();
  fireEvent.keyDown(document.activeElement as Element, { key: "ArrowDown", altKey: true });
  expect(edits).toEqual([{ type: "MOVE", blockId: "b1", to: 1 }]);
  expect(document.activeElement).toBe(rows()[1]);
  fireEvent.keyDown(document.activeElement as Element, { key: "ArrowDown", altKey: true });
  expect(document.activeElement).toBe(rows()[2]);
});

it("does not move past either end, without Alt, or for whoever may only read", () => {
  open();
  fireEvent.keyDown(rows()[0] as Element, { key: "ArrowUp", altKey: true });
  fireEvent.keyDown(rows()[2] as Element, { key: "ArrowDown", altKey: true });
  fireEvent.keyDown(rows()[1] as Element, { key: "ArrowDown" });
  open({ readOnly: true });
  fireEvent.keyDown(rows()[4] as Element, { key: "ArrowDown", altKey: true });
  expect(edits).toEqual([]);
});

it("opens one block and closes it again", () => {
  open();
  fireEvent.click(rows()[2] as Element);
  expect(chosen).toEqual(["b3"]);
  show(<Page changed={{ chosenId: "b3" }} />);
  const opened = rows().find((r) => r.getAttribute("aria-expanded") === "true");
  fireEvent.click(opened as Element);
  expect(chosen).toEqual(["b3", undefined]);
});

it("copies and takes out the opened block, and comes to the copy", () => {
  open({ chosenId: "b1" });
  press("Copy");
  press("Remove");
  const [copy, remove] = edits;
  expect(copy).toMatchObject({ type: "COPY", blockId: "b1" });
  expect(remove).toEqual({ type: "REMOVE", blockId: "b1" });
  expect(chosen).toEqual([(copy as { id: string }).id, undefined]);
});

it("writes what is typed into the opened block and leaves the others as they are", () => {
  open({ chosenId: "b3" });
  type("Sets", "5");
  expect(typed.at(-1)?.map((b) => b.sets)).toEqual([3, 3, 5]);
});

it("opens other time into its seconds and words", () => {
  open({ chosenId: "b2" });
  type("Time, s", "90");
  type("Your own words for it", "Line up at the door.");
  expect(typed.map((all) => [all[1]?.dose, all[1]?.note])).toEqual([
    [{ type: "CLOCK", workSec: 90 }, null],
    [{ type: "CLOCK", workSec: 60 }, "Line up at the door."],
  ]);
});

it("marks the line whose field is refused, and says it at the field once it is open", () => {
  const problem = new Problem(400, "Refused", "One field.", [
    { field: "lesson.blocks[2].sets", rule: "RANGE", must: "must be 1 to 40" },
  ]);
  open({ problem, chosenId: "b3" });
  expect(screen.getByLabelText("Sets")).toHaveAccessibleDescription("Sets must be 1 to 40");
  const wrong = rows().map((r) => !!r.querySelector(".text-alert"));
  expect(wrong).toEqual([false, false, true]);
});

it("says at its line that a block stops the lesson, until that is let stand", () => {
  const stop = { id: "f", code: "KIT", level: "STOP", blockId: "b1", silenced: null };
  const findings = [stop, { ...stop, blockId: "b3", silenced: "there are more in the shed" }];
  open({ findings: findings as unknown as LessonView["findings"] });
  expect(rows().map((r) => r.textContent?.includes("to mend first"))).toEqual([true, false, false]);
});

it("says who waits with nothing to do, or at which quiet task", () => {
  const waiting = { ...figures, turns: 2, waves: 2, waiting: 6, idleSecPerPupil: 90 };
  open({
    plans: [waiting, { ...waiting, id: "b3" }],
    blocks: [block, { ...block, id: "b3", meanwhile: { ladderId: "cup", rungId: "q1" } }],
  });
  expect(rows()[0]).toHaveTextContent("6 wait 1:30 with nothing to do");
  expect(rows()[1]).toHaveTextContent("quiet task: Cup on the table");
});

it("puts the head of a circuit before its stations, which count anew", () => {
  const stations = [block, { ...block, id: "b2" }, { ...block, id: "b3" }];
  open({ blocks: stations, circuits: [circuit], circuitPlans: [circuitFigures] });
  const items = screen.getAllByRole("list", { name: "Blocks" })[0]?.children ?? [];
  expect(items[0]).toHaveTextContent("2 stations at the same time");
  expect([...items].slice(1).map((i) => i.querySelector(".clock")?.textContent)).toEqual(["1", "2", "3"]);
  expect(rows()[0]).toHaveTextContent("each works in 2 of 2 rounds");
  type("Work at each station, s of work", "55");
  expect(circuits.at(-1)).toMatchObject([{ id: "c1", workSec: 55 }]);
});

it("moves a circuit whole", () => {
  const stations = [block, { ...block, id: "b2" }, { ...block, id: "b3" }];
  open({ blocks: stations, circuits: [circuit], circuitPlans: [circuitFigures] });
  press("Later");
  expect(edits).toEqual([{ type: "MOVE", blockId: "c1", to: 1 }]);
  expect(screen.getByRole("button", { name: "Earlier" })).toBeDisabled();
});

it("says what to do where there is no block yet", () => {
  open({ blocks: [] });
  expect(screen.getByText(/^No block yet/)).toBeInTheDocument();
});
