import { type RefObject, useEffect, useRef, useState } from "react";
import { seconds } from "../../words";
import type { DialTarget } from "./dial";
import type { Known } from "./result-of";
import { toldNumber } from "./told-number";

/** One number of the collect sheet: typed or dialled; what was tapped stands in it already. */
export function NumberBox({
  label,
  side,
  known,
  own,
  most,
  within,
  timed,
  dial,
  active,
  onTell,
  onNext,
}: {
  label: string;
  side: string;
  known: Known | null;
  own: string;
  /** the most that it can be, and of what */
  most: number;
  within: string;
  /** whether it is a time, that may have tenths */
  timed: boolean;
  dial: boolean;
  active: RefObject<DialTarget | null>;
  onTell: (score: number, timeMs: number | null) => void;
  onNext: (from: HTMLInputElement) => void;
}) {
  const shown =
    known === null ? "" : known.timeMs !== null ? seconds(known.timeMs).replace(" s", "") : String(known.score);
  const [text, setText] = useState(shown);
  const [wrong, setWrong] = useState("");
  const input = useRef<HTMLInputElement>(null);
  // Enter sends and then leaves the field, which would send again.
  const sent = useRef<string | null>(null);
  const untouched = useRef(true);
  const latest = useRef(text);
  latest.current = text;
  useEffect(() => {
    sent.current = null;
    if (shown !== "") setText(shown);
  }, [shown]);
  const send = (): boolean => {
    const typed = latest.current.trim();
    const told = toldNumber(typed, timed, most, within);
    const must = told && "wrong" in told ? told.wrong : "";
    setWrong(must);
    if (told && !("wrong" in told) && typed !== shown && typed !== sent.current) {
      sent.current = typed;
      onTell(told.score, told.timeMs);
    }
    return must === "";
  };
  const enter = () => {
    if (send() && input.current) onNext(input.current);
  };
  const dialled: DialTarget = {
    digit: (d) => {
      const next = untouched.current ? d : latest.current + d;
      untouched.current = false;
      latest.current = next;
      setText(next);
    },
    erase: () => {
      untouched.current = false;
      latest.current = latest.current.slice(0, -1);
      setText(latest.current);
    },
    enter,
  };
  const note = wrong || (known && !known.told ? "tapped" : side);
  return (
    <span className={`text-center leading-tight ${wrong ? "w-36" : "w-fit min-w-20 max-w-32"}`}>
      <input
        ref={input}
        className="field num text-xl"
        style={{ width: wrong ? "100%" : "5rem", minHeight: "2.75rem" }}
        inputMode={dial ? "none" : timed ? "text" : "numeric"}
        enterKeyHint="next"
        aria-label={label}
        aria-invalid={!!wrong}
        data-open={known === null}
        value={text}
        onFocus={(e) => {
          e.target.select();
          untouched.current = true;
          active.current = dialled;
        }}
        onChange={(e) => {
          untouched.current = false;
          setText(e.target.value);
        }}
        onBlur={send}
        onKeyDown={(e) => {
          if (e.key !== "Enter") return;
          e.preventDefault();
          enter();
        }}
      />
      {(side || note) && (
        <span
          className={`block text-xs ${wrong ? "mt-1.5" : ""} ${wrong ? "font-semibold text-[#ffb3a5]" : "text-mist"}`}
          role={wrong ? "alert" : undefined}
        >
          {wrong ? wrong : [side, note !== side && note].filter(Boolean).join(" · ")}
        </span>
      )}
      {own && !wrong && <span className="block text-xs text-mist">{own}</span>}
    </span>
  );
}
