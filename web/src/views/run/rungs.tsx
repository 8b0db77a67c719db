import { useState } from "react";
import type { Run } from "../../api/types";
import { Sheet } from "../../ui/sheet";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";
import type { Played } from "./log";
import type { useRun } from "./use-run";

const t = textsOf("run", saidRun);

/** Which rung each one is on: as the plan has it, or as they choose; two taps put a pupil on another from this round on. */
export function Rungs({
  run,
  played,
  round,
  record,
}: {
  run: Run;
  played: Played;
  round: number;
  record: ReturnType<typeof useRun>["record"];
}) {
  const [open, setOpen] = useState(false);
  const { segments, blocks } = run.sheet.script;
  const block = blocks[segments[round]?.block ?? -1];
  const turn = block?.turns[segments[round]?.turn ?? -1];
  const ladder = run.sheet.ladders.find((l) => l.id === block?.ladderId);
  if (!block || !turn || !ladder) return null;
  const working = turn.crews.flatMap((c) => c.workers).filter((w) => !played.away.has(w));
  const name = (id: string) => run.sheet.pupils.find((p) => p.pupilId === id)?.name ?? "?";
  return (
    <>
      <button type="button" className="btn btn-small" onClick={() => setOpen(true)}>
        {t("rungs.open", { choose: block.choose ? "yes" : "no" })}
      </button>
      <Sheet title={t("rungs.title", { ladder: ladder.name })} open={open} onOpenChange={setOpen} night wide>
        <p className="text-mist">{t(block.choose ? "rungs.choose" : "rungs.put")}</p>
        <ol className="mt-2 flex flex-wrap gap-x-5 text-mist">
          {ladder.rungs.map((r, i) => (
            <li key={r.id}>
              <span className="clock">{i + 1}</span> {r.name}
            </li>
          ))}
        </ol>
        <ul className="mt-3 gap-x-8 sm:columns-2">
          {working.map((pupilId) => {
            const on = played.rungId(round, pupilId);
            return (
              <li key={pupilId} className="flex break-inside-avoid items-center gap-2 border-b border-[#3a504d] py-1">
                <span className="min-w-0 flex-1 truncate font-semibold">{name(pupilId)}</span>
                {ladder.rungs.map((r, i) => (
                  <button
                    key={r.id}
                    type="button"
                    className={`min-h-11 min-w-11 border ${r.id === on ? "border-chalk bg-chalk text-night" : "border-[#566460]"}`}
                    aria-pressed={r.id === on}
                    aria-label={t("rungs.on", { name: name(pupilId), number: i + 1, rung: r.name })}
                    onClick={() => r.id !== on && record({ type: "ON_RUNG", segment: round, pupilId, rungId: r.id })}
                  >
                    {i + 1}
                  </button>
                ))}
              </li>
            );
          })}
        </ul>
      </Sheet>
    </>
  );
}
