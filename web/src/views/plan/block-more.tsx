import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { kit as kitQuery } from "../../api/queries";
import type { Block, Gate } from "../../api/types";
import { Choice } from "../../ui/choice";
import { NumberField } from "../../ui/fields";
import { kitOf, metres, modifier } from "../../words";
import { adaptation, everyTask } from "../../words-findings";
import type { EditorProps } from "./block-editor";

/** What is set less often: optional last round, attitude, beat, modifiers, kit, gate, mark, spots, part of the lesson, variants. */
export function BlockMore(props: EditorProps) {
  const { block, rung, onChange, onEdit } = props;
  // One that the rung does not allow any more is shown too, so that it can be taken out.
  const modifiers = [...rung.modifiers, ...block.modifiers.filter((m) => !rung.modifiers.includes(m))];
  const tick = (label: string, on: boolean, change: Partial<Block>, disabled = false) => (
    <label className={`flex items-center gap-1.5 ${disabled ? "text-soft" : ""}`}>
      <input
        type="checkbox"
        className="size-4 accent-ink"
        checked={on}
        disabled={disabled}
        onChange={() => onChange({ ...block, ...change }, label)}
      />
      {label}
    </label>
  );
  return (
    <div className="space-y-2.5 text-[0.95rem]">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        {tick("Collect the results", block.counted, { counted: !block.counted })}
        {tick(
          "Last round only for who wants it",
          block.optionalLast,
          { optionalLast: !block.optionalLast },
          block.sets < 2 && !block.optionalLast,
        )}
        {tick("Beat the pace", block.beat, { beat: !block.beat })}
        {block.sayChange && (
          <label className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="size-4 accent-ink"
              checked
              onChange={() => onEdit({ type: "SAY_CHANGE", blockId: block.id, said: false })}
            />
            The change of cue is said
          </label>
        )}
      </div>
      {modifiers.length > 0 && (
        <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
          <span>With</span>
          {modifiers.map((m) => (
            <label key={m} className="flex items-center gap-1.5">
              <input
                type="checkbox"
                className="size-4 accent-ink"
                checked={block.modifiers.includes(m)}
                onChange={(e) => onEdit({ type: "SET_MODIFIER", blockId: block.id, modifier: m, on: e.target.checked })}
              />
              {modifier[m]}
            </label>
          ))}
        </div>
      )}
      <details open={differs(block)}>
        <summary className="cursor-pointer font-semibold">Kit, gate, mark, spots, part of the lesson</summary>
        <div className="mt-2 space-y-2.5 border-l-4 border-rule pl-3">
          <Attitude {...props} />
          <PartOfLesson {...props} />
          <KitRows {...props} />
          <OwnGate {...props} />
          <Mark {...props} />
          <OwnSpot {...props} />
          <Variants {...props} />
        </div>
      </details>
    </div>
  );
}

/** Whether something in the folded part is not as the ladder says. */
function differs(b: Block): boolean {
  return !!(b.gate || b.mark || b.spot || b.mostSpots || b.reverses || b.attitude || b.kit.length || b.variants.length);
}

function Row({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-1.5">
      <span className="min-w-24 font-semibold">{label}</span>
      {children}
    </div>
  );
}

function Attitude({ block, rung, onChange }: EditorProps) {
  const usual = { PUSH: "push", CONTROL: "control", EITHER: "either" }[rung.manner.attitude];
  return (
    <Row label="Attitude">
      <Choice
        label="Attitude"
        value={block.attitude ?? "USUAL"}
        options={[
          { value: "USUAL", text: `as the rung says: ${usual}` },
          { value: "PUSH", text: "push: fast, mistakes are the price" },
          { value: "CONTROL", text: "control: slow down until nothing drops" },
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
  const name = { WARM_UP: "warm-up", MAIN: "main part", COOL_DOWN: "cool-down" };
  const at = (id: string) => blocks.findIndex((b) => b.id === id) + 1;
  return (
    <Row label="Part">
      <Choice
        label="Part of the lesson"
        value={part}
        options={(["WARM_UP", "MAIN", "COOL_DOWN"] as const).map((value) => ({ value, text: name[value] }))}
        onChange={(next) => onEdit({ type: "CHOOSE_PART", blockId: block.id, part: next })}
      />
      {part === "COOL_DOWN" && (
        <Choice
          label="Backwards"
          value={block.reverses ?? "-"}
          options={[
            { value: "-", text: "on its own" },
            ...(block.reverses ? [{ value: block.reverses, text: `block ${at(block.reverses)} backwards` }] : []),
            ...warmUps.map((b) => ({ value: b.id, text: `block ${at(b.id)} backwards` })),
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
            <span>{chosen.map(name).join(", then ")}</span>
            {others.length > 0 && (
              <Choice
                label={`Another ${r.role}`}
                value="-"
                options={[
                  { value: "-", text: "change" },
                  ...others.flatMap((k) => [
                    { value: `only ${k}`, text: `${name(k)} instead` },
                    { value: `also ${k}`, text: `fill up with ${name(k)}` },
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
                as the task says
              </button>
            )}
          </Row>
        );
      })}
    </>
  );
}

function OwnGate({ block, rung, plan, must, onChange }: EditorProps) {
  const gate = block.gate ?? plan?.gate ?? rung.gate;
  return (
    <Row label="Gate">
      <NumberField
        label="Gate"
        unit={gateUnit(gate, rung.unit)}
        value={gate.reach}
        must={must("gate.reach")}
        onChange={(reach) => onChange({ ...block, gate: { ...gate, reach: reach as number } }, "gate")}
      />
      {block.gate && (
        <button type="button" className="underline" onClick={() => onChange({ ...block, gate: null }, "gate off")}>
          as the rung and the count say
        </button>
      )}
    </Row>
  );
}

/** What stands after the number of a gate. */
function gateUnit(gate: Gate, unit: string): string {
  switch (gate.type) {
    case "SO_MANY_OF":
      return `of ${gate.of} ${unit}`;
    case "SO_MANY_IN":
      return `${unit} in ${gate.inSec} s`;
    case "IN_A_ROW":
      return `${unit} in a row`;
    case "REACH":
      return unit;
  }
}

function Mark({ block, ladder, must, onChange, onEdit }: EditorProps) {
  if (!ladder.footprint.needsWall) return null;
  const mark = block.mark;
  return (
    <Row label="Band">
      {mark ? (
        <>
          <NumberField
            label="Band from"
            unit="m to"
            step={0.05}
            value={mark.lowM}
            must={must("mark.lowM")}
            onChange={(lowM) => onChange({ ...block, mark: { ...mark, lowM: lowM as number } }, "mark")}
          />
          <NumberField
            label="Band to"
            unit="m up the wall"
            step={0.05}
            value={mark.highM}
            must={must("mark.highM")}
            onChange={(highM) => onChange({ ...block, mark: { ...mark, highM: highM as number } }, "mark")}
          />
          <button type="button" className="underline" onClick={() => onChange({ ...block, mark: null }, "mark off")}>
            no band
          </button>
        </>
      ) : (
        <button
          type="button"
          className="btn btn-small"
          onClick={() => onEdit({ type: "MARK_BAND", blockId: block.id })}
        >
          Mark a band on the wall
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
      <Row label="One spot">
        {field("lengthM", "Length of a spot", "m long,")}
        {field("widthM", "Width of a spot", "m wide,")}
        {field("gapM", "Free between spots", "m between,")}
        {field("edgeM", "Free to the edge", "m to the edge")}
        {usual.oneRow && !usual.needsWall && (
          <label className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="size-4 accent-ink"
              checked={spot.oneRow}
              onChange={(e) => onChange({ ...block, spot: { ...spot, oneRow: e.target.checked } }, "oneRow")}
            />
            one row
          </label>
        )}
        {block.spot && (
          <button type="button" className="underline" onClick={() => onChange({ ...block, spot: null }, "spot off")}>
            as the task says: {metres(usual.lengthM)} × {metres(usual.widthM)}
          </button>
        )}
      </Row>
      <Row label="Spots">
        <NumberField
          label="No more spots than"
          unit="at the same time (empty: as many as fit)"
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
            <strong>{who.find((w) => w.id === v.pupilId)?.name ?? "A pupil who left"}</strong>,{" "}
            {adaptation[v.adaptation]}:{" "}
            {instead ? `${instead.name} instead.` : (text[v.adaptation] ?? everyTask[v.adaptation])}{" "}
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
              take out
            </button>
          </li>
        );
      })}
    </ul>
  );
}
