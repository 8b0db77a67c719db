import type { Planning } from "../../api/types";
import type { Units } from "../../lengths";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import { LengthField, NumberRow } from "./length-field";
import type { V } from "./markers-values";
import { Group, Pick, Switch } from "./prefill";

const t = textsOf("marks", saidMarks);

type Props = {
  v: V;
  change: (to: Partial<V>) => void;
  units: Units;
  levels: Planning["slalomLevels"];
  must: (field: string) => string | undefined;
  mustBetter: string | undefined;
};

/** What is set of a row to weave through, of calls, of numbered balls. */
export function MarkersControls(p: Props) {
  if (p.v.mode === "weave") return <Row {...p} />;
  return p.v.mode === "calls" ? <Called {...p} /> : <Numbered {...p} />;
}

type Of = { of: keyof V & string; label: string };

function Figure({ of, label, unit = "", step = 1, v, change, must }: Props & Of & { unit?: string; step?: number }) {
  return (
    <NumberRow
      label={label}
      unit={unit}
      step={step}
      value={v[of] as number | null}
      must={must(of)}
      onChange={(n) => change({ [of]: n } as Partial<V>)}
    />
  );
}

function Far({ of, label, v, change, units, must }: Props & Of) {
  return (
    <LengthField
      label={label}
      units={units}
      valueM={v[of] as number | null}
      must={must(of)}
      onChange={(m) => change({ [of]: m } as Partial<V>)}
    />
  );
}

function Row(p: Props) {
  return (
    <>
      <Group title={t("markers.theRow")}>
        <Pick
          label={t("markers.level")}
          value={p.v.level}
          none={t("markers.ownGap")}
          options={p.levels.map((l) => ({ value: l.id, text: l.name }))}
          onPick={(id) => {
            const l = p.levels.find((s) => s.id === id);
            if (l) p.change({ level: id, gapM: l.gapM, passM: l.passM });
          }}
        />
        <Far of="runM" label={t("markers.runOneWay")} {...p} />
        <Far of="gapM" label={t("markers.gapWanted")} {...p} />
        <Far of="passM" label={t("markers.passesBesideTheMarker")} {...p} />
        <Figure of="ballCm" label={t("markers.ballAcross")} unit={t("markers.cm")} {...p} />
        <Switch
          label={t("markers.thereAndBack")}
          on={p.v.thereAndBack}
          onChange={(thereAndBack) => p.change({ thereAndBack })}
        />
      </Group>
      <Group title={t("markers.time")}>
        <Figure of="firstSec" label={t("markers.firstTimeEmptyNone")} unit={t("markers.s")} step={0.1} {...p} />
        <NumberRow
          label={t("markers.betterBy")}
          unit={t("markers.percent")}
          value={p.v.betterPercent}
          must={p.mustBetter && t("markers.mustBePercent")}
          onChange={(betterPercent) => p.change({ betterPercent })}
        />
      </Group>
    </>
  );
}

function Called(p: Props) {
  return (
    <Group title={t("markers.theCalls")}>
      <Pick
        label={t("markers.colours")}
        value={String(p.v.choices)}
        options={[2, 3, 4, 5, 6].map((n) => ({ value: String(n), text: `${n}` }))}
        onPick={(n) => p.change({ choices: Number(n), called: 0 })}
      />
      <Figure of="howMany" label={t("markers.callsInAll")} {...p} />
      <Figure of="mostRunning" label={t("markers.theSameAtMost")} {...p} />
      <Far of="radiusM" label={t("markers.markerFromTheMiddle")} {...p} />
      <Switch
        label={t("markers.backToTheMiddle")}
        on={p.v.backEachTime}
        onChange={(backEachTime) => p.change({ backEachTime })}
      />
      <Figure of="seed" label={t("markers.orderNumber")} {...p} />
      <p className="text-sm text-soft">{t("markers.theSameOrderNumber")}</p>
    </Group>
  );
}

function Numbered(p: Props) {
  return (
    <Group title={t("markers.theNumbers")}>
      <Figure of="balls" label={t("markers.numberedBalls")} {...p} />
      <Pick
        label={t("markers.drawFrom")}
        value={p.v.drawFrom}
        options={[
          { value: "LEFT", text: t("markers.thoseNotKeptYet") },
          { value: "ALL", text: t("markers.allWithRepeats") },
        ]}
        onPick={(drawFrom) => p.change({ drawFrom, results: "" })}
      />
      <Figure of="seed" label={t("markers.orderNumber")} {...p} />
    </Group>
  );
}
