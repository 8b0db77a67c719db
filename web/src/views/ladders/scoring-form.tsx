import type { Rung } from "../../api/types";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";
import { viewOf } from "../run/measures";
import { Listed, type Must, Num } from "./form-bits";

const t = textsOf("ladders", saidLadders);

/** The figures that the measure needs, and what is called at random. */
export function ScoringForm({
  rung,
  must,
  onChange,
}: {
  rung: Rung;
  must: Must;
  onChange: (change: Pick<Rung, "measure"> | Pick<Rung, "calls">) => void;
}) {
  const { measure, calls } = rung;
  const { Form } = viewOf(measure);
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
      {Form && <strong className="pb-2">{t("scoringForm.scoredWith")}</strong>}
      {Form && <Form measure={measure} must={must} onChange={(m) => onChange({ measure: m })} />}
      <Listed
        label={t("scoringForm.calledAtRandomWith")}
        value={calls?.words ?? []}
        must={must("scoring.calls")}
        onChange={(words) => onChange({ calls: words.length === 0 ? null : { words, everySec: calls?.everySec ?? 3 } })}
      />
      {calls && (
        <Num
          label={t("scoringForm.aCallEvery")}
          unit={t("scoringForm.s")}
          value={calls.everySec}
          must={must("scoring.callEverySec")}
          onChange={(everySec) => onChange({ calls: { ...calls, everySec } })}
        />
      )}
    </div>
  );
}
