import { ArrowDown, ArrowUp, Plus, Trash2 } from "lucide-react";
import { memo, useCallback, useRef } from "react";
import type { Ladder, Rung } from "../../api/types";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";
import { blankRung } from "./blank";
import type { Must } from "./form-bits";
import { RungForm } from "./rung-form";

const t = textsOf("ladders", saidLadders);

/** Rungs move and come between; each keeps its id, and with it what pupils have done. */
export function RungsForm({
  ladder,
  used,
  onChange,
  must,
}: {
  ladder: Ladder;
  used: Record<string, number>;
  onChange: (l: Ladder, step: string) => void;
  must: Must;
}) {
  const put = (rungs: Rung[], step: string) =>
    // Whatever comes first is the start, and nothing else is.
    onChange(
      {
        ...ladder,
        rungs: rungs.map((r, i) => withLever(r, i === 0 ? "START" : r.lever === "START" ? "DISTANCE" : r.lever)),
      },
      step,
    );
  const move = (from: number, to: number) => {
    const rungs = [...ladder.rungs];
    rungs.splice(to, 0, ...rungs.splice(from, 1));
    put(rungs, t("rungsForm.move", { from, to }));
  };
  // Always the latest, from a callback that stays the same: a rung that did not change is not drawn again.
  const latest = useRef(put);
  latest.current = put;
  const rungs = useRef(ladder.rungs);
  rungs.current = ladder.rungs;
  const changeRung = useCallback((i: number, rung: Rung, step: string) => {
    latest.current(
      rungs.current.map((o, n) => (n === i ? rung : o)),
      t("rungsForm.rung2", { i, step }),
    );
  }, []);
  return (
    <ol className="space-y-4">
      {ladder.rungs.map((r, i) => {
        const times = used[r.id] ?? 0;
        return (
          <li key={r.id} className="border-l-4 border-ink pl-4">
            <fieldset aria-label={t("rungsForm.rung3", { n: i + 1 })}>
              <div className="mb-2 flex flex-wrap items-center gap-2">
                <h3 className="mr-auto font-bold">{t("rungsForm.rung", { value: i + 1 })}</h3>
                {times > 0 && (
                  <span className="text-sm text-soft">
                    {t("rungsForm.used")} {times === 1 ? t("rungsForm.once") : t("rungsForm.times", { times })}{" "}
                    {t("rungsForm.byResultsOrPlans")}
                  </span>
                )}
                <button
                  type="button"
                  className="btn btn-small"
                  aria-label={t("rungsForm.rungEasierByOne", { n: i + 1 })}
                  disabled={i === 0}
                  onClick={() => move(i, i - 1)}
                >
                  <ArrowUp size={16} aria-hidden />
                </button>
                <button
                  type="button"
                  className="btn btn-small"
                  aria-label={t("rungsForm.rungHarderByOne", { n: i + 1 })}
                  disabled={i === ladder.rungs.length - 1}
                  onClick={() => move(i, i + 1)}
                >
                  <ArrowDown size={16} aria-hidden />
                </button>
                <button
                  type="button"
                  className="btn btn-small"
                  aria-label={t("rungsForm.aRungAfterRung", { n: i + 1 })}
                  disabled={ladder.rungs.length >= 7}
                  onClick={() =>
                    put(
                      [...ladder.rungs.slice(0, i + 1), blankRung(r), ...ladder.rungs.slice(i + 1)],
                      `rung after ${i}`,
                    )
                  }
                >
                  <Plus size={16} aria-hidden /> {t("rungsForm.after")}
                </button>
                <button
                  type="button"
                  className="btn btn-small"
                  aria-label={t("rungsForm.takeOutRung", { n: i + 1 })}
                  disabled={ladder.rungs.length <= 3 || times > 0}
                  onClick={() =>
                    put(
                      ladder.rungs.filter((_, n) => n !== i),
                      t("rungsForm.out", { i }),
                    )
                  }
                >
                  <Trash2 size={16} aria-hidden />
                </button>
              </div>
              <OneRung rung={r} ladderKit={ladder.kit} index={i} must={must} onChange={changeRung} />
            </fieldset>
          </li>
        );
      })}
    </ol>
  );
}

/** The same object where nothing changes. */
const withLever = (rung: Rung, lever: Rung["lever"]): Rung => (rung.lever === lever ? rung : { ...rung, lever });

const OneRung = memo(function OneRung({
  rung,
  ladderKit,
  index,
  must,
  onChange,
}: {
  rung: Rung;
  ladderKit: Ladder["kit"];
  index: number;
  must: Must;
  onChange: (index: number, rung: Rung, step: string) => void;
}) {
  return (
    <RungForm
      rung={rung}
      first={index === 0}
      ladderKit={ladderKit}
      must={(field) => must(`rungs[${index}].${field}`)}
      onChange={(r, step) => onChange(index, r, step)}
    />
  );
});
