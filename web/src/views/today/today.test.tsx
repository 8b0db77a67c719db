import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, expect, it, vi } from "vitest";
import type { SchoolClass, Who } from "../../api/types";
import { ChosenClass } from "../../chosen-class";
import { Today } from "./today";

const line = {
  id: "l1",
  name: "Sail loft, wet Tuesday",
  onDay: "2100-01-05",
  audience: "CLASS",
  minutes: 40,
  spaceName: "Sail loft",
  taughtOn: null,
};

/** A server that knows one lesson; what is not said never answers. */
function server(said: Record<string, unknown>, asked: string[] = []) {
  vi.stubGlobal("fetch", async (url: string, how?: RequestInit) => {
    const path = new URL(url, "http://here").pathname.replace("/api", "");
    asked.push(`${how?.method ?? "GET"} ${path}`);
    if (!(path in said)) return new Promise<Response>(() => {});
    return new Response(JSON.stringify(said[path]), { status: 200, headers: { "Content-Type": "application/json" } });
  });
  return asked;
}

function today() {
  const chosen = { id: "c1", name: "Team Teal", pupils: [], mayChange: true } as unknown as SchoolClass;
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <ChosenClass value={{ chosen, all: [chosen], choose: () => {} }}>
          <Today who={{ teaches: true } as Who} />
        </ChosenClass>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

afterEach(() => vi.unstubAllGlobals());

it("shows each press at its place before the plan is read, so that none comes under a finger", async () => {
  server({ "/lessons": [line], "/runs/open": [] });
  today();
  await screen.findByText("Sail loft, wet Tuesday");
  expect(screen.getByRole("button", { name: "Run it" })).toBeInTheDocument();
  expect(screen.getByRole("link", { name: "Open the plan" })).toBeInTheDocument();
});

it("runs nothing by accident that findings stop, wherever it is pressed", async () => {
  const stop = { id: "f1", level: "STOP", silenced: null };
  const asked = server({
    "/lessons": [line],
    "/runs/open": [],
    "/lessons/l1": { findings: [stop, { ...stop, id: "f2", silenced: "agreed" }], lesson: { blocks: [] }, plan: {} },
  });
  today();
  fireEvent.click(await screen.findByRole("button", { name: "Run it" }));
  expect(await screen.findByText(/One finding stands against this lesson/)).toBeInTheDocument();
  expect(screen.getByRole("link", { name: "Look at the plan first" })).toHaveAttribute("href", "/plan/l1");
  expect(asked).not.toContain("POST /runs");
  fireEvent.click(screen.getByRole("button", { name: "Run it all the same" }));
  await vi.waitFor(() => expect(asked).toContain("POST /runs"));
});
