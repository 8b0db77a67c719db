import { useState } from "react";
import { Choice } from "../../ui/choice";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";
import { Collect } from "./collect";
import { turnsEnded } from "./log";
import { missingIn } from "./missing";
import { roundName } from "./round-name";
import type { useRun } from "./use-run";

const t = textsOf("run", saidRun);

const NONE = "none";

/** When the lesson is over: numbers that were not in, or that were wrong, typed in and marked as such. */
export function TypedIn({ on }: { on: ReturnType<typeof useRun> }) {
  const [turn, setTurn] = useState<number>();
  const { run, played } = on;
  if (!run || !played) return null;
  const { segments, blocks } = run.sheet.script;
  const turns = turnsEnded(segments, segments.length).filter((r) => blocks[segments[r]?.block ?? -1]?.counted);
  const missing = turns.filter((r) => missingIn(run, r, played, on.counts, 0) > 0);
  const named = (r: number) => {
    const open = missingIn(run, r, played, on.counts, 0);
    return `${roundName(run, r, played)}${open > 0 ? t("typedIn.missing", { open }) : ""}`;
  };
  return (
    <section className="mb-7 space-y-3" aria-label={t("typedIn.typeInAfterwards")}>
      <p className="flex flex-wrap items-center gap-3">
        <span>{missing.length > 0 ? t("typedIn.numbersAreMissingTypeIn") : t("typedIn.everyNumberIsInChange")}</span>
        <Choice
          label={t("typedIn.theTurnToType")}
          value={turn === undefined ? NONE : String(turn)}
          options={[
            { value: NONE, text: t("typedIn.chooseATurn") },
            ...[...missing, ...turns.filter((r) => !missing.includes(r))].map((r) => ({
              value: String(r),
              text: named(r),
            })),
          ]}
          onChange={(v) => setTurn(v === NONE ? undefined : Number(v))}
        />
        <span className="text-mist">{t("typedIn.whatIsTypedIn")}</span>
      </p>
      {turn !== undefined && (
        <Collect
          key={turn}
          run={run}
          played={played}
          counts={on.counts}
          events={on.events}
          round={turn}
          missing={[]}
          sent={on.unsent === 0}
          onChoose={setTurn}
          onClose={() => setTurn(undefined)}
          record={on.record}
        />
      )}
    </section>
  );
}
