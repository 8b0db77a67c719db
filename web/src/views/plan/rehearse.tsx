import { useMutation } from "@tanstack/react-query";
import { api, type Problem } from "../../api/client";
import type { Ladder, Lesson, Rehearsal } from "../../api/types";
import { blockName } from "../../lane/lane-blocks";
import { clock } from "../../words";
import { texts } from "../../words/texts";
import { Fold } from "./fold";

const t = texts("plan");

/** The lesson played a thousand times with this class; asked again after a change, as it costs a second or two. */
export function useRehearsal(lessonId: string) {
  return useMutation<{ of: Lesson; told: Rehearsal }, Problem, Lesson>({
    mutationFn: async (lesson) => ({
      of: lesson,
      told: await api("post", "/api/lessons/{id}/rehearsed", { params: { path: { id: lessonId } }, body: { lesson } }),
    }),
  });
}

type Asked = ReturnType<typeof useRehearsal>;

export function RehearseButton({ rehearsal, lesson }: { rehearsal: Asked; lesson: Lesson }) {
  return (
    <button type="button" className="btn" disabled={rehearsal.isPending} onClick={() => rehearsal.mutate(lesson)}>
      {t("rehearse.press")}
    </button>
  );
}

/** What is likely to come of the lesson: when it ends, who meets which gate, what one round more would bring. */
export function Rehearse({ rehearsal, lesson, catalogue }: { rehearsal: Asked; lesson: Lesson; catalogue: Ladder[] }) {
  const { data, isPending, error } = rehearsal;
  const fresh = data?.of === lesson ? data.told : undefined;
  if (!isPending && !error && !fresh) return null;
  return (
    <section aria-label={t("rehearse.title")} className="mt-2 flex flex-wrap items-baseline gap-x-4 gap-y-1">
      <p role="status" data-testid="rehearsed">
        {isPending && <span className="text-soft">{t("rehearse.playing")}</span>}
        {error && <span className="font-semibold text-alert">{error.detail}</span>}
        {fresh && !isPending && <Sum told={fresh} />}
      </p>
      {fresh && !isPending && (
        <div className="w-full border-l-4 border-rule pl-3">
          <Fold name={t("rehearse.blocks")} values={t("rehearse.assumed")}>
            <ul>
              {fresh.blocks.map((b) => {
                const block = lesson.blocks.find((x) => x.id === b.blockId);
                return (
                  <li key={b.blockId} className="border-b border-rule py-1">
                    <strong>{block ? blockName(block, catalogue) : ""}</strong>{" "}
                    {t("rehearse.over", { low: clock(round(b.endSec.low)), high: clock(round(b.endSec.high)) })}{" "}
                    {gates(b, Math.round(fresh.here.likely))}
                    {b.pupils.length > 0 && <Chances of={b} />}
                  </li>
                );
              })}
            </ul>
          </Fold>
        </div>
      )}
    </section>
  );
}

type OfBlock = Rehearsal["blocks"][number];

function Sum({ told }: { told: Rehearsal }) {
  const past = Math.round(100 * told.pastBellShare);
  return (
    <>
      {t("rehearse.ends", {
        plays: told.plays,
        low: clock(round(told.endSec.low)),
        high: clock(round(told.endSec.high)),
      })}{" "}
      <span className={past > 20 ? "font-semibold text-alert" : ""}>{t("rehearse.past", { past })}</span>
    </>
  );
}

/** "Likely: 14 of 23 meet the gate (11 to 17); one round more would bring 2." */
function gates(b: OfBlock, here: number): string {
  if (!b.meetGate || b.expected === null || b.oneRoundMore === null) return "";
  return t("rehearse.gate", {
    likely: Math.round(b.expected),
    here,
    low: b.meetGate.low,
    high: b.meetGate.high,
    more: Math.round(10 * b.oneRoundMore) / 10,
  });
}

/** Who is hardly likely to meet it, and who nearly surely does. */
function Chances({ of }: { of: OfBlock }) {
  const few = of.pupils.filter((p) => p.chance < 0.1).map((p) => p.name);
  const sure = of.pupils.filter((p) => p.chance > 0.9).map((p) => p.name);
  return (
    <>
      {few.length > 0 && (
        <span className="block text-[0.95rem] text-soft">
          {t("rehearse.hardly", { names: few.join(", "), n: few.length })}
        </span>
      )}
      {sure.length > 0 && (
        <span className="block text-[0.95rem] text-soft">
          {t("rehearse.surely", { names: sure.join(", "), n: sure.length })}
        </span>
      )}
    </>
  );
}

/** To five seconds: more would be made up. */
function round(sec: number): number {
  return 5 * Math.round(sec / 5);
}
