import { useState } from "react";
import { api } from "../../api/client";
import type { Found, Ladder } from "../../api/types";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";
import { Refused, useSend } from "./use-send";

const t = textsOf("pupils", saidPupils);

/** One press follows the advice for everybody that a question found on a ladder: each a rung up, or a rung back. It is kept as the teacher's word. */
export function PutAll({ found, ladder }: { found: Found[]; ladder: Ladder }) {
  const { send, problem } = useSend();
  const [busy, setBusy] = useState(false);
  const by = found[0]?.question === "READY_TO_GO_UP" ? 1 : found[0]?.question === "BETTER_A_RUNG_BACK" ? -1 : 0;
  if (by === 0) return null;
  const put = async () => {
    setBusy(true);
    for (const f of found) {
      const to = ladder.rungs[ladder.rungs.findIndex((r) => r.id === f.rungId) + by];
      if (!to) continue;
      const body = { ladderId: ladder.id, rungId: to.id, reason: t("putAll.asAdvised") };
      if (!(await send(() => api("post", "/api/pupils/{id}/standings", { params: { path: { id: f.pupilId } }, body }))))
        break;
    }
    setBusy(false);
  };
  return (
    <>
      <button type="button" className="btn btn-small" disabled={busy} onClick={put}>
        {by > 0 ? t("putAll.putThemARungUp") : t("putAll.putThemARungBack")}
      </button>
      <Refused problem={problem} />
    </>
  );
}
