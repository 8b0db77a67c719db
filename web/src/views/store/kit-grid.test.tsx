import { fireEvent, render, screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import type { KitItem, KitKind, KitStore } from "../../api/types";
import { KitGrid } from "./kit-grid";

const kind = (id: string, name: string, never: string | null = null): KitKind => ({
  id,
  name,
  group: "BALL",
  sizeCm: null,
  openingCm: null,
  massG: null,
  bounces: true,
  soft: false,
  rolls: true,
  grips: true,
  bright: false,
  hard: false,
  make: null,
  makeMin: 0,
  never,
});

it("puts in what is ticked or counted, changes a count, takes out what is unticked, and never offers what is refused", () => {
  const tennis = kind("tennis-ball", "tennis ball");
  const foam = kind("foam-ball", "foam ball");
  const item: KitItem = { id: "i1", version: 3, kind: foam, count: 4, condition: "WORN" };
  const store: KitStore = {
    items: [item],
    rules: [],
    kinds: [tennis, foam, kind("stone", "stone", "too hard")],
    fits: [],
  };
  const on = { add: vi.fn(), change: vi.fn(), remove: vi.fn() };
  render(<KitGrid store={store} mayChange onAdd={on.add} onChange={on.change} onRemove={on.remove} />);

  fireEvent.click(screen.getByLabelText("tennis ball"));
  expect(on.add).toHaveBeenLastCalledWith(tennis, 1);
  const many = screen.getByLabelText("How many tennis ball");
  fireEvent.change(many, { target: { value: "12" } });
  fireEvent.blur(many);
  expect(on.add).toHaveBeenLastCalledWith(tennis, 12);

  const foams = screen.getByLabelText("How many foam ball");
  fireEvent.change(foams, { target: { value: "6" } });
  fireEvent.blur(foams);
  expect(on.change).toHaveBeenLastCalledWith(item, { kind: foam, count: 6, condition: "WORN" });
  fireEvent.click(screen.getByLabelText("foam ball"));
  expect(on.remove).toHaveBeenLastCalledWith(item);
  expect(screen.queryByText("stone")).toBeNull();
});
