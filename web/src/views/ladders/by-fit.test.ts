import { expect, it } from "vitest";
import type { FitLine, Ladder } from "../../api/types";
import { byFit } from "./by-fit";

const ladders = ["meant", "by-a-word", "crowded", "not-here"].map((id) => ({ id }) as Ladder);
const fit = new Map<string, FitLine>(
  (
    [
      ["meant", "WITH_CHANGE"],
      ["by-a-word", "FITS"],
      ["crowded", "FEW_AT_A_TIME"],
      ["not-here", "NOT"],
    ] as const
  ).map(([ladderId, verdict]) => [ladderId, { ladderId, best: { verdict } } as unknown as FitLine]),
);
const ids = (found: Ladder[]) => found.map((l) => l.id);

it("puts what fits as it is first where nothing was looked for", () => {
  expect(ids(byFit([...ladders].reverse(), fit, false))).toEqual(["by-a-word", "meant", "crowded", "not-here"]);
});

it("keeps the best match of what was looked for first, with a change or without, and what does not fit last", () => {
  expect(ids(byFit(ladders, fit, true))).toEqual(["meant", "by-a-word", "crowded", "not-here"]);
  expect(ids(byFit([...ladders].reverse(), fit, true))).toEqual(["by-a-word", "meant", "crowded", "not-here"]);
});

it("leaves the order alone until it is known what fits", () => {
  expect(ids(byFit([...ladders].reverse(), new Map(), false))).toEqual(["not-here", "crowded", "by-a-word", "meant"]);
});
