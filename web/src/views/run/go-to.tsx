import { useState } from "react";
import type { Run, Segment } from "../../api/types";
import { Sheet } from "../../ui/sheet";
import { side as sideWord } from "../../words";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";
import { type Played, roundStart } from "./log";
import { blockName, turnName } from "./round-name";
import { circuitOf } from "./stations";

const t = textsOf("run", saidRun);

/** Any block or round, reached at once: what lies before is skipped, what was there already is begun anew. */
export function GoTo({
  run,
  played,
  at,
  onGo,
  onBack,
}: {
  run: Run;
  played: Played;
  at: number;
  onGo: (segment: number) => void;
  /** to the round before, where there is one */
  onBack?: () => void;
}) {
  const [open, setOpen] = useState(false);
  const { segments, blocks } = run.sheet.script;
  const playedAt = (r: Segment | undefined) => !!r && played.workedMs(r.index, played.take(r.index), 0) !== undefined;
  const go = (segment: number) => {
    setOpen(false);
    onGo(segment);
  };
  return (
    <>
      <button type="button" className="btn" onClick={() => setOpen(true)}>
        {t("goTo.goTo")}
      </button>
      <Sheet title={t("goTo.goTo")} open={open} onOpenChange={setOpen} night wide>
        <p className="text-mist">{t("goTo.forwardSkipsWhatLies")}</p>
        <button
          type="button"
          className="btn btn-small mt-3"
          disabled={!onBack}
          onClick={() => {
            setOpen(false);
            onBack?.();
          }}
        >
          {t("runView.backARound")}
        </button>
        <ol className="mt-3 space-y-3">
          {blocks.map((block, b) => {
            const mine = segments.filter((s) => s.block === b && s.beside == null && s.kind !== "TRANSITION");
            const first = mine[0];
            const rounds = mine.filter((s) => s.kind === "WORK");
            if (!first) return null;
            return (
              // biome-ignore lint/suspicious/noArrayIndexKey: blocks of a run never move
              <li key={b} className="border-b border-[#3a504d] pb-2">
                <button
                  type="button"
                  className={`btn btn-small ${segments[at]?.block === b ? "btn-main" : ""}`}
                  onClick={() => go(first.index)}
                >
                  {blockName(run, b)}
                  {rounds.length === 1 && playedAt(rounds[0]) && (
                    <span className="font-normal"> {t("goTo.played")}</span>
                  )}
                </button>
                {rounds.length > 1 && (
                  <span className="mt-1 flex flex-wrap gap-1.5">
                    {rounds.map((r) => {
                      const side = block.sides[r.side] ?? "NONE";
                      const sets = rounds.some((x) => x.set > 0);
                      const words = circuitOf(run.sheet.script, b)
                        ? [turnName(run, r.index)]
                        : [
                            sets && t("goTo.set", { n: r.set + 1 }),
                            block.turns.length > 1 && t("goTo.turn", { n: r.turn + 1 }),
                            block.sides.length > 1 && sideWord[side],
                          ].filter(Boolean);
                      return (
                        <button
                          key={r.index}
                          type="button"
                          className={`min-h-11 border px-2 ${r.index === at ? "border-chalk bg-chalk text-night" : "border-[#566460]"}`}
                          onClick={() => go(roundStart(segments, r.index))}
                        >
                          {words.join(", ") || t("goTo.round")}
                          {playedAt(r) && <span className="text-mist"> {t("goTo.played")}</span>}
                        </button>
                      );
                    })}
                  </span>
                )}
              </li>
            );
          })}
        </ol>
      </Sheet>
    </>
  );
}
