import { useNavigate } from "react-router";
import { Sheet } from "../../ui/sheet";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";

const t = textsOf("run", saidRun);

/** Asks once more before a run is finished, and says what is missing. */
export function FinishSheet({
  open,
  onOpenChange,
  missing,
  onFinish,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  /** turns without numbers */
  missing: number;
  onFinish: () => void;
}) {
  const navigate = useNavigate();
  return (
    <Sheet title={t("runView.finishThisRun")} open={open} onOpenChange={onOpenChange} night>
      <p>{missing > 0 ? t("runView.turnsMissing", { n: missing }) : t("runView.everyNumberIsIn")}</p>
      <p className="mt-5 flex flex-wrap gap-3">
        <button
          type="button"
          className="btn btn-main"
          data-first
          onClick={() => {
            onFinish();
            onOpenChange(false);
          }}
        >
          {t("runView.finishAndRecord")}
        </button>
        <button type="button" className="btn" onClick={() => navigate("/")}>
          {t("runView.leaveItRunning")}
        </button>
      </p>
    </Sheet>
  );
}
