import type { CircuitPlan } from "../../api/types";
import { Choice } from "../../ui/choice";
import { texts } from "../../words/texts";
import type { EditorProps } from "./block-editor";

const t = texts("plan");

const STEP = 5;

/** How long is rested at this station between its rounds; it works so much shorter. */
export function StationRest({ block, circuit, onEdit }: EditorProps & { circuit: CircuitPlan }) {
  const rest = circuit.stations.find((s) => s.blockId === block.id)?.rest;
  if (!rest) return null;
  const { sec, leastSec, mostSec } = rest;
  if (leastSec === mostSec) return <span className="text-soft">{t("stationRest.fixed", { sec })}</span>;
  const choices = Array.from({ length: Math.floor((mostSec - leastSec) / STEP) + 1 }, (_, i) => leastSec + i * STEP);
  if (!choices.includes(sec)) choices.push(sec);
  return (
    <Choice
      label={t("stationRest.label")}
      value={String(sec)}
      options={choices
        .sort((a, b) => a - b)
        .map((s) => ({
          value: String(s),
          text: t(s === leastSec ? "stationRest.asAll" : "stationRest.own", { sec: s }),
        }))}
      onChange={(v) =>
        onEdit({ type: "SET_STATION_REST", circuitId: circuit.id, blockId: block.id, restSec: Number(v) })
      }
    />
  );
}
