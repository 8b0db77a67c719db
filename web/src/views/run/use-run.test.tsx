import { act, renderHook, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import type { Run, RunEvent, What } from "../../api/types";
import * as store from "./store";
import { useRun } from "./use-run";

/** A server that can go away, and remembers each event once. */
const HIT: What = { type: "TAPPED", segment: 1, take: 1, pupilId: "ada", tap: { type: "HIT", number: null } };
const server = { up: true, log: new Map<string, RunEvent>(), batches: 0 };

const sheet = { script: { segments: [], blocks: [] }, pupils: [], ladders: [] };

beforeEach(() => {
  server.up = true;
  server.log.clear();
  server.batches = 0;
  vi.stubGlobal("fetch", async (path: string, init: RequestInit) => {
    if (!server.up) throw new TypeError("no network");
    if (init.method === "GET") {
      const run = { id: path.split("/").at(-1), sheet, log: [...server.log.values()] } as unknown as Run;
      return Response.json(run);
    }
    server.batches++;
    const { events } = JSON.parse(String(init.body)) as { events: RunEvent[] };
    for (const e of events) server.log.set(e.id, e);
    return Response.json({ acknowledged: events.map((e) => e.id) });
  });
});

afterEach(() => vi.unstubAllGlobals());

it("keeps taps on the device while the server is away, over a reload too, and sends each once it is back", async () => {
  const first = renderHook(() => useRun("run-1"));
  await waitFor(() => expect(first.result.current.run).toBeDefined());
  server.up = false;
  act(() => {
    first.result.current.record(HIT);
    first.result.current.record(HIT);
  });
  await waitFor(async () => expect(await store.waiting("run-1")).toHaveLength(2));
  first.unmount();

  const reloaded = renderHook(() => useRun("run-1"));
  await waitFor(() => expect(reloaded.result.current.events).toHaveLength(2));
  expect(reloaded.result.current.unsent).toBe(2);
  expect(server.log.size).toBe(0);

  server.up = true;
  await act(() => reloaded.result.current.flush());
  await waitFor(() => expect(reloaded.result.current.unsent).toBe(0));
  expect(server.log.size).toBe(2);
  expect(await store.waiting("run-1")).toHaveLength(0);
});

it("shows after a reload without the server what the server had acknowledged before", async () => {
  const first = renderHook(() => useRun("run-3"));
  await waitFor(() => expect(first.result.current.run).toBeDefined());
  act(() => {
    first.result.current.record({ type: "GO", segment: 0, offsetMs: 0 });
    first.result.current.record(HIT);
  });
  await waitFor(() => expect(first.result.current.unsent).toBe(0));
  await waitFor(async () => expect(await store.heardBefore("run-3")).toHaveLength(2));
  first.unmount();

  const withServer = renderHook(() => useRun("run-3"));
  await waitFor(() => expect(withServer.result.current.run).toBeDefined());
  expect(withServer.result.current.events).toHaveLength(2);
  withServer.unmount();

  server.up = false;
  const reloaded = renderHook(() => useRun("run-3"));
  await waitFor(() => expect(reloaded.result.current.events).toHaveLength(2));
  expect(reloaded.result.current.unsent).toBe(0);
  expect(reloaded.result.current.played?.anchor.playing).toBe(true);
});

it("gives events ids that rise in the order in which they were made", async () => {
  const { result } = renderHook(() => useRun("run-2"));
  await waitFor(() => expect(result.current.run).toBeDefined());
  const ids: string[] = [];
  act(() => {
    for (let i = 0; i < 50; i++) ids.push(result.current.record(HIT).id);
  });
  expect([...ids].sort()).toEqual(ids);
  await waitFor(() => expect(result.current.unsent).toBe(0));
});

it("shows and sends what an older page left waiting on this device, as what it was", async () => {
  const flat = { id: "01980000-0000-7000-8000-000000000001", kind: "COLLECT", atMs: 5, segment: 1, take: 2 };
  const more = { pupilId: "ada", score: 19, offsetMs: 18_400, device: "tablet", note: null, addSec: null };
  await store.keep("run-4", { ...flat, ...more, target: null, xCm: null, yCm: null } as unknown as RunEvent);
  const { result } = renderHook(() => useRun("run-4"));

  await waitFor(() => expect(server.log.size).toBeGreaterThan(0));
  expect(result.current.events.map((e) => e.what)).toEqual([
    { type: "TOLD", segment: 1, take: 2, pupilId: "ada", score: 19, timeMs: 18_400 },
  ]);
  expect([...server.log.values()].at(-1)?.id).toBe(flat.id);
});
