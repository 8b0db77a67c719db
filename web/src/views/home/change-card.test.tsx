import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import type { HomeCardLine } from "../../api/types";
import { ChangeCard } from "./change-card";

const card = {
  id: "k1",
  tasks: [
    { ladderId: "cups", name: "Cup to cup", practices: [1, 2] },
    { ladderId: "eggs", name: "Carry the egg", practices: [2] },
  ],
} as unknown as HomeCardLine;

function shown(answer: () => Response) {
  const sent: [string, unknown][] = [];
  vi.stubGlobal("fetch", async (url: string, how?: RequestInit) => {
    sent.push([url, JSON.parse(String(how?.body))]);
    return answer();
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <ChangeCard classId="c1" card={card} name="Pip" />
    </QueryClientProvider>,
  );
  fireEvent.click(screen.getByRole("button", { name: "Change the card of Pip" }));
  return sent;
}

const make = () => screen.getByRole("button", { name: "Make it anew without them" });

afterEach(() => vi.unstubAllGlobals());

it("makes a card anew without what was ticked and not ticked off again, and closes", async () => {
  const sent = shown(() => new Response(null, { status: 204 }));
  expect(screen.getByText("in practices 1, 2")).toBeInTheDocument();
  expect(make()).toBeDisabled();
  fireEvent.click(screen.getByRole("checkbox", { name: /Cup to cup/ }));
  fireEvent.click(screen.getByRole("checkbox", { name: /Carry the egg/ }));
  fireEvent.click(screen.getByRole("checkbox", { name: /Cup to cup/ }));
  fireEvent.click(make());
  await vi.waitFor(() => expect(screen.queryByRole("checkbox")).toBeNull());
  expect(sent).toEqual([["/api/home/cards/k1/remade", { without: ["eggs"] }]]);
});

it("stays open and says why a card cannot be changed", async () => {
  shown(
    () =>
      new Response(
        JSON.stringify({ title: "No", errors: [{ field: "card", must: "one from which nothing came back yet" }] }),
        { status: 400, headers: { "Content-Type": "application/problem+json" } },
      ),
  );
  fireEvent.click(screen.getByRole("checkbox", { name: /Cup to cup/ }));
  fireEvent.click(make());
  expect(await screen.findByRole("alert")).toHaveTextContent("one from which nothing came back yet");
  expect(screen.getByRole("checkbox", { name: /Cup to cup/ })).toBeChecked();
});
