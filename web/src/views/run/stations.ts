import type { RunScript, ScriptCircuit, Segment } from "../../api/types";
import { leadOf } from "./log";

/** The circuit that a block is a station of. */
export function circuitOf(script: Pick<RunScript, "circuits">, block: number | undefined): ScriptCircuit | undefined {
  if (block === undefined) return undefined;
  // A run that was kept on the device by an earlier version says nothing of circuits.
  return (script.circuits ?? []).find((c) => block >= c.firstBlock && block < c.firstBlock + c.stations);
}

/** Rounds that are played at the same time as this one, itself included, in the order of the stations. */
export function together(segments: Segment[], round: number): Segment[] {
  const lead = leadOf(segments, round);
  return segments.filter((s) => s.index === lead || s.beside === lead).sort((a, b) => a.block - b.block);
}

/** Which visit of a circuit a segment belongs to, from 0, and which round of it. */
export function visitOf(script: RunScript, segment: Segment): { visit: number; round: number } {
  const c = circuitOf(script, segment.block);
  const all = script.blocks[segment.block]?.turns.length ?? 1;
  const turns = Math.max(1, Math.round(all / (c?.stations ?? 1)));
  const visit = Math.max(0, Math.floor(segment.turn / turns));
  return { visit, round: Math.max(0, segment.set * turns + (segment.turn % turns)) };
}

/** The number of the group that is at a station in a visit, all from 0. */
export function groupAt(circuit: ScriptCircuit, station: number, visit: number): number {
  return circuit.groupAt[visit]?.[station] ?? station;
}

/** The round that is played at one station of a circuit while this one is; outside a circuit the round itself. */
export function ofStation(script: RunScript, round: number, station: number): number {
  const circuit = circuitOf(script, script.segments[round]?.block);
  if (!circuit) return round;
  const block = circuit.firstBlock + Math.min(station, circuit.stations - 1);
  return together(script.segments, round).find((s) => s.block === block)?.index ?? round;
}

/** The round at this place, or the next one that comes: at one station of a circuit. */
export function roundAtStation(script: RunScript, at: number, station: number): Segment | undefined {
  const { segments } = script;
  const next = segments.find((s) => s.kind === "WORK" && s.beside == null && s.index >= at);
  return next && segments[ofStation(script, next.index, station)];
}

/**
 * A segment as one station has it: the others' rounds are none of its business. While all are told what there is to do, each has its turn; in a change
 * it is the station that one comes to.
 */
export function atStation(script: RunScript, segment: Segment, station: number): Segment {
  const circuit = circuitOf(script, segment.block);
  if (!circuit || ["SETUP", "EXPLAIN", "TRANSITION"].includes(segment.kind) || segment.turn < 0) return segment;
  const own =
    segment.kind === "REST"
      ? script.segments[ofStation(script, lastRound(script.segments, segment.index), station)]
      : roundAtStation(script, segment.index, station);
  return own ? { ...segment, block: own.block, set: own.set, turn: own.turn } : segment;
}

function lastRound(segments: Segment[], at: number): number {
  return segments.findLast((s) => s.index < at && s.kind === "WORK" && s.beside == null)?.index ?? -1;
}
