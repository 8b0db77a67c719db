import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import type { Given } from "./given";
import { Seats } from "./jack-seats";
import { formats, type V } from "./jack-values";
import { NumberRow } from "./length-field";
import { Group, Pick, Switch } from "./prefill";

const t = textsOf("marks", saidMarks);

type Props = {
  given: Given;
  v: V;
  change: (to: Partial<V>) => void;
  must: (field: string) => string | undefined;
  name: (side: string) => string;
};

/** Who plays, until when, and by which rules. */
export function JackControls(props: Props) {
  return (
    <>
      <Sides {...props} />
      <Until {...props} />
      <HouseRules {...props} />
    </>
  );
}

/** One number of the match. */
function Figure({
  of,
  label,
  unit = "",
  v,
  change,
  must,
}: Omit<Props, "given" | "name"> & { of: keyof V & string; label: string; unit?: string }) {
  return (
    <NumberRow
      label={label}
      unit={unit}
      value={v[of] as number | null}
      must={must(of)}
      onChange={(n) => change({ [of]: n } as Partial<V>)}
    />
  );
}

function Sides({ given, v, change, must, name }: Props) {
  return (
    <Group title={t("jack.sides")}>
      <Pick
        label={t("jack.format")}
        value={v.format}
        options={[
          { value: "singles", text: t("jack.singles3Balls") },
          { value: "pairs", text: t("jack.pairs2BallsEach") },
          { value: "teams", text: t("jack.teamsOfThree2") },
          { value: "own", text: t("jack.ownNumbers") },
        ]}
        onPick={(format) => {
          const n = formats[format];
          change({ format, ...(n ? { playersA: n[0], playersB: n[0], ballsPerPlayer: n[1] } : {}) });
        }}
      />
      {v.format === "own" && (
        <>
          <Figure of="playersA" label={t("jack.playersOfFirst")} v={v} change={change} must={must} />
          <Figure of="playersB" label={t("jack.playersOfOther")} v={v} change={change} must={must} />
          <Figure of="ballsPerPlayer" label={t("jack.ballsEach")} v={v} change={change} must={must} />
        </>
      )}
      {(["nameA", "nameB"] as const).map((key) => (
        <label key={key} className="flex items-center gap-2">
          <span className="mr-auto">{key === "nameA" ? t("jack.firstSide") : t("jack.otherSide")}</span>
          <input
            className="field w-36"
            maxLength={40}
            value={v[key]}
            onChange={(e) => change({ [key]: e.target.value } as Partial<V>)}
          />
        </label>
      ))}
      <Pick
        label={t("jack.tossWonBy")}
        value={v.tossWonBy}
        options={[
          { value: "A", text: name("A") },
          { value: "B", text: name("B") },
        ]}
        onPick={(tossWonBy) => change({ tossWonBy })}
      />
      <Seats given={given} v={v} name={name} change={change} />
      <button
        type="button"
        className="btn btn-small"
        onClick={() => change({ tossWonBy: Math.random() < 0.5 ? "A" : "B" })}
      >
        {t("jack.toss")}
      </button>
    </Group>
  );
}

function Until({ v, change, must }: Props) {
  return (
    <Group title={t("jack.until")}>
      <Figure of="targetScore" label={t("jack.targetScore")} v={v} change={change} must={must} />
      <Figure of="maxEnds" label={t("jack.endsAtMost")} v={v} change={change} must={must} />
      <NumberRow
        label={t("jack.timeCapEmptyNone")}
        unit={t("jack.min")}
        value={v.timeCapSec === null ? null : v.timeCapSec / 60}
        must={must("timeCapSec")}
        onChange={(m) => change({ timeCapSec: m === null ? null : Math.round(m * 60) })}
      />
      {v.timeCapSec !== null && (
        <NumberRow
          label={t("jack.playedSoFar")}
          unit={t("jack.min")}
          value={(v.playedSec ?? 0) / 60}
          must={must("playedSec")}
          onChange={(m) => change({ playedSec: m === null ? null : Math.round(m * 60) })}
        />
      )}
    </Group>
  );
}

function HouseRules({ v, change, must }: Props) {
  return (
    <Group title={t("jack.houseRules")}>
      <Pick
        label={t("jack.aTie")}
        value={v.tieRule}
        options={[
          { value: "NONE_SCORES", text: t("jack.nobodyScores") },
          { value: "ONE_EACH", text: t("jack.onePointEach") },
        ]}
        onPick={(tieRule) => change({ tieRule })}
      />
      <Figure of="toleranceCm" label={t("jack.levelWithin")} unit={t("jack.cm")} v={v} change={change} must={must} />
      <Pick
        label={t("jack.theJack")}
        value={v.jackRule}
        options={[
          { value: "WINNER", text: t("jack.toTheEndsWinner") },
          { value: "IN_TURN", text: t("jack.toTheSidesIn") },
        ]}
        onPick={(jackRule) => change({ jackRule })}
      />
      <Pick
        label={t("jack.players")}
        value={v.playerOrder}
        options={[
          { value: "IN_TURN", text: t("jack.oneBallEachIn") },
          { value: "ALL_OF_ONE_FIRST", text: t("jack.allOfOneThen") },
        ]}
        onPick={(playerOrder) => change({ playerOrder })}
      />
      <Switch
        label={t("jack.footOverTheLine")}
        on={v.footLineKills}
        onChange={(footLineKills) => change({ footLineKills })}
      />
      <Switch
        label={t("jack.landedShortOfThe")}
        on={v.shortLineKills}
        onChange={(shortLineKills) => change({ shortLineKills })}
      />
    </Group>
  );
}
