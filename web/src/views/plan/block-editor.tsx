import { ArrowDown, ArrowUp, Copy, Trash2 } from "lucide-react";
import type { Block, BlockPlan, Edit, Ladder, Rung } from "../../api/types";
import { useChosenClass } from "../../chosen-class";
import { Choice } from "../../ui/choice";
import { NumberField } from "../../ui/fields";
import { doseSchool, gate, pacing, side, turns } from "../../words";
import { sideOrder } from "../../words-findings";
import { BlockMore } from "./block-more";

export type EditorProps = {
  block: Block;
  blocks: Block[];
  ladder: Ladder;
  rung: Rung;
  plan: BlockPlan | undefined;
  catalogue: Ladder[];
  onOffer: Ladder[];
  /** Names of the pupils, by id. */
  who: { id: string; name: string }[];
  must: (field: string) => string | undefined;
  readOnly: boolean;
  /** What is typed or ticked as it stands. */
  onChange: (block: Block, step: string) => void;
  /** What the core has a rule for. */
  onEdit: (edit: Edit) => void;
};

type Props = EditorProps & Movers;

export type Movers = {
  onRemove: () => void;
  onCopy: () => void;
  onUp?: () => void;
  onDown?: () => void;
  readOnly: boolean;
};

/** The dose sentence, which is itself the editor. */
export function BlockEditor(props: Props) {
  const { block, ladder, rung, plan, must, readOnly, who, onChange, onEdit } = props;
  const number = (field: NumericField, label: string, unit?: string, step = 5, tail?: string) => (
    <NumberField
      label={label}
      unit={unit}
      tail={tail}
      step={step}
      value={block[field]}
      must={must(field)}
      onChange={(v) => onChange({ ...block, [field]: v as number }, field)}
    />
  );
  // With the figures of this block.
  const words = plan?.words ?? rung;
  const expected = plan ? pacing(block, plan, who.length) : "";
  return (
    <fieldset disabled={readOnly} className="min-w-0 space-y-3 pr-3 pb-4 pl-4 sm:pl-12">
      <legend className="sr-only">Dose of {ladder.name}</legend>
      <p>
        {words.task} <span className="text-soft">Counts: {words.counts}</span>
      </p>
      {plan && plan.steps.length > 0 && (
        <p className="text-[0.95rem]">
          <span className="text-soft">In this order: </span>
          {plan.steps.join(" → ")}
        </p>
      )}
      <div className="flex flex-wrap items-center gap-x-2 gap-y-2.5">
        <span>On</span>
        <Choice
          label="Rung"
          value={rung.id}
          options={ladder.rungs.map((r, i) => ({ value: r.id, text: `${i + 1} ${r.name}` }))}
          onChange={(rungId) => onEdit({ type: "CHOOSE_RUNG", blockId: block.id, rungId })}
        />
        <Choice
          label="Who is on which rung"
          value={block.rungBy}
          options={[
            { value: "ONE", text: "all of them" },
            { value: "OWN", text: "each on their own" },
            { value: "CHOOSE", text: "each as they choose" },
          ]}
          onChange={(rungBy) => onChange({ ...block, rungBy }, "rungBy")}
        />
        <Choice
          label="School of dose"
          value={block.dose.type}
          options={(["CLOCK", "COUNT", "GATE", "STAIRCASE", "SELF_PACED"] as const).map((value) => ({
            value,
            text: doseSchool[value],
          }))}
          onChange={(school) => onEdit({ type: "CHOOSE_DOSE", blockId: block.id, school })}
        />
        <DoseNumbers {...props} />
        {number("sets", "Sets", undefined, 1)}
        <span>{block.sets === 1 ? "set" : "sets"},</span>
        <SideChoice {...props} />
        <Choice
          label="Rest"
          value={block.rest}
          options={[
            { value: "FIXED", text: "rest" },
            { value: "AS_NEEDED", text: "rest as needed, about" },
            { value: "NONE", text: "no rest" },
          ]}
          onChange={(rest) => onChange({ ...block, rest }, "rest kind")}
        />
        {block.rest !== "NONE" && number("restSec", "Rest", "s")}
        {plan && plan.turns > 1 && block.rest !== "NONE" && (
          <Choice
            label="Waiting and rest"
            value={block.waitIsRest ? "yes" : "no"}
            options={[
              { value: "yes", text: "waiting is rest" },
              { value: "no", text: "waiting is no rest" },
            ]}
            onChange={(v) => onChange({ ...block, waitIsRest: v === "yes" }, "waitIsRest")}
          />
        )}
      </div>
      {plan && plan.onRungs.length > 0 && <OnRungs plan={plan} ladder={ladder} />}
      {expected && <p className="border-l-4 border-rule pl-3 text-[0.95rem]">{expected}</p>}
      <div className="flex flex-wrap items-center gap-x-2 gap-y-2.5 text-[0.95rem]">
        <span>Set up</span>
        {number("setupSec", "Set up", "s", 5, ",")}
        <Choice
          label="When the cue is given"
          value={block.cue}
          options={[
            { value: "FIRST", text: "cue first," },
            { value: "AFTER_A_TRY", text: "try first, then the cue and the same round again," },
          ]}
          onChange={(cue) => onEdit({ type: "GIVE_CUE", blockId: block.id, cue })}
        />
        {number("explainSec", "Explain", "s", 5, ",")}
        <span>count in</span>
        {number("countInSec", "Count in", "s", 1, plan && (plan.sides > 1 || plan.turns > 1) ? "," : undefined)}
        {plan && plan.sides > 1 && (
          <>
            <span>change sides</span>
            {number("sideSwapSec", "Change sides", "s", 5, plan.turns > 1 ? "," : undefined)}
          </>
        )}
        {plan && plan.turns > 1 && (
          <>
            <span>change places</span>
            {number("turnSwapSec", "Change places", "s")}
          </>
        )}
      </div>
      {plan && <Turns {...props} plan={plan} />}
      <BlockMore {...props} />
      <p className="text-[0.95rem] text-soft">
        Gate: {gate({ ...rung, gate: plan?.gate ?? rung.gate })}. Easier: {words.easier} Harder: {words.harder}
      </p>
      <MoveButtons {...props} />
    </fieldset>
  );
}

export function MoveButtons({ readOnly, onUp, onDown, onCopy, onRemove }: Movers) {
  if (readOnly) return null;
  return (
    <div className="flex flex-wrap gap-2">
      <button type="button" className="btn btn-small" onClick={onUp} disabled={!onUp}>
        <ArrowUp size={16} aria-hidden /> Earlier
      </button>
      <button type="button" className="btn btn-small" onClick={onDown} disabled={!onDown}>
        <ArrowDown size={16} aria-hidden /> Later
      </button>
      <button type="button" className="btn btn-small" onClick={onCopy}>
        <Copy size={16} aria-hidden /> Copy
      </button>
      <button type="button" className="btn btn-small" onClick={onRemove}>
        <Trash2 size={16} aria-hidden /> Remove
      </button>
    </div>
  );
}

/** Who is on which rung, from where each stands. */
function OnRungs({ plan, ladder }: { plan: BlockPlan; ladder: Ladder }) {
  return (
    <ul className="text-[0.95rem]" data-testid="on-rungs">
      {plan.onRungs.map((on) => {
        const at = ladder.rungs.findIndex((r) => r.id === on.rungId);
        return (
          <li key={on.rungId} className="flex gap-2">
            <strong className="whitespace-nowrap">
              {at + 1} {ladder.rungs[at]?.name}:
            </strong>
            <span>
              {on.names.length} · {on.names.join(", ")}
            </span>
          </li>
        );
      })}
    </ul>
  );
}

type NumericField = "sets" | "restSec" | "setupSec" | "explainSec" | "countInSec" | "sideSwapSec" | "turnSwapSec";

function DoseNumbers({ block, rung, plan, must, onChange }: Props) {
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
      return number("workSec", "Work", "s", 5, ",");
    case "COUNT":
      return (
        <>
          {number("reps", "Count", undefined, 1)}
          <span>{rung.unit} at</span>
          {number("secPerRep", "Pace", "s each", 0.1)}
          {plan && <span>= {plan.workSec} s,</span>}
        </>
      );
    case "GATE":
    case "SELF_PACED":
      return number("limitSec", "No longer than", "s at most", 5, ",");
    case "STAIRCASE":
      return (
        <>
          {number("makesToStep", "Hits for a step", undefined, 1)}
          <span>{dose.makesToStep === 1 ? "hit" : "hits"}, then</span>
          {number("stepM", "Step", "m back; a miss", 0.1)}
          <Choice
            label="What a miss does"
            value={dose.onMiss}
            options={[
              { value: "STAY", text: "stays" },
              { value: "STEP_IN", text: "steps in" },
              { value: "RESTART", text: "starts again" },
            ]}
            onChange={(onMiss) => onChange({ ...block, dose: { ...dose, onMiss } }, "onMiss")}
          />
          <span>for</span>
          {number("limitSec", "No longer than", "s at most", 5, ",")}
        </>
      );
  }
}

function SideChoice({ block, rung, onChange }: Props) {
  if (rung.sides !== "BOTH" && rung.sides !== "BOTH_DIRECTIONS")
    return (
      <span className="text-soft">
        {rung.sides === "STRONG_ONLY" ? "strong hand only," : rung.sides === "OWN_JOBS" ? "each hand its own job," : ""}
      </span>
    );
  const [first, second] =
    rung.sides === "BOTH" ? ([side.RIGHT, side.LEFT] as const) : ([side.CLOCKWISE, side.COUNTER_CLOCKWISE] as const);
  return (
    <>
      <Choice
        label="Sides"
        value={block.sides}
        options={[
          { value: "EACH", text: `${first} and ${second}` },
          { value: "FIRST_ONLY", text: `only ${first}` },
          { value: "SECOND_ONLY", text: `only ${second}` },
        ]}
        onChange={(sides) => onChange({ ...block, sides }, "sides")}
      />
      {block.sides === "EACH" && (
        <Choice
          label="Order of sides"
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

const NOTHING = "-";

/** Waves and parts as they were worked out; while some wait, what they do meanwhile. */
function Turns({ block, plan, ladder, catalogue, onOffer, onChange, onEdit }: Props & { plan: BlockPlan }) {
  const given = catalogue.find((l) => l.id === block.meanwhile?.ladderId);
  const quiet = onOffer.filter((l) => l.meanwhile);
  if (given && !quiet.includes(given)) quiet.push(given);
  const { all } = useChosenClass();
  const only = all.flatMap((c) => c.pupils).filter((p) => block.onlyPupilIds.includes(p.id));
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-2">
      {only.length > 0 && (
        <span className="basis-full">
          Only for <strong>{only.map((p) => p.name).join(", ")}</strong>{" "}
          <button
            type="button"
            className="underline"
            onClick={() => onChange({ ...block, onlyPupilIds: [] }, "onlyPupilIds")}
          >
            For everyone
          </button>
        </span>
      )}
      <span>
        <strong>{turns(plan)}</strong>
        {plan.waves > 1 && ` for ${only.length > 0 ? "them all" : "everyone"} to have a go`}
        {plan.waiting > 0 && `; the ${plan.waiting} who wait:`}
      </span>
      {plan.waiting > 0 && (
        <Choice
          label="Quiet task for those who wait"
          value={block.meanwhile ? `${block.meanwhile.ladderId}/${block.meanwhile.rungId}` : NOTHING}
          options={[
            { value: NOTHING, text: "nothing to do" },
            ...quiet.flatMap((l) =>
              l.rungs.map((r) => ({ value: `${l.id}/${r.id}`, text: `${l.name}: ${r.name}`, group: l.name })),
            ),
          ]}
          onChange={(v) => {
            const [ladderId = "", rungId = ""] = v.split("/");
            onEdit({ type: "SET_MEANWHILE", blockId: block.id, task: v === NOTHING ? null : { ladderId, rungId } });
          }}
        />
      )}
      {ladder.roles.length > 1 && (
        <Choice
          label="Turns of the roles"
          value={block.roleTurns}
          options={[
            { value: "EVERYONE_WORKS", text: "until everyone has worked" },
            { value: "EVERY_ROLE", text: "until everyone had each role" },
          ]}
          onChange={(roleTurns) => onChange({ ...block, roleTurns }, "roleTurns")}
        />
      )}
    </div>
  );
}
