import { useEffect, useRef } from "react";
import type { Run, Segment } from "../../api/types";
import { thisDevice } from "./device";
import { type Played, roundAt, type Tally, tallyKey } from "./log";
import type { useRun } from "./use-run";

/** Keys for pads, in the order of the pads; none of them is a command. */
const PAD_KEYS = ["q", "w", "e", "r", "t", "y", "u", "i"];

/** Pads for the few whom the adult watches; for all others the partner counts. */
export function Pads({
  run,
  played,
  counts,
  segment,
  watched,
  onWatch,
  record,
}: {
  run: Run;
  played: Played;
  counts: Map<string, Tally>;
  segment: Segment;
  watched: string[];
  onWatch: (ids: string[]) => void;
  record: ReturnType<typeof useRun>["record"];
}) {
  const { segments, blocks } = run.sheet.script;
  const nextWork = segments.find((s) => s.kind === "WORK" && s.index >= segment.index);
  const round = ["WORK", "SIDE_SWAP"].includes(segment.kind)
    ? roundAt(segments, segment.index)
    : (nextWork?.index ?? -1);
  const work = segments[round];
  const block = work && blocks[work.block];
  const turn = work && block?.turns[work.turn];
  const ladder = run.sheet.ladders.find((l) => l.id === block?.ladderId);
  const rung = ladder?.rungs.find((r) => r.id === block?.rungId);
  const names = new Map(run.sheet.pupils.map((p) => [p.pupilId, p.name]));
  const name = (id: string) => names.get(id) ?? "?";
  const crews = (turn?.crews ?? []).filter((c) => c.workers.some((w) => !played.away.has(w)));
  const tappable = rung && ["COUNT_IN_TIME", "LONGEST_RUN", "HITS_OF_N", "MADE_FROM_SPOTS"].includes(rung.measure);
  const shown = tappable
    ? crews.filter((c) => c.workers.some((w) => watched.includes(w))).slice(0, PAD_KEYS.length)
    : [];
  const others = crews.filter((c) => !shown.includes(c));
  const open = segment.kind === "WORK" || segment.kind === "SIDE_SWAP";
  const take = played.take(round);

  // The taps made on this screen, so that a pad can take back its own last one.
  const taps = useRef<{ id: string; key: string }[]>([]);
  const count = (kind: "HIT" | "MISS", workers: string[]) => {
    if (!open) return;
    for (const pupilId of workers) {
      const made = record(kind, { segment: round, take, pupilId });
      taps.current.push({ id: made.id, key: tallyKey(round, take, pupilId) });
    }
  };
  const takeBack = (workers: string[]) => {
    for (const pupilId of workers) {
      const index = taps.current.map((t) => t.key).lastIndexOf(tallyKey(round, take, pupilId));
      const [last] = index < 0 ? [] : taps.current.splice(index, 1);
      if (last) record("TAKE_BACK", { target: last.id });
    }
  };

  const byKey = useRef<(e: KeyboardEvent) => void>(() => {});
  byKey.current = (e) => {
    if (e.ctrlKey || e.metaKey || e.altKey || e.repeat) return;
    if (e.target instanceof HTMLElement && e.target.closest("input, textarea, [role=dialog]")) return;
    const pad = shown[PAD_KEYS.indexOf(e.key.toLowerCase())];
    if (pad) count(e.shiftKey ? "MISS" : "HIT", pad.workers);
  };
  useEffect(() => {
    const listen = (e: KeyboardEvent) => byKey.current(e);
    window.addEventListener("keydown", listen);
    return () => window.removeEventListener("keydown", listen);
  }, []);

  if (!turn || !rung) return null;
  if (!block?.counted) return <p className="text-mist">Nothing is counted here.</p>;
  return (
    <section aria-label="Pads" className="space-y-3">
      {shown.length > 0 && (
        <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
          {shown.map((crew, i) => {
            const first = crew.workers[0] ?? "";
            const all = counts.get(tallyKey(round, take, first));
            // Whoever taps sees what they tapped, also where another device counts the same pupil.
            const t = all?.by.find((c) => c.device === thisDevice()) ?? all ?? { hits: 0, misses: 0 };
            const done = block?.reps && t.hits >= block.reps;
            const who = crew.workers.map(name).join(" & ");
            return (
              <li key={first} className="flex min-h-40 border-2 border-[#3a504d] bg-dusk">
                <button
                  type="button"
                  className="w-[24%] border-r-2 border-[#3a504d] bg-night text-[#ffb3a5] disabled:opacity-60"
                  disabled={!open}
                  onClick={() => count("MISS", crew.workers)}
                  aria-label={`${who}: miss, ${t.misses} so far`}
                >
                  <span className="digits block text-4xl">{t.misses}</span>
                  missed
                </button>
                <div className="relative flex-1">
                  <button
                    type="button"
                    className="flex size-full flex-col items-start p-3 text-left disabled:opacity-60"
                    disabled={!open}
                    onClick={() => count("HIT", crew.workers)}
                    aria-label={`${who}: hit, ${t.hits}${block?.reps ? ` of ${block.reps}` : ""} so far`}
                  >
                    <span className="text-lg font-semibold">{who}</span>
                    <span className="digits mt-2 text-6xl" data-testid="hits">
                      {t.hits}
                      {block?.reps && <span className="text-3xl text-mist"> of {block.reps}</span>}
                    </span>
                    <span className="mt-auto text-sm text-mist">
                      {done
                        ? `Done. Harder: ${rung.harder}`
                        : crew.helpers.length > 0
                          ? `${crew.helpers.map(name).join(", ")} counts`
                          : "counts alone"}
                    </span>
                  </button>
                  <kbd className="absolute top-3 right-3 text-mist" aria-hidden>
                    {PAD_KEYS[i]}
                  </kbd>
                  <button
                    type="button"
                    className="absolute right-2 bottom-2 px-2 py-1 text-sm text-mist underline disabled:opacity-40"
                    disabled={t.hits + t.misses === 0}
                    onClick={() => takeBack(crew.workers)}
                    aria-label={`${who}: take back the last tap`}
                  >
                    take back
                  </button>
                </div>
              </li>
            );
          })}
        </ul>
      )}
      <div>
        <p className="text-mist">
          {tappable
            ? "Partners count. Press a name to tap for that spot yourself:"
            : "The partner keeps this one; the numbers come in at the rest."}
        </p>
        <ul className="mt-2 flex flex-wrap gap-2">
          {(tappable ? crews : others).map((crew) => {
            const on = shown.includes(crew);
            const first = crew.workers[0] ?? "";
            return (
              <li key={first}>
                <button
                  type="button"
                  aria-pressed={on}
                  disabled={!tappable}
                  className={`btn btn-small ${on ? "btn-main" : ""}`}
                  onClick={() => onWatch(on ? watched.filter((id) => !crew.workers.includes(id)) : [...watched, first])}
                >
                  <span className="clock text-sm opacity-75">{crew.spot + 1}</span> {crew.workers.map(name).join(" & ")}
                </button>
              </li>
            );
          })}
        </ul>
      </div>
    </section>
  );
}
