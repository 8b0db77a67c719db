import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import type { Run, RunEvent } from "../../api/types";
import { today } from "./flat-events";

/** What a device keeps of its runs until the server has it, and the run's sheet to go on without the server. */
interface Kept extends DBSchema {
  events: { key: string; value: { id: string; runId: string; event: RunEvent }; indexes: { run: string } };
  sheets: { key: string; value: { id: string; run: Run } };
  /** What the server has of a run, as this device heard it: without the server the run is shown from here. */
  heard: { key: string; value: { id: string; runId: string; event: RunEvent }; indexes: { run: string } };
}

let opened: Promise<IDBPDatabase<Kept>> | undefined;

function db(): Promise<IDBPDatabase<Kept>> {
  opened ??= openDB<Kept>("unruly-marble", 3, {
    upgrade(d, before, _, tx) {
      if (before < 1) {
        d.createObjectStore("events", { keyPath: "id" }).createIndex("run", "runId");
        d.createObjectStore("sheets", { keyPath: "id" });
      }
      // Sheets of an older shape are asked for anew; what waits to be sent is kept as it is.
      if (before >= 1 && before < 3) tx.objectStore("sheets").clear();
      if (before < 2) d.createObjectStore("heard", { keyPath: "id" }).createIndex("run", "runId");
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
  return kept.map((k) => today(k.event)).sort((a, b) => (a.id < b.id ? -1 : 1));
}

/** The server has these: they wait no longer, and stay to be shown. */
export async function acknowledged(runId: string, events: RunEvent[]): Promise<void> {
  const tx = (await db()).transaction(["events", "heard"], "readwrite");
  await Promise.all([
    ...events.map((event) => tx.objectStore("heard").put({ id: event.id, runId, event })),
    ...events.map((event) => tx.objectStore("events").delete(event.id)),
    tx.done,
  ]);
}

/** Keeps what other devices did. */
export async function heard(runId: string, events: RunEvent[]): Promise<void> {
  const tx = (await db()).transaction("heard", "readwrite");
  await Promise.all([...events.map((event) => tx.store.put({ id: event.id, runId, event })), tx.done]);
}

export async function heardBefore(runId: string): Promise<RunEvent[]> {
  return (await (await db()).getAllFromIndex("heard", "run", runId)).map((k) => today(k.event));
}

/** What was recorded for good is not kept here any longer. */
export async function forget(runId: string): Promise<void> {
  const tx = (await db()).transaction(["heard", "sheets"], "readwrite");
  const ids = await tx.objectStore("heard").index("run").getAllKeys(runId);
  await Promise.all([
    ...ids.map((id) => tx.objectStore("heard").delete(id)),
    tx.objectStore("sheets").delete(runId),
    tx.done,
  ]);
}

export async function keepSheet(run: Run): Promise<void> {
  await (await db()).put("sheets", { id: run.id, run });
}

export async function keptSheet(runId: string): Promise<Run | undefined> {
  return (await (await db()).get("sheets", runId))?.run;
}
