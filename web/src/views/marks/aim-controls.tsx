import { Plus, Trash2 } from "lucide-react";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import { LengthField, NumberRow } from "./length-field";
import { Group } from "./prefill";
import type { Parts } from "./use-aim";

const t = textsOf("marks", saidMarks);

export function Controls(parts: Parts) {
  const { units, v, change, tapped, must } = parts;
  return (
    <>
      <Group title={t("aim.whereThrowsLanded")}>
        <p className="text-[0.95rem]">
          {t("aim.tapInTheDrawing")}
          {tapped ? "" : t("aimControls.orEnterCountsBelow")}
        </p>
        <div className="flex flex-wrap gap-2">
          <button
            type="button"
            className="btn btn-small"
            onClick={() => change({ points: [...v.points, { xCm: 0, yCm: 0 }] })}
          >
            <Plus size={16} aria-hidden /> {t("aim.landing")}
          </button>
          <button
            type="button"
            className="btn btn-small"
            disabled={!tapped}
            onClick={() => change({ points: v.points.slice(0, -1) })}
          >
            {t("aim.takeBack")}
          </button>
          <button type="button" className="btn btn-small" disabled={!tapped} onClick={() => change({ points: [] })}>
            <Trash2 size={16} aria-hidden /> {t("aim.clear")}
          </button>
        </div>
      </Group>
      <RingRows {...parts} />
      <Group title={t("aim.wanted")}>
        <LengthField
          label={t("aim.thrownFrom")}
          units={units}
          valueM={v.distanceM}
          must={must("distanceM")}
          onChange={(distanceM) => change({ distanceM })}
        />
        <NumberRow
          label={t("aim.shareThatShouldGo")}
          unit="%"
          value={v.wantPercent}
          must={must("wantShare") && t("aimControls.mustBeBetween0And")}
          onChange={(wantPercent) => change({ wantPercent })}
        />
      </Group>
    </>
  );
}

/** A ring a row: how large, worth what, how many landed in it. */
export function RingRows({ units, v, change, tapped, answer, must, ring, hit, last }: Parts) {
  return (
    <Group title={t("aim.ringsFromTheMiddle")}>
      {v.rings.map((r, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a ring is known by its place
        <div key={i} className="space-y-1 border-l-4 border-target pl-2">
          {units === "feet" ? (
            <LengthField
              label={t("aimControls.ringRadius", { n: i + 1 })}
              units={units}
              valueM={r.outerRadiusCm === null ? null : r.outerRadiusCm / 100}
              must={must(`rings[${i}].outerRadiusCm`)}
              onChange={(m) => ring(i, { outerRadiusCm: m === null ? null : m * 100 })}
            />
          ) : (
            <NumberRow
              label={t("aimControls.ringRadius", { n: i + 1 })}
              unit={t("aim.cm")}
              value={r.outerRadiusCm}
              must={must(`rings[${i}].outerRadiusCm`)}
              onChange={(outerRadiusCm) => ring(i, { outerRadiusCm })}
            />
          )}
          <NumberRow
            label={t("aim.points")}
            value={r.points}
            must={must(`rings[${i}].points`)}
            onChange={(points) => ring(i, { points })}
          />
          {tapped ? (
            <p className="flex justify-between pr-9">
              <span>{t("aim.landedInIt")}</span> <b>{answer?.hits[i] ?? "…"}</b>
            </p>
          ) : (
            <NumberRow
              label={t("aim.landedInIt")}
              value={v.hits[i] ?? null}
              must={must(`hits[${i}]`)}
              onChange={(n) => hit(i, n)}
            />
          )}
        </div>
      ))}
      {tapped ? (
        <p className="flex justify-between pr-9">
          <span>{t("aim.outside")}</span> <b>{answer?.outside ?? "…"}</b>
        </p>
      ) : (
        <NumberRow
          label={t("aim.outside")}
          value={v.outside}
          must={must("outside")}
          onChange={(outside) => change({ outside })}
        />
      )}
      <div className="flex gap-2">
        <button
          type="button"
          className="btn btn-small"
          disabled={v.rings.length >= 12}
          onClick={() => change({ rings: [...v.rings, { outerRadiusCm: last + 15, points: 1 }], hits: [...v.hits, 0] })}
        >
          {t("aim.ringMore")}
        </button>
        <button
          type="button"
          className="btn btn-small"
          disabled={v.rings.length < 2}
          onClick={() => change({ rings: v.rings.slice(0, -1), hits: v.hits.slice(0, -1) })}
        >
          {t("aim.ringLess")}
        </button>
      </div>
    </Group>
  );
}
