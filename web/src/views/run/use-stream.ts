import { useEffect, useRef } from "react";
import type { RunEvent } from "../../api/types";
import { heardClock } from "./shared-clock";

const AGAIN_MS = 3_000;

/**
 * Listens to a run. The browser connects anew by itself after a break; where the server said no, it is asked again now and then.
 *
 * @param onEvents what was added, what is known already among it
 * @param onHeard the server answers, perhaps again
 * @param onRefused the server said no
 */
export function useStream(
  path: string | undefined,
  onEvents: (events: RunEvent[]) => void,
  onHeard: () => void,
  onRefused?: () => void,
) {
  const heard = useRef({ onEvents, onHeard, onRefused });
  heard.current = { onEvents, onHeard, onRefused };
  useEffect(() => {
    if (!path || typeof EventSource === "undefined") return;
    let source: EventSource;
    let again: ReturnType<typeof setTimeout>;
    const open = () => {
      source = new EventSource(path);
      source.onopen = () => heard.current.onHeard();
      source.addEventListener("events", (e) => {
        const told = JSON.parse(e.data) as { events: RunEvent[]; nowMs: number };
        heardClock(told.nowMs);
        if (told.events.length > 0) heard.current.onEvents(told.events);
      });
      source.onerror = () => {
        if (source.readyState !== EventSource.CLOSED) return;
        heard.current.onRefused?.();
        again = setTimeout(open, AGAIN_MS);
      };
    };
    open();
    return () => {
      clearTimeout(again);
      source.close();
    };
  }, [path]);
}
