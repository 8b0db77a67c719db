import { useEffect, useState } from "react";
import { flushSync } from "react-dom";
import { Link } from "react-router";
import type { ClassRecord, Ladder, OnLadder } from "../../api/types";
import { Choice } from "../../ui/choice";
import { FamilyGlyph, familyColour } from "../../ui/marble";
import { Term } from "../../ui/term";
import { useOnDevice } from "../../ui/use-on-device";
import { family as familyWord, percent } from "../../words";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";
import { verdict } from "../../words-record";
import { byPupilAndLadder, completed, plain } from "./found-in";

const t = textsOf("pupils", saidPupils);

const groupings = { FAMILY: t("matrix.byFamily"), SPORT: t("matrix.bySport") } as const;
const sorts = { PLACE: t("matrix.asTheyStand"), NAME: t("matrix.byName"), DONE: t("matrix.byChallengesDone") } as const;

/** Ladders side by side on a printed page. */
const PRINTED_AT_ONCE = 10;

/** Pupils by ladders: who completed what, and where each one stands. */
export function Matrix({
  record,
  tried,
  onLadder,
}: {
  record: ClassRecord;
  tried: Ladder[];
  onLadder: (id: string) => void;
}) {
  const [sort, setSort] = useOnDevice<keyof typeof sorts>("marble.matrix.sort", "PLACE");
  const [grouping, setGrouping] = useOnDevice<keyof typeof groupings>("marble.matrix.group", "FAMILY");
  const groupOf = (l: Ladder) => (grouping === "FAMILY" ? familyWord[l.family] : (l.sports[0] ?? ""));
  const groups = [...new Set(tried.map(groupOf))];
  const columns = groups.flatMap((g) => tried.filter((l) => groupOf(l) === g));
  const doneBy = new Map<string, number>();
  for (const c of completed(record)) doneBy.set(c.pupilId, (doneBy.get(c.pupilId) ?? 0) + 1);
  const done = (pupilId: string) => doneBy.get(pupilId) ?? 0;
  const pupils = [...record.pupils].sort((a, b) =>
    sort === "NAME" ? a.name.localeCompare(b.name) : sort === "DONE" ? done(b.pupilId) - done(a.pupilId) : 0,
  );
  const found = byPupilAndLadder(record);
  const printing = usePrinting();
  return (
    <>
      <p className="mb-2 flex flex-wrap items-center gap-2 print:hidden">
        <Choice
          label={t("matrix.orderOfThePupils")}
          value={sort}
          options={(Object.keys(sorts) as (keyof typeof sorts)[]).map((v) => ({
            value: v,
            text: t("matrix.pupils", { sorts: sorts[v] }),
          }))}
          onChange={setSort}
        />
        <Choice
          label={t("matrix.laddersGrouped")}
          value={grouping}
          options={(Object.keys(groupings) as (keyof typeof groupings)[]).map((v) => ({
            value: v,
            text: t("matrix.ladders", { groupings: groupings[v] }),
          }))}
          onChange={setGrouping}
        />
      </p>
      {printing ? (
        inPieces(columns, PRINTED_AT_ONCE).map((piece) => (
          <div key={piece[0]?.id} className="mb-6 break-inside-avoid">
            <Table columns={piece} groupOf={groupOf} pupils={pupils} found={found} onLadder={onLadder} />
          </div>
        ))
      ) : (
        <section
          className="relative max-h-[78vh] overflow-auto"
          // biome-ignore lint/a11y/noNoninteractiveTabindex: a table that scrolls must be reachable by keyboard
          tabIndex={0}
          aria-label={t("matrix.challengesOfTheClass")}
        >
          <Table columns={columns} groupOf={groupOf} pupils={pupils} found={found} onLadder={onLadder} />
        </section>
      )}
      <Legend />
    </>
  );
}

function inPieces<T>(all: T[], size: number): T[][] {
  return all.length === 0 ? [] : [all.slice(0, size), ...inPieces(all.slice(size), size)];
}

/** Whether the page is being printed: a paper does not scroll, so what is wide is set in pieces. */
function usePrinting(): boolean {
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    const before = () => flushSync(() => setPrinting(true));
    const after = () => setPrinting(false);
    window.addEventListener("beforeprint", before);
    window.addEventListener("afterprint", after);
    return () => {
      window.removeEventListener("beforeprint", before);
      window.removeEventListener("afterprint", after);
    };
  }, []);
  return printing;
}

function Table({
  columns,
  groupOf,
  pupils,
  found,
  onLadder,
}: {
  columns: Ladder[];
  groupOf: (l: Ladder) => string;
  pupils: ClassRecord["pupils"];
  found: (pupilId: string, ladderId: string) => OnLadder | undefined;
  onLadder: (id: string) => void;
}) {
  const groups = [...new Set(columns.map(groupOf))];
  return (
    <table className="border-collapse">
      <thead className="sticky top-0 z-20 bg-sheet">
        <tr>
          <td className="sticky left-0 bg-sheet" />
          {groups.map((g) => (
            <th
              key={g}
              scope="colgroup"
              colSpan={columns.filter((l) => groupOf(l) === g).length}
              className="border-l-2 border-rule px-2 text-left text-sm font-normal text-soft"
            >
              {g}
            </th>
          ))}
        </tr>
        <tr className="border-b-[3px] border-ink align-bottom">
          <th scope="col" className="sticky left-0 z-10 bg-sheet pr-4 pb-2 text-left">
            {t("matrix.pupil")}
          </th>
          {columns.map((l) => (
            <th
              key={l.id}
              scope="col"
              className="w-28 min-w-[5.6rem] px-1.5 pb-2 text-left align-bottom text-[0.92rem] leading-tight"
            >
              <FamilyGlyph family={l.family} />
              <button
                type="button"
                className="mt-1 block text-left font-bold underline decoration-1"
                onClick={() => onLadder(l.id)}
              >
                {l.name}
              </button>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {pupils.map((p) => (
          <tr key={p.pupilId} className="border-b border-rule">
            <th scope="row" className="sticky left-0 z-10 bg-sheet py-1.5 pr-4 text-left whitespace-nowrap">
              <Link to={`/pupils/${p.pupilId}`} className="font-semibold no-underline hover:underline">
                {p.name}
              </Link>
            </th>
            {columns.map((l) => (
              <td key={l.id} className="px-1.5 py-1">
                <Steps ladder={l} on={found(p.pupilId, l.id)} />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** How much goes in today where the pupil stands, on the weaker side; null where no try says. */
function share(on: OnLadder | undefined): number | null {
  const known = on?.sides.filter((s) => s.known) ?? [];
  return known.length === 0 ? null : Math.min(...known.map((s) => s.share));
}

/** What the signs in the cells mean. */
function Legend() {
  return (
    <p className="mt-2 flex flex-wrap gap-x-5 gap-y-1 text-[0.92rem] text-soft">
      <span>
        {t("matrix.stepFilled")} <Term of="challenge">{t("matrix.completed")}</Term>
      </span>
      <span>{t("matrix.stepWithADot")}</span>
      <span>{t("matrix.barWithinAStep")}</span>
      <span>
        ○ <Term of="standing">{t("matrix.standsHere")}</Term>
      </span>
      <span>{t("matrix.readyToGoUp")}</span>
      <span>{t("matrix.betterARungBack")}</span>
    </p>
  );
}

/** The ladder's rungs as rising steps: filled when completed, dotted when tried, open when not; the marble on the rung where the pupil stands. */
function Steps({ ladder, on }: { ladder: Ladder; on: OnLadder | undefined }) {
  const states = ladder.rungs.map((r) => plain(on, r.id));
  const done = states.filter((c) => c?.completedOn).length;
  const tried = states.filter((c) => c && !c.completedOn).length;
  const colour = familyColour[ladder.family];
  const stands = ladder.rungs.findIndex((r) => r.id === on?.rungId);
  const goesIn = share(on);
  const said =
    on && done + tried > 0
      ? t("matrix.standsOnRung", {
          n: stands + 1,
          more: goesIn === null ? "" : t("matrix.goInNow", { goesIn: percent(goesIn) }),
          short: verdict[on.verdict].short,
          more2: on.seeAgain ? t("matrix.toBeSeenAgain") : "",
        })
      : "";
  const label =
    done + tried === 0
      ? t("matrix.notTried", { name: ladder.name })
      : t("matrix.ofCompleted", {
          name: ladder.name,
          done,
          length: ladder.rungs.length,
          more: tried ? t("matrix.tried", { tried }) : "",
          said,
        });
  const top = (i: number) => 10 + (18 * (i + 1)) / states.length;
  const sign = on && (on.verdict === "UP" || on.verdict === "BACK") ? verdict[on.verdict].sign : "";
  return (
    <svg width={ladder.rungs.length * 14 + 14} height="42" role="img" aria-label={label}>
      <title>{label}</title>
      {states.map((c, i) => {
        const h = top(i);
        const id = ladder.rungs[i]?.id;
        return (
          <g key={id}>
            <rect
              x={i * 14 + 1.5}
              y={41 - h}
              width="10"
              height={h - 1}
              rx="2"
              fill={c?.completedOn ? colour : "none"}
              stroke={c ? colour : "var(--color-rule)"}
              strokeWidth="1.800"
            />
            {i === stands && goesIn !== null && !c?.completedOn && (
              <rect
                x={i * 14 + 3.5}
                y={39 - (h - 5) * goesIn}
                width="6"
                height={(h - 5) * goesIn}
                fill={colour}
                opacity="0.35"
              />
            )}
            {c && !c.completedOn && <circle cx={i * 14 + 6.5} cy={41 - h / 2} r="2.200" fill={colour} />}
          </g>
        );
      })}
      {stands >= 0 && done + tried > 0 && (
        <>
          <circle
            cx={stands * 14 + 6.5}
            cy={41 - top(stands) - 6}
            r="4.500"
            fill="var(--color-sheet)"
            stroke="var(--color-ink)"
            strokeWidth="2"
          />
          {sign && (
            <path
              d={sign === "↑" ? "m0 9 4.5-8 4.5 8z" : "m0 1 4.5 8 4.5-8z"}
              transform={`translate(${stands * 14 + 12.5} ${41 - top(stands) - 11})`}
              fill="var(--color-ink)"
            />
          )}
        </>
      )}
    </svg>
  );
}
