import { Link } from "react-router";
import type { FitLine, Ladder, OwnLadder } from "../../api/types";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";
import { finding } from "../../words-findings";
import { hereIs, people, sports } from "../../words-ladders";
import { Verdict } from "./verdict";

const t = textsOf("ladders", saidLadders);

/** One ladder in the list: what it is for, and whether it fits with the reason. */
export function Line({
  ladder,
  fit,
  own,
  search,
  noise,
}: {
  ladder: Ladder;
  fit: FitLine | undefined;
  own: OwnLadder | undefined;
  search: string;
  noise: string;
}) {
  const best = fit?.best;
  const reasons = best?.findings.filter((f) => f.level === "STOP" || f.code === "WAVES_MANY") ?? [];
  return (
    <li className="grid gap-x-6 gap-y-0.5 border-b border-rule py-2 sm:grid-cols-[minmax(15rem,1fr)_minmax(0,2fr)]">
      <span>
        <Link to={`/ladders/${ladder.id}?${search}`} className="font-semibold">
          {ladder.name}
        </Link>
        {own && (
          <span className="ml-2 bg-ink px-1.5 text-sm text-sheet">
            {own.retired ? t("line.oursRetired") : t("line.ours")}
          </span>
        )}
        <span className="block text-sm text-soft">
          {sports(ladder)} · {people(ladder)} · {noise}
        </span>
      </span>
      {best ? (
        <span className="text-[0.95rem]">
          <Verdict verdict={best.verdict} />{" "}
          {best.verdict === "NOT" ? (
            reasons.map(finding).join(" ")
          ) : (
            <>
              {fit.fitting > 0 &&
                fit.fitting < ladder.rungs.length &&
                t("line.ofRungs", { fitting: fit.fitting, length: ladder.rungs.length })}
              {best.verdict === "FEW_AT_A_TIME" && best.changes.length === 0
                ? reasons.map(finding).join(" ")
                : hereIs(best)}
            </>
          )}
          <span className="hidden text-sm text-soft sm:block">{ladder.rungs.map((r) => r.name).join(" → ")}</span>
        </span>
      ) : (
        <span className="text-[0.95rem] text-soft">{ladder.rungs.map((r) => r.name).join(" → ")}</span>
      )}
    </li>
  );
}
