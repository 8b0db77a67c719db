import type { Ladder, LadderRecord, PupilRecord } from "../../api/types";
import { day, side } from "../../words";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";

const t = textsOf("pupils", saidPupils);

/** The three things that matter of a pupil: what comes next, what to look after, what went well. */
export function Matters({ record, catalogue }: { record: PupilRecord; catalogue: Ladder[] }) {
  const nameOf = (on: LadderRecord) => catalogue.find((l) => l.id === on.ladderId)?.name ?? on.ladderId;
  const names = (some: LadderRecord[]) => {
    const shown = some.slice(0, MOST).map(nameOf).join(", ");
    return some.length > MOST ? t("matters.more", { shown, n: some.length - MOST }) : shown;
  };
  const lately = [...record.ladders]
    .filter((on) => on.lastOn)
    .sort((a, b) => (b.lastOn ?? "").localeCompare(a.lastOn ?? ""));
  const up = lately.filter((on) => on.advice.verdict === "UP" && on.advice.nextRungId !== null);
  const back = lately.filter((on) => on.advice.verdict === "BACK");
  const behind = lately.filter((on) => on.behind);
  const again = lately.filter((on) => on.advice.sides.some((s) => s.seeAgain));
  const sides = [...new Set(behind.map((on) => on.behind?.side))];
  return (
    <dl
      aria-label={t("matters.title")}
      className="my-4 grid gap-x-8 gap-y-3 border-y-[3px] border-ink py-3 sm:grid-cols-3"
    >
      <Matter name={t("matters.next")}>
        {up.length > 0 ? t("matters.up", { ladders: names(up) }) : goesOn(lately[0], catalogue)}
      </Matter>
      <Matter name={t("matters.care")}>
        {[
          back.length > 0 && t("matters.back", { ladders: names(back) }),
          ...sides.map(
            (s) =>
              s && t("matters.behind", { side: side[s], ladders: names(behind.filter((on) => on.behind?.side === s)) }),
          ),
          again.length > 0 && t("matters.again", { ladders: names(again) }),
        ]
          .filter(Boolean)
          .join("; ") || t("matters.nothing")}
      </Matter>
      <Matter name={t("matters.lately")}>{newest(record, catalogue)}</Matter>
    </dl>
  );
}

const MOST = 3;

function Matter({ name, children }: { name: string; children: string }) {
  return (
    <div>
      <dt className="text-sm font-semibold text-soft">{name}</dt>
      <dd className="text-lg leading-snug">{children}</dd>
    </div>
  );
}

function goesOn(on: LadderRecord | undefined, catalogue: Ladder[]): string {
  const ladder = catalogue.find((l) => l.id === on?.ladderId);
  const n = ladder?.rungs.findIndex((r) => r.id === on?.advice.rungId) ?? -1;
  if (!ladder || n < 0) return t("matters.nothing");
  return t("matters.goesOn", { ladder: ladder.name, n: n + 1, rung: ladder.rungs[n]?.name.toLowerCase() });
}

function newest(record: PupilRecord, catalogue: Ladder[]): string {
  const [last] = record.ladders
    .flatMap((on) => on.challenges)
    .filter((c) => c.completedOn && c.modifiers.length === 0)
    .sort((a, b) => (b.completedOn ?? "").localeCompare(a.completedOn ?? ""));
  const ladder = catalogue.find((l) => l.id === last?.ladderId);
  const rung = ladder?.rungs.find((r) => r.id === last?.rungId);
  const done =
    last?.completedOn && ladder && rung
      ? t("matters.completed", { what: `${ladder.name}, ${rung.name.toLowerCase()}`, day: day(last.completedOn) })
      : t("matters.noneYet");
  const lastOn = record.ladders
    .map((on) => on.lastOn ?? "")
    .sort()
    .at(-1);
  return lastOn && lastOn !== last?.completedOn ? `${done}; ${t("matters.practised", { day: day(lastOn) })}` : done;
}
