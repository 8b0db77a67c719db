import { useQuery } from "@tanstack/react-query";
import { whomToWatch } from "../../api/queries";
import type { Run } from "../../api/types";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";

const t = textsOf("run", saidRun);

/** The few of a block whose counting would change most, with a press for their pads. Nothing for a helper, who sees no records. */
export function WhomToWatch({
  run,
  block,
  away,
  here,
  watched,
  onWatch,
}: {
  run: Run;
  block: number;
  away: Set<string>;
  /** at a station of a circuit: those who are there; else everybody is */
  here?: Set<string>;
  watched: string[];
  onWatch: (ids: string[]) => void;
}) {
  const told = useQuery(whomToWatch(run.id, block));
  const few = (told.data ?? []).filter((w) => !away.has(w.pupilId) && (!here || here.has(w.pupilId)));
  if (few.length === 0) return null;
  const name = (id: string) => run.sheet.pupils.find((p) => p.pupilId === id)?.name ?? "";
  const ids = few.map((w) => w.pupilId);
  const all = ids.every((id) => watched.includes(id));
  return (
    <p className="flex items-center gap-x-3">
      <span className="min-w-0">
        <strong>{t("watch.title")}</strong> {few.map((w) => `${name(w.pupilId)} (${t(`watch.${w.word}`)})`).join(", ")}
      </span>
      {!all && (
        <button
          type="button"
          className="btn btn-small shrink-0"
          onClick={() => onWatch([...new Set([...ids, ...watched])])}
        >
          {t("watch.pads")}
        </button>
      )}
    </p>
  );
}
