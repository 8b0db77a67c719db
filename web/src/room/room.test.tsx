import { render, screen } from "@testing-library/react";
import { beforeEach, expect, it, vi } from "vitest";
import type { BlockPlan, Place } from "../api/types";
import { Room } from "./room";
import { wallsOf } from "./walls";

beforeEach(() => {
  vi.stubGlobal(
    "ResizeObserver",
    class {
      observe() {}
      disconnect() {}
    },
  );
  // 92 m of room in 928 px: ten pixels a metre, four of margin.
  Element.prototype.getBoundingClientRect = () => ({ width: 928 }) as DOMRect;
});

const wall = (runM: number, depthM: number) => ({ runM, depthM, heightM: null, holds: null });
const place = (first: Place["size"]["wall"], otherWalls: Place["otherWalls"] = []) =>
  ({
    size: { lengthM: 92, widthM: 20, ceilingM: null, wall: first },
    features: [],
    otherWalls,
  }) as unknown as Place;

it("finds the first wall at the top, at the left where it only fits there, and all others as they are told", () => {
  expect(wallsOf(place(wall(90, 20))).map((w) => w.edge)).toEqual(["TOP"]);
  expect(wallsOf(place(wall(20, 90))).map((w) => w.edge)).toEqual(["LEFT"]);
  const bottom = { edge: "BOTTOM" as const, fromM: 3, stretch: { ...wall(4, 3), holds: "a map" } };
  expect(wallsOf(place(wall(90, 20), [bottom])).map((w) => w.edge)).toEqual(["TOP", "BOTTOM"]);
  expect(wallsOf(place(null))).toEqual([]);
});

it("draws who works away from the wall that they face, and says what is on it", () => {
  const bottom = { edge: "BOTTOM" as const, fromM: 0, stretch: { ...wall(40, 10), holds: "a map" } };
  const spot = (yM: number) => ({ xM: 0, yM, alongM: 4, acrossM: 10 });
  const plan = {
    family: "THROW",
    spots: { spots: 2, waves: 1, reason: null, placed: [spot(0), spot(10)] },
    atWalls: [
      { edge: "TOP", spots: 1 },
      { edge: "BOTTOM", spots: 1 },
    ],
    workingAtOnce: 2,
    helping: 0,
    waiting: 0,
    perSpot: 1,
    partsToRotate: 1,
    leftFree: 0,
    leftForWindows: 0,
  } as unknown as BlockPlan;
  const { container } = render(
    <Room place={place(wall(90, 10), [bottom])} plan={plan} needsWall name="Yard" atHome={false} />,
  );
  const ys = [...container.querySelectorAll("circle")].map((c) => Number(c.getAttribute("cy")));
  // Eight of ten metres away from each: 82 px below the top wall, 82 px above the lower one, which lies at 204.
  expect(ys).toEqual([86, 122]);
  expect(screen.getByText(/2 spots fit \(1 at the upper long side, 1 at the lower long side\)/)).toBeTruthy();
  expect(screen.getByText("On the wall at the lower long side: a map.")).toBeTruthy();
});
