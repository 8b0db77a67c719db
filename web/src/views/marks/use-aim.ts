import type { Given } from "./given";
import { useReckon } from "./use-reckon";
import { useValues } from "./use-values";

export type Ring = { outerRadiusCm: number | null; points: number | null };
export type Point = { xCm: number; yCm: number };
export type V = {
  rings: Ring[];
  hits: (number | null)[];
  outside: number | null;
  points: Point[];
  distanceM: number | null;
  wantPercent: number | null;
};

/** Its values, and what the core says of them. */
export function useAim(given: Given) {
  const { units } = given;
  const [v, change] = useValues<V>({
    rings: [
      { outerRadiusCm: 15, points: 5 },
      { outerRadiusCm: 30, points: 3 },
      { outerRadiusCm: 45, points: 1 },
    ],
    hits: [0, 0, 0],
    outside: 0,
    points: [],
    distanceM: 3,
    wantPercent: 70,
  });
  const tapped = v.points.length > 0;
  const { answer, must, problem, of } = useReckon(
    "aim",
    {
      rings: v.rings,
      hits: v.hits,
      outside: v.outside,
      points: v.points,
      distanceM: v.distanceM,
      wantShare: v.wantPercent === null ? null : v.wantPercent / 100,
    },
    v,
  );
  const ring = (i: number, patch: Partial<Ring>) =>
    change({ rings: v.rings.map((r, k) => (k === i ? { ...r, ...patch } : r)) });
  const hit = (i: number, n: number | null) => change({ hits: v.hits.map((h, k) => (k === i ? n : h)) });
  const last = v.rings[v.rings.length - 1]?.outerRadiusCm ?? 45;
  return { given, units, v, change, tapped, answer, of, must, problem, ring, hit, last };
}

export type Parts = ReturnType<typeof useAim>;
