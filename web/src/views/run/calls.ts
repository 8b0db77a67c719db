import type { RunScript, Segment } from "../../api/types";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";

const t = textsOf("run", saidRun);

/** A call in a segment: when, what the screen says, and its tone; what is spoken only where it helps to hear it. */
export type Call = {
  atMs: number;
  text: string;
  tone: "tick" | "beat" | "go" | "half" | "stop" | "water";
  say?: string;
};

const HALFWAY_FROM_SEC = 20;
const LAST_SEC = 5;
/** Seconds left that are called, in rounds that are at least so much longer. */
const LEFT_CALLED = [30, 15, 10];
const LONGER_BY_SEC = 5;

/** What a change of turns is: the next wave comes to the spots, or those at a spot change roles. */
export function changeOf({ segments, blocks }: RunScript, segment: Segment): Change {
  const turns = blocks[segment.block]?.turns;
  const next = segments.find((s) => s.index > segment.index && s.block === segment.block && s.turn >= 0);
  const before = segments.findLast((s) => s.index < segment.index && s.block === segment.block && s.turn >= 0);
  const from = turns?.[before?.turn ?? -1];
  const to = turns?.[next?.turn ?? -1];
  return from && to && from.wave === to.wave && from.part !== to.part ? "ROLES" : "PLACES";
}

export type Change = "ROLES" | "PLACES";
export const changeWord: Record<Change, string> = { ROLES: t("calls.changeRoles"), PLACES: t("calls.changePlaces") };

/** The calls of one segment, in milliseconds from its start. */
export function callsOf(segment: Segment, lengthMs: number, change: Change = "PLACES"): Call[] {
  const calls: Call[] = [];
  const sec = Math.round(lengthMs / 1000);
  const left = (n: number, text: string, tone: Call["tone"], say?: string) =>
    calls.push({ atMs: lengthMs - n * 1000, text, tone, say });
  // A second side has its own three, two, one; there the change is called first.
  if (segment.kind === "COUNT_IN" || segment.kind === "SIDE_SWAP") {
    const from = segment.kind === "SIDE_SWAP" ? sec - 1 : sec;
    for (let n = Math.min(3, from); n > 0; n--) left(n, String(n), "tick", String(n));
  }
  if (segment.kind === "WORK") {
    calls.push({ atMs: 0, text: t("calls.go"), tone: "go", say: t("calls.go") });
    const half = lengthMs / 2;
    const halved = sec >= HALFWAY_FROM_SEC;
    if (halved) calls.push({ atMs: half, text: t("calls.halfway"), tone: "half", say: t("calls.halfWay") });
    // Where both fall together, half way says more.
    const alone = (n: number) => !halved || Math.abs(lengthMs - n * 1000 - half) >= 2_000;
    for (const n of LEFT_CALLED.filter((n) => sec >= n + LONGER_BY_SEC && alone(n)))
      left(n, t("calls.seconds", { n }), "half", t("calls.seconds", { n }));
    for (let n = Math.min(LAST_SEC, sec - 1); n > 0; n--) left(n, String(n), "tick");
    calls.push({ atMs: lengthMs, text: t("calls.stop"), tone: "stop", say: t("calls.stop") });
  }
  if (segment.kind === "SIDE_SWAP")
    calls.push({ atMs: 0, text: t("calls.changeSides"), tone: "half", say: t("calls.changeSides") });
  if (segment.kind === "STATION_CHANGE")
    calls.push({ atMs: 0, text: t("calls.changeStations"), tone: "half", say: t("calls.changeStations") });
  if (segment.kind === "TURN_SWAP")
    calls.push({ atMs: 0, text: changeWord[change], tone: "half", say: changeWord[change] });
  if (segment.kind === "WATER") calls.push({ atMs: 0, text: t("calls.water"), tone: "water", say: t("calls.water") });
  return calls.sort((a, b) => a.atMs - b.atMs);
}

/** The beat of a round at the rung's pace, from its start to its end; nothing where the block wants none. */
export function beatsOf(segment: Segment, lengthMs: number, beatSec: number | null): Call[] {
  if (segment.kind !== "WORK" || !beatSec) return [];
  const beats: Call[] = [];
  for (let atMs = beatSec * 1000; atMs < lengthMs; atMs += beatSec * 1000) beats.push({ atMs, text: "", tone: "beat" });
  return beats;
}

/** The call to be read now: the last one, for as long as a call stands. */
export function callNow(calls: Call[], offsetMs: number, standsMs = 1_600): string {
  const last = calls.filter((c) => c.atMs <= offsetMs).at(-1);
  return last && offsetMs - last.atMs < standsMs ? last.text : "";
}

const pitch: Record<Call["tone"], [hertz: number, sec: number]> = {
  tick: [660, 0.09],
  beat: [330, 0.05],
  go: [990, 0.45],
  half: [784, 0.22],
  stop: [440, 0.7],
  water: [587, 0.6],
};

/** What can be heard, each to be switched off by itself; the screen always says it. */
export type Heard = { tones: boolean; speech: boolean; beat: boolean };

const HEARD = "marble.heard";

export function keptHeard(): Heard {
  return {
    tones: true,
    speech: false,
    beat: true,
    ...(JSON.parse(localStorage.getItem(HEARD) ?? "{}") as Partial<Heard>),
  };
}

export function keepHeard(heard: Heard) {
  localStorage.setItem(HEARD, JSON.stringify(heard));
}

/** Readings of the audio clock that are kept: some seconds' worth. */
const READINGS = 41;
const STARTED_SEC = 0.5;

/** Tones made here, put on the audio clock a little ahead of their time. */
export class Sounder {
  private audio: AudioContext | undefined;
  private readonly sounded = new Set<string>();
  private tones: { stop: () => void }[] = [];
  private readonly readings: number[] = [];
  heard: Heard = keptHeard();

  /** Must come from a press: browsers keep silent until then. */
  wake() {
    // A loudspeaker that slept may have lost its place.
    if (this.audio?.state !== "running") this.readings.length = 0;
    this.audio ??= new AudioContext();
    this.audio.resume();
  }

  /** Says a word at once, where a voice is wanted. */
  say(key: string, word: string) {
    if (this.sounded.has(key)) return;
    this.sounded.add(key);
    if (!this.heard.speech || !("speechSynthesis" in globalThis)) return;
    speechSynthesis.speak(this.spoken(word));
  }

  private spoken(text: string): SpeechSynthesisUtterance {
    const said = new SpeechSynthesisUtterance(text);
    said.lang = "en-GB";
    said.rate = 1.15;
    return said;
  }

  /** @param key tells this call from all others, so that it sounds once */
  at(key: string, call: Call, inMs: number) {
    if (this.sounded.has(key)) return;
    if (this.heard.speech && call.say && inMs < 60 && "speechSynthesis" in globalThis) {
      speechSynthesis.speak(this.spoken(call.say));
      if (!this.heard.tones) this.sounded.add(key);
    }
    // With speech the tone waits for the same moment, so that both are one call.
    if (this.heard.speech && inMs >= 60) return;
    if (!this.heard.tones || !this.audio || this.audio.state !== "running") return;
    this.sounded.add(key);
    const [hertz, sec] = pitch[call.tone];
    // For whoever measures: when this call is due.
    performance.mark("marble-call", { detail: performance.timeOrigin + performance.now() + inMs });
    const start = this.audioTimeIn(Math.max(0, inMs));
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
    this.tones.push(tone);
    tone.onended = () => {
      this.tones = this.tones.filter((t) => t !== tone);
    };
  }

  /** The audio clock's time at which a sound is heard so many milliseconds from now: what the loudspeaker needs is taken off. */
  private audioTimeIn(ms: number): number {
    const audio = this.audio as AudioContext;
    this.listen();
    const plain = audio.currentTime + ms / 1000;
    if (this.readings.length === 0) return plain;
    const aheadSec = [...this.readings].sort((a, b) => a - b)[Math.floor(this.readings.length / 2)] ?? 0;
    const exact = (performance.now() + ms) / 1000 + aheadSec;
    // A loudspeaker that is asked too late plays at once.
    return Math.abs(exact - plain) < 0.5 ? Math.max(exact, audio.currentTime) : plain;
  }

  /** Reads how far the audio clock is ahead of the page's; a single reading may be off by a whole buffer, the middle of many is not. */
  listen() {
    const heard = this.audio?.state === "running" ? this.audio.getOutputTimestamp?.() : undefined;
    // A loudspeaker that has only just begun does not know its place yet.
    if (!heard?.performanceTime || heard.contextTime === undefined || heard.contextTime < STARTED_SEC) return;
    this.readings.push(heard.contextTime - heard.performanceTime / 1000);
    if (this.readings.length > READINGS) this.readings.shift();
  }

  /** Everybody stops: unlike any other call, three falling sweeps. */
  stopAll() {
    this.hush();
    if (this.audio?.state !== "running") return;
    for (let i = 0; i < 3; i++) {
      const start = this.audio.currentTime + i * 0.38;
      const tone = this.audio.createOscillator();
      const loudness = this.audio.createGain();
      tone.type = "sawtooth";
      tone.frequency.setValueAtTime(1400, start);
      tone.frequency.exponentialRampToValueAtTime(320, start + 0.32);
      loudness.gain.setValueAtTime(0.6, start);
      loudness.gain.exponentialRampToValueAtTime(0.0001, start + 0.34);
      tone.connect(loudness).connect(this.audio.destination);
      tone.start(start);
      tone.stop(start + 0.36);
    }
  }

  /** What was put on the audio clock ahead and is no longer true is not heard. */
  hush() {
    for (const tone of this.tones) tone.stop();
    this.tones = [];
    if ("speechSynthesis" in globalThis) speechSynthesis.cancel();
  }

  /** Calls sound anew after a jump to an earlier place. */
  forget() {
    this.hush();
    this.sounded.clear();
  }
}
