import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { type Must, Num, Pick } from "../../../ladders/form-bits";
import type { Of } from "../measure-view";

const t = textsOf("run", saidRun);

/** The house rules of a match. */
export function MatchForm({
  measure,
  must,
  onChange,
}: {
  measure: Of<"MATCH">;
  must: Must;
  onChange: (measure: Of<"MATCH">) => void;
}) {
  const dead = { yes: t("match.form.dead"), no: t("match.form.lives") };
  return (
    <>
      <Num
        label={t("match.form.toScore")}
        value={measure.targetScore}
        must={must("scoring.targetScore")}
        onChange={(targetScore) => onChange({ ...measure, targetScore })}
      />
      <Num
        label={t("match.form.balls")}
        value={measure.ballsPerPlayer}
        must={must("scoring.ballsPerPlayer")}
        onChange={(ballsPerPlayer) => onChange({ ...measure, ballsPerPlayer })}
      />
      <Num
        label={t("match.form.maxEnds")}
        value={measure.maxEnds}
        must={must("scoring.maxEnds")}
        onChange={(maxEnds) => onChange({ ...measure, maxEnds })}
      />
      <Pick
        label={t("match.form.jack")}
        value={measure.jackRule}
        words={{ WINNER: t("match.form.WINNER"), IN_TURN: t("match.form.IN_TURN") }}
        onChange={(jackRule) => onChange({ ...measure, jackRule })}
      />
      <Pick
        label={t("match.form.tie")}
        value={measure.tieRule}
        words={{ NONE_SCORES: t("match.form.NONE_SCORES"), ONE_EACH: t("match.form.ONE_EACH") }}
        onChange={(tieRule) => onChange({ ...measure, tieRule })}
      />
      <Pick
        label={t("match.form.foot")}
        value={measure.footLineKills ? "yes" : "no"}
        words={dead}
        onChange={(v) => onChange({ ...measure, footLineKills: v === "yes" })}
      />
      <Pick
        label={t("match.form.short")}
        value={measure.shortLineKills ? "yes" : "no"}
        words={dead}
        onChange={(v) => onChange({ ...measure, shortLineKills: v === "yes" })}
      />
    </>
  );
}
