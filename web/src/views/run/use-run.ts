import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { api, Problem } from "../../api/client";
import type { Run, RunEvent, What } from "../../api/types";
import { thisDevice } from "./device";
import { idAfter } from "./ids";
import { disputes, Played, standing, tallies } from "./log";
import { heardClock, sharedNow } from "./shared-clock";
import * as store from "./store";
import { useStream } from "./use-stream";

const RETRY_MS = 2_000;
const BATCH = 200;

/** A run on this device: its log, a way to add to it, and how much of it the server has. */
export function useRun(runId: string) {
  const [run, setRun] = useState<Run>();
  const [log, setLog] = useState<RunEvent[]>([]);
  const [unsent, setUnsent] = useState(0);
  const [error, setError] = useState<unknown>();
  const [refused, setRefused] = useState<Problem>();
  const sending = useRef(false);
  const greatest = useRef<string>(undefined);
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
        const answer = await api("post", "/api/runs/events", { body: { runId, events } });
        const there = new Set(answer.acknowledged);
        await store.acknowledged(
          runId,
          events.filter((e) => there.has(e.id)),
        );
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

  /** Adds what is not known yet, from wherever it comes. */
  const merge = useCallback((more: RunEvent[]) => {
    setLog((log) => {
      const known = new Set(log.map((e) => e.id));
      // The same may come from the server, from this device and over the stream.
      const fresh = more.filter((e) => !known.has(e.id) && known.add(e.id));
      for (const e of fresh) if (!greatest.current || e.id > greatest.current) greatest.current = e.id;
      return fresh.length === 0 ? log : [...log, ...fresh];
    });
  }, []);

  const load = useCallback(async () => {
    setError(undefined);
    const mine = await store.waiting(runId);
    const before = await store.heardBefore(runId);
    let found: Run | undefined;
    try {
      const askedMs = Date.now();
      found = await api("get", "/api/runs/{id}", { params: { path: { id: runId } } });
      heardClock(found.nowMs, askedMs);
      await store.keepSheet(found);
    } catch (e) {
      found = await store.keptSheet(runId);
      if (!found || (e instanceof Problem && e.status === 404)) return setError(e);
    }
    merge([...found.log, ...before, ...mine]);
    store.heard(runId, found.log).catch(() => undefined);
    setRun(found);
    setUnsent(mine.length);
    flush();
  }, [runId, flush, merge]);

  // Whatever another device adds comes by itself; once the server is heard again, what waited here is sent.
  const hear = useCallback(
    (events: RunEvent[]) => {
      merge(events);
      store.heard(runId, events).catch(() => undefined);
    },
    [merge, runId],
  );
  useStream(run ? `/api/runs/${runId}/stream` : undefined, hear, flush);

  useEffect(() => {
    load();
    window.addEventListener("online", flush);
    return () => {
      window.removeEventListener("online", flush);
      clearTimeout(retry.current);
    };
  }, [load, flush]);

  const record = useCallback(
    (what: What): RunEvent => {
      const event: RunEvent = {
        id: idAfter(greatest.current),
        atMs: Math.round(sharedNow()),
        device: thisDevice(),
        what,
      };
      greatest.current = event.id;
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
  const open = useMemo(() => disputes(counts), [counts]);
  return { run, events, played, counts, disputes: open, record, unsent, error, refused, load, flush };
}

/** The time, again and again while the clock runs. */
export function useNow(running: boolean): number {
  const [now, setNow] = useState(sharedNow);
  useEffect(() => {
    setNow(sharedNow());
    if (!running) return;
    const timer = setInterval(() => setNow(sharedNow()), 100);
    return () => clearInterval(timer);
  }, [running]);
  return running ? Math.max(now, 0) : sharedNow();
}
