import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { MISS, type Of } from "../measure-view";
import { missesIn } from "../shared/hits";
import { MissStrip, type PadProps } from "../shared/pad";
import { drawn, firstOf, numbers } from "./fold";

const t = textsOf("run", saidRun);

/** Numbered balls: press the number that was called and caught. The draw is offered; a ball taken blindly is as good. */
export function NumbersPad({ who, taps, measure, block, spot, open, best, tap }: PadProps<Of<"KEEP_ALL">>) {
  const { balls } = measure;
  const { kept, goes } = numbers(taps, measure);
  const all = kept.size === balls;
  const next = drawn(taps, measure, block, spot);
  return (
    <>
      <MissStrip who={who} misses={missesIn(taps)} open={open && !all} onTap={() => tap(MISS)} />
      <div className="flex min-w-0 flex-1 flex-col gap-1.5 p-3">
        <p className="flex items-baseline gap-3">
          <span className="flex-1 text-lg font-semibold">{who}</span>
          {best && <span className="text-mist">{t("keepAllPad.toBeat", { score: best.best.score })}</span>}
        </p>
        <p className="flex items-baseline gap-3">
          <span className="digits text-5xl" data-testid="goes">
            {goes}
            <span className="text-xl text-mist"> {t("keepAllPad.goes")}</span>
          </span>
          <span className="text-xl">
            {all ? (
              t("pad.allKept")
            ) : (
              <>
                {t("keepAllPad.throw")} <strong className="digits text-3xl">{next}</strong>
              </>
            )}
          </span>
        </p>
        <div className="mt-auto grid grid-cols-6 gap-1">
          {Array.from({ length: balls }, (_, i) => i + firstOf(measure)).map((n) => (
            <button
              key={n}
              type="button"
              className={`min-h-12 rounded-full border-2 text-xl font-semibold disabled:opacity-60 ${kept.has(n) ? "border-chalk bg-chalk text-night" : n === next ? "border-[#e0b84a]" : "border-[#566460]"}`}
              disabled={!open || all || (measure.draw === "LEFT" && kept.has(n))}
              onClick={() => tap({ type: "HIT", number: n })}
              aria-label={t("pad.numberCaught", { who, n, more: kept.has(n) ? t("pad.keptAlready") : "" })}
            >
              {n}
            </button>
          ))}
        </div>
        <span className="text-sm text-mist">
          {t("keepAllPad.ofKept", { size: kept.size, balls })}{" "}
          {measure.draw === "LEFT" ? t("pad.keptBallsLeaveGuessingIs") : t("pad.everyBallMayComeAgain")}
        </span>
      </div>
    </>
  );
}
