import { seconds } from "../../../../words";
import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { useNow } from "../../use-run";
import { MainField, type PadProps } from "./pad";
import { watch } from "./watch";

const t = textsOf("run", saidRun);

/** A watch: how long it was held, or how long so many or a course took. */
export function WatchPad({ who, taps, measure, open, running, workedMs, best, tap }: PadProps) {
  const w = watch(taps);
  const on = w.sinceMs !== null;
  useNow(on && running);
  const nowMs = w.sinceMs === null ? null : Math.max(0, workedMs() - w.sinceMs);
  const held = measure.type === "HELD_FOR_TIME";
  const n = measure.type === "TIME_FOR_N" ? measure.n : null;
  const mark = w.goesMs.length === 0 ? null : held ? Math.max(...w.goesMs) : Math.min(...w.goesMs);
  const press = () => {
    const offsetMs = workedMs();
    if (!on) tap({ type: "START", offsetMs });
    else if (n !== null && w.splits + 1 < n) tap({ type: "SPLIT", offsetMs });
    else tap({ type: "STOP", offsetMs });
  };
  const act = !on
    ? "start"
    : n !== null
      ? t("watchPad.oneMoreDoneOf", { splits: w.splits, n })
      : held
        ? "dropped"
        : "stop";
  const toBeat = best && (best.best.timeMs ? seconds(best.best.timeMs) : `${best.best.score} s`);
  return (
    <>
      <MainField who={who} label={`${act}${nowMs === null ? "" : `, ${seconds(nowMs)}`}`} open={open} onTap={press}>
        <span className={`digits mt-1 text-6xl ${on ? "" : "text-mist"}`} data-testid="watch">
          {seconds(nowMs ?? mark ?? 0).replace(" s", "")}
          <span className="text-2xl text-mist"> {t("sharedWatchPad.s")}</span>
        </span>
        <span className="mt-1 text-xl font-semibold">
          {!on
            ? mark === null
              ? t("watchPad.start")
              : t("watchPad.startAgain")
            : n !== null
              ? t("watchPad.of", { splits: w.splits, n })
              : held
                ? t("watchPad.dropped")
                : t("watchPad.stop")}
        </span>
        <span className="text-mist">
          {mark !== null && `${held ? t("watchPad.longest") : t("watchPad.quickest")} ${seconds(mark)}`}
          {mark !== null && toBeat && " · "}
          {toBeat && t("watchPad.toBeat", { toBeat })}
        </span>
      </MainField>
      {n !== null && on && (
        <button
          type="button"
          className="w-[24%] border-l-2 border-[#3a504d] bg-night text-lg font-semibold disabled:opacity-60"
          disabled={!open}
          onClick={() => tap({ type: "STOP", offsetMs: workedMs() })}
          aria-label={t("watchPad.allDoneStop", { who, n })}
        >
          {t("sharedWatchPad.allDone", { n })}
        </button>
      )}
    </>
  );
}
