import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { MISS, type Of } from "../measure-view";
import { missesIn } from "../shared/hits";
import { MissStrip, type PadProps } from "../shared/pad";
import { highest } from "./fold";

const t = textsOf("run", saidRun);

const LEAST_SHOWN = 8;

/** A record of levels, such as claps: press the level that was made. */
export function LevelsPad({ who, taps, told, open, best, tap }: PadProps<Of<"LEVELS">>) {
  const record = highest(taps);
  const shown = Math.max(LEAST_SHOWN, told.gate.reach + 4, record + 2, (best?.best.score ?? 0) + 2);
  return (
    <>
      <MissStrip who={who} misses={missesIn(taps)} open={open} onTap={() => tap(MISS)} />
      <div className="flex min-w-0 flex-1 flex-col gap-1 p-3">
        <p className="flex items-baseline gap-3">
          <span className="flex-1 text-lg font-semibold">{who}</span>
          <span className="text-mist">{best ? t("pad.toBeat", { score: best.best.score }) : t("pad.firstTime")}</span>
        </p>
        <p className="digits text-5xl" data-testid="level">
          {record}
          <span className="text-xl text-mist"> {told.unit}</span>
        </p>
        <div className="mt-auto grid grid-cols-4 gap-1">
          {Array.from({ length: shown }, (_, i) => i + 1).map((level) => (
            <button
              key={level}
              type="button"
              className={`min-h-11 border text-xl disabled:opacity-60 ${level <= record ? "border-chalk bg-chalk text-night" : "border-[#566460]"}`}
              disabled={!open}
              onClick={() => tap({ type: "HIT", number: level })}
              aria-label={t("pad.made", { who, level, unit: told.unit })}
            >
              {level}
            </button>
          ))}
        </div>
      </div>
    </>
  );
}
