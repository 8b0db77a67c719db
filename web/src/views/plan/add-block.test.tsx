import { screen, within } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import type { Ladder } from "../../api/types";
import { press, serve, show, type } from "../../test-page";
import { AddBlock } from "./add-block";
import { ladder, quiet } from "./one-task";

const throwing = { ...ladder, id: "far", name: "Far throw", family: "THROW" } as unknown as Ladder;
const all = [ladder, quiet, throwing];

const fitting = (ladderId: string, verdict: string, findings: object[] = []) => ({
  ladderId,
  best: { rungId: "r1", verdict, findings, changes: [], waves: 1, spots: 24, ball: null, standM: null },
});

afterEach(() => vi.unstubAllGlobals());

function open(changed: Partial<Parameters<typeof AddBlock>[0]> = {}) {
  const added: string[] = [];
  const page = (more: Partial<Parameters<typeof AddBlock>[0]>) => (
    <AddBlock
      open
      onOpenChange={() => undefined}
      onOffer={all}
      here={{ classId: "c", spaceId: "s", audience: "CLASS" }}
      spaceName="Sail loft"
      after={undefined}
      onAdd={(l, r) => added.push(`${l.id}/${r.id}`)}
      {...changed}
      {...more}
    />
  );
  const { again } = show(page({}));
  return { added, again: (more: Partial<Parameters<typeof AddBlock>[0]>) => again(page(more)) };
}

const names = () => [...document.querySelectorAll("[data-ladder]")].map((r) => r.getAttribute("data-ladder"));

const stop = { code: "NO_WALL", level: "STOP", figures: {}, pupils: [] };
const asFound = [fitting("wall-catch", "FITS"), fitting("cup", "FITS"), fitting("far", "NOT", [stop])];

it("offers what fits first; what does not is a tick away, with the reason", async () => {
  serve({ "GET /api/fits": asFound, "GET /api/ladders/search": all.map((l) => l.id) });
  open();
  await vi.waitFor(() => expect(names()).toEqual(["wall-catch", "cup"]));
  screen.getByLabelText("only what fits in Sail loft").click();
  await vi.waitFor(() => expect(names()).toContain("far"));
  expect(document.querySelector("[data-ladder=far]")).toHaveTextContent(/wall/);
});

it("groups by family, and where words are looked for keeps the order of the search", async () => {
  serve({
    "GET /api/fits": [fitting("wall-catch", "FITS"), fitting("cup", "FITS"), fitting("far", "FITS")],
    "GET /api/ladders/search": () => ["far", "cup", "wall-catch"],
  });
  open();
  await screen.findByRole("heading", { name: /Throw/ });
  type("Search ladders by words", "  cup ");
  await vi.waitFor(() => expect(screen.queryByRole("heading", { name: /Throw/ })).toBeNull());
  await vi.waitFor(() => expect(names()).toEqual(["far", "cup", "wall-catch"]));
});

it("adds the rung that was pressed", async () => {
  serve({ "GET /api/fits": asFound, "GET /api/ladders/search": all.map((l) => l.id) });
  const { added } = open({ after: "Warm-up" });
  expect(screen.getByText("Add a block after Warm-up")).toBeInTheDocument();
  await vi.waitFor(() => expect(names()).toHaveLength(2));
  press("Add Wall catch, rung 2, On one foot");
  expect(added).toEqual(["wall-catch/r2"]);
});

it("is usable before it is known what fits, and says that it is being looked at", () => {
  serve({});
  const { added } = open();
  expect(screen.getByRole("status")).toHaveTextContent("Looking at what fits in Sail loft …");
  expect(names()).toHaveLength(3);
  press("Add Far throw, rung 1, Off both feet");
  expect(added).toEqual(["far/r1"]);
});

it("is done with the last search when it is opened again, and says where nothing is found", async () => {
  serve({ "GET /api/fits": asFound, "GET /api/ladders/search": () => [] });
  const { again } = open();
  type("Search ladders by words", "polo");
  expect(await screen.findByText(/^No ladder is like that/)).toBeInTheDocument();
  again({ open: false });
  again({ open: true });
  expect(within(screen.getByRole("dialog")).getByLabelText("Search ladders by words")).toHaveValue("");
});
