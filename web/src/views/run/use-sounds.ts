import { useEffect, useRef } from "react";
import type { RunScript } from "../../api/types";
import { calledNow } from "./called";
import { beatsOf, callsOf, changeOf, type Sounder } from "./calls";
import { afterOf, type Played } from "./log";
import { sharedNow } from "./shared-clock";
import { circuitOf } from "./stations";

/** Longer than a page that is busy, or a tab that is hidden, keeps a look waiting. */
const AHEAD_MS = 1500;
const LATE_MS = 80;
const LOOK_MS = 150;
/** A word that was missed for longer than this is not said any more. */
const LATE_CALL_MS = 700;

/** Puts the calls of this segment on the audio clock shortly before they are due; a stop for all is heard at once. */
export function useSounds(script: RunScript, played: Played, sounder: Sounder) {
  const { playing } = played.anchor;
  useEffect(() => {
    if (!playing) {
      sounder.hush();
      return;
    }
    const look = () => {
      sounder.listen();
      const at = played.at(sharedNow());
      const { segments, blocks } = script;
      // The first call of the next segment is due before that segment is on.
      for (const index of [at.segment, afterOf(segments, at.segment)]) {
        const segment = segments[index];
        if (!segment) continue;
        const lengthMs = played.lengthMs(index);
        const startsInMs = index === at.segment ? -at.offsetMs : played.lengthMs(at.segment) - at.offsetMs;
        const beatSec = circuitOf(script, segment.block) ? null : (blocks[segment.block]?.beatSec ?? null);
        const beats = sounder.heard.beat ? beatsOf(segment, lengthMs, beatSec) : [];
        for (const call of [...callsOf(segment, lengthMs, changeOf(script, segment)), ...beats]) {
          const inMs = startsInMs + call.atMs;
          if (inMs > -LATE_MS && inMs < AHEAD_MS)
            sounder.at(`${index}/${played.take(index)}/${call.tone}/${call.atMs}`, call, inMs);
        }
      }
      const here = segments[at.segment];
      const called = here && calledNow(script, here, at.offsetMs);
      if (called && called.sinceMs < LATE_CALL_MS)
        sounder.say(`${at.segment}/${played.take(at.segment)}/called/${called.number}`, called.word);
    };
    look();
    const timer = setInterval(look, LOOK_MS);
    return () => clearInterval(timer);
  }, [script, played, sounder, playing]);

  const was = useRef(played.stopped);
  useEffect(() => {
    if (played.stopped && !was.current) sounder.stopAll();
    was.current = played.stopped;
  }, [played.stopped, sounder]);
}
