import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, Problem } from "../../api/client";
import type { Taken } from "../../api/types";
import { Sheet } from "../../ui/sheet";
import { Failed } from "../../ui/states";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";

const say = textsOf("ladders", saidLadders);

type Chosen = { name: string; text: string };

const whatWord: Record<Taken["what"], string> = {
  NEW: "new",
  CHANGED: say("import.changesTheOneThatIs"),
  SAME: say("import.isHereAlreadyJustThe"),
};

/** Reads a file, says what it would do, and does it only when asked: all of it or nothing. */
export function Import({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const client = useQueryClient();
  const [chosen, setChosen] = useState<Chosen>();
  const [would, setWould] = useState<Taken[]>();
  const [done, setDone] = useState(false);
  const [problem, setProblem] = useState<Problem>();
  const clear = () => {
    setChosen(undefined);
    setWould(undefined);
    setDone(false);
    setProblem(undefined);
  };
  const send = async (file: Chosen, dryRun: boolean) => {
    setProblem(undefined);
    try {
      setWould(await api("post", "/api/ladders/import", { body: { ...file, dryRun } }));
      if (dryRun) return;
      setDone(true);
      await client.invalidateQueries({ queryKey: ["ladders"] });
      await client.invalidateQueries({ queryKey: ["fits"] });
    } catch (e) {
      setWould(undefined);
      setProblem(e instanceof Problem ? e : new Problem(0, say("import.notImported"), String(e)));
    }
  };
  const read = async (file: File | undefined) => {
    clear();
    if (!file) return;
    const next = { name: file.name, text: await file.text() };
    setChosen(next);
    send(next, true);
  };
  const news = would?.filter((t) => t.what !== "SAME").length ?? 0;
  return (
    <Sheet
      title={say("import.importLadders")}
      open={open}
      onOpenChange={(o) => {
        if (!o) clear();
        onOpenChange(o);
      }}
      wide
    >
      <label className="block">
        <span className="mb-1 block font-semibold">{say("import.aFileOfLadders")}</span>
        <input
          type="file"
          accept=".yaml,.yml,.json,application/json,application/yaml"
          className="field w-full"
          // The same file, mended and chosen again, is to be read again.
          onClick={(e) => {
            e.currentTarget.value = "";
          }}
          onChange={(e) => read(e.target.files?.[0])}
        />
      </label>
      {problem && problem.troubles.length === 0 && <Failed error={problem} />}
      {problem && problem.troubles.length > 0 && (
        <div role="alert" className="mt-4">
          <p className="font-semibold text-alert">
            {problem.title}. {problem.detail}
          </p>
          <table className="mt-2 w-full text-left text-[0.95rem]">
            <thead>
              <tr className="border-b-2 border-ink">
                <th className="py-1 pr-3">{say("import.line")}</th>
                <th className="pr-3">{say("import.ladder")}</th>
                <th className="pr-3">{say("import.field")}</th>
                <th>{say("import.whatItMustBe")}</th>
              </tr>
            </thead>
            <tbody>
              {problem.troubles.map((t) => (
                <tr key={`${t.line}/${t.ladder}/${t.field}`} className="border-b border-rule align-top">
                  <td className="clock py-1 pr-3">{t.line}</td>
                  <td className="pr-3">{t.ladder || say("import.theFile")}</td>
                  <td className="pr-3 font-mono text-sm">{t.field}</td>
                  <td>{t.must}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-2 text-soft">{say("import.mendTheFileAnd")}</p>
        </div>
      )}
      {would && (
        <>
          <ul className="mt-4" data-testid="would">
            {would.map((t) => (
              <li key={t.id} className="border-b border-rule py-1.5">
                <strong>{t.name}</strong>
                {say("import.rungs", { rungs: t.rungs, value: whatWord[t.what] })}
              </li>
            ))}
            {would.length === 0 && <li>{say("import.thereIsNoLadder")}</li>}
          </ul>
          {done ? (
            <p role="status" className="mt-4 font-semibold text-catch">
              {say("import.imported", { news })}
            </p>
          ) : (
            <button
              type="button"
              className="btn btn-main mt-4"
              disabled={news === 0 || !chosen}
              onClick={() => chosen && send(chosen, false)}
            >
              {say("import.import", { news })}
            </button>
          )}
        </>
      )}
    </Sheet>
  );
}
