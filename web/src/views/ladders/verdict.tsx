import type { RungFit } from "../../api/types";
import { verdict as verdictWord } from "../../words-ladders";

/** A sign and a word; never colour alone. */
export function Verdict({ verdict }: { verdict: RungFit["verdict"] }) {
  const [sign, colour] = {
    FITS: ["●", "text-catch"],
    WITH_CHANGE: ["◐", "text-catch"],
    FEW_AT_A_TIME: ["◔", "text-move"],
    NOT: ["○", "text-alert"],
  }[verdict] as [string, string];
  return (
    <strong className={`whitespace-nowrap ${colour}`}>
      <span aria-hidden>{sign}</span> {verdictWord[verdict]}.
    </strong>
  );
}
