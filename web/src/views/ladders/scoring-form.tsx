import { useState } from "react";
import type { Rung } from "../../api/types";
import { Labelled } from "../../ui/fields";
import { type Must, Num, Pick } from "./form-bits";

type Scoring = Rung["scoring"];

/** What the measure needs to be scored, and what is called; only what this measure uses is asked. */
export function ScoringForm({
  rung,
  must,
  onChange,
}: {
  rung: Rung;
  must: Must;
  onChange: (scoring: Scoring) => void;
}) {
  const { scoring, measure } = rung;
  const set = (change: Partial<Scoring>) => onChange({ ...scoring, ...change });
  const num = (field: "n" | "spots" | "balls" | "callEverySec", label: string, unit?: string) => (
    <Num
      label={label}
      unit={unit}
      value={scoring[field]}
      must={must(`scoring.${field}`)}
      onChange={(v) => set({ [field]: v })}
    />
  );
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
      <strong className="pb-2">Scored with</strong>
      {measure === "RINGS" && (
        <Listed
          label="Rings from the middle out, cm = points"
          value={scoring.rings?.map((r) => `${r.radiusCm}=${r.points}`) ?? []}
          must={must("scoring.rings")}
          onChange={(parts) =>
            set({
              rings: parts.length === 0 ? null : parts.map((p) => ring(p)),
            })
          }
        />
      )}
      {measure === "TIME_FOR_N" && num("n", "how many")}
      {measure === "MADE_FROM_SPOTS" && num("spots", "spots")}
      {measure === "KEEP_ALL" && num("balls", "numbered balls")}
      {measure === "KEEP_ALL" && (
        <Pick
          label="Drawn from"
          value={scoring.draw ?? "ALL"}
          words={{ ALL: "all of them, with repeats", LEFT: "those that are left" }}
          onChange={(draw) => set({ draw })}
        />
      )}
      {(measure === "HITS_OF_N" || measure === "COUNT_IN_TIME") && (
        <label className="flex items-center gap-2 pb-2">
          <input
            type="checkbox"
            checked={scoring.noBalls ?? false}
            onChange={(e) => set({ noBalls: e.target.checked || null })}
          />
          no-balls to a batter are kept
        </label>
      )}
      <Listed
        label="Called at random, with commas; empty for nothing"
        value={scoring.calls ?? []}
        must={must("scoring.calls")}
        onChange={(calls) => set({ calls: calls.length === 0 ? null : calls })}
      />
      {scoring.calls && num("callEverySec", "a call every", "s")}
    </div>
  );
}

function ring(text: string): NonNullable<Scoring["rings"]>[number] {
  const [radiusCm, points] = text.split("=").map((t) => Number.parseInt(t, 10));
  // What is no number is left for the server to name.
  return { radiusCm: Number.isNaN(radiusCm) ? 0 : (radiusCm ?? 0), points: Number.isNaN(points) ? -1 : (points ?? -1) };
}

/** Several short things in one line. */
function Listed({
  label,
  value,
  must,
  onChange,
}: {
  label: string;
  value: string[];
  must: string | undefined;
  onChange: (parts: string[]) => void;
}) {
  const [text, setText] = useState(value.join(", "));
  return (
    <div className="min-w-64 flex-1">
      <Labelled label={label} must={must}>
        {(ids) => (
          <input
            {...ids}
            className="field w-full"
            value={text}
            onChange={(e) => {
              setText(e.target.value);
              onChange(
                e.target.value
                  .split(",")
                  .map((p) => p.trim())
                  .filter((p) => p !== ""),
              );
            }}
          />
        )}
      </Labelled>
    </div>
  );
}
