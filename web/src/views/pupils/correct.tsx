import { useState } from "react";
import { api } from "../../api/client";
import type { Corrected, Tried } from "../../api/types";
import { Sheet } from "../../ui/sheet";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";
import { Box, typedNumber } from "./box";
import { Refused, useSend } from "./use-send";

const t = textsOf("pupils", saidPupils);

const FIGURES = ["score", "hits", "misses"] as const;

/** Puts a tally right with a reason; what it was is kept and shown. */
export function Correct({ tried, what }: { tried: Tried; what: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="text-sm underline print:hidden" onClick={() => setOpen(true)}>
        {t("correct.correct")}
      </button>
      <Sheet title={t("correct.title", { what })} open={open} onOpenChange={setOpen}>
        <Correction tried={tried} onKept={() => setOpen(false)} />
      </Sheet>
    </>
  );
}

/** Begins each time from the result as it is now. */
function Correction({ tried, onKept }: { tried: Tried; onKept: () => void }) {
  const { attempt: a } = tried;
  const [figures, setFigures] = useState({ score: String(a.score), hits: said(a.hits), misses: said(a.misses) });
  const [struck, setStruck] = useState(tried.struck);
  const [reason, setReason] = useState("");
  const { send, problem } = useSend();
  const keep = async () => {
    // What was typed may be empty or no number: the server says so at its field.
    const wanted = {
      seenScore: a.score,
      score: typedNumber(figures.score),
      hits: typedNumber(figures.hits),
      misses: typedNumber(figures.misses),
      struck,
      reason,
    } as unknown as Corrected;
    if (
      await send(() => api("post", "/api/attempts/{id}/corrections", { params: { path: { id: a.id } }, body: wanted }))
    )
      onKept();
  };
  return (
    <>
      <div className="flex flex-wrap gap-4">
        {FIGURES.map((field) => (
          <Box
            key={field}
            label={t(`correct.${field}`)}
            field={field}
            value={figures[field]}
            problem={problem}
            onChange={(value) => setFigures({ ...figures, [field]: value })}
            disabled={struck}
          />
        ))}
      </div>
      <label className="mt-3 flex items-center gap-2">
        <input type="checkbox" checked={struck} onChange={(e) => setStruck(e.target.checked)} />{" "}
        {t("correct.itNeverWasStrike")}
      </label>
      <Box label={t("correct.why")} field="reason" kind="line" value={reason} problem={problem} onChange={setReason} />
      <Refused problem={problem} shown={[...FIGURES, "reason"]} />
      <p className="mt-3 text-soft">{t("correct.whatItWasWho")}</p>
      <button type="button" className="btn btn-main mt-3" onClick={keep}>
        {t("correct.keepTheCorrection")}
      </button>
    </>
  );
}

const said = (count: number | null) => (count === null ? "" : String(count));
