import type { Run, RunEvent, Segment } from "../../api/types";
import type { useRun } from "./use-run";

/** One press for a usual fault that is seen; it answers with the cue that mends it. */
export function Seen({
  run,
  segment,
  round,
  events,
  record,
}: {
  run: Run;
  segment: Segment;
  round: number;
  events: RunEvent[];
  record: ReturnType<typeof useRun>["record"];
}) {
  const { segments, blocks } = run.sheet.script;
  const of = segments[round]?.block === segment.block ? round : segment.index;
  const block = blocks[segment.block];
  const ladder = run.sheet.ladders.find((l) => l.id === block?.ladderId);
  if (!ladder || !["WORK", "SIDE_SWAP", "TURN_SWAP", "REST"].includes(segment.kind)) return null;
  const inBlock = events.filter((e) => e.kind === "FAULT" && segments[e.segment ?? -1]?.block === segment.block);
  const last = ladder.faults.find((f) => f.id === inBlock.at(-1)?.note);
  return (
    <section aria-label="Seen" className="mt-4 flex flex-wrap items-center gap-2">
      <span className="text-mist">Seen:</span>
      {ladder.faults.map((f) => {
        const times = inBlock.filter((e) => e.note === f.id).length;
        return (
          <button
            key={f.id}
            type="button"
            className="btn btn-small text-left whitespace-normal!"
            onClick={() => record("FAULT", { segment: of, note: f.id })}
          >
            {f.seen}
            {times > 0 && <span className="clock opacity-75">{times}</span>}
          </button>
        );
      })}
      {last && (
        <p className="w-full text-xl" role="status" data-testid="next-cue">
          Say: <strong>{last.mend}</strong>
        </p>
      )}
    </section>
  );
}
