import { useState } from "react";
import { api } from "../../api/client";
import type { Advice, Ladder, PupilRecord } from "../../api/types";
import { Choice } from "../../ui/choice";
import { Sheet } from "../../ui/sheet";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";
import { Box } from "./box";
import { Refused, useSend } from "./use-send";

const t = textsOf("pupils", saidPupils);

/** The teacher's word on where a pupil stands: one press to follow the advice, or any rung with a reason. It is kept with its day. */
export function SayStanding({ advice, ladder, record }: { advice: Advice; ladder: Ladder; record: PupilRecord }) {
  const [open, setOpen] = useState(false);
  const [rungId, setRungId] = useState(advice.rungId);
  const [reason, setReason] = useState("");
  const { send, problem } = useSend();
  const say = async (to: string, why: string) => {
    if (
      await send(() =>
        api("post", "/api/pupils/{id}/standings", {
          params: { path: { id: record.pupilId } },
          body: { ladderId: ladder.id, rungId: to, reason: why },
        }),
      )
    )
      setOpen(false);
  };
  const follow = advice.verdict === "UP" ? advice.nextRungId : advice.verdict === "BACK" ? advice.rungBelowId : null;
  const numberOf = (id: string) => ladder.rungs.findIndex((r) => r.id === id) + 1;
  return (
    <p className="mt-2 flex flex-wrap gap-2 print:hidden">
      {follow && (
        <button
          type="button"
          className="btn btn-small btn-main"
          onClick={() => say(follow, t("sayStanding.asAdvised"))}
        >
          {t("sayStanding.putOnRung", { numberOf: numberOf(follow) })}
        </button>
      )}
      <button type="button" className="btn btn-small" onClick={() => setOpen(true)}>
        {follow ? t("sayStanding.anotherRung") : t("sayStanding.putOnARung")}
      </button>
      <Sheet
        title={t("sayStanding.whereStandsOn", { name: record.name, name2: ladder.name })}
        open={open}
        onOpenChange={setOpen}
      >
        <p className="mb-3 text-soft">{t("sayStanding.yourWordHoldsUntil")}</p>
        <Choice
          label={t("sayStanding.rung")}
          value={rungId}
          options={ladder.rungs.map((r, i) => ({ value: r.id, text: `${i + 1} ${r.name}` }))}
          onChange={setRungId}
        />
        <Box
          label={t("sayStanding.why")}
          field="reason"
          kind="line"
          value={reason}
          problem={problem}
          onChange={setReason}
        />
        <Refused problem={problem} shown={["reason"]} />
        <button type="button" className="btn btn-main mt-4" onClick={() => say(rungId, reason)}>
          {t("sayStanding.keepIt")}
        </button>
      </Sheet>
    </p>
  );
}
