import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen } from "@testing-library/react";
import type { ComponentType } from "react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { AimWorking } from "./aim";
import { given } from "./any-given";
import { BowlingWorking } from "./bowling";
import type { Given } from "./given";
import { InARowWorking } from "./in-a-row";
import { JackWorking } from "./jack";
import { MarkersWorking } from "./markers";
import { NetOnWallWorking } from "./net-on-wall";
import { OffTheWallWorking } from "./off-the-wall";
import { RoomWorking } from "./room-working";
import { StationsWorking } from "./stations";
import { StepByStepWorking } from "./step-by-step";
import { CeilingWorking } from "./under-ceiling";

const of = (body: unknown, path: string): unknown =>
  path.split(".").reduce((at, key) => (at as Record<string, unknown> | undefined)?.[key], body);

/** A server that refuses one value of one field, and keeps what it was asked; nothing else is ever answered. */
function refuses(reckoning: string, path: string, value: unknown) {
  const asked: unknown[] = [];
  vi.stubGlobal("fetch", async (url: string, how?: RequestInit) => {
    if (!url.endsWith(`/reckon/${reckoning}`)) return new Promise<Response>(() => {});
    const body: unknown = JSON.parse(String(how?.body));
    asked.push(of(body, path));
    if (of(body, path) !== value) return new Promise<Response>(() => {});
    const errors = [{ field: path, rule: "RANGE", must: "must be otherwise" }];
    return Response.json({ title: "Refused", detail: "One field.", errors }, { status: 400 });
  });
  return asked;
}

class Still {
  observe() {}
  unobserve() {}
  disconnect() {}
}

beforeEach(() => {
  window.history.replaceState(null, "", "/");
  vi.stubGlobal("ResizeObserver", Still);
});

afterEach(() => vi.unstubAllGlobals());

const rows: [string, ComponentType<{ given: Given }>, string, string, string, string, number][] = [
  ["off the wall", OffTheWallWorking, "Stand from the wall", "90", "off-the-wall", "throwing.standM", 90],
  ["in a row", InARowWorking, "In a row", "31", "streak", "run", 31],
  ["in a row, a share as percent", InARowWorking, "Likely enough from", "45", "odds", "wantChance", 0.45],
  ["aim", AimWorking, "Thrown from", "7.5", "aim", "distanceM", 7.5],
  ["net on a wall", NetOnWallWorking, "Clear it by", "2", "net-on-wall", "serve.clearanceM", 2],
  ["step by step", StepByStepWorking, "Hits in a row to step back", "44", "staircase", "makesToStep", 44],
  ["room", RoomWorking, "Free between spots", "77", "room", "room.footprint.gapM", 77],
  ["under the ceiling", CeilingWorking, "Caught at", "9", "under-ceiling", "toss.catchM", 9],
  ["markers", MarkersWorking, "Gap wanted", "8.5", "slalom", "gapM", 8.5],
  ["the jack", JackWorking, "Level within", "55", "jack-match", "toleranceCm", 55],
  ["stations", StationsWorking, "Groups", "13", "stations", "groups", 13],
];

it.each(rows)(
  "%s: asks with what was typed, and says at its field what is refused",
  async (_, Working, label, typed, reckoning, path, value) => {
    const asked = refuses(reckoning, path, value);
    render(
      <QueryClientProvider client={new QueryClient()}>
        <MemoryRouter>
          <Working given={given} />
        </MemoryRouter>
      </QueryClientProvider>,
    );
    const field = screen.getByLabelText(label);
    fireEvent.change(field, { target: { value: typed } });
    await vi.waitFor(() => expect(asked.at(-1)).toBe(value));
    expect(asked[0]).not.toBe(value);
    await vi.waitFor(() => expect(field).toHaveAccessibleDescription(/must be/));
    expect(field).toHaveValue(typed);
  },
);

it("bowling: marks a name that is refused, and keeps asking for whoever bowls now", async () => {
  const asked = refuses("bowling-sheet", "bowlerNow", "");
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <BowlingWorking given={given} />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  const bowler = screen.getByDisplayValue("Bowler 1");
  fireEvent.change(bowler, { target: { value: "" } });
  await vi.waitFor(() => expect(bowler).toHaveAttribute("aria-invalid", "true"));
  fireEvent.change(bowler, { target: { value: "Wil" } });
  await vi.waitFor(() => expect(asked.at(-1)).toBe("Wil"));
});
