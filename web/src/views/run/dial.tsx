import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";

const say = textsOf("run", saidRun);
/** What the dial types into: the number that has the focus. */
export type DialTarget = { digit: (d: string) => void; erase: () => void; enter: () => void };

const DIGITS = ["1", "2", "3", "4", "5", "6", "7", "8", "9"];

/** Large digits for a finger, in place of the keyboard that would cover half of a tablet. */
export function Dial({ to }: { to: () => DialTarget | null }) {
  const key = (label: string, name: string, act: (t: DialTarget) => void, className = "") => (
    <button
      key={label}
      type="button"
      aria-label={name}
      className={`min-h-12 border border-[#566460] font-head text-2xl font-semibold ${className}`}
      // The number keeps the focus while its digits are pressed.
      onPointerDown={(e) => e.preventDefault()}
      onClick={() => {
        const target = to();
        if (target) act(target);
      }}
    >
      {label}
    </button>
  );
  return (
    <fieldset
      className="grid h-fit w-full grid-cols-6 gap-1.5 sm:sticky sm:top-3 sm:w-48 sm:grid-cols-3"
      aria-label={say("dial.dial")}
    >
      {DIGITS.map((d) => key(d, d, (t) => t.digit(d)))}
      {key("⌫", "Erase", (t) => t.erase())}
      {key("0", "0", (t) => t.digit("0"))}
      {key("→", say("dial.next"), (t) => t.enter(), "bg-chalk text-night")}
    </fieldset>
  );
}
