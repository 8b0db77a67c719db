import { useRef, useState } from "react";
import { api, Problem } from "../../api/client";
import type { ClassList, ListColumn, PupilDetails } from "../../api/types";
import { Choice } from "../../ui/choice";
import { Labelled } from "../../ui/fields";
import { Failed } from "../../ui/states";
import saidStore from "../../words/store.json";
import { textsOf } from "../../words/texts";

const t = textsOf("store", saidStore);

const meanings: ListColumn["meaning"][] = [
  "FIRST_NAME",
  "FAMILY_NAME",
  "FIRST_AND_FAMILY",
  "FAMILY_AND_FIRST",
  "BORN",
  "NOTHING",
];

/** A class list as an office or a spreadsheet has it: pasted or from a file, with a look at what would be kept before it is taken. */
export function ClassListReader({
  take,
  onTake,
}: {
  /** what the button says */
  take: (found: number) => string;
  onTake: (pupils: PupilDetails[]) => void;
}) {
  const [text, setText] = useState("");
  const [read, setRead] = useState<ClassList>();
  const [problem, setProblem] = useState<Problem>();
  const asked = useRef(0);
  const ask = async (list: string, meant: ListColumn["meaning"][] | null) => {
    const turn = ++asked.current;
    setText(list);
    if (list.trim() === "") {
      setProblem(undefined);
      return setRead(undefined);
    }
    try {
      const answer = await api("post", "/api/classes/list", { body: { text: list, meanings: meant } });
      // Something else was typed meanwhile: this answer is about the old list.
      if (turn !== asked.current) return;
      setRead(answer);
      setProblem(undefined);
    } catch (e) {
      if (turn !== asked.current) return;
      // What was read before is of another list.
      setRead(undefined);
      setProblem(e instanceof Problem ? e : new Problem(0, "", String(e)));
    }
  };
  const mean = (at: number, meaning: ListColumn["meaning"]) =>
    read &&
    ask(
      text,
      read.columns.map((c, i) => (i === at ? meaning : c.meaning)),
    );
  return (
    <div className="space-y-3">
      <div className="flex flex-wrap items-end gap-3">
        <div className="w-full max-w-96">
          <Labelled label={t("list.label")} must={problem?.errors[0]?.must}>
            {(ids) => (
              <textarea
                {...ids}
                className="field w-full"
                rows={4}
                placeholder={t("list.example")}
                value={text}
                onChange={(e) => ask(e.target.value, null)}
              />
            )}
          </Labelled>
        </div>
        <label className="text-sm">
          <span className="mb-1 block text-soft">{t("list.file")}</span>
          <input
            type="file"
            accept=".csv,.txt,.tsv,text/csv,text/plain"
            className="field max-w-64"
            onChange={async (e) => {
              const file = e.target.files?.[0];
              if (file) ask(await file.text(), null);
            }}
          />
        </label>
      </div>
      {problem && problem.errors.length === 0 && <Failed error={problem} />}
      {read && text.trim() !== "" && (
        <>
          <div className="relative overflow-x-auto">
            <table className="border-collapse text-[0.95rem]">
              <thead>
                <tr className="text-left align-bottom">
                  {read.columns.map((c, i) => (
                    // biome-ignore lint/suspicious/noArrayIndexKey: columns are told apart by their place
                    <th key={i} scope="col" className="pr-3 pb-1 font-semibold">
                      <span className="block text-sm text-soft">{c.title ?? t("list.column", { n: i + 1 })}</span>
                      <Choice
                        label={t("list.columnOf", { n: i + 1 })}
                        value={c.meaning}
                        options={meanings.map((value) => ({ value, text: t(`list.${value}`) }))}
                        onChange={(meaning) => mean(i, meaning)}
                      />
                    </th>
                  ))}
                  <th scope="col" className="border-l-2 border-ink pb-1 pl-3 font-semibold">
                    {t("list.kept")}
                  </th>
                </tr>
              </thead>
              <tbody>
                {[0, 1, 2].map((row) => (
                  <tr key={row} className="border-t border-rule">
                    {read.columns.map((c, i) => (
                      // biome-ignore lint/suspicious/noArrayIndexKey: columns are told apart by their place
                      <td key={i} className={`pr-3 ${c.meaning === "NOTHING" ? "text-soft line-through" : ""}`}>
                        {c.samples[row]}
                      </td>
                    ))}
                    <td className="border-l-2 border-ink pl-3 font-semibold">{kept(read.pupils[row])}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          <p role="status" className="text-sm text-soft">
            {read.pupils.length > 0 ? t("list.found", { n: read.pupils.length }) : t("list.nothing")}{" "}
            {read.unread.length > 0 && t("list.unread", { n: read.unread.length, lines: read.unread.join(", ") })}
          </p>
          {read.pupils.length > 0 && (
            <button
              type="button"
              className="btn"
              onClick={() => {
                onTake(read.pupils);
                ask("", null);
              }}
            >
              {take(read.pupils.length)}
            </button>
          )}
        </>
      )}
    </div>
  );
}

const kept = (p: PupilDetails | undefined) =>
  p && `${p.firstName}${p.initial ? ` ${p.initial}.` : ""}${p.birthYear ? `, ${p.birthYear}` : ""}`;
