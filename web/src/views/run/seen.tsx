import type { Run, RunEvent, Segment } from "../../api/types";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";
import { is, type Played } from "./log";
import type { useRun } from "./use-run";

const t = textsOf("run", saidRun);

/** One press for a usual fault that is seen; it answers with the cue that mends it. A second press says whose it was. */
export function Seen({
  run,
  played,
  segment,
  round,
  events,
  record,
}: {
  run: Run;
  played: Played;
  segment: Segment;
  round: number;
  events: RunEvent[];
  record: ReturnType<typeof useRun>["record"];
}) {
  const { segments, blocks } = run.sheet.script;
  const of = segments[round]?.block === segment.block ? round : segment.index;
  const block = blocks[segment.block];
  const ladder = run.sheet.ladders.find((l) => l.id === block?.ladderId);
  if (!ladder || !["WORK", "SIDE_SWAP", "TURN_SWAP", "REST", "STATION_CHANGE"].includes(segment.kind)) return null;
  const inBlock = events.filter(is("FAULT_SEEN")).filter((e) => segments[e.what.segment]?.block === segment.block);
  const lastSeen = inBlock.at(-1);
  const last = ladder.faults.find((f) => f.id === lastSeen?.what.faultId);
  const working = block?.turns[segments[of]?.turn ?? -1]?.crews.flatMap((c) => c.workers) ?? [];
  const whose = (pupilId: string) => {
    if (!lastSeen) return;
    record({ type: "TAKE_BACK", target: lastSeen.id });
    record({ ...lastSeen.what, pupilId: pupilId === lastSeen.what.pupilId ? null : pupilId });
  };
  return (
    <section aria-label={t("seen.seen")} className="mt-4 flex flex-wrap items-center gap-2">
      <span className="text-mist">{t("seen.seen2")}</span>
      {ladder.faults.map((f) => {
        const times = inBlock.filter((e) => e.what.faultId === f.id).length;
        return (
          <button
            key={f.id}
            type="button"
            className="btn btn-small text-left whitespace-normal!"
            onClick={() => record({ type: "FAULT_SEEN", segment: of, pupilId: null, faultId: f.id })}
          >
            {f.seen}
            {times > 0 && <span className="clock opacity-75">{times}</span>}
          </button>
        );
      })}
      {last && (
        <>
          <p className="w-full text-xl" role="status" data-testid="next-cue">
            {t("seen.say")} <strong>{last.mend}</strong>
          </p>
          <p className="flex w-full flex-wrap items-center gap-1.5 text-sm">
            <span className="text-mist">{t("seen.whoseWasItIf")}</span>
            {working
              .filter((w) => !played.away.has(w))
              .map((w) => (
                <button
                  key={w}
                  type="button"
                  className={`min-h-11 border px-2 ${lastSeen?.what.pupilId === w ? "border-chalk bg-chalk text-night" : "border-[#3a504d]"}`}
                  aria-pressed={lastSeen?.what.pupilId === w}
                  onClick={() => whose(w)}
                >
                  {run.sheet.pupils.find((p) => p.pupilId === w)?.name}
                </button>
              ))}
          </p>
        </>
      )}
    </section>
  );
}
