import { useEffect, useMemo, useRef, useState } from "react";
import type { Run } from "../../api/types";
import { atTheSheet, isCounted, nothingLeft } from "./at-the-sheet";
import { type Played, roundsOfTurn, turnsEnded } from "./log";
import { missingIn } from "./missing";
import { circuitOf, ofStation } from "./stations";
import type { useRun } from "./use-run";

/** Which turn's numbers are asked for: in the rest the last one's, by itself. The sheet stays while somebody is at it, also when work begins. */
export function useCollecting(
  run: Run,
  played: Played,
  on: ReturnType<typeof useRun>,
  at: { segment: number; station: number; now: number },
) {
  const { script } = run.sheet;
  const { segments } = script;
  const segment = segments[at.segment];
  const [turn, setTurn] = useState<number>();
  const ended = useMemo(() => turnsEnded(segments, at.segment), [segments, at.segment]);
  const missing = ended.filter((r) => missingIn(run, r, played, on.counts, at.now) > 0);
  // Between two rounds of a visit there is no time for numbers: they are asked for when all move on.
  const busy = ["WORK", "COUNT_IN", "SIDE_SWAP", ...(circuitOf(script, segment?.block) ? ["REST"] : [])];
  const resting = !segment || !busy.includes(segment.kind);
  const lastOfAll = ended.at(-1);
  const lastEnded = lastOfAll === undefined ? undefined : ofStation(script, lastOfAll, at.station);
  // One that was skipped on the way to another block has no numbers to ask for.
  const worked =
    lastEnded !== undefined &&
    (missing.includes(lastEnded) ||
      roundsOfTurn(segments, lastEnded).some((r) => played.workedMs(r, played.take(r), at.now) !== undefined));
  const newlyEnded = resting && worked && isCounted(run, lastEnded) ? lastEnded : undefined;
  const toClose = turn !== undefined && !resting && nothingLeft(run, turn, played, on, at.now);

  const open = useRef(turn);
  open.current = turn;
  useEffect(() => {
    if (newlyEnded === undefined) return;
    if (open.current === undefined || !atTheSheet()) setTurn(newlyEnded);
  }, [newlyEnded]);
  useEffect(() => {
    if (toClose && !atTheSheet()) setTurn(undefined);
  }, [toClose]);

  return { turn, setTurn, missing, resting, toAsk: missing.at(-1) ?? lastEnded };
}

export type Collecting = ReturnType<typeof useCollecting>;
