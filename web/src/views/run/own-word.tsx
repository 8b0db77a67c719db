import type { RunEvent } from "../../api/types";
import { ownWord } from "../../words";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";
import { is } from "./log";
import type { useRun } from "./use-run";

const t = textsOf("run", saidRun);

/** What a pupil said of a round, if anything. */
export function wordOf(events: RunEvent[], round: number, pupilId: string) {
  return events
    .filter(is("OWN_WORD"))
    .filter((e) => e.what.segment === round && e.what.pupilId === pupilId)
    .at(-1);
}

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
  const said = wordOf(events, round, pupilId);
  const on = said?.what.word;
  const press = (word: (typeof words)[number]) => {
    if (said) record({ type: "TAKE_BACK", target: said.id });
    if (on !== word) record({ type: "OWN_WORD", segment: round, pupilId, word });
  };
  return (
    <fieldset className="ml-auto flex" aria-label={t("ownWord.ownWord", { name })}>
      {words.map((w) => (
        <button
          key={w}
          type="button"
          className={`min-h-11 min-w-11 border border-[#3a504d] px-1 ${on === w ? "bg-chalk text-night" : "text-mist"}`}
          aria-pressed={on === w}
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
