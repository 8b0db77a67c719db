import type { Ladder, RungFit } from "../../api/types";
import { familyColour } from "../../ui/marble";
import { gate } from "../../words";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";
import { lever } from "../../words-ladders";
import { Verdict } from "./verdict";

const t = textsOf("ladders", saidLadders);

const LOW_REM = 6.5;
const RISE_REM = 1.3;

/** The rungs as steps, easiest at the left; on a narrow screen as a ladder, easiest at the bottom. */
export function Steps({
  ladder,
  fits,
  chosen,
  onChoose,
}: {
  ladder: Ladder;
  fits: RungFit[] | undefined;
  chosen: string;
  onChoose: (rungId: string) => void;
}) {
  const colour = familyColour[ladder.family];
  return (
    <ol aria-label={t("steps.rungs")} className="mt-4 flex flex-col-reverse gap-1 sm:flex-row sm:items-end sm:gap-1.5">
      {ladder.rungs.map((r, i) => {
        const on = r.id === chosen;
        return (
          <li key={r.id} className="min-w-0 flex-1">
            <button
              type="button"
              aria-pressed={on}
              onClick={() => onChoose(r.id)}
              className={`flex w-full flex-col items-start border-t-[6px] px-2.5 py-1.5 text-left sm:min-h-(--tall) ${on ? "bg-ink text-sheet" : "bg-tint hover:bg-floor"}`}
              style={{ borderColor: colour, "--tall": `${LOW_REM + i * RISE_REM}rem` } as React.CSSProperties}
            >
              <span className="font-semibold">
                {i + 1} {r.name}
              </span>
              <span className={`text-sm ${on ? "text-mist" : "text-soft"}`}>
                {i === 0 ? t("steps.start") : t("steps.changes", { lever: lever[r.lever] })}
              </span>
              <span className="text-sm">{t("steps.gate", { gate: gate(r) })}</span>
              {fits?.[i] && (
                <span className={`text-sm ${on ? "bg-sheet px-1" : ""}`}>
                  <Verdict verdict={fits[i].verdict} />
                </span>
              )}
            </button>
          </li>
        );
      })}
    </ol>
  );
}
