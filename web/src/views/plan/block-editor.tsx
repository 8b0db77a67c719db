import { ArrowDown, ArrowUp, Trash2 } from "lucide-react";
import type { Block, BlockPlan, Ladder, Rung } from "../../api/types";
import { Choice } from "../../ui/choice";
import { NumberField } from "../../ui/fields";
import { gate, modifier, side, turns } from "../../words";
import { byClockDose, byCountDose } from "./new-block";

type Props = {
  block: Block;
  ladder: Ladder;
  rung: Rung;
  plan: BlockPlan | undefined;
  catalogue: Ladder[];
  must: (field: string) => string | undefined;
  readOnly: boolean;
  onChange: (block: Block, step: string) => void;
  onRemove: () => void;
  onUp?: () => void;
  onDown?: () => void;
};

/** The dose sentence, which is itself the editor. */
export function BlockEditor(props: Props) {
  const { block, ladder, rung, plan, must, readOnly, onChange } = props;
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
  const withRung = (rungId: string) => {
    const next = ladder.rungs.find((r) => r.id === rungId);
    if (!next) return;
    const fresh = { ...block, rungId, modifiers: block.modifiers.filter((m) => next.modifiers.includes(m)) };
    // A pace belongs to its rung; the count and the clock were the teacher's choice and stay.
    onChange(
      block.dose.type === "COUNT" ? { ...fresh, dose: { ...block.dose, secPerRep: next.pace.hitSec } } : fresh,
      "rung",
    );
  };
  return (
    <fieldset disabled={readOnly} className="min-w-0 space-y-3 pr-3 pb-4 pl-4 sm:pl-12">
      <legend className="sr-only">Dose of {ladder.name}</legend>
      <p>
        {rung.task} <span className="text-soft">Counts: {rung.counts}</span>
      </p>
      <div className="flex flex-wrap items-center gap-x-2 gap-y-2.5">
        <span>On</span>
        <Choice
          label="Rung"
          value={block.rungId}
          options={ladder.rungs.map((r, i) => ({ value: r.id, text: `${i + 1} ${r.name}` }))}
          onChange={withRung}
        />
        <Choice
          label="School of dose"
          value={block.dose.type}
          options={[
            { value: "CLOCK", text: "by clock" },
            { value: "COUNT", text: "by count" },
          ]}
          onChange={(type) =>
            onChange({ ...block, dose: type === "CLOCK" ? byClockDose(rung) : byCountDose(rung) }, `dose ${type}`)
          }
        />
        <DoseNumbers {...props} />
        {number("sets", "Sets", undefined, 1)}
        <span>{block.sets === 1 ? "set" : "sets"},</span>
        <SideChoice {...props} />
        <span>rest</span>
        {number("restSec", "Rest", "s")}
        <Choice
          label="Waiting and rest"
          value={block.waitIsRest ? "yes" : "no"}
          options={[
            { value: "yes", text: "waiting is rest" },
            { value: "no", text: "waiting is no rest" },
          ]}
          onChange={(v) => onChange({ ...block, waitIsRest: v === "yes" }, "waitIsRest")}
        />
      </div>
      <div className="flex flex-wrap items-center gap-x-2 gap-y-2.5 text-[0.95rem]">
        <span>Set up</span>
        {number("setupSec", "Set up", "s", 5, ",")}
        <span>explain</span>
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
      <label className="flex items-center gap-1.5 text-[0.95rem]">
        <input
          type="checkbox"
          className="size-4 accent-ink"
          checked={block.counted}
          onChange={(e) => onChange({ ...block, counted: e.target.checked }, "counted")}
        />
        Collect the results
      </label>
      {rung.modifiers.length > 0 && (
        <div className="flex flex-wrap items-center gap-x-4 gap-y-1 text-[0.95rem]">
          <span>With</span>
          {rung.modifiers.map((m) => (
            <label key={m} className="flex items-center gap-1.5">
              <input
                type="checkbox"
                className="size-4 accent-ink"
                checked={block.modifiers.includes(m)}
                onChange={(e) =>
                  onChange(
                    {
                      ...block,
                      modifiers: e.target.checked ? [...block.modifiers, m] : block.modifiers.filter((x) => x !== m),
                    },
                    `modifier ${m}`,
                  )
                }
              />
              {modifier[m]}
            </label>
          ))}
        </div>
      )}
      {plan && <Turns {...props} plan={plan} />}
      <p className="text-[0.95rem] text-soft">
        Gate: {gate(rung)}. Easier: {rung.easier} Harder: {rung.harder}
      </p>
      {!readOnly && (
        <div className="flex flex-wrap gap-2">
          <button type="button" className="btn btn-small" onClick={props.onUp} disabled={!props.onUp}>
            <ArrowUp size={16} aria-hidden /> Earlier
          </button>
          <button type="button" className="btn btn-small" onClick={props.onDown} disabled={!props.onDown}>
            <ArrowDown size={16} aria-hidden /> Later
          </button>
          <button type="button" className="btn btn-small" onClick={props.onRemove}>
            <Trash2 size={16} aria-hidden /> Remove
          </button>
        </div>
      )}
    </fieldset>
  );
}

type NumericField = "sets" | "restSec" | "setupSec" | "explainSec" | "countInSec" | "sideSwapSec" | "turnSwapSec";

function DoseNumbers({ block, rung, plan, must, onChange }: Props) {
  const { dose } = block;
  if (dose.type === "CLOCK")
    return (
      <NumberField
        label="Work"
        unit="s"
        tail=","
        step={5}
        value={dose.workSec}
        must={must("dose.workSec")}
        onChange={(workSec) => onChange({ ...block, dose: { ...dose, workSec } }, "workSec")}
      />
    );
  return (
    <>
      <NumberField
        label="Count"
        value={dose.reps}
        must={must("dose.reps")}
        onChange={(reps) => onChange({ ...block, dose: { ...dose, reps } }, "reps")}
      />
      <span>{rung.unit} at</span>
      <NumberField
        label="Pace"
        unit="s each"
        step={0.1}
        value={dose.secPerRep}
        must={must("dose.secPerRep")}
        onChange={(secPerRep) => onChange({ ...block, dose: { ...dose, secPerRep } }, "secPerRep")}
      />
      {plan && <span>= {plan.workSec} s,</span>}
    </>
  );
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
  );
}

const NOTHING = "-";

/** Waves and parts as they were worked out; while some wait, what they do meanwhile. */
function Turns({ block, plan, catalogue, onChange }: Props & { plan: BlockPlan }) {
  const quiet = catalogue.filter((l) => l.noise === "QUIET" && !l.footprint.needsWall && l.roles.length === 1);
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-2">
      <span>
        <strong>{turns(plan)}</strong>
        {plan.waves > 1 && ` for everyone to have a go; the ${plan.waiting} who wait:`}
      </span>
      {plan.waves > 1 && (
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
            onChange({ ...block, meanwhile: v === NOTHING ? null : { ladderId, rungId } }, "meanwhile");
          }}
        />
      )}
    </div>
  );
}
