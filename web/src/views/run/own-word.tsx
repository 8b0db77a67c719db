import type { RunEvent } from "../../api/types";
import { ownWord } from "../../words";
import type { useRun } from "./use-run";

const words = ["TOO_EASY", "RIGHT", "TOO_HARD"] as const;

/** The pupil's own word on a round, one tap; another tap takes it back. */
export function OwnWord({
  name,
  pupilId,
  round,
  events,
  record,
}: {
  name: string;
  pupilId: string;
  round: number;
  events: RunEvent[];
  record: ReturnType<typeof useRun>["record"];
}) {
  const said = events.filter((e) => e.kind === "WORD" && e.segment === round && e.pupilId === pupilId).at(-1);
  const press = (word: (typeof words)[number]) => {
    if (said) record("TAKE_BACK", { target: said.id });
    if (said?.note !== word) record("WORD", { segment: round, pupilId, note: word });
  };
  return (
    <fieldset className="flex" aria-label={`${name}: own word`}>
      {words.map((w) => (
        <button
          key={w}
          type="button"
          className={`min-h-9 min-w-9 border border-[#3a504d] px-1 ${said?.note === w ? "bg-chalk text-night" : "text-mist"}`}
          aria-pressed={said?.note === w}
          aria-label={`${name}: ${ownWord[w].full}`}
          title={ownWord[w].full}
          onClick={() => press(w)}
        >
          {ownWord[w].short}
        </button>
      ))}
    </fieldset>
  );
}
