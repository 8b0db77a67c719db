import type { Units } from "../../lengths";

/** The values of all four workings off the wall. */
export type V = {
  mode: string;
  standM: number | null;
  releaseM: number | null;
  speedMs: number | null;
  angleDeg: number | null;
  restitution: number | null;
  floorRestitution: number | null;
  catchM: number | null;
  ceilingM: number | null;
  ballRadiusM: number | null;
  turnDeg: number | null;
  leanDeg: number | null;
  boardAngleDeg: number | null;
  boardM: number | null;
  distanceM: number | null;
  floorGrip: number | null;
  age: number | null;
  reactionSec: number | null;
  handMoveSec: number | null;
  hard: boolean;
  space: string;
  ball: string;
};

export type View<A> = { v: V; answer: A | undefined; change: (patch: Partial<V>) => void; units: Units };
export const round = (m: number) => Math.round(m * 100) / 100;

export function highest(path: { yM: number }[]) {
  return Math.max(0, ...path.map((p) => p.yM));
}
