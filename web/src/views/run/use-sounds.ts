import { useEffect, useRef } from "react";
import type { Segment } from "../../api/types";
import { callsOf, type Sounder } from "./calls";
import type { Played } from "./log";
import { sharedNow } from "./shared-clock";

/** Longer than a page that is busy, or a tab that is hidden, keeps a look waiting. */
const AHEAD_MS = 1500;
const LATE_MS = 80;
const LOOK_MS = 150;

/** Puts the calls of this segment on the audio clock shortly before they are due; a stop for all is heard at once. */
export function useSounds(segments: Segment[], played: Played, sounder: Sounder) {
  const { playing } = played.anchor;
  useEffect(() => {
    if (!playing) {
      sounder.hush();
      return;
    }
    const look = () => {
      const at = played.at(sharedNow());
      // The first call of the next segment is due before that segment is on.
      for (const index of [at.segment, at.segment + 1]) {
        const segment = segments[index];
        if (!segment) continue;
        const lengthMs = played.lengthMs(index);
        const startsInMs = index === at.segment ? -at.offsetMs : played.lengthMs(at.segment) - at.offsetMs;
        for (const call of callsOf(segment, lengthMs)) {
          const inMs = startsInMs + call.atMs;
          if (inMs > -LATE_MS && inMs < AHEAD_MS) sounder.at(`${index}/${played.take(index)}/${call.atMs}`, call, inMs);
        }
      }
    };
    look();
    const timer = setInterval(look, LOOK_MS);
    return () => clearInterval(timer);
  }, [segments, played, sounder, playing]);

  const was = useRef(played.stopped);
  useEffect(() => {
    if (played.stopped && !was.current) sounder.stopAll();
    was.current = played.stopped;
  }, [played.stopped, sounder]);
}
