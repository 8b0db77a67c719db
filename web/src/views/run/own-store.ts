import { type DBSchema, deleteDB, type IDBPDatabase, openDB } from "idb";
import type { Run, RunEvent } from "../../api/types";

/** What a device keeps of its runs until the server has it, and the run's sheet to go on without the server. */
export interface Kept extends DBSchema {
  events: { key: string; value: { id: string; runId: string; event: RunEvent }; indexes: { run: string } };
  sheets: { key: string; value: { id: string; run: Run } };
  /** What the server has of a run, as this device heard it: without the server the run is shown from here. */
  heard: { key: string; value: { id: string; runId: string; event: RunEvent }; indexes: { run: string } };
}

type Store = IDBPDatabase<Kept>;

const FIRST = "unruly-marble";
const NAMES = "marble-stores";
const SILENT_MS = 3_000;

let opened: Promise<Store> | undefined;

/**
 * This device's own store. A browser can keep one shut: a page that was left while it was being set up holds it until the browser is closed. Then
 * another one is begun, and what the first held is fetched over as soon as it opens again.
 */
export function ownStore(): Promise<Store> {
  opened ??= open().catch((e) => {
    opened = undefined;
    throw e;
  });
  return opened;
}

/** Forgets what is open, as a page that is loaded anew. */
export function closeOwnStore(): void {
  opened?.then((s) => s.close()).catch(() => undefined);
  opened = undefined;
}

async function open(): Promise<Store> {
  const names = namesKept();
  const newest = names.at(-1) ?? FIRST;
  const found = await inTime(named(newest));
  if (found) {
    if (names.length > 1) fetchOver(found, names.slice(0, -1)).catch(() => undefined);
    return found;
  }
  const another = `${FIRST}-${names.length + 1}`;
  keepNames([...names, another]);
  return named(another);
}

function named(name: string): Promise<Store> {
  return openDB<Kept>(name, 3, {
    upgrade(d, before, _, tx) {
      // Whoever leaves now leaves nothing half set up behind, which would keep the store shut for every later page.
      const leave = () => tx.abort();
      window.addEventListener("pagehide", leave);
      tx.done.catch(() => undefined).finally(() => window.removeEventListener("pagehide", leave));
      if (before < 1) {
        d.createObjectStore("events", { keyPath: "id" }).createIndex("run", "runId");
        d.createObjectStore("sheets", { keyPath: "id" });
      }
      // Sheets of an older shape are asked for anew; what waits to be sent is kept as it is.
      if (before >= 1 && before < 3) tx.objectStore("sheets").clear();
      if (before < 2) d.createObjectStore("heard", { keyPath: "id" }).createIndex("run", "runId");
    },
  });
}

/** Nothing where it stays silent; one that opens too late is closed again. */
async function inTime(opening: Promise<Store>): Promise<Store | undefined> {
  let late = false;
  opening.then((s) => late && s.close()).catch(() => undefined);
  let timer: ReturnType<typeof setTimeout> | undefined;
  const silent = new Promise<undefined>((resolve) => {
    timer = setTimeout(() => resolve(undefined), SILENT_MS);
  });
  const first = await Promise.race([opening, silent]);
  clearTimeout(timer);
  late = first === undefined;
  return first;
}

/** What an earlier store held; it goes once all of it is here. */
async function fetchOver(to: Store, names: string[]): Promise<void> {
  for (const name of names) {
    const from = await inTime(named(name));
    if (!from) continue;
    for (const part of ["events", "heard", "sheets"] as const) {
      const values = await from.getAll(part);
      const tx = to.transaction(part, "readwrite");
      for (const value of values) if (!(await tx.store.get(value.id))) tx.store.put(value as never);
      await tx.done;
    }
    from.close();
    await deleteDB(name);
    keepNames(namesKept().filter((n) => n !== name));
  }
}

function namesKept(): string[] {
  try {
    const names: unknown = JSON.parse(localStorage.getItem(NAMES) ?? "[]");
    return Array.isArray(names) && names.length > 0 ? names.map(String) : [FIRST];
  } catch {
    return [FIRST];
  }
}

function keepNames(names: string[]): void {
  localStorage.setItem(NAMES, JSON.stringify(names));
}
