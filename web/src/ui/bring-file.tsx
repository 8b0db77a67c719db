import { useQuery } from "@tanstack/react-query";
import { type ReactNode, useRef, useState } from "react";
import { v4 as newId } from "uuid";
import { Problem } from "../api/client";
import type { Far } from "../api/types";
import { texts } from "../words/texts";

const t = texts("ui");

const SHOWN = 50;
const ASK_AGAIN_MS = 400;

type Brought = { kept: boolean; bad: { line: number; column: string; must: string }[]; badInAll: number };

/** A CSV file in: first what it would bring and every bad line, then, when asked, all of it or nothing; how far it is while it goes on. */
export function BringFile<B extends Brought>({
  name,
  ask,
  far,
  tell,
  brings,
  onKept,
}: {
  /** what it is called among what is asked */
  name: string;
  ask: (sent: { text: string; dryRun: boolean; key: string }) => Promise<B>;
  /** how far the one of that key is, as long as it goes on; where none is told, none is asked */
  far?: (key: string) => Promise<Far | undefined>;
  tell: (brought: B) => ReactNode;
  /** whether there is anything to bring in */
  brings: (brought: B) => boolean;
  onKept: () => void;
}) {
  const [text, setText] = useState<string>();
  const [would, setWould] = useState<B>();
  const [problem, setProblem] = useState<Problem>();
  const [going, setGoing] = useState<string>();
  const chosen = useRef(0);
  const gone = useQuery({
    queryKey: ["far", name, going],
    queryFn: async () => (await far?.(going ?? "")) ?? null,
    enabled: going !== undefined && far !== undefined,
    refetchInterval: ASK_AGAIN_MS,
    retry: false,
  });
  const send = async (file: string, dryRun: boolean) => {
    const key = newId();
    const choice = chosen.current;
    setGoing(key);
    try {
      const answer = await ask({ text: file, dryRun, key });
      // Another file was chosen meanwhile: this answer is about the old one.
      if (choice !== chosen.current) return;
      setWould(answer);
      setProblem(undefined);
      if (answer.kept) onKept();
    } catch (e) {
      setWould(undefined);
      setProblem(e instanceof Problem ? e : new Problem(0, t("bringFile.notRead"), String(e)));
    } finally {
      setGoing((now) => (now === key ? undefined : now));
    }
  };
  const read = async (file: File | undefined) => {
    chosen.current += 1;
    setWould(undefined);
    setProblem(undefined);
    if (!file) return setText(undefined);
    const next = await file.text();
    setText(next);
    send(next, true);
  };
  return (
    <>
      <label className="mt-5 block">
        <span className="mb-1 block font-semibold">{t("bringFile.bringInACsv")}</span>
        <input
          type="file"
          accept=".csv,text/csv,text/plain"
          className="field w-full"
          // The same file, mended and chosen again, is to be read again.
          onClick={(e) => {
            e.currentTarget.value = "";
          }}
          onChange={(e) => read(e.target.files?.[0])}
        />
      </label>
      {going && (
        <p role="status" className="mt-3">
          {gone.data ? (
            <>
              <progress className="mr-2 w-48 align-middle" value={gone.data.done} max={gone.data.all} />
              {t("bringFile.ofBroughtIn", { done: gone.data.done, all: gone.data.all })}
            </>
          ) : (
            t("bringFile.readingTheFile")
          )}
        </p>
      )}
      {problem && (
        <p role="alert" className="mt-3 font-semibold text-alert">
          {problem.title}. {problem.detail}
        </p>
      )}
      {would && !going && (
        <div role="status" className="mt-4">
          {would.bad.length === 0 && <div>{tell(would)}</div>}
          {would.bad.length > 0 && (
            <>
              <p className="mt-2 font-semibold text-alert">
                {t("bringFile.wrongNothingIsBrought", { count: would.badInAll })}
              </p>
              <table className="mt-1 w-full text-[0.95rem]">
                <tbody>
                  {would.bad.slice(0, SHOWN).map((b) => (
                    <tr key={`${b.line}/${b.column}/${b.must}`} className="border-b border-rule">
                      <td className="clock py-0.5 pr-3 whitespace-nowrap">{t("bringFile.line", { line: b.line })}</td>
                      <th scope="row" className="pr-3 text-left">
                        {b.column}
                      </th>
                      <td>{b.must}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
              {would.badInAll > SHOWN && (
                <p className="text-soft">{t("bringFile.andMore", { value: would.badInAll - SHOWN })}</p>
              )}
            </>
          )}
          {!would.kept && would.bad.length === 0 && brings(would) && text !== undefined && (
            <button type="button" className="btn btn-main mt-3" onClick={() => send(text, false)}>
              {t("bringFile.bringThemIn")}
            </button>
          )}
        </div>
      )}
    </>
  );
}
