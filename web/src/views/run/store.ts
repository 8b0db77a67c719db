import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import type { Run, RunEvent } from "../../api/types";

/** What a device keeps of its runs until the server has it, and the run's sheet to go on without the server. */
interface Kept extends DBSchema {
  events: { key: string; value: { id: string; runId: string; event: RunEvent }; indexes: { run: string } };
  sheets: { key: string; value: { id: string; run: Run } };
}

let opened: Promise<IDBPDatabase<Kept>> | undefined;

function db(): Promise<IDBPDatabase<Kept>> {
  opened ??= openDB<Kept>("unruly-marble", 1, {
    upgrade(d) {
      d.createObjectStore("events", { keyPath: "id" }).createIndex("run", "runId");
      d.createObjectStore("sheets", { keyPath: "id" });
    },
  });
  return opened;
}

/** Resolves when the event is on this device's disk. */
export async function keep(runId: string, event: RunEvent): Promise<void> {
  const tx = (await db()).transaction("events", "readwrite", { durability: "strict" });
  await Promise.all([tx.store.put({ id: event.id, runId, event }), tx.done]);
}

/** Events of a run that the server has not acknowledged, oldest first. */
export async function waiting(runId: string): Promise<RunEvent[]> {
  const kept = await (await db()).getAllFromIndex("events", "run", runId);
  return kept.map((k) => k.event).sort((a, b) => (a.id < b.id ? -1 : 1));
}

export async function acknowledged(ids: string[]): Promise<void> {
  const tx = (await db()).transaction("events", "readwrite");
  await Promise.all([...ids.map((id) => tx.store.delete(id)), tx.done]);
}

export async function keepSheet(run: Run): Promise<void> {
  await (await db()).put("sheets", { id: run.id, run });
}

export async function keptSheet(runId: string): Promise<Run | undefined> {
  return (await (await db()).get("sheets", runId))?.run;
}
