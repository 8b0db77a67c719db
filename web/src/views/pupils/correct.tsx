import { useState } from "react";
import { api, perhapsEmpty } from "../../api/client";
import type { Tried } from "../../api/types";
import { Sheet } from "../../ui/sheet";
import { texts } from "../../words/texts";
import { Box } from "./box";
import { Refused, useSend } from "./use-send";

const t = texts("pupils");

const number = (text: string) => (text.trim() === "" ? null : Number(text));

/** Puts a tally right with a reason; what it was is kept and shown. */
export function Correct({ tried, what }: { tried: Tried; what: string }) {
  const { attempt: a } = tried;
  const [open, setOpen] = useState(false);
  const [score, setScore] = useState(String(a.score));
  const [hits, setHits] = useState(a.hits === null ? "" : String(a.hits));
  const [misses, setMisses] = useState(a.misses === null ? "" : String(a.misses));
  const [struck, setStruck] = useState(tried.struck);
  const [reason, setReason] = useState("");
  const { send, problem } = useSend();
  const keep = async () => {
    const wanted = { seenScore: a.score, score: number(score), hits: number(hits), misses: number(misses) };
    if (
      await send(() =>
        api("post", "/api/attempts/{id}/corrections", {
          params: { path: { id: a.id } },
          body: perhapsEmpty({ ...wanted, struck, reason }),
        }),
      )
    )
      setOpen(false);
  };
  return (
    <>
      <button type="button" className="text-sm underline print:hidden" onClick={() => setOpen(true)}>
        {t("correct.correct")}
      </button>
      <Sheet title={`Correct: ${what}`} open={open} onOpenChange={setOpen}>
        <div className="flex flex-wrap gap-4">
          <Box
            label={t("correct.score")}
            field="score"
            value={score}
            problem={problem}
            onChange={setScore}
            disabled={struck}
          />
          <Box
            label={t("correct.hits")}
            field="hits"
            value={hits}
            problem={problem}
            onChange={setHits}
            disabled={struck}
          />
          <Box
            label={t("correct.misses")}
            field="misses"
            value={misses}
            problem={problem}
            onChange={setMisses}
            disabled={struck}
          />
        </div>
        <label className="mt-3 flex items-center gap-2">
          <input type="checkbox" checked={struck} onChange={(e) => setStruck(e.target.checked)} />{" "}
          {t("correct.itNeverWasStrike")}
        </label>
        <Box
          label={t("correct.why")}
          field="reason"
          kind="line"
          value={reason}
          problem={problem}
          onChange={setReason}
        />
        <Refused problem={problem} shown={["score", "hits", "misses", "reason"]} />
        <p className="mt-3 text-soft">{t("correct.whatItWasWho")}</p>
        <button type="button" className="btn btn-main mt-3" onClick={keep}>
          {t("correct.keepTheCorrection")}
        </button>
      </Sheet>
    </>
  );
}
