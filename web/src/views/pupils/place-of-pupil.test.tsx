import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, expect, it, vi } from "vitest";
import type { PupilRecord, SchoolClass } from "../../api/types";
import { ChosenClass } from "../../chosen-class";
import { sentTo, serve } from "../../test-page";
import { PlaceOfPupil } from "./place-of-pupil";

const teal = { id: "c1", name: "Team Teal", mayChange: true, left: [] } as unknown as SchoolClass;
const ochre = { ...teal, id: "c2", name: "Team Ochre" };
const helped = { ...teal, id: "c3", name: "Helped in", mayChange: false };
const record = { pupilId: "p1", name: "Pip", classId: "c1", className: "Team Teal" } as PupilRecord;

function server(answer = new Response(null, { status: 204 })) {
  const sent: [string, unknown][] = [];
  vi.stubGlobal("fetch", async (url: string, how?: RequestInit) => {
    sent.push([`${how?.method} ${url}`, JSON.parse(String(how?.body))]);
    return answer;
  });
  return sent;
}

function shown(all: SchoolClass[]) {
  render(
    <MemoryRouter>
      <QueryClientProvider client={new QueryClient()}>
        <ChosenClass value={{ chosen: all[0], all, choose: () => {} }}>
          <PlaceOfPupil record={record} />
        </ChosenClass>
      </QueryClientProvider>
    </MemoryRouter>,
  );
}

afterEach(() => vi.unstubAllGlobals());

it("moves a pupil to another class of one's own, never to one that is only helped in", async () => {
  const sent = server();
  shown([teal, helped, ochre]);
  expect(screen.getByText(/Pip is in Team Teal/)).toBeInTheDocument();
  expect(screen.getByRole("combobox", { name: "Another class" })).toHaveTextContent("Team Ochre");
  fireEvent.click(screen.getByRole("button", { name: "Move there" }));
  await vi.waitFor(() => expect(sent).toEqual([["PUT /api/pupils/p1/place", { classId: "c2", here: true }]]));
});

it("lets a pupil leave and come back", async () => {
  const sent = server();
  shown([teal]);
  expect(screen.queryByRole("button", { name: "Move there" })).toBeNull();
  fireEvent.click(screen.getByRole("button", { name: "Left Team Teal" }));
  await vi.waitFor(() => expect(sent[0]?.[1]).toEqual({ classId: "c1", here: false }));
  shown([{ ...teal, left: [{ id: "p1", name: "Pip", leftOn: "2026-11-20" }] }]);
  expect(screen.getByText(/Pip left Team Teal on/)).toBeInTheDocument();
  fireEvent.click(screen.getByRole("button", { name: "Back in Team Teal" }));
  await vi.waitFor(() => expect(sent[1]?.[1]).toEqual({ classId: "c1", here: true }));
});

it("gives a pupil to a class of a colleague, who is named", async () => {
  const sent = serve({
    "GET /api/classes/elsewhere": [{ classId: "c9", name: "Kestrel 5", teacher: "Mr Brambell" }],
    "PUT /api/pupils/p1/place": "204",
  });
  shown([teal]);
  fireEvent.click(screen.getByRole("button", { name: "To a colleague's class" }));
  expect(await screen.findByRole("combobox", { name: "Class" })).toHaveTextContent("Kestrel 5, Mr Brambell");
  fireEvent.click(screen.getByRole("button", { name: "Give Pip to Kestrel 5" }));
  await vi.waitFor(() => expect(sentTo(sent, "PUT /api/pupils/p1/place")).toEqual([{ classId: "c9", here: true }]));
});

it("says why it was not done", async () => {
  server(
    new Response(JSON.stringify({ title: "Full", detail: "60 are in it", errors: [] }), {
      status: 400,
      headers: { "Content-Type": "application/problem+json" },
    }),
  );
  shown([teal, ochre]);
  fireEvent.click(screen.getByRole("button", { name: "Move there" }));
  expect(await screen.findByRole("alert")).toHaveTextContent("Full. 60 are in it");
});
