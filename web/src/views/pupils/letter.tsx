import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "react-router";
import { ladders, pupilRecord } from "../../api/queries";
import type { Advice, Challenge, Ladder, PupilRecord, Rung } from "../../api/types";
import { FamilyGlyph } from "../../ui/marble";
import { Failed, Loading } from "../../ui/states";
import { caution, day, deferring, seconds, side } from "../../words";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";

const t = textsOf("pupils", saidPupils);

/** One page for the family: what was done, how it grew, and what comes next. No rank, no other child, no bare figures of chance. */
export function Letter() {
  const { id = "" } = useParams();
  const record = useQuery(pupilRecord(id));
  const catalogue = useQuery(ladders);
  const failed = [record, catalogue].find((q) => q.isLoadingError);
  if (failed) return <Failed error={failed.error} again={() => failed.refetch()} />;
  if (!record.data || !catalogue.data) return <Loading what={t("letter.thePageForThe")} />;
  return <Page record={record.data} catalogue={catalogue.data} />;
}

function Page({ record, catalogue }: { record: PupilRecord; catalogue: Ladder[] }) {
  const first = record.name.replace(/ \S\.$/, "");
  const challenges = record.ladders.flatMap((l) => l.challenges);
  const tried = catalogue.filter((l) => challenges.some((c) => c.ladderId === l.id));
  const done = challenges.filter((c) => c.completedOn && c.modifiers.length === 0);
  const next = [...record.ladders]
    .filter((l) => l.lastOn)
    .sort((a, b) => (b.lastOn ?? "").localeCompare(a.lastOn ?? ""))
    .slice(0, 3)
    .map((l) => l.advice);
  const cautions = [...new Set(next.flatMap((a) => catalogue.find((l) => l.id === a.ladderId)?.cautions ?? []))];
  return (
    <article className="mx-auto max-w-2xl print:max-w-none" data-testid="letter">
      <p className="mb-4 flex flex-wrap gap-3 print:hidden">
        <Link className="btn btn-small" to={`/pupils/${record.pupilId}`}>
          {t("letter.back")}
        </Link>
        <button type="button" className="btn btn-small btn-main" onClick={() => window.print()}>
          {t("letter.print")}
        </button>
      </p>
      <h1>{t("letter.withTheBall", { first })}</h1>
      <p className="mt-2 text-lg">
        {t("letter.hasPractisedOnAnd", { first, count: record.days, count2: done.length })}
      </p>
      <h2 className="mt-6">{t("letter.whatHasGrown")}</h2>
      <ul className="mt-1">
        {tried.map((l) => (
          <Grown key={l.id} ladder={l} challenges={challenges} />
        ))}
      </ul>
      <h2 className="mt-6">{t("letter.whatComesNext")}</h2>
      {next.map((a) => (
        <Next key={a.ladderId} advice={a} ladder={catalogue.find((l) => l.id === a.ladderId)} />
      ))}
      {cautions.length > 0 && (
        <p className="mt-4">
          <strong>{t("letter.takeCare")}</strong> {cautions.map((c) => caution[c]).join(" ")}
        </p>
      )}
      <p className="mt-2 text-soft">{deferring}</p>
    </article>
  );
}

function Grown({ ladder, challenges }: { ladder: Ladder; challenges: Challenge[] }) {
  const mine = challenges.filter((c) => c.ladderId === ladder.id && c.modifiers.length === 0);
  const done = mine.filter((c) => c.completedOn);
  const latest = done.at(-1);
  const rung = (c: Challenge) => ladder.rungs.find((r) => r.id === c.rungId);
  const grown = mine
    .flatMap((c) => c.sides.map((s) => ({ s, rung: rung(c) })))
    .filter((g) => (g.s.gain ?? 0) > 0 && !g.s.joint);
  const most = grown.sort((a, b) => (b.s.gain ?? 0) - (a.s.gain ?? 0))[0];
  return (
    <li className="flex gap-3 border-b border-rule py-1.5">
      <FamilyGlyph family={ladder.family} />
      <span>
        <strong>{ladder.name}.</strong>{" "}
        {latest?.completedOn
          ? t("letter.ofDoneTheLatestOn", {
              count: done.length,
              length: ladder.rungs.length,
              name: rung(latest)?.name,
              completedOn: day(latest.completedOn),
            })
          : t("letter.begunAndOnTheWay")}{" "}
        {most &&
          t("letter.atItWentFromTo", {
            name: most.rung?.name,
            hand: hand(most.s.side),
            first: told(most.s.first, most.rung),
            best: told(most.s.best, most.rung),
          })}
      </span>
    </li>
  );
}

const hand = (s: Challenge["sides"][number]["side"]) =>
  s === "RIGHT" || s === "LEFT" ? t("letter.withTheHand", { side: side[s] }) : "";
function told(m: Challenge["sides"][number]["best"], rung: Rung | undefined): string {
  if (m.timeMs) return seconds(m.timeMs);
  const inTime = rung?.measure.type === "COUNT_IN_TIME" && m.workSec ? t("letter.inS", { workSec: m.workSec }) : "";
  return `${m.score} ${rung?.unit ?? ""}${inTime}`;
}

/** The step to practise: the next one where this one is held, else this one. */
function Next({ advice, ladder }: { advice: Advice; ladder: Ladder | undefined }) {
  const id =
    advice.verdict === "UP"
      ? (advice.nextRungId ?? advice.rungId)
      : advice.verdict === "BACK"
        ? (advice.rungBelowId ?? advice.rungId)
        : advice.rungId;
  const rung = ladder?.rungs.find((r) => r.id === id);
  if (!ladder || !rung) return null;
  const why = {
    UP: t("letter.theStepBeforeIsHeld"),
    STAY: t("letter.thisOneIsComingA"),
    BACK: t("letter.aStepThatFeelsSafe"),
    MORE: t("letter.aFewMoreTriesWill"),
  }[advice.verdict];
  return (
    <p className="mt-2">
      <strong>
        {ladder.name}: {rung.name}.
      </strong>{" "}
      {why} {rung.task} <span className="text-soft">{t("letter.ifItIsHard", { easier: rung.easier })}</span>
    </p>
  );
}
