/** What the server wrote into the page: docs/formats.md, "Card". */
export interface Box {
  task: number;
  round: number;
  side: string;
  most: number;
}

export interface Segment {
  index: number;
  block: number;
  kind: string;
  startSec: number;
  durationSec: number;
  set: number;
  side: number;
}

export interface Task {
  name: string;
  sides: string[];
  counted: boolean;
  byGoes: boolean;
  tries: number | null;
  rounds: number;
  words: { name: string; task: string };
}

export interface Practice {
  practice: number;
  on: string;
  what: { totalSec: number; tasks: Task[]; boxes: Box[]; segments: Segment[] };
}

export interface Card {
  format: string;
  version: number;
  card: number;
  key: string;
  firstName: string;
  practices: Practice[];
  /** What is asked of the home, to come back as if it were that practice. */
  home: { practice: number; kinds: string[]; most: number[] };
}

export type Felt = "EASY" | "RIGHT" | "HARD";

/** The box that a stretch of work fills, or -1. */
export function boxOf(what: Practice["what"], segment: Segment): number {
  if (segment.kind !== "WORK") return -1;
  const side = what.tasks[segment.block]?.sides[Math.max(0, segment.side)];
  return what.boxes.findIndex((b) => b.task === segment.block && b.round === segment.set + 1 && b.side === side);
}

/** Where the clock stands after so many seconds; null when all is over. */
export function at(segments: Segment[], sec: number): { segment: Segment; leftSec: number } | null {
  const segment = segments.find((s) => sec < s.startSec + s.durationSec);
  return segment ? { segment, leftSec: segment.startSec + segment.durationSec - sec } : null;
}
