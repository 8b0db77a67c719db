import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { classRecord, ladders } from "../../api/queries";
import type { Challenge, ClassRecord, Ladder } from "../../api/types";
import { useChosenClass } from "../../chosen-class";
import { FamilyGlyph, familyColour } from "../../ui/marble";
import { Empty, Failed, Loading } from "../../ui/states";
import { bestAndLast, count, day, gate, side } from "../../words";

/** Who completed which challenge; one ladder at a time with bests, last results and rounds. */
export function ClassView() {
  const { chosen } = useChosenClass();
  const record = useQuery({ ...classRecord(chosen?.id ?? ""), enabled: !!chosen });
  const catalogue = useQuery(ladders);
  const [ladderId, setLadderId] = useState<string>();
  if (!chosen)
    return (
      <Empty title="No class yet">
        <p>Enter your class first; the page fills itself from the lessons you run.</p>
        <Link className="btn btn-main" to="/store">
          Make the first class
        </Link>
      </Empty>
    );
  const failed = [record, catalogue].find((q) => q.isLoadingError);
  if (failed) return <Failed error={failed.error} again={() => failed.refetch()} />;
  if (!record.data || !catalogue.data) return <Loading what={`the record of ${chosen.name}`} />;
  const tried = catalogue.data.filter((l) => record.data.ladderIds.includes(l.id));
  if (tried.length === 0 || !record.data.firstDay)
    return (
      <Empty title={`${record.data.className} has no tries yet`}>
        <p>Run a lesson and collect the numbers; who completed what then stands here.</p>
        <Link className="btn btn-main" to="/run">
          Run a lesson
        </Link>
      </Empty>
    );
  const ladder = tried.find((l) => l.id === ladderId);
  return (
    <>
      <h1>{record.data.className}: who completed what</h1>
      <p className="mt-1 mb-4 text-soft">
        Since {day(record.data.firstDay)} · {count(record.data.days, "day", "days")} ·{" "}
        {count(record.data.rounds, "round", "rounds")}. A filled step is a rung whose gate was met
        {ladder ? "" : "; press a ladder for bests and last results"}.
      </p>
      {ladder ? (
        <OneLadder record={record.data} ladder={ladder} onBack={() => setLadderId(undefined)} />
      ) : (
        <Matrix record={record.data} tried={tried} onLadder={setLadderId} />
      )}
    </>
  );
}

function find(record: ClassRecord, pupilId: string, ladderId: string, rungId: string): Challenge | undefined {
  return record.challenges.find(
    (c) => c.pupilId === pupilId && c.ladderId === ladderId && c.rungId === rungId && c.modifiers.length === 0,
  );
}

function Matrix({ record, tried, onLadder }: { record: ClassRecord; tried: Ladder[]; onLadder: (id: string) => void }) {
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: a table that scrolls sideways must be reachable by keyboard
    <section className="relative overflow-x-auto" tabIndex={0} aria-label="Challenges of the class">
      <table className="border-collapse">
        <thead>
          <tr className="border-b-[3px] border-ink align-bottom">
            <th scope="col" className="sticky left-0 z-10 bg-sheet pr-4 pb-2 text-left">
              Pupil
            </th>
            {tried.map((l) => (
              <th
                key={l.id}
                scope="col"
                className="w-32 min-w-28 px-2 pb-2 text-left align-bottom text-[0.92rem] leading-tight"
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
          {record.pupils.map((p) => (
            <tr key={p.pupilId} className="border-b border-rule">
              <th scope="row" className="sticky left-0 z-10 bg-sheet py-1.5 pr-4 text-left whitespace-nowrap">
                <Link to={`/pupils/${p.pupilId}`} className="font-semibold no-underline hover:underline">
                  {p.name}
                </Link>
              </th>
              {tried.map((l) => (
                <td key={l.id} className="px-2 py-1.5">
                  <Steps record={record} ladder={l} pupilId={p.pupilId} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** The ladder's rungs as rising steps: filled when completed, half when tried, open when not. */
function Steps({ record, ladder, pupilId }: { record: ClassRecord; ladder: Ladder; pupilId: string }) {
  const states = ladder.rungs.map((r) => find(record, pupilId, ladder.id, r.id));
  const done = states.filter((c) => c?.completedOn).length;
  const tried = states.filter((c) => c && !c.completedOn).length;
  const colour = familyColour[ladder.family];
  const label =
    done + tried === 0
      ? `${ladder.name}: not tried`
      : `${ladder.name}: ${done} of ${ladder.rungs.length} completed${tried ? `, ${tried} tried` : ""}`;
  return (
    <svg width={ladder.rungs.length * 14 + 2} height="30" role="img" aria-label={label}>
      <title>{label}</title>
      {states.map((c, i) => {
        const h = 10 + (18 * (i + 1)) / states.length;
        const id = ladder.rungs[i]?.id;
        return (
          <g key={id}>
            <rect
              x={i * 14 + 1.5}
              y={29 - h}
              width="10"
              height={h - 1}
              rx="2"
              fill={c?.completedOn ? colour : "none"}
              stroke={c ? colour : "var(--color-rule)"}
              strokeWidth="1.800"
            />
            {c && !c.completedOn && <circle cx={i * 14 + 6.5} cy={29 - h / 2} r="2.200" fill={colour} />}
          </g>
        );
      })}
    </svg>
  );
}

function OneLadder({ record, ladder, onBack }: { record: ClassRecord; ladder: Ladder; onBack: () => void }) {
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-4">
        <h2 className="flex items-center gap-2">
          <FamilyGlyph family={ladder.family} /> {ladder.name}
        </h2>
        <button type="button" className="btn btn-small" onClick={onBack}>
          All ladders
        </button>
      </div>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: a table that scrolls sideways must be reachable by keyboard */}
      <section className="relative overflow-x-auto" tabIndex={0} aria-label={`Rungs of ${ladder.name}`}>
        <table className="border-collapse">
          <thead>
            <tr className="border-b-[3px] border-ink align-bottom">
              <th scope="col" className="sticky left-0 bg-sheet pr-4 pb-2 text-left">
                Pupil
              </th>
              {ladder.rungs.map((r, i) => (
                <th key={r.id} scope="col" className="min-w-40 px-3 pb-2 text-left align-bottom">
                  {i + 1} {r.name}
                  <span className="block text-sm font-normal text-soft">{gate(r)}</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {record.pupils.map((p) => (
              <tr key={p.pupilId} className="border-b border-rule align-top">
                <th scope="row" className="sticky left-0 bg-sheet py-2 pr-4 text-left whitespace-nowrap">
                  <Link to={`/pupils/${p.pupilId}`} className="font-semibold no-underline hover:underline">
                    {p.name}
                  </Link>
                </th>
                {ladder.rungs.map((r) => {
                  const c = find(record, p.pupilId, ladder.id, r.id);
                  return (
                    <td key={r.id} className="px-3 py-2">
                      {c ? (
                        <>
                          {c.completedOn && (
                            <strong style={{ color: familyColour[ladder.family] }}>✓ {day(c.completedOn)}</strong>
                          )}
                          {c.sides.map((s) => (
                            <span key={s.side} className="block text-[0.95rem]">
                              {s.side !== "NONE" && s.side !== "STRONG" && (
                                <span className="text-soft">{side[s.side]}: </span>
                              )}
                              {bestAndLast(s, r)}
                            </span>
                          ))}
                          <span className="block text-sm text-soft">
                            {count(c.rounds, "round", "rounds")}
                            {c.tries > 0 && `, ${c.tries} tries counted`}
                          </span>
                        </>
                      ) : (
                        <span className="text-soft">not tried</span>
                      )}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </>
  );
}
