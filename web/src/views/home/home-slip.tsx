import type { HomeAsked, HomeCardLine } from "../../api/types";
import { Choice } from "../../ui/choice";
import saidHome from "../../words/home.json";
import { textsOf } from "../../words/texts";
import type { Slip } from "./slips";

const t = textsOf("home", saidHome);

const LONGEST_M = 8;

/** What a family ticked and wrote of its home; yes and no only where one of them was ticked. */
export type Ticked = { kinds: number[]; length: string; width: string; below: YesNo; wall: YesNo };

type YesNo = "unsaid" | "yes" | "no";

export const NOTHING: Ticked = { kinds: [], length: "", width: "", below: "unsaid", wall: "unsaid" };

/** The part of the sheet that asks of the home, one line a pupil. */
export function HomeSlip({
  name,
  asked,
  ticked,
  onTick,
}: {
  name: string;
  asked: HomeAsked;
  ticked: Ticked;
  onTick: (ticked: Ticked) => void;
}) {
  const turn = (i: number) =>
    onTick({
      ...ticked,
      kinds: ticked.kinds.includes(i) ? ticked.kinds.filter((k) => k !== i) : [...ticked.kinds, i],
    });
  const metres = (key: "length" | "width") => (
    <label className="flex items-center gap-1 text-sm">
      {t(`slips.${key}`)}
      <input
        className={`field num w-14 px-1 ${fits(ticked[key]) ? "" : "border-alert text-alert"}`}
        inputMode="decimal"
        aria-label={t(`slips.${key}Of`, { name })}
        aria-invalid={!fits(ticked[key])}
        value={ticked[key]}
        onChange={(e) => onTick({ ...ticked, [key]: e.target.value })}
      />
    </label>
  );
  const yesNo = (key: "below" | "wall", say: (said: YesNo) => string) => (
    <Choice
      label={t(`slips.${key}Of`, { name })}
      value={ticked[key]}
      options={(["unsaid", "yes", "no"] as const).map((said) => ({ value: said, text: say(said) }))}
      onChange={(said) => onTick({ ...ticked, [key]: said })}
    />
  );
  return (
    <fieldset className="border-b border-rule py-2 sm:grid sm:grid-cols-[9rem_1fr] sm:gap-x-4">
      <legend className="sr-only">{name}</legend>
      <span aria-hidden className="font-semibold">
        {name}
      </span>
      <div>
        <div className="flex flex-wrap gap-x-4 gap-y-1">
          {asked.kinds.map((kind, i) => (
            <label key={kind} className="flex items-center gap-1 text-sm">
              <input type="checkbox" checked={ticked.kinds.includes(i)} onChange={() => turn(i)} />
              {kind}
            </label>
          ))}
        </div>
        <div className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1">
          {metres("length")}
          {metres("width")}
          {yesNo("below", (said) => t(`slips.below.${said}`))}
          {yesNo("wall", (said) => t(`slips.wall.${said}`))}
        </div>
      </div>
    </fieldset>
  );
}

/** Nothing, or metres above 0 to 8. */
const fits = (typed: string) => {
  const m = Number(typed.replace(",", "."));
  return typed.trim() === "" || (m > 0 && m <= LONGEST_M);
};

/** Both sides of the floor, or neither: one of them says nothing. */
export const homeFits = (ticked: Ticked) =>
  fits(ticked.length) && fits(ticked.width) && (ticked.length.trim() === "") === (ticked.width.trim() === "");

/** One with anything ticked or written; none otherwise. The numbers are those that a page would send. */
export function homeSlipOf(card: HomeCardLine, asked: HomeAsked, ticked: Ticked): Slip[] {
  const { kinds, length, width, below, wall } = ticked;
  const silent = length.trim() === "" && width.trim() === "" && below === "unsaid" && wall === "unsaid";
  if (kinds.length === 0 && silent) return [];
  const halves = (typed: string) => (typed.trim() === "" ? null : Math.floor(2 * Number(typed.replace(",", "."))));
  const bit = (said: YesNo) => (said === "unsaid" ? null : said === "yes" ? 1 : 0);
  const bits = kinds.reduce((all, i) => all + 2 ** i, 0);
  const numbers = [bits, halves(length), halves(width), bit(below), bit(wall)];
  return [{ cardId: card.id, practice: asked.practice, numbers, felt: null }];
}
