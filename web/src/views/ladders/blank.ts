import type { Ladder, Rung } from "../../api/types";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";

const t = textsOf("ladders", saidLadders);

/** Letters that nobody takes for others. */
const LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";

/** An id for good: results hang on it, so that words may change as they like. */
export function lastingId(of: string): string {
  const word = of
    .toLowerCase()
    .normalize("NFD")
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .slice(0, 24);
  const tail = Array.from(crypto.getRandomValues(new Uint8Array(5)), (n) => LETTERS[n % LETTERS.length]).join("");
  return `${word || "own"}-${tail}`;
}

export function copyOf(ladder: Ladder): Ladder {
  return { ...ladder, id: lastingId(ladder.name), name: t("blank.ours", { name: ladder.name }).slice(0, 60) };
}

/** A rung to be written; words are left empty so that nothing is kept that nobody wrote. */
export function blankRung(like: Rung | undefined): Rung {
  return {
    ...(like ?? plainRung),
    id: lastingId("rung"),
    name: "",
    lever: like ? "DISTANCE" : "START",
    change: "",
    task: "",
    counts: "",
    countsNot: "",
    easier: "",
    harder: "",
    steps: [],
  };
}

const plainRung: Omit<
  Rung,
  "id" | "name" | "lever" | "change" | "task" | "counts" | "countsNot" | "easier" | "harder"
> = {
  sides: "BOTH",
  measure: { type: "COUNT_IN_TIME" },
  ways: ["COUNT_IN_TIME"],
  unit: "catches",
  gate: { type: "SO_MANY_IN", reach: 10, inSec: 30 },
  pace: { hitSec: 2, missSec: 4, stepSec: 1, share: 0.75 },
  doses: {
    clock: { workSec: 30, sets: 2, restSec: 20 },
    count: { reps: 10, sets: 2, restSec: 20 },
    gate: { limitSec: 120 },
    staircase: { makesToStep: 2, onMiss: "STAY", stepM: 0.3, limitSec: 120 },
  },
  modifiers: [],
  manner: { feet: "FREE", eyes: "FREE", attitude: "EITHER" },
  claps: null,
  heightM: null,
  standM: null,
  calls: null,
  delivery: null,
  steps: [],
  figures: {},
  kit: { without: [], more: [] },
};

export function blankLadder(): Ladder {
  const first = blankRung(undefined);
  return {
    id: "",
    family: "CATCH",
    name: "",
    part: "MAIN",
    meanwhile: false,
    sports: [],
    aspects: ["HANDS"],
    roles: [{ name: "worker", works: true, busy: false, line: "" }],
    footprint: { lengthM: 1.5, widthM: 1.5, gapM: 0.4, edgeM: 0.3, needsWall: false, oneRow: false, heightM: null },
    surfaces: ["ANY"],
    noise: "QUIET",
    effort: 2,
    ages: null,
    counted: true,
    ballOrder: [],
    kit: [],
    gear: [],
    manner: { feet: "FREE", eyes: "FREE", attitude: "EITHER" },
    swingM: null,
    net: null,
    cues: ["", ""],
    faults: [{ id: lastingId("fault"), seen: "", mend: "" }],
    eyes: "",
    cautions: ["LOOSE_BALLS"],
    refusedPlaces: [],
    seated: null,
    oneHand: null,
    seesLittle: null,
    rungs: [first, { ...blankRung(first) }, { ...blankRung(first) }],
  };
}
