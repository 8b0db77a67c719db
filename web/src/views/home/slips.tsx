import { Fragment, type KeyboardEvent, useState } from "react";
import { api } from "../../api/client";
import type { HomeAsked, HomeCardLine, HomeHeard, HomeWeek } from "../../api/types";
import { Choice } from "../../ui/choice";
import { day } from "../../words";
import saidHome from "../../words/home.json";
import { textsOf } from "../../words/texts";
import { HomeSlip, homeFits, homeSlipOf, NOTHING, type Ticked } from "./home-slip";
import { sideWord } from "./side-word";
import { useHome } from "./use-home";

const t = textsOf("home", saidHome);

export type Slip = { cardId: string; practice: number; numbers: (number | null)[]; felt: null };

/** Numbers from paper, a line a pupil: plain digits, checked for range before they go. */
export function Slips({ classId, weeks, asked }: { classId: string; weeks: HomeWeek[]; asked: HomeAsked }) {
  const withCards = weeks.filter((w) => w.cards.length > 0);
  const [weekId, setWeekId] = useState(withCards[0]?.id ?? "");
  const [k, setK] = useState(1);
  const [typed, setTyped] = useState<Record<string, string[]>>({});
  const [homes, setHomes] = useState<Record<string, Ticked>>({});
  const [told, setTold] = useState<HomeHeard>();
  const week = withCards.find((w) => w.id === weekId) ?? withCards[0];
  const send = useHome(classId, (slips: Slip[]) =>
    api("post", "/api/classes/{id}/home/slips", {
      params: { path: { id: classId } },
      body: { slips },
    }),
  );
  if (!week) return null;
  const ofHome = k === asked.practice;
  const cards = week.cards.filter((c) => !c.withdrawn && (ofHome || c.practices >= k));
  const slips = cards.flatMap((c) =>
    ofHome ? homeSlipOf(c, asked, homes[c.id] ?? NOTHING) : slipOf(c, k, typed[`${c.id}/${k}`] ?? []),
  );
  const wrong = ofHome
    ? cards.some((c) => !homeFits(homes[c.id] ?? NOTHING))
    : cards.some((c) => boxesOf(c, k).some((b, i) => !fits(typed[`${c.id}/${k}`]?.[i] ?? "", b.most)));
  const take = async () => {
    const heard = await send.mutateAsync(slips).catch(() => undefined);
    if (!heard) return;
    setTold(heard);
    setTyped({});
    setHomes({});
  };
  return (
    <section aria-labelledby="slips">
      <div className="flex flex-wrap items-end gap-4 border-b-[3px] border-ink pb-2">
        <h2 id="slips" className="mr-auto">
          {t("slips.title")}
        </h2>
        {withCards.length > 1 && (
          <Choice
            label={t("make.first")}
            value={week.id}
            options={withCards.map((w) => ({ value: w.id, text: day(w.firstDay) }))}
            onChange={setWeekId}
          />
        )}
        <Choice
          label={t("slips.practice")}
          value={String(k)}
          options={[
            ...Array.from({ length: week.practices }, (_, i) => ({
              value: String(i + 1),
              text: t("slips.one", { k: i + 1 }),
            })),
            { value: String(asked.practice), text: t("slips.ofHome") },
          ]}
          onChange={(v) => setK(Number(v))}
        />
      </div>
      <p className="mt-2 text-sm text-soft">{t(ofHome ? "slips.howHome" : "slips.how")}</p>
      <div className="mt-2">
        {cards.map((card, row) =>
          ofHome ? (
            <HomeSlip
              key={card.id}
              name={nameOf(card)}
              asked={asked}
              ticked={homes[card.id] ?? NOTHING}
              onTick={(ticked) => setHomes({ ...homes, [card.id]: ticked })}
            />
          ) : (
            <Line
              key={card.id}
              card={card}
              k={k}
              row={row}
              typed={typed[`${card.id}/${k}`] ?? []}
              onType={(numbers) => setTyped({ ...typed, [`${card.id}/${k}`]: numbers })}
            />
          ),
        )}
      </div>
      <div className="mt-3 flex flex-wrap items-center gap-3" aria-live="polite">
        <button
          type="button"
          className="btn btn-main"
          disabled={slips.length === 0 || wrong || send.isPending}
          onClick={take}
        >
          {t("slips.send", { n: slips.length })}
        </button>
        {send.error && <span className="font-semibold text-alert">{send.error.detail}</span>}
        {told && <span className="font-semibold">{t("came.taken", { n: told.taken.length })}</span>}
        {told && told.wrong.length > 0 && <span className="text-alert">{t("wrong.slip")}</span>}
      </div>
    </section>
  );
}

/** One pupil's boxes as they stand on the sheet, task after task. */
function Line({
  card,
  k,
  row,
  typed,
  onType,
}: {
  card: HomeCardLine;
  k: number;
  row: number;
  typed: string[];
  onType: (numbers: string[]) => void;
}) {
  const boxes = boxesOf(card, k);
  const name = nameOf(card);
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-1 border-b border-rule py-1">
      <span className="w-36 font-semibold">{name}</span>
      {boxes.map((box, i) => {
        const said = t("slips.field", {
          name,
          task: box.task,
          round: box.round,
          side: sideWord(box.side),
          most: box.most,
        });
        const value = typed[i] ?? "";
        return (
          <Fragment key={`${box.task}/${box.round}/${box.side}`}>
            {box.task !== boxes[i - 1]?.task && <span className="ml-3 text-sm text-soft">{box.task}</span>}
            <input
              data-slip={row}
              className={`field num w-12 px-1 ${fits(value, box.most) ? "" : "border-alert text-alert"}`}
              inputMode="numeric"
              aria-label={said}
              title={said}
              aria-invalid={!fits(value, box.most)}
              value={value}
              onKeyDown={toNext}
              onChange={(e) => onType(Object.assign([...typed], { [i]: e.target.value }))}
            />
          </Fragment>
        );
      })}
    </div>
  );
}

const nameOf = (card: HomeCardLine) => (card.home > 1 ? t("week.atOther", { name: card.pupil }) : card.pupil);

const boxesOf = (card: HomeCardLine, k: number) => card.each[k - 1]?.boxes ?? [];

const fits = (typed: string, most: number) =>
  typed.trim() === "" || (/^\d+$/.test(typed.trim()) && Number(typed) <= most);

/** One with at least one number in it; none otherwise. */
export function slipOf(card: HomeCardLine, k: number, typed: string[]): Slip[] {
  const numbers = boxesOf(card, k).map((_, i) => ((typed[i] ?? "").trim() === "" ? null : Number(typed[i])));
  return numbers.some((n) => n !== null) ? [{ cardId: card.id, practice: k, numbers, felt: null }] : [];
}

/** Enter goes to the first number of the next line. */
function toNext(e: KeyboardEvent<HTMLInputElement>) {
  if (e.key !== "Enter") return;
  e.preventDefault();
  const next = Number(e.currentTarget.dataset.slip) + 1;
  document.querySelector<HTMLInputElement>(`[data-slip="${next}"]`)?.focus();
}
