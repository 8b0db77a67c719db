import { useQuery } from "@tanstack/react-query";
import { ArrowLeft, Redo2, Undo2 } from "lucide-react";
import { useCallback } from "react";
import { Link, useParams } from "react-router";
import { api } from "../../api/client";
import { ownLadders } from "../../api/queries";
import type { Ladder, OwnLadder } from "../../api/types";
import { Empty, Failed, Loading } from "../../ui/states";
import { useVersionedDraft } from "../../ui/use-versioned-draft";
import { deferring } from "../../words";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";
import { SaveState } from "../plan/save-state";
import { LadderForm } from "./ladder-form";
import { useLaddersChanged } from "./use-ladders-changed";

const t = textsOf("ladders", saidLadders);

/** An own ladder changed where it stands; every change is saved at once. */
export function EditLadder() {
  const { id = "" } = useParams();
  const loaded = useQuery({
    queryKey: [...ownLadders.queryKey, id],
    queryFn: () => api("get", "/api/ladders/own/{id}", { params: { path: { id } } }),
    refetchOnWindowFocus: false,
    retry: false,
  });
  if (loaded.isPending) return <Loading what={t("editLadder.theLadder")} />;
  if (loaded.isLoadingError)
    return "status" in loaded.error && loaded.error.status === 404 ? (
      <Empty title={t("editLadder.thisLadderIsNot")}>
        <p>
          {t("editLadder.shippedLaddersStayAs")} <Link to={`/ladders/${id}`}>{t("editLadder.openIt")}</Link>{" "}
          {t("editLadder.andPressCopyAnd")}
        </p>
      </Empty>
    ) : (
      <Failed error={loaded.error} again={() => loaded.refetch()} />
    );
  return <Editor key={id} loaded={loaded.data} />;
}

function Editor({ loaded }: { loaded: OwnLadder }) {
  const changed = useLaddersChanged();
  const kept = useVersionedDraft<OwnLadder, { ladder: Ladder }>(
    {
      load: () => api("get", "/api/ladders/own/{id}", { params: { path: { id: loaded.id } } }),
      save: (body) => api("put", "/api/ladders/own/{id}", { params: { path: { id: loaded.id } }, body }),
    },
    loaded,
    (v) => ({ ladder: v.ladder }),
    () => {
      changed();
    },
  );
  const { draft, saved, problem, undo, redo } = kept;
  const must = useCallback((field: string) => problem?.must(`ladder.${field}`), [problem]);
  return (
    <>
      <p>
        <Link to={`/ladders/${loaded.id}`} className="inline-flex items-center gap-1.5">
          <ArrowLeft size={18} aria-hidden /> {t("editLadder.theLadderAsIt")}
        </Link>
      </p>
      <div className="mt-1 mb-5 flex flex-wrap items-center gap-3 border-b-[3px] border-ink pb-2">
        <h1 className="mr-auto">{draft.ladder.name || t("editLadder.noNameYet")}</h1>
        <SaveState plan={kept} />
        <button type="button" className="btn" onClick={undo} disabled={!undo}>
          <Undo2 size={18} aria-hidden /> {t("editLadder.undo")}
        </button>
        <button type="button" className="btn" onClick={redo} disabled={!redo}>
          <Redo2 size={18} aria-hidden /> {t("editLadder.redo")}
        </button>
      </div>
      <LadderForm
        ladder={draft.ladder}
        used={saved.used}
        onChange={(ladder, step) => kept.change({ ladder }, step)}
        must={must}
      />
      <p className="mt-6 text-sm text-soft">{deferring}</p>
    </>
  );
}
