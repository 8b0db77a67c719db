import type { Place } from "../api/types";

type FreeWall = Place["otherWalls"][number];
export type Edge = FreeWall["edge"];

/** Every free wall where it lies, the first one first: along the length at the top, else along the width at the left. */
export function wallsOf({ size, otherWalls }: Place): FreeWall[] {
  if (!size.wall) return otherWalls;
  const { runM, depthM } = size.wall;
  const alongLength = runM <= size.lengthM + 1e-9 && depthM <= size.widthM + 1e-9;
  return [{ edge: alongLength ? "TOP" : "LEFT", fromM: 0, stretch: size.wall }, ...otherWalls];
}

/** The free walls of a drawn room, thick. */
export function Walls({ place, scale, colour, thick }: { place: Place; scale: number; colour: string; thick: number }) {
  const right = 4 + place.size.lengthM * scale;
  const bottom = 4 + place.size.widthM * scale;
  return (
    <g aria-hidden>
      {wallsOf(place).map(({ edge, fromM, stretch }) => {
        const from = 4 + fromM * scale;
        const to = from + stretch.runM * scale;
        const line = {
          TOP: { x1: from, x2: to, y1: 5, y2: 5 },
          BOTTOM: { x1: from, x2: to, y1: bottom - 1, y2: bottom - 1 },
          LEFT: { x1: 5, x2: 5, y1: from, y2: to },
          RIGHT: { x1: right - 1, x2: right - 1, y1: from, y2: to },
        }[edge];
        return <line key={`${edge} ${fromM}`} {...line} stroke={colour} strokeWidth={thick} />;
      })}
    </g>
  );
}
