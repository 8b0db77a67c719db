import type { Block, Gate, Measure } from "../../api/types";
import { Choice } from "../../ui/choice";
import { NumberField } from "../../ui/fields";
import { metres } from "../../words";
import { texts } from "../../words/texts";
import { measure as measureWord } from "../../words-ladders";
import { viewOf } from "../run/measures";
import type { EditorProps } from "./block-editor";
import { Row } from "./block-row";

const t = texts("plan");

/** What a block asks otherwise than its rung: the measure and its figures, the gate, the distance, the target, a rung for each set. */
export function BlockScoring(props: EditorProps) {
  return (
    <>
      <ScoredBy {...props} />
      <OwnGate {...props} />
      <Stand {...props} />
      <RungsOfSets {...props} />
    </>
  );
}

/** How many goes there are, and how it is stepped back, are the dose's. */
const WITH_THE_DOSE: Measure["type"][] = ["HITS_OF_N", "FURTHEST", "NO_BALLS"];

function ScoredBy({ block, rung, plan, must, onChange, onEdit }: EditorProps) {
  const now = block.measure ?? rung.measure;
  const { Form } = viewOf(now);
  const figures = Form && !WITH_THE_DOSE.includes(now.type);
  if (rung.ways.length < 2 && !figures) return null;
  const set = (measure: Measure | null) => onEdit({ type: "SET_MEASURE", blockId: block.id, measure });
  return (
    <Row label={t("measure.label")}>
      {rung.ways.length > 1 && (
        <Choice
          label={t("measure.label")}
          value={now.type}
          options={rung.ways.map((value) => ({ value, text: measureWord[value] }))}
          onChange={(type) => set(type === rung.measure.type ? null : viewOf({ type } as Measure).blank)}
        />
      )}
      {figures && (
        <Form
          measure={now}
          must={(field) => must(field.replace("scoring.", "measure."))}
          onChange={(measure) => onChange({ ...block, measure }, "measure")}
        />
      )}
      {plan?.course && (
        <span>{t("measure.course", { length: metres(plan.course.lengthM), sec: plan.course.fairSec })}</span>
      )}
      {block.measure && (
        <button type="button" className="underline" onClick={() => set(null)}>
          {t("usual.rung")}
        </button>
      )}
    </Row>
  );
}

function OwnGate({ block, rung, plan, must, onChange }: EditorProps) {
  const gate = block.gate ?? plan?.gate ?? rung.gate;
  const kinds = plan?.gates ?? [gate];
  const set = (next: Gate) => onChange({ ...block, gate: next }, "gate");
  return (
    <Row label={t("gate.label")}>
      {kinds.length > 1 && (
        <Choice
          label={t("gate.kind")}
          value={gate.type}
          options={kinds.map((g) => ({ value: g.type, text: t(`gate.kinds.${g.type}`) }))}
          onChange={(type) => set(kinds.find((g) => g.type === type) ?? gate)}
        />
      )}
      <NumberField
        label={t("gate.label")}
        unit={gate.type === "SO_MANY_OF" || gate.type === "SO_MANY_IN" ? undefined : gateUnit(gate, rung.unit)}
        value={gate.reach}
        must={must("gate.reach")}
        onChange={(reach) => set({ ...gate, reach: reach as number })}
      />
      {gate.type === "SO_MANY_OF" && (
        <>
          <span>{t("gate.of")}</span>
          <NumberField
            label={t("gate.outOf")}
            unit={rung.unit}
            value={gate.of}
            must={must("gate.of")}
            onChange={(of) => set({ ...gate, of: of as number })}
          />
        </>
      )}
      {gate.type === "SO_MANY_IN" && (
        <>
          <span>{t("gate.in", { unit: rung.unit })}</span>
          <NumberField
            label={t("gate.seconds")}
            unit={t("sec")}
            step={5}
            value={gate.inSec}
            must={must("gate.inSec")}
            onChange={(inSec) => set({ ...gate, inSec: inSec as number })}
          />
        </>
      )}
      {rung.sides === "BOTH" && <span className="text-soft">{t("gate.eachHand")}</span>}
      {rung.sides === "BOTH_DIRECTIONS" && <span className="text-soft">{t("gate.eachWay")}</span>}
      {block.gate && (
        <button type="button" className="underline" onClick={() => onChange({ ...block, gate: null }, "gate off")}>
          {t("gate.usual")}
        </button>
      )}
    </Row>
  );
}

/** What stands after the number of a gate. */
function gateUnit(gate: Gate, unit: string): string {
  return gate.type === "IN_A_ROW" ? t("gate.inARow", { unit }) : unit;
}

function Stand({ block, rung, plan, must, onChange }: EditorProps) {
  const stairs = plan?.stairs ?? null;
  const standM = block.standM ?? stairs?.startM ?? plan?.standM ?? rung.standM;
  const shoeM = stairs?.unit === "SHOE" && stairs.stepM > 0 ? stairs.stepM : null;
  const target = (text: string): Partial<Block> => ({ target: text === "" ? null : text });
  return (
    <Row label={t("stand.label")}>
      {standM !== null && shoeM !== null && (
        <NumberField
          label={t("stand.begins")}
          unit={t("stand.shoes")}
          value={Math.round(standM / shoeM)}
          must={must("standM")}
          onChange={(n) =>
            onChange({ ...block, standM: n === null ? null : Math.round(100 * n * shoeM) / 100 }, "standM")
          }
        />
      )}
      {standM !== null && shoeM === null && (
        <NumberField
          label={t(stairs ? "stand.begins" : "stand.distance")}
          unit={t("stand.metres")}
          step={0.5}
          value={standM}
          must={must("standM")}
          onChange={(m) => onChange({ ...block, standM: m }, "standM")}
        />
      )}
      <input
        className="field w-56"
        aria-label={t("stand.target")}
        placeholder={t("stand.anotherTarget")}
        aria-invalid={!!must("target")}
        maxLength={60}
        value={block.target ?? ""}
        onChange={(e) => onChange({ ...block, ...target(e.target.value) }, "target")}
      />
      {(block.standM !== null || block.target !== null) && (
        <button
          type="button"
          className="underline"
          onClick={() => onChange({ ...block, standM: null, target: null }, "stand off")}
        >
          {t("usual.rung")}
        </button>
      )}
    </Row>
  );
}

/** Each set may be on a rung of its own: five ways over the same markers. */
function RungsOfSets({ block, ladder, plan, rung, onEdit }: EditorProps) {
  if (block.rungBy !== "ONE" || block.sets < 2 || block.sets > MOST_SHOWN) return null;
  const sets = Array.from({ length: block.sets - 1 }, (_, i) => i + 2);
  const on = (set: number) => plan?.onSets.find((s) => s.set === set)?.rungId ?? rung.id;
  return (
    <Row label={t("sets.label")}>
      <span>{t("sets.first", { rung: rung.name })}</span>
      {sets.map((set) => (
        <span key={set} className="inline-flex items-center gap-1.5">
          {set}
          <Choice
            label={t("sets.rungOf", { set })}
            value={on(set)}
            options={ladder.rungs.filter((r) => r.sides === rung.sides).map((r) => ({ value: r.id, text: r.name }))}
            onChange={(rungId) => onEdit({ type: "CHOOSE_RUNG_OF_SET", blockId: block.id, set, rungId })}
          />
        </span>
      ))}
    </Row>
  );
}

const MOST_SHOWN = 12;

/** Whether something here is not as the rung says. */
export function scoredOtherwise(b: Block): boolean {
  return !!(b.gate || b.measure || b.standM || b.target || b.laterRungIds.length);
}
