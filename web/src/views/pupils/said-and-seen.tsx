import type { Ladder, PupilRecord } from "../../api/types";
import { day, ownWord } from "../../words";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";

const t = textsOf("pupils", saidPupils);

const FIRST_SHOWN = 20;

/** The pupil's own words and the faults that were seen, newest first. */
export function SaidAndSeen({ record, catalogue }: { record: PupilRecord; catalogue: Ladder[] }) {
  if (record.remarks.length === 0) return null;
  return (
    <section className="mt-9">
      <h2>{t("saidAndSeen.saidAndSeen")}</h2>
      <ul className="mt-2">
        {[...record.remarks]
          .reverse()
          .slice(0, FIRST_SHOWN)
          .map((r, i) => {
            const ladder = catalogue.find((l) => l.id === r.ladderId);
            const fault = ladder?.faults.find((f) => f.id === r.note);
            const word = r.kind === "WORD" ? ownWord[r.note as keyof typeof ownWord].full : r.note;
            return (
              // biome-ignore lint/suspicious/noArrayIndexKey: remarks are a log, never reordered
              <li key={i} className="flex flex-wrap gap-x-3 border-b border-rule py-1">
                <span className="clock w-28 text-soft">{day(r.on)}</span>
                {r.kind === "CHOSE" && (
                  <span>
                    {t("saidAndSeen.chose", {
                      number: 1 + (ladder?.rungs.findIndex((x) => x.id === r.rungId) ?? -1),
                      rung: ladder?.rungs.find((x) => x.id === r.rungId)?.name ?? r.note,
                    })}
                  </span>
                )}
                {r.kind === "FAULT" && (
                  <span>
                    {t("saidAndSeen.seen")} {fault?.seen ?? r.note}.{" "}
                    {fault && <span className="text-soft">{t("saidAndSeen.cue", { mend: fault.mend })}</span>}
                  </span>
                )}
                {(r.kind === "WORD" || r.kind === "SAID") && (
                  <span>
                    {t("saidAndSeen.said", { word })}{" "}
                    {r.kind === "SAID" && <span className="text-soft">{t("saidAndSeen.afterFreeCombining")}</span>}
                  </span>
                )}
                <span className="text-soft">{ladder?.name}</span>
              </li>
            );
          })}
      </ul>
    </section>
  );
}
