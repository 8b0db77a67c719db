import { useState } from "react";
import type { Tried } from "../../api/types";
import { Sheet } from "../../ui/sheet";
import { Refused, useSend } from "./use-send";

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
    if (await send("POST", `/attempts/${a.id}/corrections`, { ...wanted, struck, reason })) setOpen(false);
  };
  const box = (label: string, value: string, set: (v: string) => void) => (
    <label>
      <span className="mb-1 block text-sm font-semibold">{label}</span>
      <input
        className="field num w-24"
        inputMode="numeric"
        value={value}
        disabled={struck}
        onChange={(e) => set(e.target.value)}
      />
    </label>
  );
  return (
    <>
      <button type="button" className="text-sm underline print:hidden" onClick={() => setOpen(true)}>
        correct
      </button>
      <Sheet title={`Correct: ${what}`} open={open} onOpenChange={setOpen}>
        <div className="flex flex-wrap gap-4">
          {box("Score", score, setScore)}
          {box("Hits", hits, setHits)}
          {box("Misses", misses, setMisses)}
        </div>
        <label className="mt-3 flex items-center gap-2">
          <input type="checkbox" checked={struck} onChange={(e) => setStruck(e.target.checked)} /> It never was: strike
          it out
        </label>
        <label className="mt-3 block">
          <span className="mb-1 block text-sm font-semibold">Why</span>
          <input className="field w-full" maxLength={200} value={reason} onChange={(e) => setReason(e.target.value)} />
        </label>
        <Refused problem={problem} fields={{ score: "Score", hits: "Hits", misses: "Misses", reason: "Why" }} />
        <p className="mt-3 text-soft">What it was, who changed it and why stay on this page.</p>
        <button type="button" className="btn btn-main mt-3" onClick={keep}>
          Keep the correction
        </button>
      </Sheet>
    </>
  );
}
