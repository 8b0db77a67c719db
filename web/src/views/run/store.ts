import type { Run, RunEvent } from "../../api/types";
import { today } from "./flat-events";
import { ownStore as db } from "./own-store";

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
