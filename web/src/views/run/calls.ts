import type { Segment } from "../../api/types";

/** A call in a segment: when, what the screen says, and its tone. */
export type Call = { atMs: number; text: string; tone: "tick" | "go" | "half" | "stop" };

const HALFWAY_FROM_SEC = 20;

/** The calls of one segment, in milliseconds from its start. */
export function callsOf(segment: Segment, lengthMs: number): Call[] {
  const calls: Call[] = [];
  const sec = Math.round(lengthMs / 1000);
  if (segment.kind === "COUNT_IN")
    for (let left = Math.min(3, sec); left > 0; left--)
      calls.push({ atMs: lengthMs - left * 1000, text: String(left), tone: "tick" });
  if (segment.kind === "WORK") {
    calls.push({ atMs: 0, text: "Go", tone: "go" });
    if (sec >= HALFWAY_FROM_SEC) calls.push({ atMs: lengthMs / 2, text: "Halfway", tone: "half" });
    if (sec >= 15) calls.push({ atMs: lengthMs - 10_000, text: "Ten seconds", tone: "half" });
    for (let left = Math.min(3, sec - 1); left > 0; left--)
      calls.push({ atMs: lengthMs - left * 1000, text: String(left), tone: "tick" });
    calls.push({ atMs: lengthMs, text: "Stop", tone: "stop" });
  }
  if (segment.kind === "SIDE_SWAP") calls.push({ atMs: 0, text: "Change sides", tone: "half" });
  if (segment.kind === "TURN_SWAP") calls.push({ atMs: 0, text: "Change places", tone: "half" });
  return calls.sort((a, b) => a.atMs - b.atMs);
}

/** The call to be read now: the last one, for as long as a call stands. */
export function callNow(calls: Call[], offsetMs: number, standsMs = 1_600): string {
  const last = calls.filter((c) => c.atMs <= offsetMs).at(-1);
  return last && offsetMs - last.atMs < standsMs ? last.text : "";
}

const pitch: Record<Call["tone"], [hertz: number, sec: number]> = {
  tick: [660, 0.09],
  go: [990, 0.45],
  half: [784, 0.22],
  stop: [440, 0.7],
};

/** Tones made here, put on the audio clock a little ahead of their time. */
export class Sounder {
  private audio: AudioContext | undefined;
  private readonly sounded = new Set<string>();

  /** Must come from a press: browsers keep silent until then. */
  wake() {
    this.audio ??= new AudioContext();
    this.audio.resume();
  }

  /** @param key tells this call from all others, so that it sounds once */
  at(key: string, call: Call, inMs: number) {
    if (!this.audio || this.sounded.has(key) || this.audio.state !== "running") return;
    this.sounded.add(key);
    const [hertz, sec] = pitch[call.tone];
    const start = this.audio.currentTime + Math.max(0, inMs) / 1000;
    const tone = this.audio.createOscillator();
    const loudness = this.audio.createGain();
    tone.type = "triangle";
    tone.frequency.value = hertz;
    loudness.gain.setValueAtTime(0.0001, start);
    loudness.gain.exponentialRampToValueAtTime(0.5, start + 0.012);
    loudness.gain.exponentialRampToValueAtTime(0.0001, start + sec);
    tone.connect(loudness).connect(this.audio.destination);
    tone.start(start);
    tone.stop(start + sec + 0.05);
  }

  /** Calls sound anew after a jump to an earlier place. */
  forget() {
    this.sounded.clear();
  }
}
