import { useState } from "react";
import type { Block } from "../../api/types";
import { Choice } from "../../ui/choice";
import { NumberField } from "../../ui/fields";
import { side } from "../../words";
import { texts } from "../../words/texts";
import { sideOrder } from "../../words-findings";
import type { EditorProps } from "./block-editor";

const t = texts("plan");

/** The figures of the dose, by its school. */
export function DoseNumbers({ block, rung, plan, must, onChange }: EditorProps) {
  const { dose } = block;
  const number = (
    field: "workSec" | "reps" | "secPerRep" | "limitSec" | "makesToStep" | "stepM",
    label: string,
    unit: string | undefined,
    step: number,
    tail?: string,
  ) => (
    <NumberField
      label={label}
      unit={unit}
      tail={tail}
      step={step}
      value={(dose as Partial<Record<typeof field, number>>)[field] ?? null}
      must={must(`dose.${field}`)}
      onChange={(v) => onChange({ ...block, dose: { ...dose, [field]: v } as Block["dose"] }, field)}
    />
  );
  switch (dose.type) {
    case "CLOCK":
      return number("workSec", t("dose.work"), t("sec"), 5, ",");
    case "COUNT":
      return (
        <>
          {number("reps", t("dose.count"), undefined, 1)}
          <OrFewer
            value={dose.orReps}
            must={must("dose.orReps")}
            onChange={(orReps) => onChange({ ...block, dose: { ...dose, orReps } }, "orReps")}
          />
          <span>{t("dose.unitAt", { unit: rung.unit })}</span>
          {number("secPerRep", t("dose.pace"), t("dose.secEach"), 0.1)}
          {plan && <span>{t("dose.inAll", { sec: plan.workSec })}</span>}
        </>
      );
    case "GATE":
    case "SELF_PACED":
      return number("limitSec", t("dose.limit"), t("dose.secAtMost"), 5, ",");
    case "STAIRCASE":
      return (
        <>
          {number("makesToStep", t("stairs.hits"), undefined, 1)}
          <span>{t("stairs.hitsThen", { n: dose.makesToStep })}</span>
          {number("stepM", t("stairs.step"), t("stairs.metresBack"), 0.1)}
          <Choice
            label={t("stairs.miss")}
            value={dose.onMiss}
            options={[
              { value: "STAY", text: t("stairs.missIs.STAY") },
              { value: "STEP_IN", text: t("stairs.missIs.STEP_IN") },
              { value: "RESTART", text: t("stairs.missIs.RESTART") },
            ]}
            onChange={(onMiss) => onChange({ ...block, dose: { ...dose, onMiss } }, "onMiss")}
          />
          <span>{t("stairs.for")}</span>
          {number("limitSec", t("dose.limit"), t("dose.secAtMost"), 5, ",")}
        </>
      );
  }
}

/** Counts that each may choose instead, as they are typed: "20, 30". */
function OrFewer({
  value,
  must,
  onChange,
}: {
  value: number[];
  must: string | undefined;
  onChange: (counts: number[]) => void;
}) {
  const [text, setText] = useState(value.join(", "));
  return (
    <input
      className="field w-44"
      aria-label={t("dose.orFewer")}
      aria-invalid={!!must}
      placeholder={t("dose.orFewerWhat")}
      inputMode="text"
      value={text}
      onChange={(e) => {
        setText(e.target.value);
        onChange(
          e.target.value
            .split(/[\s,;]+/)
            .filter(Boolean)
            .map(Number),
        );
      }}
    />
  );
}

/** Which sides, and in what order. */
export function SideChoice({ block, rung, onChange }: EditorProps) {
  if (rung.sides !== "BOTH" && rung.sides !== "BOTH_DIRECTIONS")
    return (
      <span className="text-soft">
        {rung.sides === "STRONG_ONLY" ? t("sides.strongOnly") : rung.sides === "OWN_JOBS" ? t("sides.ownJobs") : ""}
      </span>
    );
  const [first, second] =
    rung.sides === "BOTH" ? ([side.RIGHT, side.LEFT] as const) : ([side.CLOCKWISE, side.COUNTER_CLOCKWISE] as const);
  return (
    <>
      <Choice
        label={t("sides.which")}
        value={block.sides}
        options={[
          { value: "EACH", text: t("sides.both", { first, second }) },
          { value: "FIRST_ONLY", text: t("sides.only", { side: first }) },
          { value: "SECOND_ONLY", text: t("sides.only", { side: second }) },
        ]}
        onChange={(sides) => onChange({ ...block, sides }, "sides")}
      />
      {block.sides === "EACH" && (
        <Choice
          label={t("sides.order")}
          value={block.sideOrder}
          options={(["ONE_THEN_OTHER", "ALTERNATING", "OUT_AND_BACK", "CALLED"] as const).map((value) => ({
            value,
            text: sideOrder[value],
          }))}
          onChange={(next) => onChange({ ...block, sideOrder: next }, "sideOrder")}
        />
      )}
    </>
  );
}
