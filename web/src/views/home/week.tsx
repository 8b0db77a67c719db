import { useState } from "react";
import { api } from "../../api/client";
import type { HomeCardLine, HomeWeek } from "../../api/types";
import { day } from "../../words";
import saidHome from "../../words/home.json";
import { textsOf } from "../../words/texts";
import { ChangeCard } from "./change-card";
import { Links } from "./links";
import { useHome } from "./use-home";

const t = textsOf("home", saidHome);

/** A week's cards: out as paper or files, and which practices came back. */
export function WeekOfCards({ classId, week, open }: { classId: string; week: HomeWeek; open: boolean }) {
  const [shown, setShown] = useState(open);
  const goOn = useHome(classId, () => api("post", "/api/home/weeks/{id}/cards", { params: { path: { id: week.id } } }));
  const missing = week.wanted - week.cards.length;
  const how = [
    week.quiet ? t("week.quiet") : t("week.loud"),
    week.helper ? t("week.helper") : "",
    week.fromLesson ? t("week.fromLesson") : "",
  ].filter(Boolean);
  return (
    <section aria-labelledby={`week-${week.id}`}>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b-[3px] border-ink pb-2">
        <h2 id={`week-${week.id}`} className="mr-auto">
          <button type="button" aria-expanded={shown} className="text-left" onClick={() => setShown((is) => !is)}>
            {t("week.title", { day: day(week.firstDay), practices: week.practices, minutes: week.minutes })}{" "}
            <span className="font-text text-base font-normal text-soft">{how.join(", ")}</span>
          </button>
        </h2>
        {week.cards.length > 0 && !week.making && (
          <span className="flex flex-wrap gap-2">
            <Out to={`/home/weeks/${week.id}/cards.pdf?paper=A4`} text={t("week.paperA4")} />
            <Out to={`/home/weeks/${week.id}/cards.pdf?paper=LETTER`} text={t("week.paperLetter")} />
            <Out to={`/home/weeks/${week.id}/pages.zip`} text={t("week.files")} />
          </span>
        )}
      </div>
      <div aria-live="polite">
        {week.making && (
          <p className="mt-3 flex items-center gap-3">
            <progress
              max={week.making.all}
              value={week.making.done}
              aria-label={t("week.title", {
                day: day(week.firstDay),
                practices: week.practices,
                minutes: week.minutes,
              })}
            />
            {t("week.making", { done: week.making.done, all: week.making.all })}
          </p>
        )}
        {!week.making && missing > 0 && (
          <p className="mt-3 flex flex-wrap items-center gap-3">
            {t("week.missing", { missing })}
            <button type="button" className="btn btn-small" disabled={goOn.isPending} onClick={() => goOn.mutate()}>
              {t("week.goOn")}
            </button>
          </p>
        )}
      </div>
      {shown && week.cards.length > 0 && !week.making && <Links classId={classId} weekId={week.id} />}
      {shown && week.cards.length > 0 && (
        <ul className="mt-2 grid gap-x-8 xl:grid-cols-2">
          {week.cards.map((card) => (
            <CardLine key={card.id} classId={classId} card={card} asked={week.practices} />
          ))}
        </ul>
      )}
    </section>
  );
}

function Out({ to, text, name }: { to: string; text: string; name?: string }) {
  return (
    <a className="btn btn-small" href={`/api${to}`} aria-label={name} download>
      {text}
    </a>
  );
}

function CardLine({ classId, card, asked }: { classId: string; card: HomeCardLine; asked: number }) {
  const withdraw = useHome(classId, () =>
    api("post", "/api/home/cards/{id}/withdrawn", { params: { path: { id: card.id } } }),
  );
  const name = card.home > 1 ? t("week.atOther", { name: card.pupil }) : card.pupil;
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-rule py-1.5">
      <span className={`w-36 font-semibold ${card.withdrawn ? "text-soft line-through" : ""}`}>{name}</span>
      <span className="flex gap-1">
        {card.each.map((practice, i) => {
          const k = i + 1;
          const back = card.kept.includes(k);
          return (
            <span
              key={practice.number}
              role="img"
              aria-label={back ? t("week.kept", { k }) : t("week.open", { k })}
              className={`clock grid size-7 place-items-center border-2 ${back ? "border-catch bg-catch text-sheet" : "border-rule"}`}
            >
              {k}
            </span>
          );
        })}
      </span>
      {card.practices < asked && (
        <span className="text-sm text-alert">
          {card.practices === 0 ? t("week.nothing") : t("week.fewer", { n: card.practices })}
        </span>
      )}
      {card.withdrawn ? (
        <span className="ml-auto text-sm text-soft">{t("week.withdrawn")}</span>
      ) : (
        <span className="ml-auto flex flex-wrap items-center gap-x-3 text-sm">
          <a
            href={`/api/home/cards/${card.id}/page?look=true`}
            target="_blank"
            rel="noreferrer"
            aria-label={t("week.lookOf", { name })}
          >
            {t("week.look")}
          </a>
          <a href={`/api/home/cards/${card.id}/page`} download aria-label={t("week.fileOf", { name })}>
            {t("week.file")}
          </a>
          <a href={`/api/home/cards/${card.id}/card.pdf`} download aria-label={t("week.paperOf", { name })}>
            {t("week.paper")}
          </a>
          <a href={`/api/home/cards/${card.id}/week.ics`} download aria-label={t("week.calendarOf", { name })}>
            {t("week.calendar")}
          </a>
          {card.kept.length === 0 && card.tasks.length > 0 && <ChangeCard classId={classId} card={card} name={name} />}
          <button
            type="button"
            className="underline"
            aria-label={t("week.withdrawOf", { name })}
            disabled={withdraw.isPending}
            onClick={() => withdraw.mutate()}
          >
            {t("week.withdraw")}
          </button>
        </span>
      )}
    </li>
  );
}
