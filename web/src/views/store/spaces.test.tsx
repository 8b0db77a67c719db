import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import type { Space, SpaceDoc } from "../../api/types";
import { Spaces } from "./spaces";

const loft: Space = {
  id: "s1",
  version: 1,
  name: "Loft",
  place: {
    size: { lengthM: 9, widthM: 6, ceilingM: 3, wall: null },
    surface: "WOOD",
    wet: "NEVER",
    breakables: false,
    neighboursBelow: false,
    othersWall: false,
    cars: false,
    openWater: false,
    lowLamps: false,
    features: [],
    otherWalls: [],
  },
};

class Still {
  observe() {}
  unobserve() {}
  disconnect() {}
}

/** A store that somebody else changed meanwhile: what is saved over an older version is refused. */
function changedMeanwhile() {
  let there = { ...loft, version: 2, name: "Loft, swept" };
  let first = true;
  vi.stubGlobal("ResizeObserver", Still);
  vi.stubGlobal("fetch", async (url: string, how: RequestInit) => {
    if (url.endsWith("/session")) return Response.json({ who: { teaches: true } });
    if (how.method !== "PUT") {
      const shown = first ? loft : there;
      first = false;
      return Response.json([shown]);
    }
    const { version, ...doc } = JSON.parse(String(how.body)) as SpaceDoc;
    if (version !== there.version)
      return Response.json({ title: "Changed meanwhile", detail: "By a colleague.", errors: [] }, { status: 409 });
    there = { ...there, ...doc, version: version + 1 };
    return Response.json(there);
  });
  return () => there;
}

async function renamed() {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Spaces />
    </QueryClientProvider>,
  );
  fireEvent.click(await screen.findByRole("button", { name: /Loft/ }));
  fireEvent.change(screen.getByDisplayValue("Loft"), { target: { value: "Sail loft" } });
  await screen.findByText("By a colleague.", { exact: false });
}

afterEach(() => vi.unstubAllGlobals());

it("shows what a colleague saved meanwhile, and keeps what was typed one undo away", async () => {
  changedMeanwhile();
  await renamed();
  fireEvent.click(screen.getByText("Show the newer one"));
  expect(await screen.findByDisplayValue("Loft, swept")).toBeInTheDocument();
  fireEvent.click(screen.getByRole("button", { name: "Undo" }));
  expect(await screen.findByDisplayValue("Sail loft")).toBeInTheDocument();
});

it("saves over it when asked to", async () => {
  const there = changedMeanwhile();
  await renamed();
  fireEvent.click(screen.getByText("Save mine over it"));
  await vi.waitFor(() => expect(there().name).toBe("Sail loft"));
});
