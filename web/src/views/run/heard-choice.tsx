import { useState } from "react";
import { keepHeard, type Sounder } from "./calls";

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
        Tones {heard.tones ? "on" : "off"}
      </button>
      <button
        type="button"
        className="btn btn-small"
        aria-pressed={heard.speech}
        onClick={() => set({ ...heard, speech: !heard.speech })}
      >
        Voice {heard.speech ? "on" : "off"}
      </button>
      <button
        type="button"
        className="btn btn-small"
        aria-pressed={heard.beat}
        onClick={() => set({ ...heard, beat: !heard.beat })}
      >
        Beat {heard.beat ? "on" : "off"}
      </button>
    </span>
  );
}
