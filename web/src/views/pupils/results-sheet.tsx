import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, Problem } from "../../api/client";
import type { Brought } from "../../api/types";
import { Sheet } from "../../ui/sheet";
import { count } from "../../words";

const SHOWN = 50;

/** A class's results out as a file and in again: first what it would bring and every bad line, then, when asked, all of it. */
export function ResultsSheet({ classId, className }: { classId: string; className: string }) {
  const [open, setOpen] = useState(false);
  const [text, setText] = useState<string>();
  const [would, setWould] = useState<Brought>();
  const [problem, setProblem] = useState<Problem>();
  const client = useQueryClient();
  const send = async (file: string, dryRun: boolean) => {
    try {
      setWould(await api<Brought>("POST", `/classes/${classId}/results`, { text: file, dryRun }));
      setProblem(undefined);
      if (!dryRun) await client.invalidateQueries({ queryKey: ["record"] });
    } catch (e) {
      setWould(undefined);
      setProblem(e instanceof Problem ? e : new Problem(0, "Not read", String(e)));
    }
  };
  const read = async (file: File | undefined) => {
    setWould(undefined);
    if (!file) return setText(undefined);
    const next = await file.text();
    setText(next);
    send(next, true);
  };
  return (
    <>
      <button type="button" className="btn btn-small" onClick={() => setOpen(true)}>
        Results in and out
      </button>
      <Sheet
        title={`Results of ${className}`}
        open={open}
        onOpenChange={(o) => {
          setOpen(o);
          if (!o) setWould(undefined);
        }}
        wide
      >
        <p>
          <a className="btn no-underline" href={`/api/classes/${classId}/results.csv`} download>
            Save all results as CSV
          </a>
        </p>
        <label className="mt-5 block">
          <span className="mb-1 block font-semibold">Bring in a CSV file</span>
          <input
            type="file"
            accept=".csv,text/csv,text/plain"
            className="field w-full"
            onChange={(e) => read(e.target.files?.[0])}
          />
        </label>
        {problem && (
          <p role="alert" className="mt-3 font-semibold text-alert">
            {problem.title}. {problem.detail}
          </p>
        )}
        {would && (
          <div role="status" className="mt-4">
            <p className={would.bad.length > 0 ? "hidden" : ""}>
              {would.kept
                ? `Brought in: ${count(would.added, "result", "results")}.`
                : `It would bring ${count(would.added, "new result", "new results")}.`}{" "}
              {would.same > 0 && `${would.same} are here already and stay as they are.`}
            </p>
            {would.bad.length > 0 && (
              <>
                <p className="mt-2 font-semibold text-alert">
                  {count(would.bad.length, "cell is", "cells are")} wrong; nothing is brought in before all are right.
                </p>
                <table className="mt-1 w-full text-[0.95rem]">
                  <tbody>
                    {would.bad.slice(0, SHOWN).map((b) => (
                      <tr key={`${b.line}/${b.column}/${b.must}`} className="border-b border-rule">
                        <td className="clock py-0.5 pr-3 whitespace-nowrap">line {b.line}</td>
                        <th scope="row" className="pr-3 text-left">
                          {b.column}
                        </th>
                        <td>{b.must}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </>
            )}
            {!would.kept && would.bad.length === 0 && would.added > 0 && text !== undefined && (
              <button type="button" className="btn btn-main mt-3" onClick={() => send(text, false)}>
                Bring them in
              </button>
            )}
          </div>
        )}
      </Sheet>
    </>
  );
}
