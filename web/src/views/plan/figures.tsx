import type { LessonPlan } from "../../api/types";
import { Term } from "../../ui/term";
import { bell, clock, percent } from "../../words";
import { texts } from "../../words/texts";

const t = texts("plan");

/** What the core worked out for the whole lesson, in one line. */
export function Figures({ plan, atHome }: { plan: LessonPlan; atHome: boolean }) {
  const late = plan.pastBellSec > 0;
  return (
    <p className="my-3 flex flex-wrap gap-x-5 gap-y-1" aria-live="polite" data-testid="figures">
      <span>
        <strong className={`clock ${late ? "text-alert" : ""}`} data-testid="total">
          {clock(plan.totalSec)}
        </strong>{" "}
        {t("figures.of", { clock: clock(plan.bellSec) })}{" "}
        <span className={late ? "font-semibold text-alert" : ""}>
          <Term of="bell">{bell(plan)}</Term>
        </span>
      </span>
      <span>
        <strong className="clock">{clock(plan.movingSecPerPupil)}</strong> {t("figures.moving")}{" "}
        {atHome ? "" : t("figures.perPupil")}· {t("figures.share", { share: percent(plan.movingShare) })}
      </span>
      {plan.quietSecPerPupil > 0 && (
        <span>
          <strong className="clock">{clock(plan.quietSecPerPupil)}</strong> {t("figures.atAQuietTask")}
        </span>
      )}
      {plan.idleSecPerPupil > 0 && (
        <span className="font-semibold text-alert">
          <strong className="clock">{clock(plan.idleSecPerPupil)}</strong> {t("figures.waitingWithNothingTo")}
        </span>
      )}
      <span>
        {t("figures.right")} <strong className="clock">{clock(plan.rightSec)}</strong> {t("figures.left")}{" "}
        <strong className="clock">{clock(plan.leftSec)}</strong>
      </span>
      <span>
        {t("figures.about")} <strong className="clock">{plan.touches}</strong> {t("figures.touches")}
        <span className="text-soft"> {t("figures.anEstimateUntilIt")}</span>
      </span>
    </p>
  );
}
