import { useState } from "react";
import type { Run } from "../../api/types";
import { Sheet } from "../../ui/sheet";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";
import type { useRun } from "./use-run";

const t = textsOf("run", saidRun);

/** Who is not here: two taps put a pupil aside, two bring a latecomer in. Nobody who is aside is asked for a number. */
export function Aside({
  run,
  away,
  record,
}: {
  run: Run;
  away: Set<string>;
  record: ReturnType<typeof useRun>["record"];
}) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="btn" onClick={() => setOpen(true)}>
        {t("aside.whoIsHere")}
        {away.size > 0 && t("aside.away", { size: away.size })}
      </button>
      <Sheet title={t("aside.whoIsHere")} open={open} onOpenChange={setOpen} night wide>
        <p className="text-mist">{t("aside.pressANameTo")}</p>
        <ul className="mt-3 flex flex-wrap gap-2">
          {run.sheet.pupils.map((p) => {
            const gone = away.has(p.pupilId);
            return (
              <li key={p.pupilId}>
                <button
                  type="button"
                  aria-pressed={!gone}
                  className={`btn btn-small ${gone ? "line-through" : "btn-main"}`}
                  onClick={() => record({ type: gone ? "HERE" : "AWAY", pupilId: p.pupilId })}
                >
                  {p.name}
                </button>
              </li>
            );
          })}
        </ul>
      </Sheet>
    </>
  );
}
