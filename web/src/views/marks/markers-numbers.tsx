import type { NumberCall } from "../../api/types";
import { percent } from "../../words";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import { seconds } from "../../words-marks";
import type { V } from "./markers-values";
import type { Said } from "./working";

const t = textsOf("marks", saidMarks);

export function Numbers({
  v,
  answer,
  change,
}: {
  v: V;
  answer: NumberCall | undefined;
  change: (p: Partial<V>) => void;
}) {
  const balls = Array.from({ length: Math.max(0, Math.min(64, v.balls ?? 0)) }, (_, i) => i + 1);
  return (
    <div>
      <div className="flex flex-wrap items-center gap-8 bg-[#fffdf8] p-6">
        <p className="digits text-[8rem]" aria-live="assertive" data-testid="number-call">
          {answer?.next ?? t("markersNumbers.all")}
        </p>
        <ul className="flex max-w-md flex-wrap gap-2" aria-label={t("markersNumbers.ballsKept")}>
          {balls.map((n) => {
            const kept = answer?.kept.includes(n);
            return (
              <li
                key={n}
                className={`grid size-11 place-items-center rounded-full border-[3px] font-bold ${kept ? "border-catch bg-catch text-white" : "border-ink"}`}
                aria-label={`${n} ${kept ? t("markersNumbers.kept2") : t("markersNumbers.stillOut")}`}
              >
                {n}
              </li>
            );
          })}
        </ul>
      </div>
      <div className="mt-3 flex flex-wrap gap-2 print:hidden">
        <button
          type="button"
          className="btn btn-main"
          disabled={answer?.next == null}
          onClick={() => change({ results: `${v.results}H` })}
        >
          {t("markersNumbers.kept")}
        </button>
        <button
          type="button"
          className="btn"
          disabled={answer?.next == null}
          onClick={() => change({ results: `${v.results}M` })}
        >
          {t("markersNumbers.dropped")}
        </button>
        <button
          type="button"
          className="btn btn-small"
          disabled={!v.results}
          onClick={() => change({ results: v.results.slice(0, -1) })}
        >
          {t("markersNumbers.takeBack")}
        </button>
        <button
          type="button"
          className="btn btn-small"
          onClick={() => change({ results: "", seed: (v.seed ?? 0) + 1 })}
        >
          {t("markersNumbers.startAgain")}
        </button>
      </div>
    </div>
  );
}

export function toldNumbers(a: NumberCall, v: V): Said[] {
  const tries = a.called.length;
  const said: Said[] = [
    {
      text:
        a.next === null
          ? t("markersNumbers.allKeptIn", { balls: v.balls, count: tries })
          : t("markersNumbers.callOfKeptIn", {
              next: a.next,
              length: a.kept.length,
              balls: v.balls,
              count: tries,
              more: a.left.length ? t("markersNumbers.stillOut2", { left: a.left.join(", ") }) : "",
            }),
    },
  ];
  if (a.shareWithoutGuessing !== null)
    said.push({
      text: t("markersNumbers.guessingAloneWouldHaveKept", {
        guessedHits: a.guessedHits.toFixed(1),
        shareWithoutGuessing: percent(a.shareWithoutGuessing),
      }),
    });
  else
    said.push({
      kind: "note",
      text: t("markersNumbers.withFewerBallsLeftGuessing", { seconds: seconds(5) }),
    });
  return said;
}
