import type { Block, BlockPlan } from "../../api/types";
import { NumberField } from "../../ui/fields";
import { timeAbout } from "../../words";
import { texts } from "../../words/texts";
import { MoveButtons, type Movers } from "./block-editor";
import { RoutineEditor } from "./routine-editor";

const t = texts("plan");

/** Time for something else than a task: how long, and in one's own words what for. */
export function TimeEditor({
  block,
  plan,
  must,
  onChange,
  ...movers
}: {
  block: Block;
  plan: BlockPlan | undefined;
  must: (field: string) => string | undefined;
  onChange: (block: Block, step: string) => void;
} & Movers) {
  if (block.kind === "TASK") return null;
  if (block.routine)
    return (
      <RoutineEditor block={block} routine={block.routine} plan={plan} must={must} onChange={onChange} {...movers} />
    );
  return (
    <fieldset disabled={movers.readOnly} className="min-w-0 space-y-3 pr-3 pb-4 pl-4 sm:pl-12">
      <p>{timeAbout[block.kind]}</p>
      <div className="flex flex-wrap items-center gap-2">
        <NumberField
          label={t("time.label")}
          unit={t("sec")}
          step={5}
          value={block.dose.type === "CLOCK" ? block.dose.workSec : null}
          must={must("dose.workSec")}
          onChange={(workSec) => onChange({ ...block, dose: { type: "CLOCK", workSec: workSec as number } }, "workSec")}
        />
        <input
          className="field min-w-56 flex-1"
          aria-label={t("time.words")}
          placeholder={t("time.words")}
          maxLength={200}
          value={block.note ?? ""}
          onChange={(e) => onChange({ ...block, note: e.target.value || null }, "note")}
        />
      </div>
      <MoveButtons {...movers} />
    </fieldset>
  );
}
