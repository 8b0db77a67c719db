import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen } from "@testing-library/react";
import { useState } from "react";
import { afterEach, expect, it, vi } from "vitest";
import type { Ladder, Rung } from "../../api/types";
import { RungKitForm } from "./rung-kit-form";

const role = (name: string, kind: string) =>
  ({ role: name, kind, what: kind, perSpot: 1, needs: [], standIns: [], refused: [] }) as Ladder["kit"][number];

let now: Rung["kit"];

function open() {
  const kinds = [{ id: "foam", name: "foam ball", group: "BALL", never: null, make: null, makeMin: 0 }];
  vi.stubGlobal("fetch", async () => Response.json({ kinds, rules: [], items: [], standIns: [] }));
  function Held() {
    const [own, setOwn] = useState<Rung["kit"]>({ without: [], more: [] });
    now = own;
    return (
      <RungKitForm
        own={own}
        ladders={[role("ball", "sock"), role("mark", "chalk")]}
        onChange={setOwn}
        must={(field) => (field === "kit.more[0].perSpot" ? "must be from 1 to 40" : undefined)}
      />
    );
  }
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Held />
    </QueryClientProvider>,
  );
}

afterEach(() => vi.unstubAllGlobals());

it("plays a rung with another ball than its ladder, and says what is wrong at its field", async () => {
  open();
  expect(screen.getByText("as its ladder says")).toBeInTheDocument();
  fireEvent.click(screen.getByLabelText("sock"));
  expect(now).toEqual({ without: ["ball"], more: [] });
  fireEvent.click(screen.getByText("Something to play with"));
  await vi.waitFor(() => {
    if (now.more.length === 0) fireEvent.click(screen.getByText("Something to play with"));
    expect(now.more.map((k) => [k.role, k.kind])).toEqual([["ball", "foam"]]);
  });
  expect(screen.getByText("must be from 1 to 40", { exact: false })).toBeInTheDocument();
  fireEvent.click(screen.getByLabelText("Take out foam ball"));
  fireEvent.click(screen.getByLabelText("sock"));
  expect(now).toEqual({ without: [], more: [] });
});

it("calls what is added otherwise where the ladder's own ball is still needed", async () => {
  open();
  await vi.waitFor(() => {
    if (now.more.length === 0) fireEvent.click(screen.getByText("Something to play with"));
    expect(now.more.map((k) => k.role)).toEqual(["thing 3"]);
  });
});
