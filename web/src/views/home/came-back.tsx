import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import { kit } from "../../api/queries";
import type { CameBack, HomeHeard, HomeNumber, NotTaken, UnreadLine } from "../../api/types";
import { day } from "../../words";
import saidHome from "../../words/home.json";
import { textsOf } from "../../words/texts";
import { ResultFiles } from "./result-files";
import { Scan } from "./scan";
import { sideWord } from "./side-word";
import { Unread } from "./unread";
import { useHome } from "./use-home";

const t = textsOf("home", saidHome);

/** Codes are typed, pasted, photographed or read from files; each says whose it is before it is kept. */
export function CameBackBox({ classId, came, unread }: { classId: string; came: CameBack[]; unread: UnreadLine[] }) {
  const [text, setText] = useState("");
  const [told, setTold] = useState<HomeHeard>();
  const hear = useHome(classId, (sent: string) =>
    api("post", "/api/classes/{id}/home/came", {
      params: { path: { id: classId } },
      body: { text: sent, mended: null },
    }),
  );
  const take = async (codes: string) => {
    const heard = await hear.mutateAsync(codes).catch(() => undefined);
    if (!heard) return;
    setTold(heard);
    // What was not taken stays to be put right, here or in the list below; what came before need not be typed again.
    setText(
      heard.wrong
        .filter((w) => w.wrong !== "CAME_BEFORE" && !w.kept)
        .map((w) => w.line)
        .join("\n"),
    );
  };
  const decide = useHome(classId, ({ ids, how }: { ids: string[]; how: "kept" | "aside" }) => {
    const said = { params: { path: { id: classId } }, body: { ids } };
    return how === "kept"
      ? api("post", "/api/classes/{id}/home/kept", said)
      : api("post", "/api/classes/{id}/home/aside", said);
  });
  return (
    <section aria-labelledby="came-back" className="border-t-4 border-catch pt-3">
      <h2 id="came-back">{t("came.title")}</h2>
      <label htmlFor="codes" className="mt-3 block text-sm font-semibold">
        {t("came.codes")}
      </label>
      <textarea
        id="codes"
        className="field clock mt-1 w-full uppercase"
        rows={3}
        spellCheck={false}
        autoCapitalize="characters"
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <button
          type="button"
          className="btn btn-main"
          disabled={text.trim() === "" || hear.isPending}
          onClick={() => take(text)}
        >
          {t("came.take")}
        </button>
        <Scan onCode={(code) => take(code)} />
        <ResultFiles onCodes={(codes) => take(codes.join("\n"))} />
      </div>
      <div aria-live="polite">
        {hear.error && <p className="mt-2 font-semibold text-alert">{hear.error.detail}</p>}
        {told && <p className="mt-2 font-semibold">{t("came.taken", { n: told.taken.length })}</p>}
        {told?.wrong
          .filter((w) => !w.kept)
          .map((w) => (
            <Wrong key={`${w.line}/${w.wrong}`} wrong={w} />
          ))}
      </div>
      <Unread classId={classId} lines={unread} onHeard={setTold} />
      {came.length > 0 && (
        <>
          <div className="mt-4 flex flex-wrap items-center gap-3">
            <h3 className="mr-auto">{t("came.waiting", { n: came.length })}</h3>
            <button
              type="button"
              className="btn btn-main"
              disabled={decide.isPending}
              onClick={() => decide.mutate({ ids: came.map((c) => c.id), how: "kept" })}
            >
              {t("came.keepAll", { n: came.length })}
            </button>
          </div>
          <ul className="mt-2">
            {came.map((c) => (
              <Waiting key={c.id} came={c} decide={(how) => decide.mutate({ ids: [c.id], how })} />
            ))}
          </ul>
          <p className="mt-2 text-sm text-soft">{t("came.becomes")}</p>
        </>
      )}
    </section>
  );
}

function Wrong({ wrong }: { wrong: NotTaken }) {
  return (
    <p className="mt-1 text-alert">
      {wrong.line && <strong className="clock">{wrong.line}</strong>}{" "}
      {t(`wrong.${wrong.wrong}`, { pupil: wrong.pupil ?? "" })}
    </p>
  );
}

function Waiting({ came, decide }: { came: CameBack; decide: (how: "kept" | "aside") => void }) {
  const who = { name: came.pupil, k: came.practice };
  const remarks = [
    day(came.on),
    came.felt ? t(`came.felt.${came.felt}`) : "",
    came.paper ? t("came.paper") : "",
    came.late ? t("came.late") : "",
  ].filter(Boolean);
  return (
    <li className="border-b border-rule py-2">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <strong>{came.home ? t("came.homeLine", who) : t("came.line", who)}</strong>
        <span className="mr-auto text-sm text-soft">{remarks.join(", ")}</span>
        <button
          type="button"
          className="btn btn-small"
          aria-label={came.home ? t("came.keepHome", who) : t("came.keepOf", who)}
          onClick={() => decide("kept")}
        >
          {t("came.keep")}
        </button>
        <button
          type="button"
          className="text-sm underline"
          aria-label={t("came.asideOf", who)}
          onClick={() => decide("aside")}
        >
          {t("came.aside")}
        </button>
      </div>
      <p>{came.home ? <HomeSaid home={came.home} /> : numbersSaid(came.numbers)}</p>
    </li>
  );
}

/** What a family told of its home; it goes to the pupil in the store. */
function HomeSaid({ home }: { home: NonNullable<CameBack["home"]> }) {
  const store = useQuery(kit);
  const kinds = Object.keys(home.kit).map((id) => store.data?.kinds.find((k) => k.id === id)?.name ?? id);
  const said = [
    ...kinds,
    home.space ? t("came.homeSpace", { length: home.space.lengthM, width: home.space.widthM }) : "",
    home.space?.wall ? t("came.homeWall") : "",
    home.quiet === null ? "" : home.quiet ? t("came.homeBelow") : t("came.homeNobody"),
  ].filter(Boolean);
  return <>{said.join(", ")}</>;
}

/** Task and side once, its rounds behind it: "Cup to cup, right: 12, 15". */
function numbersSaid(numbers: HomeNumber[]): string {
  const lines = new Map<string, string[]>();
  for (const n of numbers) {
    if (n.said === null) continue;
    const key = `${n.task}${sideWord(n.side)}`;
    const said = `${n.said}${n.tries ? t("came.of", { n: n.tries }) : ""}`;
    lines.set(key, [...(lines.get(key) ?? []), said]);
  }
  const all = [...lines].map(([task, said]) => `${task}: ${said.join(", ")}`);
  return all.length > 0 ? all.join(" · ") : t("came.nothing");
}
