import type { Family } from "../../api/types";
import { Choice } from "../../ui/choice";
import { family as familyWord } from "../../words";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";
import { aspect as aspectWord } from "../../words-ladders";
import type { useHere } from "./here";

const t = textsOf("ladders", saidLadders);

/** What every filter begins with. */
export const all = "all";

export const families: Family[] = ["THROW", "CATCH", "HANDLE", "TARGET", "MOVE"];

/** Narrows the ladders down: by words, sport, what is trained, how many, how loud, whose, which family. */
export function Filters({
  sports,
  words,
  get,
  set,
}: {
  sports: string[];
  words: string;
  get: (field: string) => string;
  set: (field: string, value: string) => void;
}) {
  return (
    <>
      <search className="mt-4 flex flex-wrap items-center gap-x-4 gap-y-2.5">
        <input
          className="field min-w-56 flex-1"
          type="search"
          aria-label={t("laddersView.searchLaddersByWords")}
          placeholder={t("laddersView.skillSportBallOr")}
          defaultValue={words}
          onChange={(e) => set("words", e.target.value)}
        />
        <Choice
          label={t("laddersView.sport")}
          value={get("sport")}
          onChange={(v) => set("sport", v)}
          options={[{ value: all, text: t("laddersView.everySport") }, ...sports.map((s) => ({ value: s, text: s }))]}
        />
        <Choice
          label={t("laddersView.trains")}
          value={get("aspect")}
          onChange={(v) => set("aspect", v)}
          options={[
            { value: all, text: t("laddersView.trainsAnything") },
            ...Object.entries(aspectWord).map(([value, text]) => ({ value, text })),
          ]}
        />
        <Choice
          label={t("laddersView.peopleToASpot")}
          value={get("people")}
          onChange={(v) => set("people", v)}
          options={[
            { value: all, text: t("laddersView.anyNumber") },
            { value: "1", text: t("laddersView.alone") },
            { value: "2", text: t("laddersView.inPairs") },
            { value: "3", text: t("laddersView.threeOrMore") },
          ]}
        />
        <Choice
          label={t("laddersView.noise")}
          value={get("noise")}
          onChange={(v) => set("noise", v)}
          options={[
            { value: all, text: t("laddersView.anyNoise") },
            { value: "QUIET", text: t("laddersView.quietOnly") },
            { value: "BOUNCE", text: t("laddersView.noLouderThanA") },
          ]}
        />
        <Choice
          label={t("laddersView.whose")}
          value={get("whose")}
          onChange={(v) => set("whose", v)}
          options={[
            { value: all, text: t("laddersView.allLadders") },
            { value: "OURS", text: t("laddersView.ourOwn") },
            { value: "RETIRED", text: t("laddersView.ourOwnRetired") },
          ]}
        />
      </search>
      <fieldset className="mt-3 flex flex-wrap gap-2">
        <legend className="sr-only">{t("laddersView.family")}</legend>
        {[all, ...families].map((f) => (
          <button
            key={f}
            type="button"
            aria-pressed={get("family") === f}
            className={`btn btn-small ${get("family") === f ? "btn-main" : ""}`}
            onClick={() => set("family", f)}
          >
            {f === all ? t("ladderFilters.allFamilies") : familyWord[f as Family]}
          </button>
        ))}
      </fieldset>
    </>
  );
}

/** The class and the place for which it is said what fits. */
export function WhatFits({
  here,
  only,
  onOnly,
}: {
  here: ReturnType<typeof useHere>;
  only: boolean;
  onOnly: (on: boolean) => void;
}) {
  return (
    <div className="mt-4 flex flex-wrap items-center gap-x-4 gap-y-2 bg-tint px-4 py-3">
      <span className="flex items-center gap-2">
        <strong>{t("laddersView.whatFits")}</strong>
        <Choice
          label={t("laddersView.whereItShouldFit")}
          value={here.value}
          onChange={here.choose}
          options={here.options}
        />
      </span>
      {!here.query && (
        <span className="text-soft">
          {here.className
            ? t("ladderFilters.chooseASpaceToSee", { className: here.className })
            : t("ladderFilters.makeAClassInThe")}
        </span>
      )}
      {here.query && (
        <>
          <label className="flex items-center gap-2">
            <input type="checkbox" checked={only} onChange={(e) => onOnly(e.target.checked)} />{" "}
            {t("laddersView.onlyWhatFits")}
          </label>
          <span className="text-soft">
            {t("laddersView.forWithTheKit", { className: here.className })}
            {here.atHome ? t("ladderFilters.andAtHome") : ""}
            {t("laddersView.atThisHour")}
          </span>
        </>
      )}
    </div>
  );
}
