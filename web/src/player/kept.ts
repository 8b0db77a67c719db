import type { Felt } from "./card";

/** What a device keeps of a practice. */
export interface KeptPractice {
  numbers: (number | null)[];
  felt: Felt | null;
  /** Seconds that were played; where one goes on. */
  playedSec: number;
  done: boolean;
}

export type Kept = Record<number, KeptPractice>;

/** Keeps it on this device and nowhere else; `keeps` is false where the device keeps nothing. */
export class Shelf {
  keeps = true;
  private held: Kept = {};
  private readonly name: string;

  constructor(card: number, key: string) {
    this.name = `unruly-marble-card-${card}-${key.slice(0, 6)}`;
    try {
      this.held = JSON.parse(localStorage.getItem(this.name) ?? "{}") as Kept;
      localStorage.setItem(this.name, JSON.stringify(this.held));
    } catch {
      this.keeps = false;
    }
  }

  of(practice: number, boxes: number): KeptPractice {
    this.held[practice] ??= { numbers: Array(boxes).fill(null), felt: null, playedSec: 0, done: false };
    return this.held[practice];
  }

  /** What was kept, without making anything. */
  peek(practice: number): KeptPractice | undefined {
    return this.held[practice];
  }

  save() {
    if (!this.keeps) return;
    try {
      localStorage.setItem(this.name, JSON.stringify(this.held));
    } catch {
      this.keeps = false;
    }
  }
}
