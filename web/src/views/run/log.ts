import type { RunEvent, RunScript, Segment, Tap, What } from "../../api/types";
import { rungOfSet } from "./rung-of-set";

/**
 * What the screen needs of a run's log between two answers of the server: where the clock stands and what the pads show.
 * The core folds the same log; only its fold is ever recorded. Both pass the same worked cases.
 */

export type Anchor = { segment: number; offsetMs: number; atMs: number; playing: boolean };

export type Position = { segment: number; offsetMs: number };

/** Events of one kind. */
export type Of<T extends What["type"]> = RunEvent & { what: Extract<What, { type: T }> };

export function is<T extends What["type"]>(type: T): (e: RunEvent) => e is Of<T> {
  return (e): e is Of<T> => e.what.type === type;
}

/** Events in order, without those that were taken back and the takings-back themselves. */
export function standing(log: RunEvent[]): RunEvent[] {
  const takenBack = new Set(log.filter(is("TAKE_BACK")).map((e) => e.what.target));
  return log
    .filter((e) => e.what.type !== "TAKE_BACK" && !takenBack.has(e.id))
    .sort((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0));
}

/** How a run was played up to its last event: where its clock stands, how long each round was worked, who is on what. */
export class Played {
  anchor: Anchor = { segment: 0, offsetMs: 0, atMs: 0, playing: false };
  finished = false;
  /** Everybody was stopped, and nobody said go since. */
  stopped = false;
  /** Whether the wall shows what was scored. */
  scoresOnWall = false;
  /** Pupils who are put aside now. */
  readonly away = new Set<string>();
  /** Pupils who were put on another rung, from a segment on. */
  private readonly moved: { segment: number; pupilId: string; rungId: string }[] = [];
  private readonly trials = new Set<string>();
  private readonly added = new Map<number, number>();
  private readonly begunAgain: number[] = [];
  /** Milliseconds for which a round's clock ran, up to the last event. */
  private readonly worked = new Map<string, number>();
  private readonly dropped = new Set<string>();

  /** @param events standing events, in order */
  constructor(
    private readonly script: RunScript,
    events: RunEvent[],
  ) {
    for (const e of events) this.play(e.what, e.atMs);
  }

  private play(what: What, atMs: number) {
    switch (what.type) {
      case "GO":
      case "HOLD":
      case "STOP_ALL":
      case "AGAIN":
      case "NEXT":
      case "BACK": {
        const left = this.reachedAt(atMs);
        if (what.type === "AGAIN" || what.type === "BACK") {
          // A round that is begun anew before its end counts for nothing: the new one stands in its place.
          if (this.isRound(left.segment)) this.dropped.add(this.key(left.segment));
          this.begunAgain.push(what.segment);
        }
        const flows = what.type !== "HOLD" && what.type !== "STOP_ALL" && this.anchor.playing;
        const playing = what.type === "GO" || flows;
        this.anchor = { segment: what.segment, offsetMs: what.offsetMs, atMs, playing };
        if (what.type === "STOP_ALL") this.stopped = true;
        if (what.type === "GO") this.stopped = false;
        break;
      }
      case "EXTEND": {
        const now = this.reachedAt(atMs);
        this.anchor = { ...now, atMs, playing: this.anchor.playing };
        this.added.set(what.segment, (this.added.get(what.segment) ?? 0) + what.addSec);
        break;
      }
      case "FINISH":
        this.anchor = { ...this.reachedAt(atMs), atMs, playing: false };
        this.finished = true;
        break;
      case "AWAY":
        this.away.add(what.pupilId);
        break;
      case "HERE":
        this.away.delete(what.pupilId);
        break;
      case "ON_RUNG":
        this.moved.push(what);
        break;
      case "TRIAL":
        this.trials.add(`${leadOf(this.script.segments, what.segment)}/${what.take}`);
        break;
      case "SCORES_ON_WALL":
        this.scoresOnWall = what.on;
    }
  }

  at(nowMs: number): Position {
    const { anchor } = this;
    if (!anchor.playing) return { segment: anchor.segment, offsetMs: anchor.offsetMs };
    let segment = anchor.segment;
    let left = anchor.offsetMs + Math.max(0, nowMs - anchor.atMs);
    while (segment < this.script.segments.length) {
      const length = this.clockMs(segment);
      if (left < length) return { segment, offsetMs: left };
      left -= length;
      segment++;
    }
    return { segment, offsetMs: 0 };
  }

  /** Rounds that the clock went through since the anchor, with how far. */
  private *since(nowMs: number): Generator<[round: number, ms: number]> {
    const at = this.at(nowMs);
    for (let s = this.anchor.segment; s < at.segment; s++) if (this.isRound(s)) yield [s, this.clockMs(s)];
    if (this.isRound(at.segment) && at.offsetMs > 0) yield [at.segment, at.offsetMs];
  }

  private reachedAt(atMs: number): Position {
    for (const [round, ms] of this.since(atMs)) {
      const key = this.key(round);
      this.worked.set(key, Math.max(this.worked.get(key) ?? 0, ms));
    }
    return this.at(atMs);
  }

  private isRound(segment: number): boolean {
    return this.script.segments[segment]?.kind === "WORK";
  }

  private key(round: number): string {
    return `${round}/${this.take(round)}`;
  }

  /** Milliseconds for which a round's clock has run at a time; undefined where it never was in it. */
  workedMs(round: number, take: number, nowMs: number): number | undefined {
    const lead = leadOf(this.script.segments, round);
    const before = this.worked.get(`${lead}/${take}`);
    const now = take === this.take(lead) ? [...this.since(nowMs)].find(([r]) => r === lead)?.[1] : undefined;
    if (before === undefined && now === undefined) return undefined;
    const ms = Math.max(before ?? 0, now ?? 0);
    // A station whose work is shorter than the others' ends sooner, also in a round that was made longer.
    return this.plannedMs(round) < this.plannedMs(lead) ? Math.min(ms, this.plannedMs(round)) : ms;
  }

  /** Whether a take was begun anew before its end, and counts for nothing. */
  isDropped(round: number, take: number): boolean {
    return this.dropped.has(`${leadOf(this.script.segments, round)}/${take}`);
  }

  /** How long the clock is in a segment: never in what lies beside another. */
  private clockMs(segment: number): number {
    return this.script.segments[segment]?.beside == null ? this.lengthMs(segment) : 0;
  }

  private plannedMs(segment: number): number {
    return 1000 * (this.script.segments[segment]?.durationSec ?? 0);
  }

  /** With what was added to it; at another station as long as is planned there. */
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
    const planned = block && (block.rungOf[pupilId] ?? rungOfSet(block, this.script.segments[round]?.set ?? 0));
    return moved?.rungId ?? planned ?? undefined;
  }

  /** Whether a round was to find out: said in the run, or by a block that tries first. */
  isTrial(round: number, take = this.take(round)): boolean {
    const segment = this.script.segments[round];
    const tryFirst = this.script.blocks[segment?.block ?? -1]?.tryFirst ?? false;
    return this.trials.has(`${leadOf(this.script.segments, round)}/${take}`) || (tryFirst && segment?.set === 0);
  }
}

/** What one device counted: its taps in order, and how many of them hit or missed. */
export type Count = { device: string; hits: number; misses: number; taps: Tap[] };

/** Counts of one pupil in one round: those that stand, the number told, and what each device counted for itself. */
export type Tally = {
  taps: Tap[];
  told: number | null;
  /** for a time that was told: in milliseconds */
  toldMs: number | null;
  by: Count[];
  stands: string | null;
};

export function tallyKey(segment: number, take: number, pupilId: string): string {
  return `${segment}/${take}/${pupilId}`;
}

/** What each pad shows. Counts of two devices are never added up: whose was said to stand does, else that of whoever began. */
export function tallies(events: RunEvent[]): Map<string, Tally> {
  const out = new Map<string, Tally>();
  for (const { what, device } of events) {
    if (what.type !== "TAPPED" && what.type !== "TOLD" && what.type !== "STANDS") continue;
    const key = tallyKey(what.segment, what.take, what.pupilId);
    const t = out.get(key) ?? { taps: [], told: null, toldMs: null, by: [], stands: null };
    if (what.type === "TOLD") {
      t.told = what.score;
      t.toldMs = what.timeMs;
    } else if (what.type === "STANDS") t.stands = what.device;
    else {
      let mine = t.by.find((c) => c.device === (device ?? ""));
      if (!mine) {
        mine = { device: device ?? "", hits: 0, misses: 0, taps: [] };
        t.by.push(mine);
      }
      mine.taps.push(what.tap);
      if (what.tap.type === "HIT") mine.hits++;
      else if (what.tap.type === "MISS") mine.misses++;
    }
    t.taps = (t.by.find((c) => c.device === t.stands) ?? t.by[0])?.taps ?? [];
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

/** The segment that the clock goes by: itself, or for work at another station that beside which it lies. */
export function leadOf(segments: Segment[], index: number): number {
  return segments[index]?.beside ?? index;
}

/** The next place that the clock comes to: what lies beside a round is none. */
export function afterOf(segments: Segment[], index: number): number {
  let next = index + 1;
  while (segments[next] && segments[next]?.beside != null) next++;
  return next;
}

/** Where a round begins: its count-in, or for a second side its own start. */
export function roundStart(segments: Segment[], work: number): number {
  return segments[work - 1]?.kind === "COUNT_IN" ? work - 1 : work;
}

/** The round that is on at this segment, or the last one before it; -1 if there is none yet. */
export function roundAt(segments: Segment[], at: number): number {
  const here = segments[at];
  if (here?.kind === "COUNT_IN") return at + 1;
  for (let i = Math.min(at, segments.length - 1); i >= 0; i--)
    if (segments[i]?.kind === "WORK") return leadOf(segments, i);
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
