import { useQuery } from "@tanstack/react-query";
import { cuesOnLadder } from "../../api/queries";
import type { CueHelp, Ladder } from "../../api/types";
import { percent } from "../../words";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";

const t = textsOf("pupils", saidPupils);

/** Smaller than this, chance alone is an unlikely reason; how unlikely is told all the same. */
const UNLIKELY = 0.1;
const HARDLY = 0.01;

/** Cues that were called on a ladder, and how it went before and after: told carefully, for practice helps as well. */
export function CuesCalled({ classId, ladder }: { classId: string; ladder: Ladder }) {
  const cues = useQuery(cuesOnLadder(classId, ladder.id));
  if (!cues.data || cues.data.length === 0) return null;
  return (
    <section className="mb-5 max-w-[60rem]" aria-labelledby="cues">
      <h3 id="cues" className="font-bold">
        {t("cues.title")}
      </h3>
      <ul className="mt-1 space-y-1">
        {cues.data.map((c) => {
          const fault = ladder.faults.find((f) => f.id === c.faultId);
          return (
            <li key={c.faultId}>
              “{fault?.mend ?? c.faultId}” <span className="text-soft">({fault?.seen.toLowerCase()})</span>: {told(c)}
            </li>
          );
        })}
      </ul>
      <p className="mt-1 text-sm text-soft">{t("cues.careful")}</p>
    </section>
  );
}

function told(c: CueHelp): string {
  if (!c.enough || c.chance === null) return t("cues.few", { pupils: c.pupils });
  const { before, after } = c;
  return [
    t("cues.shares", {
      before: percent(before.hits / before.tries),
      beforeTries: before.tries,
      after: percent(after.hits / after.tries),
      afterTries: after.tries,
      pupils: c.pupils,
    }),
    c.chance < HARDLY
      ? t("cues.hardly")
      : t(c.chance < UNLIKELY ? "cues.unlikely" : "cues.chance", { chance: percent(c.chance) }),
  ].join(" ");
}
