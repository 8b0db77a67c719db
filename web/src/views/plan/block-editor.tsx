import { ArrowDown, ArrowUp, Copy, Trash2 } from "lucide-react";
import type { Block, BlockPlan, CircuitPlan, Edit, Ladder, Rung } from "../../api/types";
import { useChosenClass } from "../../chosen-class";
import { Choice } from "../../ui/choice";
import { NumberField } from "../../ui/fields";
import { Term } from "../../ui/term";
import { doseSchool, gate, pacing, turnsOf, wavesOf } from "../../words";
import { texts } from "../../words/texts";
import { DoseNumbers, SideChoice } from "./block-dose";
import { BlockMore } from "./block-more";
import { Fold } from "./fold";
import { InsteadOf } from "./instead-of";
import { SplitFor } from "./split-for";
import { StationRest } from "./station-rest";

const t = texts("plan");

export type EditorProps = {
  block: Block;
  blocks: Block[];
  ladder: Ladder;
  rung: Rung;
  plan: BlockPlan | undefined;
  catalogue: Ladder[];
  onOffer: Ladder[];
  /** whether it is a station: rounds and rest are its circuit's */
  station: boolean;
  /** of which it is a station, worked out */
  circuit?: CircuitPlan | undefined;
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
  const { block, ladder, rung, plan, station, readOnly, who } = props;
  // With the figures of this block.
  const words = plan?.words ?? rung;
  const expected = plan ? pacing(block, plan, who.length) : "";
  return (
    <fieldset disabled={readOnly} className="min-w-0 space-y-3 pr-3 pb-4 pl-4 sm:pl-12">
      <legend className="sr-only">{t("dose.of", { task: ladder.name })}</legend>
      <WhatIsDone {...props} />
      <DoseLine {...props} />
      {plan && plan.onRungs.length > 0 && <OnRungs plan={plan} ladder={ladder} />}
      {expected && <p className="border-l-4 border-rule pl-3 text-[0.95rem]">{expected}</p>}
      {plan && <Turns {...props} plan={plan} />}
      <p className="text-[0.95rem] text-soft">
        <Term of="gate" />{" "}
        {t("dose.opens", {
          gate: gate({ ...rung, gate: plan?.gate ?? rung.gate }),
          easier: words.easier,
          harder: words.harder,
        })}
      </p>
      <div className="space-y-1.5 border-y border-rule py-2 text-[0.95rem]">
        {!station && <RestFold {...props} />}
        <AroundFold {...props} />
        <BlockMore {...props} />
      </div>
      <div className="flex flex-wrap gap-2">
        <MoveButtons {...props} />
        <InsteadOf {...props} />
        {!station && <SplitFor {...props} />}
      </div>
    </fieldset>
  );
}

/** The task with the figures of this block, what each set does, and in which order. */
function WhatIsDone(props: Props) {
  const { rung, plan } = props;
  const words = plan?.words ?? rung;
  return (
    <>
      <p>
        {words.task} <span className="text-soft">{t("dose.counts", { what: words.counts })}</span>
      </p>
      {plan && plan.onSets.length > 0 && (
        <ol className="text-[0.95rem]" data-testid="on-sets">
          {plan.onSets.slice(1).map((s) => (
            <li key={s.set}>{t("dose.ofSet", { set: s.set, name: s.words.name, task: s.words.task })}</li>
          ))}
        </ol>
      )}
      {plan && plan.steps.length > 0 && (
        <p className="text-[0.95rem]">
          <span className="text-soft">{t("dose.inThisOrder")} </span>
          {plan.steps.join(" → ")}
        </p>
      )}
    </>
  );
}

/** On which rung, for whom, how much. */
function DoseLine(props: Props) {
  const { block, ladder, rung, station, onChange, onEdit } = props;
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-2.5">
      <Term of="rung">{t("dose.on")}</Term>
      <Choice
        label={t("dose.rung")}
        value={rung.id}
        options={ladder.rungs.map((r, i) => ({ value: r.id, text: `${i + 1} ${r.name}` }))}
        onChange={(rungId) => onEdit({ type: "CHOOSE_RUNG", blockId: block.id, rungId })}
      />
      <Choice
        label={t("dose.who")}
        value={block.rungBy}
        options={[
          { value: "ONE", text: t("dose.whoIsOn.ONE") },
          { value: "OWN", text: t("dose.whoIsOn.OWN") },
          { value: "CHOOSE", text: t("dose.whoIsOn.CHOOSE") },
        ]}
        onChange={(rungBy) => onChange({ ...block, rungBy }, "rungBy")}
      />
      <Term of="dose" />
      <Choice
        label={t("dose.school")}
        value={block.dose.type}
        options={(["CLOCK", "COUNT", "GATE", "STAIRCASE", "SELF_PACED"] as const).map((value) => ({
          value,
          text: doseSchool[value],
        }))}
        onChange={(school) => onEdit({ type: "CHOOSE_DOSE", blockId: block.id, school })}
      />
      <DoseNumbers {...props} />
      {props.circuit && <StationRest {...props} circuit={props.circuit} />}
      {!station && <BlockNumber {...props} field="sets" label={t("dose.sets")} step={1} />}
      {!station && <span>{t("dose.setsAfter", { n: block.sets })}</span>}
      <SideChoice {...props} />
    </div>
  );
}

/** How long is rested, and whether waiting is rest. */
function RestFold(props: Props) {
  const { block, plan, must, onChange } = props;
  return (
    <Fold name={t("fold.rest")} values={restTold(block, plan)} open={!!must("restSec")}>
      <div className="flex flex-wrap items-center gap-x-2 gap-y-2.5">
        <Choice
          label={t("dose.rest")}
          value={block.rest}
          options={[
            { value: "FIXED", text: t("dose.restIs.FIXED") },
            { value: "AS_NEEDED", text: t("dose.restIs.AS_NEEDED") },
            { value: "NONE", text: t("dose.restIs.NONE") },
          ]}
          onChange={(rest) => onChange({ ...block, rest }, "rest kind")}
        />
        {block.rest !== "NONE" && <BlockNumber {...props} field="restSec" label={t("dose.rest")} unit={t("sec")} />}
        {plan && plan.turns > 1 && block.rest !== "NONE" && (
          <Choice
            label={t("dose.waiting")}
            value={block.waitIsRest ? "yes" : "no"}
            options={[
              { value: "yes", text: t("dose.waitingIs.rest") },
              { value: "no", text: t("dose.waitingIs.noRest") },
            ]}
            onChange={(v) => onChange({ ...block, waitIsRest: v === "yes" }, "waitIsRest")}
          />
        )}
      </div>
    </Fold>
  );
}

/** What is between the rounds: setting up, telling, counting in, changing. */
function AroundFold(props: Props) {
  const { block, plan, must, onEdit } = props;
  return (
    <Fold
      name={t("fold.around")}
      values={t("fold.aroundIs", {
        setUp: block.setupSec,
        explain: block.explainSec,
        cue: t(`fold.cue.${block.cue}`),
        countIn: block.countInSec,
      })}
      open={AROUND.some((field) => !!must(field))}
    >
      <div className="flex flex-wrap items-center gap-x-2 gap-y-2.5 text-[0.95rem]">
        <span>{t("around.setUp")}</span>
        <BlockNumber {...props} field="setupSec" label={t("around.setUp")} unit={t("sec")} step={5} tail="," />
        <Choice
          label={t("around.cue")}
          value={block.cue}
          options={[
            { value: "FIRST", text: t("around.cueIs.FIRST") },
            { value: "AFTER_A_TRY", text: t("around.cueIs.AFTER_A_TRY") },
          ]}
          onChange={(cue) => onEdit({ type: "GIVE_CUE", blockId: block.id, cue })}
        />
        <BlockNumber {...props} field="explainSec" label={t("around.explain")} unit={t("sec")} step={5} tail="," />
        <span>{t("around.countInBefore")}</span>
        <BlockNumber
          {...props}
          field="countInSec"
          label={t("around.countIn")}
          unit={t("sec")}
          step={1}
          tail={plan && (plan.sides > 1 || plan.turns > 1) ? "," : undefined}
        />
        {plan && plan.sides > 1 && (
          <>
            <span>{t("around.changeSidesBefore")}</span>
            <BlockNumber
              {...props}
              field="sideSwapSec"
              label={t("around.changeSides")}
              unit={t("sec")}
              step={5}
              tail={plan.turns > 1 ? "," : undefined}
            />
          </>
        )}
        {plan && plan.turns > 1 && (
          <>
            <span>{t("around.changePlacesBefore")}</span>
            <BlockNumber {...props} field="turnSwapSec" label={t("around.changePlaces")} unit={t("sec")} />
          </>
        )}
      </div>
    </Fold>
  );
}

/** A number of the block, changed in place. */
function BlockNumber({
  block,
  must,
  onChange,
  field,
  label,
  unit,
  step = 5,
  tail,
}: Pick<Props, "block" | "must" | "onChange"> & {
  field: NumericField;
  label: string;
  unit?: string;
  step?: number;
  tail?: string | undefined;
}) {
  return (
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
}

export function MoveButtons({ readOnly, onUp, onDown, onCopy, onRemove }: Movers) {
  if (readOnly) return null;
  return (
    <div className="flex flex-wrap gap-2">
      <button type="button" className="btn btn-small" onClick={onUp} disabled={!onUp}>
        <ArrowUp size={16} aria-hidden /> {t("order.earlier")}
      </button>
      <button type="button" className="btn btn-small" onClick={onDown} disabled={!onDown}>
        <ArrowDown size={16} aria-hidden /> {t("order.later")}
      </button>
      <button type="button" className="btn btn-small" onClick={onCopy}>
        <Copy size={16} aria-hidden /> {t("order.copy")}
      </button>
      <button type="button" className="btn btn-small" onClick={onRemove}>
        <Trash2 size={16} aria-hidden /> {t("order.remove")}
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
      {plan.elsewhere.length > 0 && (
        <li className="mt-1 text-soft" data-testid="elsewhere">
          {t("elsewhere.title")}{" "}
          {plan.elsewhere
            .map((e) =>
              t("elsewhere.one", {
                name: e.name,
                stands: ladder.rungs.find((r) => r.id === e.standsOn)?.name ?? e.standsOn,
                why: t(`elsewhere.why.${e.why}`),
              }),
            )
            .join("; ")}
          .
        </li>
      )}
    </ul>
  );
}

const AROUND = ["setupSec", "explainSec", "countInSec", "sideSwapSec", "turnSwapSec"] as const;

/** The rest as it is now. */
function restTold(block: Block, plan: BlockPlan | undefined): string {
  if (block.rest === "NONE") return t("dose.restIs.NONE");
  const told = t("fold.restIs", { rest: t(`dose.restIs.${block.rest}`), sec: block.restSec });
  return plan && plan.turns > 1
    ? `${told}, ${t(block.waitIsRest ? "dose.waitingIs.rest" : "dose.waitingIs.noRest")}`
    : told;
}

type NumericField = "sets" | "restSec" | "setupSec" | "explainSec" | "countInSec" | "sideSwapSec" | "turnSwapSec";

const NOTHING = "-";

/** Waves and parts as they were worked out; while some wait, what they do meanwhile. */
function Turns({ block, plan, catalogue, onOffer, onChange, onEdit }: Props & { plan: BlockPlan }) {
  const given = catalogue.find((l) => l.id === block.meanwhile?.ladderId);
  const quiet = onOffer.filter((l) => l.meanwhile);
  if (given && !quiet.includes(given)) quiet.push(given);
  const { all } = useChosenClass();
  const only = all.flatMap((c) => c.pupils).filter((p) => block.onlyPupilIds.includes(p.id));
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-2">
      {only.length > 0 && (
        <span className="basis-full">
          {t("turns.onlyFor")} <strong>{only.map((p) => p.name).join(", ")}</strong>{" "}
          <button
            type="button"
            className="underline"
            onClick={() => onChange({ ...block, onlyPupilIds: [] }, "onlyPupilIds")}
          >
            {t("turns.forEveryone")}
          </button>
        </span>
      )}
      <span>
        {plan.waves > 1 ? (
          <Term of="wave">
            <strong>{wavesOf(plan)}</strong>
          </Term>
        ) : (
          <strong>{wavesOf(plan)}</strong>
        )}
        {turnsOf(plan) && (
          <>
            {" = "}
            <Term of="turn">
              <strong>{turnsOf(plan)}</strong>
            </Term>
          </>
        )}
        {plan.waves > 1 && ` ${only.length > 0 ? t("turns.goForThem") : t("turns.goForEveryone")}`}
        {plan.waiting > 0 && t("turns.waiting", { n: plan.waiting })}
      </span>
      {plan.waiting > 0 && (
        <Choice
          label={t("turns.quiet")}
          value={block.meanwhile ? `${block.meanwhile.ladderId}/${block.meanwhile.rungId}` : NOTHING}
          options={[
            { value: NOTHING, text: t("turns.nothing") },
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
      {plan.perSpot > 1 && (
        <Choice
          label={t("turns.roles")}
          value={block.roleTurns}
          options={[
            { value: "EVERYONE_WORKS", text: t("turns.rolesUntil.EVERYONE_WORKS") },
            { value: "EVERY_ROLE", text: t("turns.rolesUntil.EVERY_ROLE") },
          ]}
          onChange={(roleTurns) => onChange({ ...block, roleTurns }, "roleTurns")}
        />
      )}
      {plan.perSpot > 1 && (
        <Choice
          label={t("turns.together")}
          value={block.together}
          options={(["IN_ORDER", "LIKE_WITH_LIKE", "MIXED"] as const).map((how) => ({
            value: how,
            text: t(`turns.togetherBy.${how}`),
          }))}
          onChange={(together) => onChange({ ...block, together }, "together")}
        />
      )}
    </div>
  );
}
