import { Link } from "react-router";
import type { ClassRecord, Found, Ladder } from "../../api/types";
import { FamilyGlyph } from "../../ui/marble";
import { day, side } from "../../words";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";
import { certainty, question, sureness } from "../../words-record";
import { GroupBlock } from "./group-block";
import { PutAll } from "./put-all";

const t = textsOf("pupils", saidPupils);

export type Asked = Found["question"];

const all = Object.keys(question) as Asked[];

/** The questions as filters, each with how many it finds. */
export function QuestionBar({
  record,
  asked,
  onAsk,
}: {
  record: ClassRecord;
  asked: Asked | undefined;
  onAsk: (q: Asked | undefined) => void;
}) {
  return (
    <fieldset className="mb-4 flex flex-wrap gap-1.5 print:hidden" aria-label={t("questions.questions")}>
      {all.map((q) => {
        const mine = record.found.filter((f) => f.question === q);
        const pupils = new Set(mine.map((f) => f.pupilId)).size;
        return (
          <button
            key={q}
            type="button"
            aria-pressed={asked === q}
            className={`btn btn-small max-w-full ${asked === q ? "btn-main" : ""}`}
            onClick={() => onAsk(asked === q ? undefined : q)}
          >
            {question[q].ask}{" "}
            <span className="clock opacity-75">
              {pupils}
              {mine.length > pupils && (
                <span className="text-sm"> {t("questions.challenges", { length: mine.length })}</span>
              )}
            </span>
          </button>
        );
      })}
    </fieldset>
  );
}

/** Whom a question finds, ladder by ladder, each with the reason. */
export function Answers({
  record,
  tried,
  asked,
  mayChange,
}: {
  record: ClassRecord;
  tried: Ladder[];
  asked: Asked;
  mayChange: boolean;
}) {
  const found = record.found.filter((f) => f.question === asked);
  if (found.length === 0) return <p className="py-6 text-lg">{question[asked].nobody}</p>;
  const ladders = tried.filter((l) => found.some((f) => f.ladderId === l.id));
  const without = found.filter((f) => f.ladderId === null);
  return (
    <div className="grid gap-x-10 gap-y-6 md:grid-cols-2">
      {without.length > 0 && (
        <section>
          <ul>
            {without.map((f) => (
              <Answer key={f.pupilId} found={f} record={record} ladder={undefined} />
            ))}
          </ul>
        </section>
      )}
      {ladders.map((l) => {
        const mine = found.filter((f) => f.ladderId === l.id);
        return (
          <section key={l.id} aria-label={l.name}>
            <h2 className="flex flex-wrap items-center gap-2 border-b-2 border-ink pb-1">
              <FamilyGlyph family={l.family} /> {l.name}
              <span className="mr-auto font-text text-base font-normal text-soft">
                {t("questions.text", { count: new Set(mine.map((f) => f.pupilId)).size })}
              </span>
            </h2>
            <div className="flex flex-wrap gap-2 border-b border-rule py-1.5 print:hidden">
              {mayChange && <PutAll found={mine} ladder={l} />}
              <GroupBlock record={record} ladder={l} pupilIds={[...new Set(mine.map((f) => f.pupilId))]} />
            </div>
            <ul>
              {mine.map((f) => (
                <Answer key={`${f.pupilId}/${f.rungId}/${f.side}`} found={f} record={record} ladder={l} />
              ))}
            </ul>
          </section>
        );
      })}
    </div>
  );
}

function Answer({ found, record, ladder }: { found: Found; record: ClassRecord; ladder: Ladder | undefined }) {
  const name = record.pupils.find((p) => p.pupilId === found.pupilId)?.name ?? "?";
  return (
    <li className="grid gap-x-3 border-b border-rule py-1.5 sm:grid-cols-[8rem_minmax(0,1fr)]">
      <Link to={`/pupils/${found.pupilId}`} className="font-semibold">
        {name}
      </Link>
      <span className="text-soft">{reason(found, record, ladder)}</span>
    </li>
  );
}

function reason(f: Found, record: ClassRecord, ladder: Ladder | undefined): string {
  const rung = ladder?.rungs.findIndex((r) => r.id === f.rungId) ?? -1;
  const named = rung >= 0 ? t("questions.rung", { n: rung + 1, name: ladder?.rungs[rung]?.name }) : "";
  const sure = f.chance === null ? "" : `${certainty(f.chance)} (${sureness(f.chance)})`;
  const on = record.onLadders.find((r) => r.pupilId === f.pupilId && r.ladderId === f.ladderId);
  switch (f.question) {
    case "READY_TO_GO_UP": {
      const tries = on?.sides.map((s) => t("questions.of", { hits: s.hits, n: s.hits + s.misses })).join(" and ");
      return t("questions.wentInHeld", { named, tries, sure });
    }
    case "BETTER_A_RUNG_BACK":
      return t("questions.belowTheFloor", {
        named,
        more: f.side && f.side !== "NONE" && f.side !== "STRONG" ? `, ${side[f.side]}` : "",
        sure,
      });
    case "OTHER_SIDE_BEHIND":
      return t("questions.behindOn", { more: f.side ? side[f.side] : "", named, sure });
    case "NOT_SEEN":
      return f.on ? t("questions.lastSeen", { on: day(f.on) }) : t("questions.hasNoTriesYet");
    case "NEVER_TRIED":
      return t("questions.hasNotTriedIt");
    case "BEST_THIS_WEEK":
      return `${named}${f.side && f.side !== "NONE" ? `, ${side[f.side]}` : ""}${f.on ? `, ${day(f.on)}` : ""}`;
    case "ALL_RUNGS_DONE":
      return t("questions.allRungs", { length: ladder?.rungs.length });
  }
}
