import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { v7 as timeOrderedId } from "uuid";
import { api, Problem } from "../../api/client";
import type { Run, RunEvent } from "../../api/types";
import { type Kind, Played, standing, tallies } from "./log";
import * as store from "./store";

const RETRY_MS = 2_000;
const BATCH = 200;

type Details = Partial<Omit<RunEvent, "id" | "kind" | "atMs">>;

/** A run on this device: its log, a way to add to it, and how much of it the server has. */
export function useRun(runId: string) {
  const [run, setRun] = useState<Run>();
  const [log, setLog] = useState<RunEvent[]>([]);
  const [unsent, setUnsent] = useState(0);
  const [error, setError] = useState<unknown>();
  const [refused, setRefused] = useState<Problem>();
  const sending = useRef(false);
  const retry = useRef<ReturnType<typeof setTimeout>>(undefined);

  const flush = useCallback(async () => {
    if (sending.current) return;
    sending.current = true;
    clearTimeout(retry.current);
    try {
      for (;;) {
        const events = (await store.waiting(runId)).slice(0, BATCH);
        setUnsent(events.length);
        if (events.length === 0) break;
        const answer = await api<{ acknowledged: string[] }>("POST", `/runs/${runId}/events`, { events });
        await store.acknowledged(answer.acknowledged);
        setRefused(undefined);
      }
    } catch (e) {
      // Nothing is dropped: what could not be sent stays on the device and is sent again.
      if (e instanceof Problem && e.status >= 400 && e.status < 500) setRefused(e);
      retry.current = setTimeout(flush, RETRY_MS);
    } finally {
      sending.current = false;
    }
  }, [runId]);

  const load = useCallback(async () => {
    setError(undefined);
    const mine = await store.waiting(runId);
    let found: Run | undefined;
    try {
      found = await api<Run>("GET", `/runs/${runId}`);
      await store.keepSheet(found);
    } catch (e) {
      found = await store.keptSheet(runId);
      if (!found || (e instanceof Problem && e.status === 404)) return setError(e);
    }
    const known = new Set(found.log.map((e) => e.id));
    setLog([...found.log, ...mine.filter((e) => !known.has(e.id))]);
    setRun(found);
    setUnsent(mine.length);
    flush();
  }, [runId, flush]);

  useEffect(() => {
    load();
    window.addEventListener("online", flush);
    return () => {
      window.removeEventListener("online", flush);
      clearTimeout(retry.current);
    };
  }, [load, flush]);

  const record = useCallback(
    (kind: Kind, details: Details = {}): RunEvent => {
      const event: RunEvent = {
        id: timeOrderedId(),
        kind,
        atMs: Date.now(),
        segment: null,
        offsetMs: null,
        take: null,
        pupilId: null,
        score: null,
        addSec: null,
        target: null,
        ...details,
      };
      setLog((l) => [...l, event]);
      setUnsent((n) => n + 1);
      store.keep(runId, event).then(flush, setError);
      return event;
    },
    [runId, flush],
  );

  const events = useMemo(() => standing(log), [log]);
  const played = useMemo(() => (run ? new Played(run.sheet.script, events) : undefined), [run, events]);
  const counts = useMemo(() => tallies(events), [events]);
  return { run, events, played, counts, record, unsent, error, refused, load, flush };
}

/** The time, again and again while the clock runs. */
export function useNow(running: boolean): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    setNow(Date.now());
    if (!running) return;
    const timer = setInterval(() => setNow(Date.now()), 100);
    return () => clearInterval(timer);
  }, [running]);
  return running ? Math.max(now, 0) : Date.now();
}
