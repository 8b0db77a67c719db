import type { Ladder, Rung } from "../../api/types";
import { modifier as modifierWord } from "../../words";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";
import { lever, measure, onMiss, rungSides } from "../../words-ladders";
import { Chips, type Must, Num, Pick, Words } from "./form-bits";
import { GateForm, measuredBy } from "./gate-form";
import { RungKitForm } from "./rung-kit-form";
import { ScoringForm } from "./scoring-form";

const t = textsOf("ladders", saidLadders);

/** A rung that is being written. */
function useRungForm({
  rung,
  first,
  ladderKit,
  onChange,
  must,
}: {
  rung: Rung;
  first: boolean;
  /** what the ladder is played with */
  ladderKit: Ladder["kit"];
  onChange: (rung: Rung, step: string) => void;
  must: Must;
}) {
  const set = (change: Partial<Rung>) => onChange({ ...rung, ...change }, String(Object.keys(change)));
  const { START, ...levers } = lever;
  const { clock, count, gate: byGate, staircase } = rung.doses;
  const dose = (change: Partial<Rung["doses"]>) => set({ doses: { ...rung.doses, ...change } });
  const pace = (change: Partial<Rung["pace"]>) => set({ pace: { ...rung.pace, ...change } });
  return { ladderKit, rung, first, must, set, levers, clock, count, byGate, staircase, dose, pace };
}

type Parts = ReturnType<typeof useRungForm>;

/** One rung: what changes, what to do, what counts, what it is planned with. */
export function RungForm(props: Parameters<typeof useRungForm>[0]) {
  const parts = useRungForm(props);
  const { ladderKit, rung, must, set } = parts;
  return (
    <div className="space-y-3">
      <Wording {...parts} />
      <div className="flex flex-wrap items-end gap-4">
        <Pick label={t("rungForm.sides")} value={rung.sides} words={rungSides} onChange={(sides) => set({ sides })} />
        <Pick
          label={t("rungForm.measuredBy")}
          value={rung.measure.type}
          words={measure}
          onChange={(type) => set(measuredBy(type, rung))}
        />
        <Words
          label={t("rungForm.oneCountedThingIn")}
          value={rung.unit}
          must={must("unit")}
          onChange={(unit) => set({ unit })}
          className="w-60"
        />
      </div>
      <GateForm rung={rung} must={must} onChange={(gate) => set({ gate })} />
      <ScoringForm rung={rung} must={must} onChange={set} />
      <Amounts {...parts} />
      <p className="flex flex-wrap items-baseline gap-x-4 gap-y-2">
        <strong>{t("rungForm.onlyWhereItMatters")}</strong>
        <Num
          label={t("rungForm.distance")}
          unit={t("rungForm.m")}
          step={0.1}
          value={rung.standM}
          must={must("standM")}
          onChange={(standM) => set({ standM })}
        />
        <Num
          label={t("rungForm.freeHeight")}
          unit={t("rungForm.m")}
          step={0.1}
          value={rung.heightM}
          must={must("heightM")}
          onChange={(heightM) => set({ heightM })}
        />
        <Num
          label={t("rungForm.clapsUnderAToss")}
          value={rung.claps}
          must={must("claps")}
          onChange={(claps) => set({ claps })}
        />
      </p>
      <RungKitForm own={rung.kit} ladders={ladderKit} onChange={(kit) => set({ kit })} must={must} />
      <Chips
        label={t("rungForm.mayBeAdded")}
        value={rung.modifiers}
        words={modifierWord}
        onChange={(modifiers) => set({ modifiers })}
        must={must("modifiers")}
      />
    </div>
  );
}

/** What it is called, what changes, what to do and what counts. */
function Wording({ rung, first, must, set, levers }: Parts) {
  return (
    <>
      <div className="flex flex-wrap items-end gap-4">
        <Words
          label={t("rungForm.name")}
          value={rung.name}
          must={must("name")}
          onChange={(name) => set({ name })}
          className="min-w-56 flex-1"
        />
        {first ? (
          <span className="pb-2 text-soft">{t("rungForm.theStartItChanges")}</span>
        ) : (
          <Pick
            label={t("rungForm.theOneThingIt")}
            value={rung.lever as keyof typeof levers}
            words={levers}
            onChange={(l) => set({ lever: l })}
          />
        )}
      </div>
      <Words
        label={first ? t("rungForm.howItBegins") : t("rungForm.howItChanges")}
        value={rung.change}
        must={must("change")}
        onChange={(change) => set({ change })}
      />
      <Words
        label={t("rungForm.whatToDo")}
        rows={3}
        value={rung.task}
        must={must("task")}
        onChange={(task) => set({ task })}
      />
      <div className="grid gap-3 sm:grid-cols-2">
        <Words
          label={t("rungForm.counts")}
          value={rung.counts}
          must={must("counts")}
          onChange={(counts) => set({ counts })}
        />
        <Words
          label={t("rungForm.doesNotCount")}
          value={rung.countsNot}
          must={must("countsNot")}
          onChange={(countsNot) => set({ countsNot })}
        />
        <Words
          label={t("rungForm.easier")}
          value={rung.easier}
          must={must("easier")}
          onChange={(easier) => set({ easier })}
        />
        <Words
          label={t("rungForm.harder")}
          value={rung.harder}
          must={must("harder")}
          onChange={(harder) => set({ harder })}
        />
      </div>
    </>
  );
}

/** How fast it goes, and how much of it by each way of dosing. */
function Amounts({ rung, must, clock, count, byGate, staircase, dose, pace }: Parts) {
  return (
    <>
      <p className="flex flex-wrap items-baseline gap-x-4 gap-y-2">
        <strong>{t("rungForm.pace")}</strong>
        <Num
          label={t("rungForm.oneThatCounts")}
          unit={t("rungForm.s")}
          step={0.1}
          value={rung.pace.hitSec}
          must={must("pace.hitSec")}
          onChange={(hitSec) => pace({ hitSec })}
        />
        <Num
          label={t("rungForm.aMissAndIts")}
          unit={t("rungForm.s")}
          step={0.1}
          value={rung.pace.missSec}
          must={must("pace.missSec")}
          onChange={(missSec) => pace({ missSec })}
        />
        <Num
          label={t("rungForm.aStep")}
          unit={t("rungForm.s")}
          step={0.1}
          value={rung.pace.stepSec}
          must={must("pace.stepSec")}
          onChange={(stepSec) => pace({ stepSec })}
        />
        <Num
          label={t("rungForm.shareThatCounts")}
          step={0.05}
          value={rung.pace.share}
          must={must("pace.share")}
          onChange={(share) => pace({ share })}
        />
      </p>
      <p className="flex flex-wrap items-baseline gap-x-4 gap-y-2">
        <strong>{t("rungForm.byClock")}</strong>
        <Num
          label={t("rungForm.sets")}
          value={clock.sets}
          must={must("doses.clock.sets")}
          onChange={(sets) => dose({ clock: { ...clock, sets } })}
        />
        <Num
          label={t("rungForm.work")}
          unit={t("rungForm.s")}
          step={5}
          value={clock.workSec}
          must={must("doses.clock.workSec")}
          onChange={(workSec) => dose({ clock: { ...clock, workSec } })}
        />
        <Num
          label={t("rungForm.rest")}
          unit={t("rungForm.s")}
          step={5}
          value={clock.restSec}
          must={must("doses.clock.restSec")}
          onChange={(restSec) => dose({ clock: { ...clock, restSec } })}
        />
        <strong>{t("rungForm.byCount")}</strong>
        <Num
          label={t("rungForm.sets")}
          value={count.sets}
          must={must("doses.count.sets")}
          onChange={(sets) => dose({ count: { ...count, sets } })}
        />
        <Num
          label={t("rungForm.tries")}
          value={count.reps}
          must={must("doses.count.reps")}
          onChange={(reps) => dose({ count: { ...count, reps } })}
        />
        <Num
          label={t("rungForm.rest")}
          unit={t("rungForm.s")}
          step={5}
          value={count.restSec}
          must={must("doses.count.restSec")}
          onChange={(restSec) => dose({ count: { ...count, restSec } })}
        />
      </p>
      <p className="flex flex-wrap items-baseline gap-x-4 gap-y-2">
        <strong>{t("rungForm.byGate")}</strong>
        <Num
          label={t("rungForm.atMost")}
          unit={t("rungForm.s")}
          step={10}
          value={byGate.limitSec}
          must={must("doses.gate.limitSec")}
          onChange={(limitSec) => dose({ gate: { limitSec } })}
        />
        <strong>{t("rungForm.byStaircase")}</strong>
        <Num
          label={t("rungForm.hitsToAStep")}
          value={staircase.makesToStep}
          must={must("doses.staircase.makesToStep")}
          onChange={(makesToStep) => dose({ staircase: { ...staircase, makesToStep } })}
        />
        <Num
          label={t("rungForm.aStepIs")}
          unit={t("rungForm.m")}
          step={0.1}
          value={staircase.stepM}
          must={must("doses.staircase.stepM")}
          onChange={(stepM) => dose({ staircase: { ...staircase, stepM } })}
        />
        <Num
          label={t("rungForm.atMost")}
          unit={t("rungForm.s")}
          step={10}
          value={staircase.limitSec}
          must={must("doses.staircase.limitSec")}
          onChange={(limitSec) => dose({ staircase: { ...staircase, limitSec } })}
        />
        <Pick
          label={t("rungForm.afterAMiss")}
          value={staircase.onMiss}
          words={onMiss}
          onChange={(m) => dose({ staircase: { ...staircase, onMiss: m } })}
        />
      </p>
    </>
  );
}
