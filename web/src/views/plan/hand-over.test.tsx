import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import type { HandOver, LessonLine } from "../../api/types";
import { localDay, plusDays } from "../../local-day";
import { HandOverLesson } from "./hand-over";

const people = [
  { id: "a1", displayName: "Mr Finch", teaches: true },
  { id: "a2", displayName: "Miss Tern", teaches: false },
];

/** A server that keeps what is handed over. */
function server(colleagues = people, refusal?: unknown) {
  const sent: unknown[] = [];
  let given: HandOver[] = [];
  vi.stubGlobal("fetch", async (url: string, how?: RequestInit) => {
    const json = (body: unknown, status = 200) =>
      new Response(JSON.stringify(body), { status, headers: { "Content-Type": "application/problem+json" } });
    if (url.endsWith("/colleagues")) return json(colleagues);
    if (how?.method === "POST") {
      const asked = JSON.parse(String(how.body));
      sent.push(asked);
      if (refusal) return json(refusal, 400);
      const to = colleagues.find((c) => c.id === asked.accountId);
      given = [
        ...given,
        { id: "h1", accountId: asked.accountId, displayName: to?.displayName ?? "", onDay: asked.onDay },
      ];
    }
    if (how?.method === "DELETE") {
      sent.push(url);
      given = [];
    }
    return json(given);
  });
  return sent;
}

function shown(onDay: string) {
  const lesson = { id: "l1", name: "Wet Tuesday", onDay } as LessonLine;
  render(
    <QueryClientProvider client={new QueryClient()}>
      <HandOverLesson lesson={lesson} />
    </QueryClientProvider>,
  );
}

afterEach(() => vi.unstubAllGlobals());

it("hands a lesson over on its own day, and takes it back", async () => {
  const sent = server();
  const day = plusDays(localDay(), 3);
  shown(day);
  await screen.findByRole("combobox", { name: "Who gives it" });
  fireEvent.click(screen.getByRole("button", { name: "Hand it over" }));
  expect(await screen.findByText(/Mr Finch gives it on/)).toBeInTheDocument();
  expect(sent[0]).toEqual({ accountId: "a1", onDay: day });
  fireEvent.click(screen.getByRole("button", { name: /Take it back from Mr Finch/ }));
  await vi.waitFor(() => expect(screen.queryByText(/Mr Finch gives it on/)).toBeNull());
  expect(sent[1]).toBe("/api/lessons/l1/hand-overs/h1");
});

it("offers today for a lesson whose day has gone by, and says what a day must be at its field", async () => {
  const sent = server(people, { status: 400, title: "No", errors: [{ field: "onDay", must: "must be a school day" }] });
  shown(plusDays(localDay(), -3));
  await screen.findByRole("combobox", { name: "Who gives it" });
  fireEvent.click(screen.getByRole("button", { name: "Hand it over" }));
  expect(await screen.findByText(/must be a school day/)).toBeInTheDocument();
  expect(sent[0]).toEqual({ accountId: "a1", onDay: localDay() });
});

it("says where nobody else has an account", async () => {
  server([]);
  shown(localDay());
  expect(await screen.findByText(/Nobody else has an account/)).toBeInTheDocument();
  expect(screen.queryByRole("button", { name: "Hand it over" })).toBeNull();
});
