import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import type { Block, BlockPlan, Edit, Ladder, Rung } from "../../api/types";
import { BlockMore } from "./block-more";
import { SplitFor } from "./split-for";

const rung = {
  id: "r1",
  name: "Through a hoop",
  unit: "bowls",
  modifiers: ["SMALLER_BALL"],
  manner: { attitude: "EITHER" },
  gate: { type: "SO_MANY_OF", reach: 7, of: 10 },
  measure: { type: "HITS_OF_N", n: null },
  ways: ["HITS_OF_N", "COUNT_IN_TIME", "LONGEST_RUN"],
  sides: "BOTH",
  calls: null,
  standM: 4,
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
  measure: null,
  standM: null,
  target: null,
  laterRungIds: [],
  rungBy: "ONE",
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
  vi.stubGlobal(
    "ResizeObserver",
    class {
      observe() {}
      disconnect() {}
    },
  );
  vi.stubGlobal("fetch", async () => Response.json({ kinds, rules: [], items: [], standIns: [] }));
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function show(changed: Partial<Block> = {}, figures: Partial<BlockPlan> = {}) {
  const plan = { onSets: [], ...figures };
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
        station={false}
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
  const field = screen.getByLabelText("Gate");
  expect((field as HTMLInputElement).value).toBe("14");
  fireEvent.change(field, { target: { value: "12" } });
  expect(typed.at(-1)?.gate).toEqual({ type: "SO_MANY_OF", reach: 12, of: 20 });
  fireEvent.change(screen.getByLabelText("Gate, out of, bowls"), { target: { value: "25" } });
  expect(typed.at(-1)?.gate).toEqual({ type: "SO_MANY_OF", reach: 14, of: 25 });
  expect(screen.getByText("with each hand")).toBeTruthy();
});

it("offers kit for what the rung is played with: a hoop of its own, no chalk", async () => {
  show();
  expect(await screen.findByText("hoop")).toBeTruthy();
  expect(screen.queryByText("chalk")).toBeNull();
  expect(screen.getByText("tennis ball")).toBeTruthy();
});

it("takes another distance and target with the block, and back to the rung's", () => {
  show({ standM: 6, target: "a bucket" }, { standM: 6 });
  fireEvent.change(screen.getByLabelText("Distance, m,"), { target: { value: "5.5" } });
  expect(typed.at(-1)).toMatchObject({ standM: 5.5, target: "a bucket" });
  fireEvent.change(screen.getByLabelText("Target"), { target: { value: "" } });
  expect(typed.at(-1)?.target).toBeNull();
  fireEvent.click(screen.getByText("as the rung says"));
  expect(typed.at(-1)).toMatchObject({ standM: null, target: null });
});

it("takes away the counter of a task, adds others, and goes back to the ladder's own", () => {
  show({}, { atSpot: { stay: ["worker"], helpers: ["COUNTER"] } });
  expect(screen.getByText("2 at each spot; everybody gets each part.")).toBeTruthy();
  fireEvent.click(screen.getByLabelText("counter"));
  fireEvent.click(screen.getByLabelText("fetcher"));
  expect(typed.map((b) => b.helpers)).toEqual([[], ["COUNTER", "FETCHER"]]);
  cleanup();
  show({ helpers: [] }, { atSpot: { stay: ["worker"], helpers: [] } });
  expect(screen.getByText("alone: each counts for themselves.")).toBeTruthy();
  fireEvent.click(screen.getByText("as the ladder says"));
  expect(typed.at(-1)?.helpers).toBeNull();
});

it("lays the markers that are called: a usual figure, more of a colour, each moved, and none where none is called", () => {
  show();
  expect(screen.queryByText("round the middle")).toBeNull();
  cleanup();
  rung.calls = { words: ["red", "blue"], everySec: 3 };
  show({}, { callsMarkers: true });
  expect(screen.getByText(/as the rung calls them: red, blue/)).toBeTruthy();
  fireEvent.click(screen.getByText("in a line"));
  const laid = typed.at(-1)?.called;
  expect(laid?.markers.map((m) => m.word)).toEqual(["red", "blue", "yellow", "green"]);
  expect(laid?.everySec).toBe(3);
  cleanup();
  show({ called: laid ?? null }, { callsMarkers: true });
  fireEvent.click(screen.getByRole("button", { name: "red" }));
  expect(typed.at(-1)?.called?.markers.at(-1)).toEqual({ word: "red", xM: 5.5, yM: 0.5 });
  fireEvent.keyDown(screen.getByRole("button", { name: /^Marker 2, blue, 1.5 m along/ }), { key: "ArrowDown" });
  expect(typed.at(-1)?.called?.markers[1]).toEqual({ word: "blue", xM: 1.5, yM: 0.6 });
  expect(screen.getByRole("group", { name: "4 markers that are called: red, blue, yellow, green" })).toBeTruthy();
  rung.calls = null;
});

it("begins a way back where it is asked, in shoe lengths where it is stepped in shoes", () => {
  const stairs = { makesToStep: 1, onMiss: "STAY", stepM: 0.24, startM: 1.44, unit: "SHOE" } as const;
  show({}, { standM: 1.4, stairs });
  const field = screen.getByLabelText("Begins at, shoe lengths,") as HTMLInputElement;
  expect(field.value).toBe("6");
  fireEvent.change(field, { target: { value: "1" } });
  expect(typed.at(-1)?.standM).toBe(0.24);
});

it("changes figures of a measure as they are typed, and goes back to the rung's by an edit", () => {
  const rings = { type: "RINGS" as const, rings: [{ radiusCm: 15, points: 10 }] };
  show({ measure: rings });
  fireEvent.change(screen.getByLabelText("Rings from the middle out, cm = points"), {
    target: { value: "15=10, 40=2" },
  });
  fireEvent.blur(screen.getByLabelText("Rings from the middle out, cm = points"));
  expect(typed.at(-1)?.measure).toEqual({
    type: "RINGS",
    rings: [
      { radiusCm: 15, points: 10 },
      { radiusCm: 40, points: 2 },
    ],
  });
  fireEvent.click(screen.getByText("as the rung says"));
  expect(edits).toEqual([{ type: "SET_MEASURE", blockId: "b1", measure: null }]);
});

it("splits a block for some, and for all or nobody not", () => {
  const props = { block, blocks: [block], ladder: { ...ladder, name: "Bowls" }, rung, plan: undefined, catalogue: [] };
  const who = ["Amaru T.", "Beatrix O.", "Cosmo V."].map((name, i) => ({ id: `p${i}`, name }));
  render(
    <SplitFor
      {...props}
      block={{ ...block, onlyPupilIds: [] }}
      onOffer={[]}
      station={false}
      who={who}
      must={() => undefined}
      readOnly={false}
      onChange={(next) => typed.push(next)}
      onEdit={(edit) => edits.push(edit)}
    />,
  );
  fireEvent.click(screen.getByText("Split it for some"));
  const press = screen.getByText("Split it") as HTMLButtonElement;
  expect(press.disabled).toBe(true);
  for (const { name } of who) fireEvent.click(screen.getByLabelText(name));
  expect(press.disabled).toBe(true);
  fireEvent.click(screen.getByLabelText("Beatrix O."));
  fireEvent.click(press);
  expect(edits).toMatchObject([{ type: "SPLIT_FOR", blockId: "b1", pupilIds: ["p0", "p2"] }]);
});
