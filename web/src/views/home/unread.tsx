import { useState } from "react";
import { api } from "../../api/client";
import type { HomeHeard, UnreadLine } from "../../api/types";
import { day } from "../../words";
import saidHome from "../../words/home.json";
import { textsOf } from "../../words/texts";
import { useHome } from "./use-home";

const t = textsOf("home", saidHome);

/** Codes that could not be read wait here, so that one can ask the family and put them right later. */
export function Unread({
  classId,
  lines,
  onHeard,
}: {
  classId: string;
  lines: UnreadLine[];
  onHeard: (heard: HomeHeard) => void;
}) {
  if (lines.length === 0) return null;
  return (
    <section aria-labelledby="unread" className="mt-4">
      <h3 id="unread">{t("unread.title", { n: lines.length })}</h3>
      <ul className="mt-1">
        {lines.map((line) => (
          <Line key={line.id} classId={classId} line={line} onHeard={onHeard} />
        ))}
      </ul>
    </section>
  );
}

function Line({ classId, line, onHeard }: { classId: string; line: UnreadLine; onHeard: (heard: HomeHeard) => void }) {
  const [text, setText] = useState(line.line);
  const read = useHome(classId, () =>
    api("post", "/api/classes/{id}/home/came", { params: { path: { id: classId } }, body: { text, mended: line.id } }),
  );
  const drop = useHome(classId, () =>
    api("delete", "/api/classes/{id}/home/unread/{unreadId}", { params: { path: { id: classId, unreadId: line.id } } }),
  );
  const failed = read.error ?? drop.error;
  return (
    <li className="border-b border-rule py-2">
      <div className="flex flex-wrap items-center gap-2">
        <input
          className="field clock min-w-0 flex-1 uppercase"
          aria-label={t("unread.field", { code: line.line })}
          spellCheck={false}
          autoCapitalize="characters"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
        <button
          type="button"
          className="btn btn-small"
          aria-label={t("unread.againOf", { code: line.line })}
          disabled={text.trim() === "" || text === line.line || read.isPending}
          onClick={() => read.mutateAsync(undefined).then(onHeard, () => undefined)}
        >
          {t("unread.again")}
        </button>
        <button
          type="button"
          className="text-sm underline"
          aria-label={t("unread.dropOf", { code: line.line })}
          disabled={drop.isPending}
          onClick={() => drop.mutate(undefined)}
        >
          {t("unread.drop")}
        </button>
      </div>
      <p className="text-sm text-alert">
        {t("unread.why", { day: day(line.on), why: t(`wrong.${line.wrong}`, { pupil: "" }) })}
      </p>
      {failed && <p className="font-semibold text-alert">{failed.detail}</p>}
    </li>
  );
}
