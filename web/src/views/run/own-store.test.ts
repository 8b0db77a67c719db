import { afterEach, beforeEach, expect, it, vi } from "vitest";
import type { RunEvent } from "../../api/types";
import { closeOwnStore, ownStore } from "./own-store";
import { keep, waiting } from "./store";

const tap = (id: string) => ({ id, atMs: 1, device: "d", what: { type: "NEXT" } }) as unknown as RunEvent;
const ids = async () => (await waiting("r")).map((e) => e.id);

beforeEach(async () => {
  closeOwnStore();
  for (const { name } of await indexedDB.databases()) indexedDB.deleteDatabase(name ?? "");
  localStorage.clear();
});

afterEach(() => vi.restoreAllMocks());

/** A browser that never says whether the first store is open; how long that is waited for goes by faster. */
function keptShut() {
  const open = indexedDB.open.bind(indexedDB);
  const later = setTimeout;
  vi.spyOn(globalThis, "setTimeout").mockImplementation(((f: () => void, ms?: number) =>
    later(f, Math.min(ms ?? 0, 30))) as typeof setTimeout);
  const never = Object.assign(Object.create(IDBOpenDBRequest.prototype), { addEventListener: () => undefined });
  vi.spyOn(indexedDB, "open").mockImplementation((name, version) =>
    name === "unruly-marble" ? never : open(name, version),
  );
}

it("goes on in another store where the first stays shut, and fetches over what that held once it opens", async () => {
  await keep("r", tap("a"));
  closeOwnStore();
  keptShut();
  await keep("r", tap("b"));
  expect(await ids()).toEqual(["b"]);

  closeOwnStore();
  vi.restoreAllMocks();
  await ownStore();
  await vi.waitFor(async () => expect(await ids()).toEqual(["a", "b"]));
  await vi.waitFor(async () => expect((await indexedDB.databases()).map((d) => d.name)).not.toContain("unruly-marble"));
});

it("leaves nothing half set up behind where the page is left meanwhile", async () => {
  const listens = vi
    .spyOn(window, "addEventListener")
    .mockImplementation((what, heard) => what === "pagehide" && queueMicrotask(heard as () => void));
  await expect(ownStore()).rejects.toThrow();
  listens.mockRestore();
  await keep("r2", tap("c"));
  expect((await waiting("r2")).map((e) => e.id)).toEqual(["c"]);
});
