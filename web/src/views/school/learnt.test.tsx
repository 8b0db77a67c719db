import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import { Learnt } from "./learnt";

const before = {
  version: 0,
  figures: { gainLasts: 0.9 },
  afterALesson: 0.51,
  onAGoodDay: 0.6,
  tries: 0,
  pupils: 0,
  learntMs: null,
  rungs: [],
};
const after = {
  ...before,
  version: 1,
  figures: { gainLasts: 0.8 },
  afterALesson: 0.53,
  tries: 12_345,
  pupils: 51,
  learntMs: Date.UTC(2026, 10, 28, 12),
  rungs: [
    { ladderId: "l", rungId: "r", harder: 0.8 },
    { ladderId: "gone", rungId: "r", harder: -0.4 },
  ],
};

it("says on what it rests after a press, and names the rungs that are there", async () => {
  let learnt = false;
  vi.stubGlobal("fetch", async (url: string, how?: RequestInit) => {
    if (how?.method === "POST") learnt = true;
    const body = String(url).includes("/skill")
      ? learnt
        ? after
        : before
      : [{ id: "l", name: "Cup to cup", rungs: [{ id: "r", name: "Both hands" }] }];
    return new Response(JSON.stringify(body), { status: 200, headers: { "Content-Type": "application/json" } });
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Learnt />
    </QueryClientProvider>,
  );
  await screen.findByText(/Nothing yet/);
  fireEvent.click(screen.getByRole("button", { name: "Learn now" }));
  await screen.findByText(/from 12,345 counted tries of 51 pupils/);
  expect(screen.getByText(/makes 53 % of it/)).toBeTruthy();
  expect(screen.getByText(/adds 80 % of what/)).toBeTruthy();
  expect(screen.getByText("Cup to cup, Both hands").parentElement?.textContent).toContain("harder");
  expect(screen.queryByText("easier")).toBeNull();
  vi.unstubAllGlobals();
});
