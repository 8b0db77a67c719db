import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import type { Block, BlockPlan, Edit, Ladder, Rung } from "../../api/types";
import { BlockMore } from "./block-more";

const rung = {
  id: "r1",
  name: "Through a hoop",
  unit: "bowls",
  modifiers: ["SMALLER_BALL"],
  manner: { attitude: "EITHER" },
  gate: { type: "SO_MANY_OF", reach: 7, of: 10 },
  kit: { without: ["mark"], more: [{ role: "target", kind: "hoop", standIns: [] }] },
} as unknown as Rung;

const ladder = {
  id: "l1",
  part: "MAIN",
  rungs: [rung],
  footprint: { lengthM: 5, widthM: 1.3, gapM: 0.4, edgeM: 0.3, needsWall: true, oneRow: true, heightM: null },
  kit: [
    { role: "ball", kind: "tennis-ball", standIns: [{ kind: "sock-ball" }] },
    { role: "mark", kind: "chalk", standIns: [] },
  ],
} as unknown as Ladder;

const block = {
  id: "b1",
  kind: "TASK",
  modifiers: [],
  sets: 2,
  kit: [],
  variants: [],
  gate: null,
  mark: null,
  spot: null,
} as unknown as Block;

let edits: Edit[];
let typed: Block[];

beforeEach(() => {
  edits = [];
  typed = [];
  const kinds = [
    { id: "tennis-ball", name: "tennis ball" },
    { id: "sock-ball", name: "rolled socks" },
    { id: "chalk", name: "chalk" },
    { id: "hoop", name: "hoop" },
  ];
  vi.stubGlobal("fetch", async () => Response.json({ kinds, rules: [], items: [], standIns: [] }));
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function show(changed: Partial<Block> = {}, plan: Partial<BlockPlan> = {}) {
  const shown = { ...block, ...changed };
  render(
    <QueryClientProvider client={new QueryClient()}>
      <BlockMore
        block={shown}
        blocks={[shown]}
        ladder={ladder}
        rung={rung}
        plan={plan as BlockPlan}
        catalogue={[ladder]}
        onOffer={[ladder]}
        who={[{ id: "p1", name: "Amaru T." }]}
        must={() => undefined}
        readOnly={false}
        onChange={(next) => typed.push(next)}
        onEdit={(edit) => edits.push(edit)}
      />
    </QueryClientProvider>,
  );
}

it("sends what a rule belongs to as an edit, and keeps what is only a value", () => {
  show({ variants: [{ pupilId: "p1", adaptation: "SEATED", instead: null }] });
  fireEvent.click(screen.getByLabelText("smaller ball"));
  fireEvent.click(screen.getByText("Mark a band on the wall"));
  fireEvent.click(screen.getByText("take out"));
  expect(edits).toEqual([
    { type: "SET_MODIFIER", blockId: "b1", modifier: "SMALLER_BALL", on: true },
    { type: "MARK_BAND", blockId: "b1" },
    { type: "TAKE_OUT_VARIANT", blockId: "b1", pupilId: "p1", adaptation: "SEATED" },
  ]);
  expect(typed).toEqual([]);
  fireEvent.click(screen.getByLabelText("Beat the pace"));
  expect(typed).toHaveLength(1);
});

it("shows a modifier that its rung does not allow any more, to be taken out", () => {
  show({ modifiers: ["EYES_ON_MARK"] });
  fireEvent.click(screen.getByLabelText("eyes on a mark"));
  expect(edits).toEqual([{ type: "SET_MODIFIER", blockId: "b1", modifier: "EYES_ON_MARK", on: false }]);
});

it("lets a band be taken out that its task has no wall for", () => {
  ladder.footprint.needsWall = false;
  show({ mark: { lowM: 2.1, highM: 2.6 } });
  fireEvent.click(screen.getByText("no band"));
  ladder.footprint.needsWall = true;
  expect(typed.at(-1)?.mark).toBeNull();
});

it("begins a gate of one's own from the gate in force, which follows the count", () => {
  show({}, { gate: { type: "SO_MANY_OF", reach: 14, of: 20 } });
  const field = screen.getByLabelText("Gate, of 20 bowls");
  expect((field as HTMLInputElement).value).toBe("14");
  fireEvent.change(field, { target: { value: "12" } });
  expect(typed.at(-1)?.gate).toEqual({ type: "SO_MANY_OF", reach: 12, of: 20 });
});

it("offers kit for what the rung is played with: a hoop of its own, no chalk", async () => {
  show();
  expect(await screen.findByText("hoop")).toBeTruthy();
  expect(screen.queryByText("chalk")).toBeNull();
  expect(screen.getByText("tennis ball")).toBeTruthy();
});
