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

const moves: Kind[] = ["GO", "HOLD", "STOP_ALL", "AGAIN", "NEXT", "BACK"];

export class Played {
  readonly anchor: Anchor;
  readonly finished: boolean;
  /** Everybody was stopped, and nobody said go since. */
  readonly stopped: boolean;
  /** Whether the wall shows what was scored. */
  readonly scoresOnWall: boolean;
  /** Pupils who are put aside now. */
  readonly away = new Set<string>();
  /** Pupils who were put on another rung, from a segment on. */
  private readonly moved: { segment: number; pupilId: string; rungId: string }[] = [];
  private readonly trials = new Set<string>();
  private readonly added = new Map<number, number>();
  private readonly begunAgain: number[] = [];

  /** @param events standing events, in order */
  constructor(
    private readonly script: RunScript,
    events: RunEvent[],
  ) {
    let anchor: Anchor = { segment: 0, offsetMs: 0, atMs: 0, playing: false };
    let finished = false;
    let stopped = false;
    let scoresOnWall = false;
    for (const e of events) {
      if (e.kind === "STOP_ALL") stopped = true;
      else if (e.kind === "GO") stopped = false;
      else if (e.kind === "SCORES_ON" || e.kind === "SCORES_OFF") scoresOnWall = e.kind === "SCORES_ON";
      else if (e.kind === "AWAY") this.away.add(e.pupilId ?? "");
      else if (e.kind === "HERE") this.away.delete(e.pupilId ?? "");
      else if (e.kind === "RUNG")
        this.moved.push({ segment: e.segment ?? 0, pupilId: e.pupilId ?? "", rungId: e.note ?? "" });
      else if (e.kind === "TRIAL") this.trials.add(`${e.segment}/${e.take}`);
      if (moves.includes(e.kind)) {
        const playing = e.kind === "GO" || (e.kind !== "HOLD" && e.kind !== "STOP_ALL" && anchor.playing);
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
    this.stopped = stopped;
    this.scoresOnWall = scoresOnWall;
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

  /** The rung that a pupil is on in a round. */
  rungId(round: number, pupilId: string): string | undefined {
    const blockOf = (segment: number) => this.script.segments[segment]?.block;
    const block = this.script.blocks[blockOf(round) ?? -1];
    const moved = this.moved
      .filter((m) => m.pupilId === pupilId && m.segment <= round && blockOf(m.segment) === blockOf(round))
      .at(-1);
    return moved?.rungId ?? block?.rungOf[pupilId] ?? block?.rungId ?? undefined;
  }

  /** Whether a round was to find out: said in the run, or by a block that tries first. */
  isTrial(round: number): boolean {
    const segment = this.script.segments[round];
    const tryFirst = this.script.blocks[segment?.block ?? -1]?.tryFirst ?? false;
    return this.trials.has(`${round}/${this.take(round)}`) || (tryFirst && segment?.set === 0);
  }

  /** Milliseconds of a round that have been worked at a time. */
  workedMs(round: number, nowMs: number): number {
    const at = this.at(nowMs);
    return at.segment === round ? Math.round(at.offsetMs) : at.segment > round ? this.lengthMs(round) : 0;
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

/** What one device counted: its taps in order, and how many of them hit or missed. */
export type Count = { device: string; hits: number; misses: number; taps: RunEvent[] };

/** Counts of one pupil in one round: those that stand, the number told, and what each device counted for itself. */
export type Tally = {
  hits: number;
  misses: number;
  taps: RunEvent[];
  told: number | null;
  /** for a time that was told: in milliseconds */
  toldMs: number | null;
  by: Count[];
  stands: string | null;
};

const tapKinds: Kind[] = ["HIT", "MISS", "LANDED", "START", "SPLIT", "STOP", "BALL", "ENDED"];

export function tallyKey(segment: number, take: number, pupilId: string): string {
  return `${segment}/${take}/${pupilId}`;
}

/** What each pad shows. Counts of two devices are never added up: whose was said to stand does, else that of whoever began. */
export function tallies(events: RunEvent[]): Map<string, Tally> {
  const out = new Map<string, Tally>();
  for (const e of events) {
    const tap = tapKinds.includes(e.kind);
    if (!tap && e.kind !== "COLLECT" && e.kind !== "STANDS") continue;
    const key = tallyKey(e.segment ?? 0, e.take ?? 1, e.pupilId ?? "");
    const t = out.get(key) ?? { hits: 0, misses: 0, taps: [], told: null, toldMs: null, by: [], stands: null };
    if (e.kind === "COLLECT") {
      t.told = e.score;
      t.toldMs = e.offsetMs;
    } else if (e.kind === "STANDS") t.stands = e.note;
    else {
      const device = e.device ?? "";
      let mine = t.by.find((c) => c.device === device);
      if (!mine) {
        mine = { device, hits: 0, misses: 0, taps: [] };
        t.by.push(mine);
      }
      mine.taps.push(e);
      if (e.kind === "HIT") mine.hits++;
      else if (e.kind === "MISS") mine.misses++;
    }
    const standing = t.by.find((c) => c.device === t.stands) ?? t.by[0];
    t.hits = standing?.hits ?? 0;
    t.misses = standing?.misses ?? 0;
    t.taps = standing?.taps ?? [];
    out.set(key, t);
  }
  return out;
}

export type Dispute = { segment: number; take: number; pupilId: string; by: Count[] };

/** Rounds of a pupil that several devices counted and nobody settled, by a word or by a number told. */
export function disputes(counts: Map<string, Tally>): Dispute[] {
  const open: Dispute[] = [];
  for (const [key, t] of counts) {
    if (t.by.length < 2 || t.told !== null || t.by.some((c) => c.device === t.stands)) continue;
    const [segment = "0", take = "1", pupilId = ""] = key.split("/");
    open.push({ segment: Number(segment), take: Number(take), pupilId, by: t.by });
  }
  return open;
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
