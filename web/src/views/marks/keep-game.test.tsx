import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, expect, it, vi } from "vitest";
import type { KeptGame } from "../../api/types";
import type { Given } from "./given";
import { seatsOf } from "./jack-seats";
import type { V } from "./jack-values";
import { KeepGame, type KeptAs, notKept } from "./keep-game";

const ladders = [
  {
    id: "jack",
    name: "Nearest the jack",
    rungs: [
      { id: "one-end", name: "One end", measure: { type: "MATCH", targetScore: null } },
      { id: "to-seven", name: "To a score", measure: { type: "MATCH", targetScore: 7 } },
      { id: "drill", name: "A drill", measure: { type: "HITS_OF_N", n: null } },
    ],
  },
];

/** A server that knows the ladders and keeps the games that it is sent. */
function server(status = 201) {
  const sent: KeptGame[] = [];
  vi.stubGlobal("fetch", async (url: string, how?: RequestInit) => {
    if (url.endsWith("/ladders")) return new Response(JSON.stringify(ladders));
    sent.push(JSON.parse(String(how?.body)));
    return new Response(JSON.stringify(status === 201 ? { kept: 2 } : { title: "No", detail: "Not now", errors: [] }), {
      status,
    });
  });
  return sent;
}

function keep(props: Partial<Parameters<typeof KeepGame>[0]> = {}, mayChange = true) {
  const onKept = vi.fn<(kept: KeptAs) => void>();
  const given = { chosen: { id: "c1", name: "Team Teal", pupils: [], mayChange } } as unknown as Given;
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <KeepGame
          given={given}
          measure="MATCH"
          players={2}
          left={[]}
          ready
          kept={notKept}
          far={4}
          game={(kept) => ({ type: "JACK", ...kept, sheet: {}, sideA: ["a"], sideB: ["b"] }) as unknown as KeptGame}
          onKept={onKept}
          {...props}
        />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return onKept;
}

afterEach(() => vi.unstubAllGlobals());

it("keeps a game as the rung that is meant and says on how many pages it is", async () => {
  const sent = server();
  const onKept = keep({ prefer: (m) => m.type === "MATCH" && m.targetScore === 7 });
  expect(await screen.findByText("Nearest the jack: to a score")).toBeInTheDocument();
  fireEvent.click(screen.getByRole("button", { name: "Keep it for 2 pupils" }));
  await vi.waitFor(() => expect(onKept).toHaveBeenCalled());
  expect(sent[0]).toMatchObject({ type: "JACK", ladderId: "jack", rungId: "to-seven", sideA: ["a"] });
  expect(onKept.mock.calls[0]?.[0]).toEqual({ gameId: sent[0]?.id, keptFor: 2, keptAt: 4 });
});

it("is the same game again when it was played on", async () => {
  const sent = server();
  keep({ kept: { gameId: "g1", keptFor: 2, keptAt: 4 }, far: 9 });
  expect(screen.getByText(/On the pages of 2 pupils/)).toBeInTheDocument();
  await screen.findByText("Nearest the jack: one end");
  fireEvent.click(screen.getByRole("button", { name: "Keep it as it is now" }));
  await vi.waitFor(() => expect(sent[0]?.id).toBe("g1"));
});

it("asks for nothing while a kept game was not played on", async () => {
  server();
  keep({ kept: { gameId: "g1", keptFor: 2, keptAt: 4 } });
  expect(screen.getByText(/On the pages of 2 pupils/)).toBeInTheDocument();
  expect(screen.queryByRole("button")).toBeNull();
});

it("says what is missing, who is left out, and what the server said no to", async () => {
  server(409);
  keep({ left: ["Rue"] });
  expect(screen.getByText(/left out: Rue/)).toBeInTheDocument();
  await screen.findByText("Nearest the jack: one end");
  fireEvent.click(screen.getByRole("button", { name: "Keep it for 2 pupils" }));
  expect(await screen.findByText(/Not now/)).toBeInTheDocument();
});

it("cannot be pressed before an end is over or anybody is named, and is no helper's", async () => {
  server();
  keep({ ready: false });
  expect(screen.getByRole("button", { name: "Keep it for 2 pupils" })).toBeDisabled();
  expect(screen.getByText("Once something is played to its end.")).toBeInTheDocument();
  keep({ players: 0 });
  expect(screen.getByText("Say who of Team Teal plays, by name.")).toBeInTheDocument();
  const before = screen.getAllByRole("heading").length;
  keep({}, false);
  expect(screen.getAllByRole("heading")).toHaveLength(before);
});

it("has a seat for each player, empty where somebody of another class sits", () => {
  const v = { playersA: 3, playersB: null, seatsA: ["a", "", "c", "d"], seatsB: ["e"] } as unknown as V;
  expect(seatsOf(v, "A")).toEqual(["a", "", "c"]);
  expect(seatsOf(v, "B")).toEqual([]);
});
