import type { Block, Ladder, Rung } from "../../api/types";

/** A block with the rung's own planning dose: by count where tries are what is counted, else by clock. */
export function newBlock(ladder: Ladder, rung: Rung): Block {
  const byCount = rung.measure === "HITS_OF_N";
  const dose = byCount ? rung.doses.count : rung.doses.clock;
  return {
    id: crypto.randomUUID(),
    ladderId: ladder.id,
    rungId: rung.id,
    modifiers: [],
    dose: byCount ? byCountDose(rung) : byClockDose(rung),
    sets: dose.sets,
    sides: "EACH",
    setupSec: ladder.kit.length ? 20 : 0,
    explainSec: 25,
    countInSec: 5,
    sideSwapSec: 5,
    turnSwapSec: 10,
    restSec: dose.restSec,
    waitIsRest: true,
    counted: ladder.counted,
    meanwhile: null,
  };
}

export function byClockDose(rung: Rung): Block["dose"] {
  return { type: "CLOCK", workSec: rung.doses.clock.workSec, reps: null, secPerRep: null };
}

export function byCountDose(rung: Rung): Block["dose"] {
  return {
    type: "COUNT",
    workSec: null,
    reps: rung.gate.of ?? rung.doses.count.reps,
    secPerRep: rung.pace.hitSec,
  };
}
