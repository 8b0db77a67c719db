import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Problem } from "../../api/client";
import type { Ladder, Lesson, NextLesson, PassedOver, Reason, Wish } from "../../api/types";
import { Choice } from "../../ui/choice";
import { FamilyGlyph } from "../../ui/marble";
import { Sheet } from "../../ui/sheet";
import { clock, percent } from "../../words";
import { texts } from "../../words/texts";
import { finding } from "../../words-findings";

const t = texts("plan");
const wishes: Wish[] = ["AS_USUAL", "MORE_MOVING", "MORE_NEW", "CALMER", "MORE_KINDS"];
const ANY = "-";

export function ProposeButton({ onPress }: { onPress: () => void }) {
  return (
    <button type="button" className="btn" onClick={onPress}>
      {t("propose.open")}
    </button>
  );
}

/** A lesson proposed for this class, room and time: why each block is in it, what else there was, and one press to use it. */
export function ProposeLesson({
  open,
  onOpenChange,
  lessonId,
  lesson,
  ladders,
  pupils,
  onUse,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  lessonId: string;
  lesson: Lesson;
  ladders: Ladder[];
  pupils: number;
  onUse: (proposed: Lesson) => void;
}) {
  const [wish, setWish] = useState<Wish>("AS_USUAL");
  const [keep, setKeep] = useState<string[]>([]);
  const [without, setWithout] = useState<string[]>([]);
  const [sport, setSport] = useState(ANY);
  const [oneSkill, setOneSkill] = useState(lesson.shape === "ONE_SKILL");
  const asked = (soon: boolean) => ({
    queryKey: [
      "proposed",
      lessonId,
      lesson.minutes,
      lesson.startMin,
      lesson.audience,
      wish,
      keep,
      without,
      sport,
      oneSkill,
      soon,
    ],
    queryFn: ({ signal }: { signal: AbortSignal }) =>
      api("post", "/api/lessons/{id}/proposed", {
        params: { path: { id: lessonId } },
        body: { lesson, wanted: { wish, keep, without, sport: sport === ANY ? null : sport, oneSkill }, soon },
        signal,
      }),
    enabled: open,
    gcTime: 0,
    retry: false,
  });
  // A good one at once, then the proof; the lesson on the page is left as it is until it is used.
  const soon = useQuery<NextLesson, Problem>({ ...asked(true), placeholderData: keepPreviousData });
  const proven = useQuery<NextLesson, Problem>({
    ...asked(false),
    enabled: open && soon.isSuccess && !soon.isFetching,
  });
  const byId = new Map(ladders.map((l) => [l.id, l]));
  const found = proven.data ?? soon.data;
  const waiting = soon.isFetching;
  const error = soon.error ?? proven.error;
  const stations = found?.lesson?.circuits[0]?.stationIds ?? [];
  const leaveOut = (id: string) => {
    setKeep(keep.filter((k) => k !== id));
    setWithout([...without, id]);
  };
  return (
    <Sheet title={t("propose.title")} open={open} onOpenChange={onOpenChange} wide>
      <fieldset className="mb-3 flex flex-wrap items-center gap-x-5 gap-y-1">
        <legend className="sr-only">{t("propose.wish")}</legend>
        {wishes.map((w) => (
          <label key={w} className="flex items-center gap-2">
            <input type="radio" name="wish" checked={wish === w} onChange={() => setWish(w)} /> {t(`propose.${w}`)}
          </label>
        ))}
        <Choice
          label={t("propose.sport")}
          value={sport}
          options={[{ value: ANY, text: t("propose.anySport") }, ...sportsOf(ladders)]}
          onChange={setSport}
        />
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-ink"
            checked={oneSkill}
            onChange={(e) => setOneSkill(e.target.checked)}
          />
          {t("propose.oneSkill")}
        </label>
        {without.length > 0 && (
          <button type="button" className="btn btn-small" onClick={() => setWithout([])}>
            {t("propose.allAgain", { count: without.length })}
          </button>
        )}
      </fieldset>
      <p role="status" className="min-h-6 text-sm text-soft">
        {waiting ? t("propose.working") : proven.isFetching ? t("propose.proving") : found?.lesson && sureness(found)}
      </p>
      {error && (
        <p role="alert" className="font-semibold text-alert">
          {error.detail}
        </p>
      )}
      {found && !found.lesson && !waiting && !proven.isFetching && <p className="py-3">{t("propose.nothing")}</p>}
      {found?.minutes && (
        <Moving
          of={found.minutes}
          instead={found.oneAfterTheOther}
          stations={stations.length}
          limit={found.movingLimit}
        />
      )}
      {found?.lesson && (
        <ol className={waiting ? "opacity-50" : ""} aria-label={t("propose.blocks")}>
          {found.reasons.map((r) => {
            const ladder = byId.get(r.ladderId);
            const block = found.lesson?.blocks.find((b) => b.id === r.blockId);
            if (!ladder || !block) return null;
            const kept = keep.includes(r.ladderId);
            const station = stations.indexOf(r.blockId);
            return (
              <li
                key={r.blockId}
                className="grid grid-cols-[1.5rem_1fr] gap-x-3 border-b border-rule py-2 sm:grid-cols-[1.5rem_1fr_auto]"
              >
                <span className="pt-1">
                  <FamilyGlyph family={ladder.family} />
                </span>
                <span>
                  <strong>{ladder.name}</strong> · {ladder.rungs.find((x) => x.id === r.rungId)?.name} ·{" "}
                  {station < 0
                    ? t("propose.sets", { count: block.sets })
                    : t("propose.station", { n: station + 1, of: stations.length })}
                  <span className="block text-[0.95rem] text-soft">{why(r, pupils)}</span>
                </span>
                <span className="col-start-2 flex items-start gap-2 sm:col-start-3">
                  <button
                    type="button"
                    className="btn btn-small"
                    aria-pressed={kept}
                    aria-label={t("propose.keepOf", { ladder: ladder.name })}
                    onClick={() => setKeep(kept ? keep.filter((k) => k !== r.ladderId) : [...keep, r.ladderId])}
                  >
                    {t("propose.keep")}
                  </button>
                  <button
                    type="button"
                    className="btn btn-small"
                    aria-label={t("propose.notOf", { ladder: ladder.name })}
                    onClick={() => leaveOut(r.ladderId)}
                  >
                    {t("propose.not")}
                  </button>
                </span>
              </li>
            );
          })}
        </ol>
      )}
      {found && found.passedOver.length > 0 && (
        <section className="mt-4">
          <h3 className="font-bold">{t("propose.passedOver")}</h3>
          <ul>
            {found.passedOver.map((p) => (
              <li key={p.ladderId} className="flex flex-wrap items-start gap-x-3 gap-y-1 border-b border-rule py-1.5">
                <span className="mr-auto text-[0.95rem]">
                  <strong>{byId.get(p.ladderId)?.name}</strong>: {whyNot(p, pupils)}
                </span>
                {!p.finding && (
                  <button
                    type="button"
                    className="btn btn-small"
                    aria-label={t("propose.putInOf", { ladder: byId.get(p.ladderId)?.name })}
                    onClick={() => setKeep([...keep, p.ladderId])}
                  >
                    {t("propose.putIn")}
                  </button>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
      {found?.lesson && (
        <p className="mt-4 flex flex-wrap items-center gap-3">
          <button
            type="button"
            className="btn btn-main"
            disabled={waiting}
            onClick={() => found.lesson && onUse(found.lesson)}
          >
            {lesson.blocks.length === 0 ? t("propose.use") : t("propose.useInstead", { count: lesson.blocks.length })}
          </button>
          <span className="text-sm text-soft">{t("propose.undo")}</span>
        </p>
      )}
    </Sheet>
  );
}

/** Sports that main tasks are of, by name. */
function sportsOf(ladders: Ladder[]) {
  const all = new Set(ladders.filter((l) => l.part === "MAIN").flatMap((l) => l.sports));
  all.delete("all");
  return [...all].sort().map((sport) => ({ value: sport, text: sport }));
}

/** Of a bound that is looser than that one would think wrong of the lesson. */
const LOOSE_PERCENT = 30;

/** So near to what can be, in shares of the time, is as good as there. */
const NEARLY = 0.03;

/** How long each pupil moves, what stations bring, and what this room allows. */
function Moving({
  of,
  instead,
  stations,
  limit,
}: {
  of: NonNullable<NextLesson["minutes"]>;
  instead: NextLesson["oneAfterTheOther"];
  stations: number;
  limit: number | null;
}) {
  return (
    <p className="mb-2" data-testid="proposed-moving">
      <strong>{t("propose.moves", { moving: clock(of.movingSecPerPupil), share: percent(of.movingShare) })}</strong>{" "}
      {of.quietSecPerPupil > 0 && t("propose.quiet", { clock: clock(of.quietSecPerPupil) })}{" "}
      {instead && t("propose.instead", { n: stations, share: percent(instead.movingShare) })}{" "}
      {limit !== null &&
        t(limit - of.movingShare <= NEARLY ? "propose.limitNear" : "propose.limit", { limit: percent(limit) })}
    </p>
  );
}

/** Why a block is in it, in figures. */
function why(r: Reason, pupils: number): string {
  return [
    due(r.daysSince, r.dueInDays),
    r.near > 0 && t("propose.near", { count: r.near }),
    r.held > 0 && t("propose.held", { count: r.held }),
    r.atOnce < pupils ? t("propose.atOnce", { count: r.atOnce }) : t("propose.allAtOnce"),
    t("propose.trains", { aspects: r.aspects.join(", ").replaceAll("-", " ") }),
  ]
    .filter(Boolean)
    .join(" ");
}

function whyNot(p: PassedOver, pupils: number): string {
  if (p.finding) return finding(p.finding);
  const near = p.near > 0 ? ` ${t("propose.near", { count: p.near })}` : "";
  const few = p.verdict === "FEW_AT_A_TIME" ? ` ${t("propose.few", { count: pupils })}` : "";
  return `${t("propose.lessTogether")}${near}${few}`;
}

function due(daysSince: number | null, dueInDays: number | null): string {
  if (daysSince === null || dueInDays === null) return t("propose.new");
  const days = Math.round(dueInDays);
  if (days < 0) return t("propose.overdue", { count: -days, since: daysSince });
  return t("propose.dueIn", { count: days, since: daysSince });
}

function sureness(found: NextLesson): string {
  if (found.gapShare === null) return t("propose.notProven");
  const percent = Math.ceil(found.gapShare * 1000) / 10;
  if (percent <= 0.5) return t("propose.best");
  return percent <= LOOSE_PERCENT
    ? t("propose.gap", { percent })
    : t("propose.gapLoose", { percent: Math.ceil(percent) });
}
