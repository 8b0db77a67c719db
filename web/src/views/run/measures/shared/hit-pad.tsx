import type { ReactNode } from "react";
import { metres } from "../../../../words";
import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { HIT, MISS } from "../measure-view";
import { hitsIn, missesIn, off, runs, walked } from "./hits";
import { MainField, MissStrip, type PadProps } from "./pad";

const t = textsOf("run", saidRun);

/** Hits and misses: counted, as the longest run, or as the place that they lead to. */
export function HitPad(p: PadProps & { children?: ReactNode }) {
  const { who, taps, stairs, block, measure, open, tap } = p;
  const hits = hitsIn(taps);
  const done = block.reps !== null && hits >= block.reps && measure.type !== "LONGEST_RUN";
  return (
    <>
      <MissStrip who={who} misses={missesIn(taps)} open={open} onTap={() => tap(MISS)} />
      <div className="flex min-w-0 flex-1 flex-col">
        <MainField who={who} label={said(p, hits)} open={open} onTap={() => tap(HIT)}>
          {stairs ? <Place {...p} /> : <Count {...p} hits={hits} />}
          {done && (
            <span className="mt-auto text-sm text-mist">{t("sharedHitPad.doneHarder", { harder: p.told.harder })}</span>
          )}
        </MainField>
        {p.children}
      </div>
    </>
  );
}

function said({ taps, stairs, measure, block }: PadProps, hits: number): string {
  if (stairs) return t("hitPad.hitStandAtPlace", { step: walked(taps, stairs).step });
  if (measure.type === "LONGEST_RUN")
    return t("hitPad.hitInARowNow", { now: runs(taps).now, longest: runs(taps).longest });
  return t("hitPad.hitSoFar", { hits, more: block.reps ? t("hitPad.of", { reps: block.reps }) : "" });
}

/** Push: what counts is how many. Control: what counts is how many in a row. */
function Count({ taps, measure, block, hits, told }: PadProps & { hits: number }) {
  const run = runs(taps);
  const longest = measure.type === "LONGEST_RUN" || (block.attitude === "CONTROL" && measure.type === "COUNT_IN_TIME");
  if (longest)
    return (
      <>
        <span className="digits mt-1 text-6xl" data-testid="hits">
          {run.now}
          <span className="text-2xl text-mist"> {t("sharedHitPad.inARow")}</span>
        </span>
        <span className="mt-1 text-mist">
          {t("sharedHitPad.longest", { longest: run.longest })}
          {measure.type !== "LONGEST_RUN" && t("hitPad.inAll", { hits, unit: told.unit })}
        </span>
      </>
    );
  return (
    <span className="digits mt-1 text-6xl" data-testid="hits">
      {hits}
      {block.reps ? <span className="text-3xl text-mist"> {t("sharedHitPad.of", { reps: block.reps })}</span> : null}
    </span>
  );
}

/** Where to stand next: the step, how far that is, and what is still wanted here. */
function Place({ taps, told, stairs, measure }: PadProps) {
  if (!stairs) return null;
  const w = walked(taps, stairs);
  const far = off(w.step, stairs, told);
  return (
    <>
      <span className="mt-1 flex items-baseline gap-3">
        <span className="digits text-6xl" data-testid="place">
          {w.step}
        </span>
        <span className="leading-tight">
          {t("sharedHitPad.standAt", { start: w.step === 1 ? "yes" : "no", steps: w.step - 1 })}
          <span className="block text-mist">
            {far &&
              ("shoes" in far
                ? t("sharedHitPad.offShoes", { n: far.shoes })
                : t("sharedHitPad.offM", { length: metres(far.m) }))}
          </span>
        </span>
      </span>
      <span className="mt-1 text-mist">
        {t("sharedHitPad.toStepBack", { wanted: w.wanted, held: w.held })}
        {measure.type !== "FURTHEST" && ` · ${t("sharedHitPad.hits", { n: hitsIn(taps) })}`}
      </span>
    </>
  );
}
