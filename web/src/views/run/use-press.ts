import { useEffect, useRef } from "react";
import { afterTurn } from "./ended-turn";
import { afterOf, type Played, type Position, roundAt, roundStart } from "./log";
import { sharedNow } from "./shared-clock";
import type { useRun } from "./use-run";

type On = ReturnType<typeof useRun>;
type Segments = NonNullable<On["run"]>["sheet"]["script"]["segments"];

export const EXTRA_SEC = 15;

/** All that moves a run on or back: what its buttons and its keys do. */
export function usePress({
  segments,
  played,
  position,
  on,
  wake,
  jumped,
  finish,
}: {
  segments: Segments;
  played: Played;
  position: Position;
  on: On;
  /** sounds may be heard from now on */
  wake: () => void;
  /** it is somewhere else now */
  jumped: () => void;
  finish: () => void;
}) {
  const segment = segments[position.segment];
  const round = roundAt(segments, position.segment);
  const jump = (kind: "AGAIN" | "NEXT" | "BACK", to: number) => {
    jumped();
    on.record({ type: kind, segment: Math.max(0, Math.min(to, segments.length)), offsetMs: 0 });
  };
  const here = () => ({ segment: position.segment, offsetMs: Math.round(played.at(sharedNow()).offsetMs) });
  const press = {
    holdOrGo: () => {
      wake();
      if (segment) on.record({ type: played.anchor.playing ? "HOLD" : "GO", ...here() });
    },
    again: () => round >= 0 && jump("AGAIN", roundStart(segments, round)),
    next: () => segment && jump("NEXT", afterOf(segments, position.segment)),
    back: () => {
      const before = segments.filter((s) => s.kind === "WORK" && s.beside == null && s.index < round).at(-1);
      if (before) jump("BACK", roundStart(segments, before.index));
    },
    stopAll: () => {
      wake();
      if (segment && !played.stopped) on.record({ type: "STOP_ALL", ...here() });
    },
    skipOptional: () => {
      const after = segments.findIndex((s) => s.index > position.segment && s.block !== segment?.block);
      jump("NEXT", after < 0 ? segments.length : after);
    },
    endTurn: () => {
      const after = afterTurn(segments, position.segment);
      if (after !== undefined) jump("NEXT", after);
    },
    goTo: (to: number) => {
      if (to !== position.segment) jump(to > position.segment ? "NEXT" : "BACK", to);
    },
    longer: () => segment && on.record({ type: "EXTEND", segment: segment.index, addSec: EXTRA_SEC }),
    finish,
    takeBack: () => {
      const last = on.events.at(-1);
      if (last) on.record({ type: "TAKE_BACK", target: last.id });
    },
  };
  useKeys(press);
  return press;
}

export type Press = ReturnType<typeof usePress>;

const KEYS: Record<string, "holdOrGo" | "again" | "next" | "takeBack" | "stopAll" | "finish"> = {
  " ": "holdOrGo",
  ArrowLeft: "again",
  ArrowRight: "next",
  Backspace: "takeBack",
  s: "stopAll",
  f: "finish",
};

function useKeys(press: Press) {
  const keys = useRef(press);
  keys.current = press;
  useEffect(() => {
    const byKey = (e: KeyboardEvent) => {
      if (e.target instanceof HTMLElement && e.target.closest("input, textarea, [role=dialog]")) return;
      if (e.ctrlKey || e.metaKey || e.altKey) return;
      // On a button that was reached by keyboard, space presses that button.
      if (e.key === " " && e.target instanceof HTMLElement && e.target.closest("button, a")) return;
      const what = KEYS[e.key];
      if (!what) return;
      e.preventDefault();
      keys.current[what]();
    };
    // A button that was pressed with a finger or mouse gives space back to hold and go.
    const letGo = (e: MouseEvent) => {
      const at = document.activeElement;
      if (e.detail > 0 && at instanceof HTMLButtonElement && !at.closest("[role=dialog]")) at.blur();
    };
    window.addEventListener("keydown", byKey);
    window.addEventListener("click", letGo);
    return () => {
      window.removeEventListener("keydown", byKey);
      window.removeEventListener("click", letGo);
    };
  }, []);
}
