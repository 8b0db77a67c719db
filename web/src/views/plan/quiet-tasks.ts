import type { Ladder } from "../../api/types";

/** Ladders that go at a table or on the spot while others work: quiet, alone, without a wall. */
export const quietTasks = (all: Ladder[]) =>
  all.filter((l) => l.noise === "QUIET" && l.part === "MAIN" && !l.footprint.needsWall && l.roles.length === 1);
