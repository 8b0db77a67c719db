import { useQuery } from "@tanstack/react-query";
import { kit as kitQuery } from "../../api/queries";
import type { Block } from "../../api/types";
import { Choice } from "../../ui/choice";
import { NumberField } from "../../ui/fields";
import { Term } from "../../ui/term";
import { kitOf, metres, modifier } from "../../words";
import { texts } from "../../words/texts";
import { adaptation, everyTask } from "../../words-findings";
import { AtTheSpot } from "./at-the-spot";
import type { EditorProps } from "./block-editor";
import { Row } from "./block-row";
import { BlockScoring, scoredOtherwise } from "./block-scoring";
import { CalledMarkers } from "./called-markers";
import { Fold } from "./fold";

const t = texts("plan");

/** What is set less often: optional last round, beat, modifiers; scoring, attitude, part of the lesson, kit, mark, spots, variants. */
export function BlockMore(props: EditorProps) {
  const { block, rung, onChange, onEdit } = props;
  // One that the rung does not allow any more is shown too, so that it can be taken out.
  const modifiers = [...rung.modifiers, ...block.modifiers.filter((m) => !rung.modifiers.includes(m))];
  const tick = (label: string, on: boolean, change: Partial<Block>) => (
    <label className="flex items-center gap-1.5">
      <input
        type="checkbox"
        className="size-4 accent-ink"
        checked={on}
        onChange={() => onChange({ ...block, ...change }, label)}
      />
      {label}
    </label>
  );
  return (
    <>
      <Fold name={t("fold.rounds")} values={roundsTold(block)}>
        <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
          {tick(t("more.collect"), block.counted, { counted: !block.counted })}
          <Choice
            label={t("more.optional")}
            value={String(block.optionalSets)}
            options={Array.from({ length: Math.min(block.sets, MOST_SETS) + 1 }, (_, n) => ({
              value: String(n),
              text: t("more.optionalSets", { n, sets: block.sets }),
            }))}
            onChange={(n) => onChange({ ...block, optionalSets: Number(n) }, "optionalSets")}
          />
          {tick(t("more.beat"), block.beat, { beat: !block.beat })}
          {block.sayChange && (
            <label className="flex items-center gap-1.5">
              <input
                type="checkbox"
                className="size-4 accent-ink"
                checked
                onChange={() => onEdit({ type: "SAY_CHANGE", blockId: block.id, said: false })}
              />
              {t("more.changeSaid")}
            </label>
          )}
        </div>
        {modifiers.length > 0 && (
          <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
            <span>{t("more.with")}</span>
            {modifiers.map((m) => (
              <label key={m} className="flex items-center gap-1.5">
                <input
                  type="checkbox"
                  className="size-4 accent-ink"
                  checked={block.modifiers.includes(m)}
                  onChange={(e) =>
                    onEdit({ type: "SET_MODIFIER", blockId: block.id, modifier: m, on: e.target.checked })
                  }
                />
                {modifier[m]}
              </label>
            ))}
          </div>
        )}
      </Fold>
      <Fold name={t("more.rest")} values={t(differs(block) ? "fold.own" : "fold.asLadder")} open={differs(block)}>
        <BlockScoring {...props} />
        <AtTheSpot {...props} />
        <CalledMarkers {...props} />
        <Attitude {...props} />
        <PartOfLesson {...props} />
        <KitRows {...props} />
        <Mark {...props} />
        <OwnSpot {...props} />
        <Variants {...props} />
      </Fold>
    </>
  );
}

/** Rounds and rules as they are now. */
function roundsTold(block: Block): string {
  return [
    t(block.counted ? "fold.collected" : "fold.notCollected"),
    block.optionalSets > 0 && t("fold.optional", { n: block.optionalSets }),
    block.beat && t("fold.beat"),
    ...block.modifiers.map((m) => modifier[m]),
  ]
    .filter(Boolean)
    .join(", ");
}

const MOST_SETS = 12;

/** Whether something in the folded part is not as the ladder says. */
function differs(b: Block): boolean {
  return (
    scoredOtherwise(b) ||
    !!(
      b.mark ||
      b.spot ||
      b.mostSpots ||
      b.helpers ||
      b.called ||
      b.reverses ||
      b.attitude ||
      b.kit.length ||
      b.variants.length
    )
  );
}

function Attitude({ block, rung, onChange }: EditorProps) {
  const usual = t(`attitude.${rung.manner.attitude}`);
  return (
    <Row label={t("attitude.label")}>
      <Choice
        label={t("attitude.label")}
        value={block.attitude ?? "USUAL"}
        options={[
          { value: "USUAL", text: t("attitude.usual", { usual }) },
          { value: "PUSH", text: t("attitude.push") },
          { value: "CONTROL", text: t("attitude.control") },
        ]}
        onChange={(v) => onChange({ ...block, attitude: v === "USUAL" ? null : v }, "attitude")}
      />
    </Row>
  );
}

function PartOfLesson({ block, blocks, ladder, onEdit }: EditorProps) {
  const part = block.part ?? ladder.part;
  const warmUps = blocks.filter(
    (b) => b.id !== block.id && b.kind === "TASK" && !b.reverses && b.id !== block.reverses,
  );
  const at = (id: string) => blocks.findIndex((b) => b.id === id) + 1;
  return (
    <Row label={<Term of="part">{t("part.label")}</Term>}>
      <Choice
        label={t("part.which")}
        value={part}
        options={(["WARM_UP", "MAIN", "COOL_DOWN"] as const).map((value) => ({ value, text: t(`part.${value}`) }))}
        onChange={(next) => onEdit({ type: "CHOOSE_PART", blockId: block.id, part: next })}
      />
      {part === "COOL_DOWN" && (
        <Choice
          label={t("part.backwards")}
          value={block.reverses ?? "-"}
          options={[
            { value: "-", text: t("part.alone") },
            ...(block.reverses
              ? [{ value: block.reverses, text: t("part.blockBackwards", { n: at(block.reverses) }) }]
              : []),
            ...warmUps.map((b) => ({ value: b.id, text: t("part.blockBackwards", { n: at(b.id) }) })),
          ]}
          onChange={(v) => onEdit({ type: "GO_BACKWARDS", blockId: block.id, of: v === "-" ? null : v })}
        />
      )}
    </Row>
  );
}

function KitRows({ block, ladder, rung, onEdit }: EditorProps) {
  const kit = kitOf(ladder, rung);
  const store = useQuery(kitQuery);
  if (!store.data || kit.length === 0) return null;
  const name = (id: string) => store.data.kinds.find((k) => k.id === id)?.name ?? id;
  const play = (role: string, kinds: string[] | null) => onEdit({ type: "PLAY_WITH", blockId: block.id, role, kinds });
  return (
    <>
      {kit.map((r) => {
        const chosen = block.kit.find((c) => c.role === r.role)?.kinds ?? [r.kind];
        const rules = store.data.rules.filter((x) => x.rule.of === r.kind).map((x) => x.rule.by);
        const others = [...new Set([r.kind, ...r.standIns.map((s) => s.kind), ...rules])].filter(
          (k) => !chosen.includes(k),
        );
        return (
          <Row key={r.role} label={r.role.charAt(0).toUpperCase() + r.role.slice(1)}>
            <span>{chosen.map(name).join(t("kit.then"))}</span>
            {others.length > 0 && (
              <Choice
                label={t("kit.another", { role: r.role })}
                value="-"
                options={[
                  { value: "-", text: t("kit.change") },
                  ...others.flatMap((k) => [
                    { value: t("blockMore.only", { k }), text: t("kit.instead", { kind: name(k) }) },
                    { value: t("blockMore.also", { k }), text: t("kit.fillUp", { kind: name(k) }) },
                  ]),
                ]}
                onChange={(v) => {
                  if (v === "-") return;
                  const [how = "", kind = ""] = v.split(" ");
                  play(r.role, how === "only" ? [kind] : [...chosen, kind]);
                }}
              />
            )}
            {block.kit.some((c) => c.role === r.role) && (
              <button type="button" className="underline" onClick={() => play(r.role, null)}>
                {t("kit.usual")}
              </button>
            )}
          </Row>
        );
      })}
    </>
  );
}

function Mark({ block, ladder, must, onChange, onEdit }: EditorProps) {
  // One that was marked before the task had no wall any more is shown too, so that it can be taken out.
  if (!ladder.footprint.needsWall && !block.mark) return null;
  const mark = block.mark;
  return (
    <Row label={t("band.label")}>
      {mark ? (
        <>
          <NumberField
            label={t("band.from")}
            unit={t("band.metresTo")}
            step={0.05}
            value={mark.lowM}
            must={must("mark.lowM")}
            onChange={(lowM) => onChange({ ...block, mark: { ...mark, lowM: lowM as number } }, "mark")}
          />
          <NumberField
            label={t("band.to")}
            unit={t("band.metresUp")}
            step={0.05}
            value={mark.highM}
            must={must("mark.highM")}
            onChange={(highM) => onChange({ ...block, mark: { ...mark, highM: highM as number } }, "mark")}
          />
          <button type="button" className="underline" onClick={() => onChange({ ...block, mark: null }, "mark off")}>
            {t("band.none")}
          </button>
        </>
      ) : (
        <button
          type="button"
          className="btn btn-small"
          onClick={() => onEdit({ type: "MARK_BAND", blockId: block.id })}
        >
          {t("band.mark")}
        </button>
      )}
    </Row>
  );
}

function OwnSpot({ block, ladder, must, onChange }: EditorProps) {
  const usual = ladder.footprint;
  const spot = block.spot ?? usual;
  const field = (name: "lengthM" | "widthM" | "gapM" | "edgeM", label: string, unit: string) => (
    <NumberField
      label={label}
      unit={unit}
      step={0.1}
      value={spot[name]}
      must={must(`spot.${name}`)}
      onChange={(v) => onChange({ ...block, spot: { ...spot, [name]: v as number } }, `spot ${name}`)}
    />
  );
  return (
    <>
      <Row label={t("spot.label")}>
        {field("lengthM", t("spot.length"), t("spot.metresLong"))}
        {field("widthM", t("spot.width"), t("spot.metresWide"))}
        {field("gapM", t("spot.gap"), t("spot.metresBetween"))}
        {field("edgeM", t("spot.edge"), t("spot.metresToEdge"))}
        {usual.oneRow && !usual.needsWall && (
          <label className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="size-4 accent-ink"
              checked={spot.oneRow}
              onChange={(e) => onChange({ ...block, spot: { ...spot, oneRow: e.target.checked } }, "oneRow")}
            />
            {t("spot.oneRow")}
          </label>
        )}
        {block.spot && (
          <button type="button" className="underline" onClick={() => onChange({ ...block, spot: null }, "spot off")}>
            {t("spot.usual", { length: metres(usual.lengthM), width: metres(usual.widthM) })}
          </button>
        )}
      </Row>
      <Row label={t("spots.label")}>
        <NumberField
          label={t("spots.most")}
          unit={t("spots.atOnce")}
          value={block.mostSpots}
          must={must("mostSpots")}
          onChange={(mostSpots) => onChange({ ...block, mostSpots }, "mostSpots")}
        />
      </Row>
    </>
  );
}

function Variants({ block, ladder, catalogue, who, onEdit }: EditorProps) {
  if (block.variants.length === 0) return null;
  const text = { SEATED: ladder.seated, ONE_HAND: ladder.oneHand, SEES_LITTLE: ladder.seesLittle, HEARS_LITTLE: null };
  return (
    <ul className="space-y-1" data-testid="variants">
      {block.variants.map((v) => {
        const instead = catalogue.find((l) => l.id === v.instead?.ladderId);
        return (
          <li key={`${v.pupilId} ${v.adaptation}`}>
            <strong>{who.find((w) => w.id === v.pupilId)?.name ?? t("variants.left")}</strong>,{" "}
            {adaptation[v.adaptation]}:{" "}
            {instead ? t("variants.instead", { task: instead.name }) : (text[v.adaptation] ?? everyTask[v.adaptation])}{" "}
            <button
              type="button"
              className="underline"
              onClick={() =>
                onEdit({
                  type: "TAKE_OUT_VARIANT",
                  blockId: block.id,
                  pupilId: v.pupilId,
                  adaptation: v.adaptation,
                })
              }
            >
              {t("variants.takeOut")}
            </button>
          </li>
        );
      })}
    </ul>
  );
}
