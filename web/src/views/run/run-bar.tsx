import type { Run } from "../../api/types";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";
import { Aside } from "./aside";
import type { Sounder } from "./calls";
import { afterTurn } from "./ended-turn";
import { GoTo } from "./go-to";
import { HeardChoice } from "./heard-choice";
import { type Played, roundAt } from "./log";
import type { Collecting } from "./use-collecting";
import { EXTRA_SEC, type Press } from "./use-press";
import type { useRun } from "./use-run";
import { WallLink } from "./wall-link";

const t = textsOf("run", saidRun);

/** What is at hand all the time: hold, stop, on and back, what is left to do. */
export function RunBar({
  run,
  played,
  on,
  at,
  press,
  collecting,
  optional,
  sounder,
}: {
  run: Run;
  played: Played;
  on: ReturnType<typeof useRun>;
  /** the segment */
  at: number;
  press: Press;
  collecting: Collecting;
  /** whether the round may be left out */
  optional: boolean;
  sounder: Sounder;
}) {
  const { segments } = run.sheet.script;
  const going = !!segments[at];
  const begun = on.events.some((e) => e.what.type === "GO");
  const round = roundAt(segments, at);
  const { missing, toAsk } = collecting;
  return (
    <div className="run-bar flex flex-wrap items-center gap-1.5 sm:pb-2">
      <span className="run-first flex gap-1.5">
        <button type="button" className="btn btn-main min-w-28 flex-1" onClick={press.holdOrGo} disabled={!going}>
          {played.anchor.playing ? t("runBar.hold") : begun ? t("runBar.goOn") : t("runBar.go")}{" "}
          <Key>{t("runView.space")}</Key>
        </button>
        <button
          type="button"
          className="btn btn-stop flex-1"
          onClick={press.stopAll}
          disabled={!going || played.stopped}
        >
          {t("runView.stopAll")} <Key>{t("runView.s")}</Key>
        </button>
      </span>
      <button type="button" className="btn" onClick={press.again} disabled={round < 0}>
        {t("runView.again")} <Key>←</Key>
      </button>
      <button type="button" className="btn" onClick={press.next} disabled={!going}>
        {t("runView.next")} <Key>→</Key>
      </button>
      <button type="button" className="btn" onClick={press.endTurn} disabled={afterTurn(segments, at) === undefined}>
        {t("runView.endTheTurn")}
      </button>
      <GoTo run={run} played={played} at={at} onGo={press.goTo} onBack={round < 1 ? undefined : press.back} />
      {optional && (
        <button type="button" className="btn" onClick={press.skipOptional}>
          {t("runView.skipTheOptionalRound")}
        </button>
      )}
      <button type="button" className="btn" onClick={press.longer} disabled={!going}>
        {t("runView.s2", { EXTRASEC: EXTRA_SEC })}
      </button>
      <button type="button" className="btn" onClick={press.takeBack} disabled={on.events.length === 0}>
        {t("runView.takeBack")} <Key>⌫</Key>
      </button>
      {collecting.turn === undefined && toAsk !== undefined && (
        <button type="button" className="btn" onClick={() => collecting.setTurn(toAsk)}>
          {t("runView.collect")}
          {missing.length > 0 && t("runBar.open", { length: missing.length })}
        </button>
      )}
      <Aside run={run} away={played.away} record={on.record} />
      <WallLink runId={run.id}>
        <HeardChoice sounder={sounder} />
        <button
          type="button"
          className="btn btn-small"
          aria-pressed={played.scoresOnWall}
          onClick={() => on.record({ type: "SCORES_ON_WALL", on: !played.scoresOnWall })}
        >
          {t("runView.scoresOnTheWall")} {played.scoresOnWall ? t("runBar.on") : t("runBar.off")}
        </button>
      </WallLink>
      <span className="ml-auto flex items-center gap-3">
        <span
          role="status"
          className="text-mist"
          title={on.unsent === 0 ? undefined : t("runBar.keptHereUntil")}
          data-testid="unsent"
        >
          {on.unsent === 0 ? t("runBar.allSaved") : t("runBar.keptHere", { unsent: on.unsent })}
        </span>
        <button type="button" className="btn" onClick={press.finish}>
          {t("runView.finish")} <Key>{t("runView.f")}</Key>
        </button>
      </span>
    </div>
  );
}

const Key = ({ children }: { children: string }) => (
  <kbd className="hidden text-sm font-normal opacity-75 sm:inline">{children}</kbd>
);
