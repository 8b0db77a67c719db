import type { Gate, MeasureType, Rung } from "../../api/types";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";
import { measures, viewOf } from "../run/measures";
import { type Must, Num, Pick } from "./form-bits";

const t = textsOf("ladders", saidLadders);

const kinds: Record<Gate["type"], string> = {
  REACH: t("gateForm.soManyOrBetter"),
  IN_A_ROW: t("gateForm.soManyInARow"),
  SO_MANY_OF: t("gateForm.soManyOfSoMany"),
  SO_MANY_IN: t("gateForm.soManyInATime"),
};

/** Another measure, with a gate that it may have. */
export function measuredBy(type: MeasureType, rung: Rung): { measure: Rung["measure"]; gate: Gate } {
  const view = measures[type];
  const gate: Gate = view.countsTries ? rung.gate : { type: "REACH", reach: rung.gate.reach };
  return { measure: view.blank, gate };
}

/** What opens the next rung: a measure that counts hits and misses may open by any of four, all others by a reach. */
export function GateForm({ rung, must, onChange }: { rung: Rung; must: Must; onChange: (gate: Gate) => void }) {
  const { gate } = rung;
  const { reach } = gate;
  const all: Record<Gate["type"], Gate> = {
    REACH: { type: "REACH", reach },
    IN_A_ROW: { type: "IN_A_ROW", reach },
    SO_MANY_OF: { type: "SO_MANY_OF", reach, of: Math.max(10, reach) },
    SO_MANY_IN: { type: "SO_MANY_IN", reach, inSec: rung.doses.clock.workSec },
  };
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
      <strong className="pb-2">{t("gateForm.gate")}</strong>
      {viewOf(rung.measure).countsTries && (
        <Pick label={t("gateForm.opensBy")} value={gate.type} words={kinds} onChange={(type) => onChange(all[type])} />
      )}
      <Num
        label={t("gateForm.reach")}
        value={reach}
        must={must("gate.reach") ?? must("gate.inARow") ?? must("gate")}
        onChange={(r) => onChange({ ...gate, reach: r })}
      />
      {gate.type === "SO_MANY_OF" && (
        <Num
          label={t("gateForm.of")}
          value={gate.of}
          must={must("gate.of")}
          onChange={(of) => onChange({ ...gate, of })}
        />
      )}
      {gate.type === "SO_MANY_IN" && (
        <Num
          label={t("gateForm.in")}
          unit={t("gateForm.s")}
          value={gate.inSec}
          must={must("gate.inSec")}
          onChange={(inSec) => onChange({ ...gate, inSec })}
        />
      )}
    </div>
  );
}
