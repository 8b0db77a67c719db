import type { RunEvent, RunScript, Segment } from "../../api/types";

/**
 * What the screen needs of a run's log between two answers of the server: where the clock stands and what the pads show.
 * The core folds the same log; only its fold is ever recorded.
 */

export type Kind = RunEvent["kind"];

export type Anchor = { segment: number; offsetMs: number; atMs: number; playing: boolean };

export type Position = { segment: number; offsetMs: number };

/** Events in order, without those that were taken back and the takings-back themselves. */
export function standing(log: RunEvent[]): RunEvent[] {
  const takenBack = new Set(log.filter((e) => e.kind === "TAKE_BACK").map((e) => e.target));
  return log
    .filter((e) => e.kind !== "TAKE_BACK" && !takenBack.has(e.id))
    .sort((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0));
}

const moves: Kind[] = ["GO", "HOLD", "AGAIN", "NEXT", "BACK"];

export class Played {
  readonly anchor: Anchor;
  readonly finished: boolean;
  private readonly added = new Map<number, number>();
  private readonly begunAgain: number[] = [];

  /** @param events standing events, in order */
  constructor(
    private readonly script: RunScript,
    events: RunEvent[],
  ) {
    let anchor: Anchor = { segment: 0, offsetMs: 0, atMs: 0, playing: false };
    let finished = false;
    for (const e of events) {
      if (moves.includes(e.kind)) {
        const playing = e.kind === "GO" ? true : e.kind === "HOLD" ? false : anchor.playing;
        anchor = { segment: e.segment ?? 0, offsetMs: e.offsetMs ?? 0, atMs: e.atMs, playing };
        if (e.kind === "AGAIN" || e.kind === "BACK") this.begunAgain.push(e.segment ?? 0);
      } else if (e.kind === "EXTEND") {
        anchor = { ...this.from(anchor, e.atMs), atMs: e.atMs, playing: anchor.playing };
        this.added.set(e.segment ?? 0, (this.added.get(e.segment ?? 0) ?? 0) + (e.addSec ?? 0));
      } else if (e.kind === "FINISH") {
        anchor = { ...this.from(anchor, e.atMs), atMs: e.atMs, playing: false };
        finished = true;
      }
    }
    this.anchor = anchor;
    this.finished = finished;
  }

  at(nowMs: number): Position {
    return this.from(this.anchor, nowMs);
  }

  lengthMs(segment: number): number {
    const s = this.script.segments[segment];
    return s ? 1000 * (s.durationSec + (this.added.get(segment) ?? 0)) : 0;
  }

  /** How often this round has been begun. */
  take(segment: number): number {
    return 1 + this.begunAgain.filter((s) => s <= segment).length;
  }

  private from(anchor: Anchor, nowMs: number): Position {
    if (!anchor.playing) return { segment: anchor.segment, offsetMs: anchor.offsetMs };
    let segment = anchor.segment;
    let left = anchor.offsetMs + Math.max(0, nowMs - anchor.atMs);
    while (segment < this.script.segments.length) {
      const length = this.lengthMs(segment);
      if (left < length) return { segment, offsetMs: left };
      left -= length;
      segment++;
    }
    return { segment, offsetMs: 0 };
  }
}

export type Tally = { hits: number; misses: number; told: number | null };

export function tallyKey(segment: number, take: number, pupilId: string): string {
  return `${segment}/${take}/${pupilId}`;
}

/** What each pad shows. */
export function tallies(events: RunEvent[]): Map<string, Tally> {
  const out = new Map<string, Tally>();
  for (const e of events) {
    if (e.kind !== "HIT" && e.kind !== "MISS" && e.kind !== "COLLECT") continue;
    const key = tallyKey(e.segment ?? 0, e.take ?? 1, e.pupilId ?? "");
    const t = out.get(key) ?? { hits: 0, misses: 0, told: null };
    if (e.kind === "HIT") t.hits++;
    else if (e.kind === "MISS") t.misses++;
    else t.told = e.score;
    out.set(key, t);
  }
  return out;
}

/** Where a round begins: its count-in, or for a second side its own start. */
export function roundStart(segments: Segment[], work: number): number {
  return segments[work - 1]?.kind === "COUNT_IN" ? work - 1 : work;
}

/** The round that is on at this segment, or the last one before it; -1 if there is none yet. */
export function roundAt(segments: Segment[], at: number): number {
  const here = segments[at];
  if (here?.kind === "COUNT_IN") return at + 1;
  for (let i = Math.min(at, segments.length - 1); i >= 0; i--) if (segments[i]?.kind === "WORK") return i;
  return -1;
}

/** The rounds (one for each side) of the turn that this round belongs to. */
export function roundsOfTurn(segments: Segment[], round: number): number[] {
  const r = segments[round];
  if (!r) return [];
  return segments
    .filter((s) => s.kind === "WORK" && s.block === r.block && s.set === r.set && s.turn === r.turn)
    .map((s) => s.index);
}

/** Rounds whose work is over before this segment, one entry a turn: its last round. */
export function turnsEnded(segments: Segment[], at: number): number[] {
  const out: number[] = [];
  for (const s of segments) {
    if (s.kind !== "WORK" || s.index >= at) continue;
    const rounds = roundsOfTurn(segments, s.index);
    if (rounds[rounds.length - 1] === s.index) out.push(s.index);
  }
  return out;
}
