import type { Block, BlockPlan, Circuit, CircuitPlan, Ladder, LessonView, Rung } from "../../api/types";

/** A ladder of two rungs, a block on the first of them, and what the core says of it: for tests. */
export const rungs = ["Off both feet", "On one foot"].map((name, i) => ({
  id: `r${i + 1}`,
  name,
  unit: "catches",
  sides: "BOTH",
  task: `Task of ${name}.`,
  counts: "a clean catch",
  change: "",
  manner: { attitude: "EITHER" },
  easier: "Nearer.",
  harder: "Further.",
  standM: 2,
  modifiers: [],
  ways: ["HITS_OF_N"],
  measure: { type: "HITS_OF_N", n: 10 },
  gate: { type: "SO_MANY_OF", reach: 8, of: 10 },
  kit: { without: [], more: [] },
})) as unknown as [Rung, Rung];

export const ladder = {
  id: "wall-catch",
  name: "Wall catch",
  family: "CATCH",
  part: "MAIN",
  noise: "QUIET",
  roles: ["catcher"],
  meanwhile: false,
  rungs,
  footprint: { lengthM: 3, widthM: 1.2, gapM: 0.4, edgeM: 0.3, needsWall: true, oneRow: true, heightM: null },
  kit: [],
} as unknown as Ladder;

export const quiet = {
  ...ladder,
  id: "cup",
  name: "Cup on the table",
  meanwhile: true,
  rungs: [{ ...rungs[0], id: "q1", name: "One cup" }],
} as unknown as Ladder;

export const block = {
  id: "b1",
  kind: "TASK",
  ladderId: "wall-catch",
  rungId: "r1",
  rungBy: "ONE",
  laterRungIds: [],
  dose: { type: "CLOCK", workSec: 30 },
  sets: 3,
  sides: "EACH",
  sideOrder: "ONE_THEN_OTHER",
  rest: "FIXED",
  restSec: 20,
  waitIsRest: true,
  setupSec: 30,
  explainSec: 40,
  cue: "FIRST",
  countInSec: 3,
  sideSwapSec: 10,
  turnSwapSec: 15,
  modifiers: [],
  kit: [],
  variants: [],
  onlyPupilIds: [],
  gate: null,
  measure: null,
  standM: null,
  target: null,
  mark: null,
  spot: null,
  meanwhile: null,
  note: null,
  reverses: null,
  routine: null,
  optionalSets: 0,
  collect: true,
} as unknown as Block;

export const figures = {
  id: "b1",
  startSec: 0,
  endSec: 400,
  workSec: 30,
  turns: 1,
  waves: 1,
  perSpot: 1,
  sides: 2,
  waiting: 0,
  idleSecPerPupil: 0,
  onRungs: [],
  elsewhere: [],
  onSets: [],
  steps: [],
  gate: rungs[0].gate,
  gates: [rungs[0].gate],
  standM: 2,
  pacing: { halfSec: null, fourOfFiveSec: null, reachGate: null, stepLikely: null, byPlanningRate: 0 },
  words: rungs[0],
} as unknown as BlockPlan;

export const who: LessonView["who"] = ["Amaru T.", "Beatrix O.", "Cosmo V."].map((name, i) => ({ id: `p${i}`, name }));

/** Two stations of the blocks b1 and b2, and what the core says of them. */
export const circuit = {
  id: "c1",
  stationIds: ["b1", "b2"],
  rounds: 2,
  workSec: 40,
  restSec: 10,
  changeSec: 30,
  places: [{ x: 0, y: 0 }],
  groups: [],
} as unknown as Circuit;

export const circuitFigures = {
  id: "c1",
  startSec: 0,
  endSec: 330,
  share: 0.625,
  most: 0.75,
  quietApart: true,
  timeToDrink: true,
  groups: [
    { names: ["Amaru T.", "Beatrix O."], pupilIds: ["p0", "p1"] },
    { names: ["Cosmo V."], pupilIds: ["p2"] },
  ],
  stations: ["b1", "b2"].map((blockId) => ({ blockId, rest: { sec: 15, leastSec: 15, mostSec: 35 } })),
} as unknown as CircuitPlan;
