import { ArrowDown, ArrowUp, LayoutGrid, Unlink, Users } from "lucide-react";
import { useState } from "react";
import type { Circuit, CircuitPlan, Edit, LessonView } from "../../api/types";
import { NumberField } from "../../ui/fields";
import { Term } from "../../ui/term";
import { clock, percent } from "../../words";
import { texts } from "../../words/texts";
import { CircuitGroups } from "./circuit-groups";
import { useLayBetter } from "./lay-better";

const t = texts("plan");

const FIGURES = [
  ["rounds", 1],
  ["workSec", 5],
  ["restSec", 5],
  ["changeSec", 5],
] as const;

/** What all stations of a circuit have in common: its rounds, its groups, its time; the stations follow as rows of their own. */
export function CircuitHead({
  circuit,
  plan,
  who,
  must,
  readOnly,
  onChange,
  onEdit,
  onUp,
  onDown,
}: {
  circuit: Circuit;
  plan: CircuitPlan | undefined;
  who: LessonView["who"];
  must: (field: string) => string | undefined;
  readOnly: boolean;
  /** What is typed as it stands. */
  onChange: (circuit: Circuit, step: string) => void;
  /** What the core has a rule for. */
  onEdit: (edits: Edit[], step: string) => void;
  onUp?: () => void;
  onDown?: () => void;
}) {
  const [grouping, setGrouping] = useState(false);
  const better = useLayBetter(circuit, plan?.quietApart ?? true, (laid) => onChange(laid, `lay better ${Date.now()}`));
  const best = plan && plan.share >= plan.most - 1e-9;
  const n = circuit.stationIds.length;
  const sizes = plan?.groups.map((g) => g.names.length) ?? [];
  return (
    <li className="border-b border-l-8 border-b-rule border-l-ink bg-sheet py-2 pr-2 pl-3">
      <div className="flex items-baseline gap-3">
        <p className="flex-1 font-head text-[1.07rem] font-bold">
          <Term of="circuit">{t("circuit.title", { n })}</Term>
        </p>
        <span className="clock text-lg">{plan ? clock(plan.endSec - plan.startSec) : "–:––"}</span>
      </div>
      <fieldset disabled={readOnly} className="mt-1 flex flex-wrap items-center gap-x-3 gap-y-2">
        <legend className="sr-only">{t("circuit.title", { n })}</legend>
        {FIGURES.map(([field, step]) => (
          <NumberField
            key={field}
            label={t(`circuit.figure.${field}`)}
            unit={t(`circuit.unit.${field}`)}
            step={step}
            value={circuit[field]}
            must={must(field)}
            onChange={(v) => onChange({ ...circuit, [field]: v as number }, field)}
          />
        ))}
      </fieldset>
      {plan && (
        <p className="mt-1 text-[0.95rem] text-soft">
          {t("circuit.about", { groups: n, sizes: spread(sizes) })}{" "}
          {t("circuit.working", { share: percent(plan.share) })} {plan.quietApart ? "" : t("circuit.nearLoud")}{" "}
          {best ? t("circuit.best") : !better.proven && t("circuit.atMost", { share: percent(plan.most) })}{" "}
          {plan.timeToDrink && t("circuit.drink")} <span role="status">{better.said}</span>
        </p>
      )}
      {!readOnly && (
        <p className="mt-2 flex flex-wrap gap-2">
          <button type="button" className="btn btn-small" onClick={() => setGrouping(true)}>
            <Users size={16} aria-hidden /> {t("circuit.groups")}
          </button>
          {plan && (!(best || better.proven) || !plan.quietApart) && better.press && (
            <button type="button" className="btn btn-small" onClick={better.press} disabled={better.looking}>
              <LayoutGrid size={16} aria-hidden /> {t("circuit.lookFurther")}
            </button>
          )}
          {circuit.places.length > 0 && (
            <button
              type="button"
              className="btn btn-small"
              onClick={() =>
                onEdit([{ type: "LAY_OUT", circuitId: circuit.id }], `lay out ${circuit.id} ${Date.now()}`)
              }
            >
              {t("circuit.layOut")}
            </button>
          )}
          <button
            type="button"
            className="btn btn-small"
            onClick={() => onEdit([{ type: "TAKE_APART", circuitId: circuit.id }], `apart ${circuit.id}`)}
          >
            <Unlink size={16} aria-hidden /> {t("circuit.apart")}
          </button>
          <button type="button" className="btn btn-small" onClick={onUp} disabled={!onUp}>
            <ArrowUp size={16} aria-hidden /> {t("order.earlier")}
          </button>
          <button type="button" className="btn btn-small" onClick={onDown} disabled={!onDown}>
            <ArrowDown size={16} aria-hidden /> {t("order.later")}
          </button>
        </p>
      )}
      <CircuitGroups
        open={grouping}
        onOpenChange={setGrouping}
        plan={plan}
        who={who}
        onBy={(mode) =>
          onEdit([{ type: "GROUP_BY", circuitId: circuit.id, mode }], `groups ${circuit.id} ${Date.now()}`)
        }
        onGroups={(groups) =>
          onEdit([{ type: "SET_GROUPS", circuitId: circuit.id, groups }], `groups ${circuit.id} ${Date.now()}`)
        }
      />
    </li>
  );
}

/** "6", or "5 and 6". */
function spread(sizes: number[]): string {
  return [...new Set(sizes)].sort((a, b) => a - b).join(" and ");
}
