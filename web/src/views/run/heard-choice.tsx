import { useState } from "react";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";
import { keepHeard, type Sounder } from "./calls";

const t = textsOf("run", saidRun);

/** Tones and speech, each on or off; kept on this device. */
export function HeardChoice({ sounder }: { sounder: Sounder }) {
  const [heard, setHeard] = useState(sounder.heard);
  const set = (next: typeof heard) => {
    sounder.heard = next;
    sounder.wake();
    keepHeard(next);
    setHeard(next);
  };
  return (
    <span className="flex gap-2">
      <button
        type="button"
        className="btn btn-small"
        aria-pressed={heard.tones}
        onClick={() => set({ ...heard, tones: !heard.tones })}
      >
        {t("heardChoice.tones")} {heard.tones ? t("heardChoice.on") : t("heardChoice.off")}
      </button>
      <button
        type="button"
        className="btn btn-small"
        aria-pressed={heard.speech}
        onClick={() => set({ ...heard, speech: !heard.speech })}
      >
        {t("heardChoice.voice")} {heard.speech ? t("heardChoice.on") : t("heardChoice.off")}
      </button>
      <button
        type="button"
        className="btn btn-small"
        aria-pressed={heard.beat}
        onClick={() => set({ ...heard, beat: !heard.beat })}
      >
        {t("heardChoice.beat")} {heard.beat ? t("heardChoice.on") : t("heardChoice.off")}
      </button>
    </span>
  );
}
