import { fireEvent, screen, within } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import type { ClassRecord, Ladder } from "../../api/types";
import { choose, press, show } from "../../test-page";
import { Matrix } from "./matrix";

beforeEach(() => localStorage.clear());
afterEach(() => vi.unstubAllGlobals());

const ladder = (id: string, name: string, family: string, sports: string[]) =>
  ({ id, name, family, sports, rungs: ["a", "b", "c"].map((r) => ({ id: r, name: r })) }) as unknown as Ladder;
const tried = [
  ladder("wall", "Wall catch", "CATCH", ["netball"]),
  ladder("cup", "Cup toss", "TARGET", ["boules"]),
  ladder("far", "Far catch", "CATCH", ["boules"]),
];

const on = (pupilId: string, ladderId: string, done: string[], more: object = {}) => ({
  pupilId,
  ladderId,
  rungId: "b",
  verdict: "STAY",
  seeAgain: false,
  sides: [],
  challenges: [
    ...done.map((rungId) => ({ rungId, modifiers: [], completedOn: "2026-11-20" })),
    { rungId: "b", modifiers: [], completedOn: null },
  ].filter((c, i, all) => all.findIndex((x) => x.rungId === c.rungId) === i),
  ...more,
});

const record = {
  pupils: [
    { pupilId: "p2", name: "Beatrix O." },
    { pupilId: "p1", name: "Amaru T." },
    { pupilId: "p3", name: "Cosmo V." },
  ],
  onLadders: [
    on("p2", "wall", ["a"], {
      verdict: "UP",
      seeAgain: true,
      sides: [
        { known: true, share: 0.84 },
        { known: true, share: 0.61 },
        { known: false, share: 0.1 },
      ],
    }),
    on("p1", "wall", ["a", "b"], { verdict: "BACK" }),
    on("p1", "far", ["a", "b", "c"]),
  ],
} as unknown as ClassRecord;

const names = () => screen.getAllByRole("rowheader").map((r) => r.textContent);
const heads = () => screen.getAllByRole("columnheader").map((h) => h.textContent);

it("says in words what each cell draws, of the weaker side that is known", () => {
  show(<Matrix record={record} tried={tried} onLadder={() => undefined} />);
  const cells = within(screen.getByRole("row", { name: /Beatrix/ })).getAllByRole("img");
  expect(cells.map((c) => c.getAttribute("aria-label"))).toEqual([
    "Wall catch: 1 of 3 completed, 1 tried; stands on rung 2, 61 % go in now, ready to go up, to be seen again",
    "Far catch: not tried",
    "Cup toss: not tried",
  ]);
});

it("orders pupils as they stand, by name, or by what they completed, and remembers it on the device", async () => {
  const { unmount } = show(<Matrix record={record} tried={tried} onLadder={() => undefined} />);
  expect(names()).toEqual(["Beatrix O.", "Amaru T.", "Cosmo V."]);
  await choose("Order of the pupils", "Pupils by challenges done");
  expect(names()).toEqual(["Amaru T.", "Beatrix O.", "Cosmo V."]);
  await choose("Order of the pupils", "Pupils by name");
  expect(names()).toEqual(["Amaru T.", "Beatrix O.", "Cosmo V."]);
  unmount();
  show(<Matrix record={record} tried={tried} onLadder={() => undefined} />);
  expect(screen.getByRole("combobox", { name: "Order of the pupils" })).toHaveTextContent("Pupils by name");
});

it("groups ladders by family or by sport, each under its head", async () => {
  show(<Matrix record={record} tried={tried} onLadder={() => undefined} />);
  expect(heads()).toEqual(["Catch", "Target", "Pupil", "Wall catch", "Far catch", "Cup toss"]);
  await choose("Ladders grouped", "Ladders by sport");
  expect(heads()).toEqual(["netball", "boules", "Pupil", "Wall catch", "Cup toss", "Far catch"]);
  const boules = screen.getByRole("columnheader", { name: "boules" });
  expect(boules).toHaveAttribute("colspan", "2");
});

it("opens a ladder from its head, and a pupil from the name", () => {
  const opened: string[] = [];
  show(<Matrix record={record} tried={tried} onLadder={(id) => opened.push(id)} />);
  press("Cup toss");
  expect(opened).toEqual(["cup"]);
  expect(screen.getByRole("link", { name: "Amaru T." })).toHaveAttribute("href", "/pupils/p1");
});

it("is set in pieces of ten ladders on paper, each with every pupil, and scrolls again afterwards", () => {
  const many = Array.from({ length: 23 }, (_, i) => ladder(`l${i}`, `Ladder ${i}`, "MOVE", ["hockey"]));
  show(<Matrix record={record} tried={many} onLadder={() => undefined} />);
  expect(screen.getAllByRole("table")).toHaveLength(1);
  fireEvent(window, new Event("beforeprint"));
  const tables = screen.getAllByRole("table");
  expect(tables.map((t) => within(t).getAllByRole("columnheader").length - 2)).toEqual([10, 10, 3]);
  for (const table of tables) expect(within(table).getAllByRole("rowheader")).toHaveLength(3);
  fireEvent(window, new Event("afterprint"));
  expect(screen.getAllByRole("table")).toHaveLength(1);
});
