import { useState } from "react";
import { useNavigate } from "react-router";
import { api, Problem } from "../../api/client";
import type { OwnLadder } from "../../api/types";
import { Sheet } from "../../ui/sheet";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";
import { useLaddersChanged } from "./use-ladders-changed";

const t = textsOf("ladders", saidLadders);

/** Takes an own ladder off the offer, or back; what nobody uses can go for good. */
export function Retire({ own }: { own: OwnLadder }) {
  const navigate = useNavigate();
  const changed = useLaddersChanged();
  const [asking, setAsking] = useState(false);
  const [problem, setProblem] = useState<Problem>();
  const used = Object.values(own.used).reduce((n, times) => n + times, 0);
  const send = async (act: () => Promise<unknown>, after?: () => void) => {
    try {
      await act();
      // Before the lists are fetched anew: the next question may be opened while they come.
      setAsking(false);
      setProblem(undefined);
      await changed();
      after?.();
    } catch (e) {
      setProblem(e instanceof Problem ? e : new Problem(0, t("retire.notDone"), String(e)));
    }
  };
  const retire = (retired: boolean) =>
    send(() =>
      api("put", "/api/ladders/own/{id}/retired", {
        params: { path: { id: own.id } },
        body: { version: own.version, retired },
      }),
    );
  if (own.retired)
    return (
      <button type="button" className="btn" onClick={() => retire(false)}>
        {t("retire.offerItAgain")}
      </button>
    );
  return (
    <>
      <button type="button" className="btn" onClick={() => setAsking(true)}>
        {t("retire.retire")}
      </button>
      <Sheet title={t("retire.retire2", { name: own.ladder.name })} open={asking} onOpenChange={setAsking}>
        <p>
          {t("retire.itIsNotOffered")}{" "}
          {used === 0
            ? t("retire.noPlanAndNoResult")
            : t("retire.plansAndResultsUseIt", { more: used === 1 ? "once" : t("retire.times", { used }) })}
        </p>
        {problem && (
          <p role="alert" className="mt-2 font-semibold text-alert">
            {problem.title}. {problem.detail}
          </p>
        )}
        <p className="mt-4 flex flex-wrap gap-3">
          <button type="button" className="btn btn-main" onClick={() => retire(true)}>
            {t("retire.retireIt")}
          </button>
          {used === 0 && (
            <button
              type="button"
              className="btn"
              onClick={() =>
                send(
                  () => api("delete", "/api/ladders/own/{id}", { params: { path: { id: own.id } } }),
                  () => navigate("/ladders"),
                )
              }
            >
              {t("retire.removeItForGood")}
            </button>
          )}
          <button type="button" className="btn btn-plain" onClick={() => setAsking(false)}>
            {t("retire.leaveItAsIt")}
          </button>
        </p>
      </Sheet>
    </>
  );
}
