import type { RunEvent, Tap, What } from "../../api/types";

/** An event as a device kept it before each kind had its own parts: one row of fields, of which a kind uses some. */
type Flat = {
  id: string;
  kind: string;
  atMs: number;
  segment: number | null;
  offsetMs: number | null;
  take: number | null;
  pupilId: string | null;
  score: number | null;
  addSec: number | null;
  target: string | null;
  device: string | null;
  note: string | null;
  xCm: number | null;
  yCm: number | null;
};

/** What waits on a device since before the page was brought up to date is shown and sent as what it was. */
export function today(kept: RunEvent | Flat): RunEvent {
  if ("what" in kept) return kept;
  const { id, atMs, device } = kept;
  return { id, atMs, device, what: whatOf(kept) };
}

function whatOf(e: Flat): What {
  const segment = e.segment ?? 0;
  const offsetMs = e.offsetMs ?? 0;
  const take = e.take ?? 1;
  const pupilId = e.pupilId ?? "";
  const note = e.note ?? "";
  const tapped = (tap: Tap): What => ({ type: "TAPPED", segment, take, pupilId, tap });
  switch (e.kind) {
    case "GO":
    case "HOLD":
    case "STOP_ALL":
    case "AGAIN":
    case "NEXT":
    case "BACK":
      return { type: e.kind, segment, offsetMs };
    case "EXTEND":
      return { type: "EXTEND", segment, addSec: e.addSec ?? 0 };
    case "HIT":
      return tapped({ type: "HIT", number: e.score });
    case "MISS":
      return tapped({ type: "MISS", noBall: e.note as Extract<Tap, { type: "MISS" }>["noBall"] });
    case "LANDED":
      return tapped({ type: "LANDED", xCm: e.xCm ?? 0, yCm: e.yCm ?? 0 });
    case "START":
    case "SPLIT":
    case "STOP":
      return tapped({ type: e.kind, offsetMs });
    case "BALL":
      return tapped({ type: "BALL", team: note === "B" ? "B" : "A", xCm: e.xCm ?? 0, yCm: e.yCm ?? 0, fault: null });
    case "ENDED":
      return tapped({ type: "END_WON", team: note === "A" || note === "B" ? note : null, points: e.score ?? 0 });
    case "COLLECT":
      return { type: "TOLD", segment, take, pupilId, score: e.score ?? 0, timeMs: e.offsetMs };
    case "STANDS":
      return { type: "STANDS", segment, take, pupilId, device: note };
    case "TRIAL":
      return { type: "TRIAL", segment, take };
    case "AWAY":
    case "HERE":
      return { type: e.kind, pupilId };
    case "FAULT":
      return { type: "FAULT_SEEN", segment, pupilId: e.pupilId, faultId: note };
    case "WORD":
      return { type: "OWN_WORD", segment, pupilId, word: note as "TOO_EASY" | "RIGHT" | "TOO_HARD" };
    case "SAID":
      return { type: "SAID", segment, pupilId, word: note };
    case "RUNG":
      return { type: "ON_RUNG", segment, pupilId, rungId: note };
    case "SCORES_ON":
    case "SCORES_OFF":
      return { type: "SCORES_ON_WALL", on: e.kind === "SCORES_ON" };
    case "TAKE_BACK":
      return { type: "TAKE_BACK", target: e.target ?? "" };
    default:
      return { type: "FINISH" };
  }
}
