import { v4 } from "uuid";
import type { Block, Ladder, Rung } from "../../api/types";

/** Everything that a block has beside its task, at the house's defaults. */
const plain = {
  kind: "TASK",
  rungBy: "ONE",
  modifiers: [],
  optionalLast: false,
  sides: "EACH",
  sideOrder: "ONE_THEN_OTHER",
  cue: "FIRST",
  sideSwapSec: 5,
  turnSwapSec: 10,
  rest: "FIXED",
  waitIsRest: true,
  roleTurns: "EVERYONE_WORKS",
  part: null,
  reverses: null,
  attitude: null,
  beat: false,
  meanwhile: null,
  kit: [],
  gate: null,
  mark: null,
  spot: null,
  mostSpots: null,
  sayChange: false,
  variants: [],
  onlyPupilIds: [],
  note: null,
} satisfies Partial<Block>;

/** A block with the rung's own planning dose: by count where tries are what is counted, else by clock. */
export function newBlock(ladder: Ladder, rung: Rung): Block {
  const byCount = rung.measure.type === "HITS_OF_N" || rung.measure.type === "NO_BALLS";
  const planned = byCount ? rung.doses.count : rung.doses.clock;
  return {
    ...plain,
    id: v4(),
    ladderId: ladder.id,
    rungId: rung.id,
    dose: doseOf(byCount ? "COUNT" : "CLOCK", rung),
    sets: planned.sets,
    setupSec: ladder.kit.length ? 20 : 0,
    explainSec: 25,
    countInSec: 5,
    restSec: planned.restSec,
    counted: ladder.counted,
  };
}

/** Time for something else than a task. */
export function timeFor(kind: "FREE" | "TALK" | "WATER", seconds: number): Block {
  return {
    ...plain,
    id: v4(),
    kind,
    ladderId: null,
    rungId: null,
    dose: { type: "CLOCK", workSec: seconds },
    sets: 1,
    setupSec: 0,
    explainSec: kind === "FREE" ? 15 : 0,
    countInSec: 0,
    restSec: 0,
    counted: false,
  };
}

/** A rung's planning dose of one school. */
export function doseOf(type: Block["dose"]["type"], rung: Rung): Block["dose"] {
  const { clock, count, gate, staircase } = rung.doses;
  switch (type) {
    case "CLOCK":
      return { type, workSec: clock.workSec };
    case "COUNT":
      return {
        type,
        reps: rung.gate.type === "SO_MANY_OF" ? rung.gate.of : count.reps,
        secPerRep: secPerTry(rung),
      };
    case "GATE":
      return { type, limitSec: gate.limitSec };
    case "SELF_PACED":
      return { type, limitSec: gate.limitSec };
    case "STAIRCASE":
      return { type, ...staircase };
  }
}

/** A hit, or a miss and its fetch, each as often as the planning rate says. */
export function secPerTry(rung: Rung): number {
  const { hitSec, missSec, share } = rung.pace;
  return Math.round((share * hitSec + (1 - share) * missSec) * 10) / 10;
}
