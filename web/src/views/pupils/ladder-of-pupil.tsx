import { useQuery } from "@tanstack/react-query";
import { pupilOnLadder } from "../../api/queries";
import type { Challenge, Ladder, LadderRecord, PupilRecord } from "../../api/types";
import { FamilyGlyph, familyColour } from "../../ui/marble";
import { Failed } from "../../ui/states";
import { useSeen } from "../../ui/use-seen";
import { bestAndLast, day, gate, modifier, side } from "../../words";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";
import { measure as measureWord } from "../../words-ladders";
import { verdict } from "../../words-record";
import { AdviceBox } from "./advice-box";
import { AimChart } from "./aim-chart";
import { BothSides } from "./both-sides";
import { LadderChart } from "./ladder-chart";

const t = textsOf("pupils", saidPupils);

/** One ladder of a pupil: rungs with bests, the next step, both sides, and over time. The single tries of a folded one are asked for when it is opened. */
export function LadderOfPupil({
  ladder,
  on,
  record,
  open,
}: {
  ladder: Ladder;
  on: LadderRecord;
  record: PupilRecord;
  /** whether it is open at first */
  open: boolean;
}) {
  const [ref, seen] = useSeen<HTMLDivElement>();
  const tries = useQuery({ ...pupilOnLadder(record.pupilId, ladder.id), enabled: open || seen });
  return (
    <details open={open || undefined} className="border-t-4 pt-2" style={{ borderColor: familyColour[ladder.family] }}>
      <summary className="cursor-pointer">
        <h2 className="inline-flex items-center gap-2 align-middle">
          <FamilyGlyph family={ladder.family} /> {ladder.name}
        </h2>
        <span className="block pl-5 text-[0.95rem] text-soft">
          {told(ladder, on)}
          {on.lastOn && ` · ${t("fold.lastOn", { day: day(on.lastOn) })}`}
        </span>
      </summary>
      <div ref={ref}>
        <ol className="mt-1 divide-y divide-rule">
          {ladder.rungs.map((r, i) => {
            const mine = on.challenges.filter((c) => c.rungId === r.id);
            return (
              <li key={r.id} className="py-1.5">
                <span className={mine.length ? "font-semibold" : "text-soft"}>
                  {on.advice.rungId === r.id && mine.length > 0 && <Stands />} {i + 1} {r.name}
                </span>
                {mine.length === 0 && <span className="text-soft"> · {t("fold.notTried")}</span>}
                {mine.map((c) => (
                  <span key={c.modifiers.join()} className="block text-[0.95rem]">
                    {c.modifiers.length > 0 && (
                      <span className="text-soft">
                        {t("fold.with", { what: c.modifiers.map((m) => modifier[m]).join(", ") })}{" "}
                      </span>
                    )}
                    {c.completedOn ? (
                      <strong style={{ color: familyColour[ladder.family] }}>✓ {day(c.completedOn)} </strong>
                    ) : (
                      <span className="text-soft">{t("fold.gate", { gate: gate(r) })} · </span>
                    )}
                    {c.sides
                      .map((s, i) => {
                        const which = s.side === "NONE" || s.side === "STRONG" ? "" : `${side[s.side]} `;
                        const same = c.sides.findIndex((o) => o.side === s.side) === i;
                        return `${which}${bestAndLast(s, r)}${gained(s)}${same ? "" : t("ladderOfPupil.notCompared", { otherKind: otherKind(s) })}`;
                      })
                      .join(" · ")}
                  </span>
                ))}
              </li>
            );
          })}
        </ol>
        <AdviceBox advice={tries.data?.advice ?? on.advice} ladder={ladder} record={record} opened={!!tries.data} />
        <BothSides ladder={ladder} on={on} />
        {tries.isLoadingError && <Failed error={tries.error} again={() => tries.refetch()} />}
        {tries.data && <LadderChart ladder={ladder} tries={tries.data} />}
        {tries.data && <AimChart ladder={ladder} tries={tries.data} />}
      </div>
    </details>
  );
}

/** Where the pupil stands, and the word on it. */
function told(ladder: Ladder, on: LadderRecord): string {
  const n = ladder.rungs.findIndex((r) => r.id === on.advice.rungId);
  return t("fold.rung", {
    n: n + 1,
    rung: ladder.rungs[n]?.name.toLowerCase(),
    verdict: on.rounds === 0 ? t("fold.notTried") : verdict[on.advice.verdict].short,
  });
}

/** Growth against one's own first round. */
function gained(s: Challenge["sides"][number]): string {
  return s.gain !== null && s.gain >= 0.05 && s.rounds > 1
    ? t("ladderOfPupil.betterThanTheFirst", { round: Math.round(s.gain * 100) })
    : "";
}

/** What sets a result apart from the latest ones. */
function otherKind(s: Challenge["sides"][number]): string {
  return (
    [
      s.joint && t("ladderOfPupil.together"),
      s.scoredBy && t("ladderOfPupil.scoredBy", { measure: measureWord[s.scoredBy.type] }),
      s.ball,
      s.distanceM !== null && `${s.distanceM} m`,
      s.target,
      s.askedSec !== null && t("ladderOfPupil.roundsOf", { sec: s.askedSec }),
    ]
      .filter(Boolean)
      .join(", ") || t("ladderOfPupil.doneAnotherWay")
  );
}

/** The marble at the rung where the pupil stands. */
const Stands = () => (
  <svg viewBox="0 0 12 12" className="mr-1 inline size-3.5" role="img" aria-label={t("fold.standsHere")}>
    <circle cx="6" cy="6" r="4.500" fill="var(--color-sheet)" stroke="var(--color-ink)" strokeWidth="2.500" />
  </svg>
);
