import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";

const t = textsOf("run", saidRun);
/** What is called now, as large as it can be; a new call comes in with a flash of its edge, and says its number for whoever looks up late. */
export function CalledWord({
  word,
  number,
  sinceMs,
  huge,
}: {
  word: string;
  number: number;
  sinceMs: number;
  huge?: boolean;
}) {
  return (
    <p
      className={`mt-2 inline-block border-l-[0.35em] bg-dusk px-[0.4em] font-head font-bold ${sinceMs < 600 ? "border-[#e0b84a]" : "border-[#3a504d]"} ${huge ? "text-[clamp(3rem,9vw,11rem)]" : "text-[clamp(2.2rem,6vw,5rem)]"} leading-tight`}
      data-testid="called"
    >
      {word}
      <span className="ml-3 align-middle font-text text-[0.3em] font-normal text-mist">
        {t("calledWord.call", { value: number + 1 })}
      </span>
    </p>
  );
}
