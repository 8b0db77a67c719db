import { useCallback, useState } from "react";
import { Link, useNavigate } from "react-router";
import { api, Problem } from "../../api/client";
import { deferring } from "../../words";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";
import { blankLadder, lastingId } from "./blank";
import { LadderForm } from "./ladder-form";
import { useLaddersChanged } from "./use-ladders-changed";

const t = textsOf("ladders", saidLadders);

const KEPT = "marble-new-ladder";

/** A ladder of one's own, written from nothing; what is typed stays in this browser until it is kept. */
export function NewLadder() {
  const navigate = useNavigate();
  const changed = useLaddersChanged();
  const [ladder, setLadder] = useState(() => {
    const kept = sessionStorage.getItem(KEPT);
    return kept ? (JSON.parse(kept) as ReturnType<typeof blankLadder>) : blankLadder();
  });
  const [problem, setProblem] = useState<Problem>();
  const [sending, setSending] = useState(false);
  const must = useCallback((field: string) => problem?.must(`ladder.${field}`), [problem]);
  const keep = async () => {
    setSending(true);
    try {
      const made = await api("post", "/api/ladders/own", {
        body: {
          version: null,
          ladder: { ...ladder, id: lastingId(ladder.name), sports: ladder.sports.map((s) => s.trim()).filter(Boolean) },
        },
      });
      sessionStorage.removeItem(KEPT);
      await changed();
      navigate(`/ladders/${made.id}`);
    } catch (e) {
      setProblem(e instanceof Problem ? e : new Problem(0, t("newLadder.notKept"), String(e)));
    } finally {
      setSending(false);
    }
  };
  return (
    <>
      <div className="mb-5 flex flex-wrap items-center gap-3 border-b-[3px] border-ink pb-2">
        <h1 className="mr-auto">{t("newLadder.aLadderOfYour")}</h1>
        <Link className="btn no-underline" to="/ladders" onClick={() => sessionStorage.removeItem(KEPT)}>
          {t("newLadder.throwItAway")}
        </Link>
        <button type="button" className="btn btn-main" onClick={keep} disabled={sending}>
          {t("newLadder.keepIt")}
        </button>
      </div>
      {problem && (
        <p role="alert" className="mb-4 border-l-8 border-alert bg-tint p-4">
          <strong className="text-alert">{problem.title}.</strong> {problem.detail}
        </p>
      )}
      <LadderForm
        ladder={ladder}
        used={{}}
        onChange={(next) => {
          setLadder(next);
          sessionStorage.setItem(KEPT, JSON.stringify(next));
        }}
        must={must}
      />
      <p className="mt-6 text-sm text-soft">{deferring}</p>
    </>
  );
}
