import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen } from "@testing-library/react";
import { MemoryRouter, Route, Routes } from "react-router";
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
    if (path === "/lessons/handed" && !(path in said)) return new Response("[]", { status: 200 });
    if (!(path in said)) return new Promise<Response>(() => {});
    return new Response(JSON.stringify(said[path]), { status: 200, headers: { "Content-Type": "application/json" } });
  });
  return asked;
}

function today(teaches = true) {
  const own = { id: "c1", name: "Team Teal", pupils: [], mayChange: true } as unknown as SchoolClass;
  const chosen = teaches ? own : undefined;
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <ChosenClass value={{ chosen, all: chosen ? [chosen] : [], choose: () => {} }}>
          <Today who={{ teaches } as Who} />
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

it("shows what was handed over before anything that could be pressed moves", async () => {
  let tell: (all: unknown[]) => void = () => {};
  const waiting = new Promise<unknown[]>((told) => {
    tell = told;
  });
  server({ "/lessons": [line], "/runs/open": [] });
  const plain = fetch;
  vi.stubGlobal("fetch", async (url: string, how?: RequestInit) =>
    url.endsWith("/lessons/handed") ? new Response(JSON.stringify(await waiting)) : plain(url, how),
  );
  today();
  await new Promise((next) => setTimeout(next));
  expect(screen.queryByRole("button", { name: "Run it" })).toBeNull();
  tell([{ ...line, id: "l2", name: "Shed, windy Friday", className: "Team Ochre" }]);
  expect(await screen.findByText("Shed, windy Friday")).toBeInTheDocument();
  expect(screen.getByText("Team Ochre · Sail loft · 40 min")).toBeInTheDocument();
});

it("lets a helper without a class run what was handed to them", async () => {
  server({ "/runs/open": [], "/lessons/handed": [{ ...line, className: "Team Ochre" }] });
  today(false);
  expect(await screen.findByRole("heading", { name: "Handed to you for today" })).toBeInTheDocument();
  expect(screen.getByRole("link", { name: "Open the plan" })).toHaveAttribute("href", "/plan/l1");
  expect(screen.getByRole("button", { name: "Run it" })).toBeEnabled();
});

it.each([
  ["/", true],
  ["/school", false],
])(
  "brings a teacher without a class to the beginning, but not away from %s, where she went meanwhile",
  async (at, brought) => {
    const asked = server({ "/lessons/handed": [] });
    window.history.replaceState(null, "", at);
    render(
      <QueryClientProvider client={new QueryClient()}>
        <MemoryRouter>
          <ChosenClass value={{ chosen: undefined, all: [], choose: () => {} }}>
            <Routes>
              <Route path="/" element={<Today who={{ teaches: true } as Who} />} />
              <Route path="/begin" element={<p>The beginning</p>} />
            </Routes>
          </ChosenClass>
        </MemoryRouter>
      </QueryClientProvider>,
    );
    await vi.waitFor(() => expect(asked).toContain("GET /lessons/handed"));
    await vi.waitFor(() => expect(screen.queryByText("Fetching the next lesson …")).not.toBeInTheDocument());
    expect(screen.queryByText("The beginning") !== null).toBe(brought);
    window.history.replaceState(null, "", "/");
  },
);
