import { useState } from "react";
import type { Run, RunEvent, Segment } from "../../api/types";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";
import { is, type Played } from "./log";
import type { useRun } from "./use-run";

const t = textsOf("run", saidRun);

/** After free combining: one word of each pupil, no score. */
export function Said({
  run,
  played,
  segment,
  events,
  record,
}: {
  run: Run;
  played: Played;
  segment: Segment;
  events: RunEvent[];
  record: ReturnType<typeof useRun>["record"];
}) {
  const { segments } = run.sheet.script;
  const wordOf = (pupilId: string) =>
    events
      .filter(is("SAID"))
      .filter((e) => e.what.pupilId === pupilId && segments[e.what.segment]?.block === segment.block)
      .at(-1);
  const here = run.sheet.pupils.filter((p) => !played.away.has(p.pupilId));
  const said = here.filter((p) => wordOf(p.pupilId)).length;
  return (
    <section aria-label={t("said.oneWordEach")}>
      <p className="text-mist">{t("said.noScoreIfYou", { said, length: here.length })}</p>
      <ul className="mt-2 gap-x-8 sm:columns-2 lg:columns-3">
        {here.map((p) => (
          <li key={p.pupilId} className="flex break-inside-avoid items-center gap-2 border-b border-[#3a504d] py-1">
            <span className="min-w-0 flex-1 truncate font-semibold">{p.name}</span>
            <OneWord
              name={p.name}
              known={wordOf(p.pupilId)?.what.word ?? ""}
              onSay={(word) => {
                const before = wordOf(p.pupilId);
                if (before) record({ type: "TAKE_BACK", target: before.id });
                if (word) record({ type: "SAID", segment: segment.index, pupilId: p.pupilId, word });
              }}
            />
          </li>
        ))}
      </ul>
    </section>
  );
}

function OneWord({ name, known, onSay }: { name: string; known: string; onSay: (word: string) => void }) {
  const [text, setText] = useState(known);
  const send = () => {
    const word = text.trim();
    if (word !== known) onSay(word);
  };
  return (
    <input
      className="field w-36"
      style={{ minHeight: "2.75rem" }}
      maxLength={24}
      aria-label={t("said.oneWord", { name })}
      value={text}
      onChange={(e) => setText(e.target.value)}
      onBlur={send}
      onKeyDown={(e) => e.key === "Enter" && e.currentTarget.blur()}
    />
  );
}
