import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";

const t = textsOf("run", saidRun);
/** Over everything: all stop. Only a go takes it away. */
export function StopAll({ onGo }: { onGo?: () => void }) {
  return (
    <div
      role="alert"
      className="fixed inset-0 z-30 flex flex-col items-center justify-center gap-8 bg-[#8d1712] p-6 text-center text-white"
      data-testid="stop-all"
    >
      <p className="digits text-[clamp(6rem,28vw,22rem)]">{t("stopAll.stop")}</p>
      <p className="text-[clamp(1.4rem,3vw,2.6rem)] font-semibold">{t("stopAll.everybodyStandsStillHold")}</p>
      {onGo && (
        <button type="button" className="btn border-white! bg-white! text-xl text-[#8d1712]!" onClick={onGo}>
          {t("stopAll.goOn")}
        </button>
      )}
    </div>
  );
}
