import type { JackMatch, MatchEnd } from "../../api/types";
import { small, type Units } from "../../lengths";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import { pointsWhy } from "../../words-marks";
import type { Player } from "./jack-values";

const t = textsOf("marks", saidMarks);

export function Balls({
  end,
  sheet,
  units,
  name,
  player,
  onChange,
  must,
}: {
  end: MatchEnd;
  sheet: JackMatch["ends"][number];
  units: Units;
  name: (s: string) => string;
  player: (side: Player, n: number) => string;
  onChange: (end: MatchEnd) => void;
  must: (i: number) => string | undefined;
}) {
  const set = (i: number, patch: Partial<MatchEnd["balls"][number]>) =>
    onChange({ ...end, balls: end.balls.map((b, k) => (k === i ? { ...b, ...patch } : b)) });
  return (
    <div className="mt-4 overflow-x-auto">
      <table className="w-full min-w-[34rem] text-left text-[0.95rem]">
        <caption className="pb-1 text-left font-bold">{t("jackLists.thisEndBallBy")}</caption>
        <thead className="text-sm text-soft">
          <tr>
            <th scope="col">{t("jackLists.ball")}</th>
            <th scope="col">{t("jackLists.fromTheJack")}</th>
            <th scope="col">{t("jackLists.counts")}</th>
            <th scope="col" className="print:hidden">
              {t("jackLists.deadBecause")}
            </th>
          </tr>
        </thead>
        <tbody>
          {sheet.balls.map((b, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: balls keep the order in which they were played
            <tr key={i} className="border-t border-rule">
              <th scope="row" className="py-1 font-normal">
                {i + 1}. {name(b.side)}, {player(b.side, b.player)}
                {b.outOfTurn && <span className="text-alert"> {t("jackLists.outOfTurn")}</span>}
              </th>
              <td>
                <input
                  className="field num print:border-0"
                  aria-label={t("jackLists.ballFromTheJackCm", { n: i + 1 })}
                  aria-invalid={!!must(i)}
                  inputMode="decimal"
                  key={`${b.distanceCm}`}
                  defaultValue={Number(b.distanceCm.toFixed(1))}
                  onBlur={(e) => {
                    const cm = Number(e.target.value.replace(",", "."));
                    if (Number.isFinite(cm) && cm >= 0 && cm <= 20000 && Math.abs(cm - b.distanceCm) > 0.05)
                      set(i, { distanceCm: cm, xCm: null, yCm: null });
                    else e.target.value = String(Number(b.distanceCm.toFixed(1)));
                  }}
                />{" "}
                {t("jackLists.cm")}
                {units === "feet" && ` (${small(b.distanceCm, units)})`}
              </td>
              <td>{b.dead ? t("jackLists.dead") : b.counts ? <b>{t("jackLists.yes")}</b> : "no"}</td>
              <td className="space-x-3 whitespace-nowrap print:hidden">
                {(["out", "footOver", "landedShort"] as const).map((why) => (
                  <label key={why} className="inline-flex items-center gap-1">
                    <input
                      type="checkbox"
                      className="size-4 accent-ink"
                      checked={end.balls[i]?.[why] ?? false}
                      onChange={(e) => set(i, { [why]: e.target.checked })}
                    />
                    {why === "out"
                      ? t("jackLists.out")
                      : why === "footOver"
                        ? t("jackLists.footOver")
                        : t("jackLists.landedShort")}
                  </label>
                ))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

export function Ends({ answer, name }: { answer: JackMatch; name: (s: string) => string }) {
  const done = answer.ends.filter((e) => e.complete);
  if (done.length === 0) return null;
  return (
    <table className="mt-4 w-full max-w-2xl text-left text-[0.95rem]" data-testid="ends">
      <caption className="pb-1 text-left font-bold">{t("jackLists.ends")}</caption>
      <thead className="text-sm text-soft">
        <tr>
          <th scope="col">{t("jackLists.end")}</th>
          <th scope="col">{t("jackLists.jack")}</th>
          <th scope="col">{name("A")}</th>
          <th scope="col">{name("B")}</th>
          <th scope="col">{t("jackLists.why")}</th>
        </tr>
      </thead>
      <tbody>
        {done.map((e, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: an end is its number
          <tr key={i} className="border-t border-rule">
            <th scope="row" className="font-normal">
              {i + 1}
            </th>
            <td>{name(e.jackSide)}</td>
            <td>{e.points.A}</td>
            <td>{e.points.B}</td>
            <td className="text-soft">{pointsWhy[e.why]}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
