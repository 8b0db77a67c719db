import type { Problem } from "../../api/client";
import { texts } from "../../words/texts";

const t = texts("plan");

type Kept = {
  problem: Problem | undefined;
  unsaved: boolean;
  again: () => void;
  takeTheirs: () => void;
  keepMine: () => void;
};

/** Whether what is on the screen is saved; if not, why, and what can be done. */
export function SaveState({ plan }: { plan: Kept }) {
  const { problem, unsaved } = plan;
  if (problem?.status === 409)
    return (
      <div role="alert" className="order-last w-full border-l-8 border-alert bg-tint p-4">
        <p>
          <strong className="text-alert">{problem.title}.</strong> {problem.detail}
        </p>
        <p className="mt-3 flex flex-wrap gap-3">
          <button type="button" className="btn btn-main" onClick={plan.takeTheirs}>
            {t("saveState.showTheNewerOne")}
          </button>
          <button type="button" className="btn" onClick={plan.keepMine}>
            {t("saveState.saveMineOverIt")}
          </button>
        </p>
        <p className="mt-2 text-sm text-soft">{t("saveState.ifYouShowThe")}</p>
      </div>
    );
  // Something that was asked for could not be: what is saved stays as it is, and nothing waits to be saved.
  if (problem && !unsaved)
    return (
      <span role="status" className="font-semibold text-alert">
        {problem.errors[0]
          ? t("saveState.staysBecause", { must: problem.errors[0].must })
          : t("saveState.stays", { why: problem.status === 0 ? `${problem.title}.` : problem.detail })}
      </span>
    );
  if (problem && problem.errors.length === 0)
    return (
      <p
        role="alert"
        className="order-last flex w-full flex-wrap items-center gap-4 border-l-8 border-alert bg-tint p-4"
      >
        <span>
          <strong className="text-alert">{problem.title}.</strong> {problem.detail}
        </span>
        <button type="button" className="btn" onClick={plan.again}>
          {t("saveState.saveAgain")}
        </button>
      </p>
    );
  if (problem)
    return (
      <span role="status" className="font-semibold text-alert">
        {t("saveState.notSaved")}{" "}
        {problem.errors.length === 1
          ? t("saveState.oneFieldNeeds")
          : t("saveState.fieldsNeed", { length: problem.errors.length })}{" "}
        {t("saveState.anotherLook")}
      </span>
    );
  return (
    <span role="status" className="text-sm text-soft" data-testid="save-state">
      {unsaved ? t("saveState.saving") : t("saveState.saved")}
    </span>
  );
}
