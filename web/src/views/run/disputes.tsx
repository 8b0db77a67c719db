import type { Run } from "../../api/types";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";
import { thisDevice } from "./device";
import type { Dispute, Played } from "./log";
import { viewOf } from "./measures";
import { rungIn } from "./result-of";
import type { useRun } from "./use-run";

const t = textsOf("run", saidRun);

/** More at once would push the pads off the screen. */
const SHOWN = 2;

/** Two devices counted the same pupil in the same round: both counts side by side, and the question whose stands. */
export function Disputes({
  run,
  played,
  disputes,
  record,
}: {
  run: Run;
  played: Played;
  disputes: Dispute[];
  record: ReturnType<typeof useRun>["record"];
}) {
  if (disputes.length === 0) return null;
  const { segments, blocks } = run.sheet.script;
  return (
    <ul className="space-y-1.5 border-l-8 border-[#e0b84a] bg-dusk p-3" aria-label={t("disputes.countedTwice")}>
      {disputes.slice(0, SHOWN).map((d) => {
        const segment = segments[d.segment];
        const ladder = run.sheet.ladders.find((l) => l.id === blocks[segment?.block ?? 0]?.ladderId);
        const block = blocks[segment?.block ?? 0];
        const rung = block && rungIn(block, played.rungId(d.segment, d.pupilId));
        const unit = ladder?.rungs.find((r) => r.id === rung?.id)?.unit ?? "";
        const name = run.sheet.pupils.find((p) => p.pupilId === d.pupilId)?.name ?? "?";
        return (
          <li key={`${d.segment}/${d.take}/${d.pupilId}`} className="flex flex-wrap items-center gap-2.5">
            <span>
              <strong>{name}</strong>, {ladder?.name}
              {t("disputes.wasCountedOnTwo")}
            </span>
            {d.by.map((c) => (
              <button
                key={c.device}
                type="button"
                className="btn btn-small"
                onClick={() =>
                  record({
                    type: "STANDS",
                    segment: d.segment,
                    take: d.take,
                    pupilId: d.pupilId,
                    device: c.device,
                  })
                }
              >
                {(rung && viewOf(rung.measure).score(c.taps, rung.measure, played.lengthMs(d.segment)).score) ??
                  t("disputes.noResult")}{" "}
                {unit}
                {c.misses > 0 && t("disputes.missed", { misses: c.misses })} (
                {c.device === thisDevice() ? t("disputes.thisDevice") : t("disputes.theOther")})
              </button>
            ))}
          </li>
        );
      })}
      {disputes.length > SHOWN && (
        <li className="text-mist">{t("disputes.andMore", { value: disputes.length - SHOWN })}</li>
      )}
    </ul>
  );
}
