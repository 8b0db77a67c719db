import type { LessonView } from "../../api/types";
import { texts } from "../../words/texts";

const t = texts("plan");

type Item = LessonView["gather"]["items"][number];

const lookAt: Partial<Record<Item["group"], string>> = {
  BALL: t("gather.firmNoSplitSeam"),
  STICK: t("gather.noSplinterTapeTight"),
  TARGET: t("gather.noCrackNoSharpEdge"),
  MARKER: t("gather.flatNoneThatSlides"),
  GEAR: t("gather.strapsWholeRightSize"),
};

/** Everything to have in hand before the lesson, with what to make and what to look over. */
export function Gather({ view, atHome }: { view: LessonView; atHome: boolean }) {
  const { items, drinks } = view.gather;
  if (items.length === 0 && drinks === 0) return null;
  const making = items.filter((i) => i.make);
  return (
    <section aria-labelledby="gather" data-testid="gather">
      <h2 id="gather" className="border-b-2 border-ink pb-1">
        {t("gather.gatherAndCheck")}
      </h2>
      <ul>
        {items.map((i) => (
          <li key={i.kind} className="flex items-baseline gap-3 border-b border-rule py-1.5">
            <span className="clock w-14 flex-none text-right">
              {i.group === "MARK" ? t("gather.some") : i.count}
              {i.spare > 0 && <span className="text-sm text-soft"> +{i.spare}</span>}
            </span>
            <span className="leading-snug">
              <strong>{i.group === "MARK" ? i.name : i.called}</strong>
              {i.usedFor.some((u) => u !== i.name) && <span className="text-soft"> · {i.usedFor.join("; ")}</span>}
              {(i.worn || (lookAt[i.group] && !i.make)) && (
                <span className={`block text-sm ${i.worn ? "font-semibold text-alert" : "text-soft"}`}>
                  {t("gather.lookOver")}
                  {i.worn ? t("gather.someAreWorn") : ""}: {lookAt[i.group] ?? t("gather.wholeAndClean")}.
                </span>
              )}
            </span>
          </li>
        ))}
        <li className="flex items-baseline gap-3 border-b border-rule py-1.5">
          <span className="clock w-14 flex-none text-right">{drinks}</span>
          <strong>{t("gather.drinks", { n: atHome ? 1 : drinks })}</strong>
        </li>
      </ul>
      {making.length > 0 && (
        <div className="mt-2 text-[0.95rem]">
          <h3 className="font-bold">{t("gather.toMake")}</h3>
          <ul className="list-disc pl-5">
            {making.map((i) => (
              <li key={i.kind}>
                {i.count} × {i.name}
                {i.makeMin > 0 && t("gather.minEach", { makeMin: i.makeMin })}: {i.make}
              </li>
            ))}
          </ul>
        </div>
      )}
    </section>
  );
}
