import { useQuery } from "@tanstack/react-query";
import { Plus, Trash2 } from "lucide-react";
import type { ReactNode } from "react";
import { kit } from "../../api/queries";
import type { Ladder } from "../../api/types";
import { caution as cautionWord, family as familyWord } from "../../words";
import { surface as surfaceWord } from "../../words-findings";
import { aspect, noise, part, refusedPlace } from "../../words-ladders";
import { lastingId } from "./blank";
import { Chips, KindList, type Must, Num, Pick, Words } from "./form-bits";
import { KitForm } from "./kit-form";
import { RungsForm } from "./rungs-form";

/** Everything that a ladder says, in the order in which a teacher thinks of it. */
export function LadderForm({
  ladder,
  used,
  onChange,
  must,
}: {
  ladder: Ladder;
  /** how often each rung is used, by its id */
  used: Record<string, number>;
  onChange: (ladder: Ladder, step: string) => void;
  must: Must;
}) {
  const store = useQuery(kit);
  const kinds = store.data?.kinds ?? [];
  const set = (change: Partial<Ladder>) => onChange({ ...ladder, ...change }, String(Object.keys(change)));
  const foot = (change: Partial<Ladder["footprint"]>) =>
    onChange({ ...ladder, footprint: { ...ladder.footprint, ...change } }, `foot ${Object.keys(change)}`);
  const role = (i: number, change: Partial<Ladder["roles"][number]>) =>
    onChange(
      { ...ladder, roles: ladder.roles.map((r, n) => (n === i ? { ...r, ...change } : r)) },
      `role ${i} ${Object.keys(change)}`,
    );
  const fault = (i: number, change: Partial<Ladder["faults"][number]>) =>
    onChange(
      { ...ladder, faults: ladder.faults.map((f, n) => (n === i ? { ...f, ...change } : f)) },
      `fault ${i} ${Object.keys(change)}`,
    );
  return (
    <div className="space-y-8">
      <Part title="What it is">
        <div className="flex flex-wrap items-end gap-4">
          <Words
            label="Name of the ladder"
            value={ladder.name}
            must={must("name")}
            onChange={(name) => set({ name })}
            className="min-w-64 flex-1"
          />
          <Pick label="Family" value={ladder.family} words={familyWord} onChange={(f) => set({ family: f })} />
          <Pick label="Where in a lesson" value={ladder.part} words={part} onChange={(p) => set({ part: p })} />
          <Pick label="Noise" value={ladder.noise} words={noise} onChange={(n) => set({ noise: n })} />
          <Num
            label="Effort, 1 to 5"
            value={ladder.effort}
            must={must("effort")}
            onChange={(effort) => set({ effort })}
          />
        </div>
        <Words
          label="Sports, with commas between"
          value={ladder.sports.join(", ")}
          must={must("sports")}
          onChange={(text) =>
            set({
              sports: text
                .split(",")
                .map((s) => s.trimStart())
                .filter((s, i, a) => s !== "" || (i === a.length - 1 && a.length > 1)),
            })
          }
        />
        <Chips
          label="Trains"
          value={ladder.aspects}
          words={aspect}
          onChange={(aspects) => set({ aspects })}
          must={must("aspects")}
        />
      </Part>

      <Part title="The rungs, easiest first">
        {must("rungs") && (
          <p role="alert" className="font-semibold text-alert">
            The rungs {must("rungs")}.
          </p>
        )}
        <RungsForm ladder={ladder} used={used} onChange={onChange} must={must} />
      </Part>

      <Part title="Who is at a spot">
        {ladder.roles.map((r, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a part has no id, and keeps its place while it is written
          <div key={i} className="flex flex-wrap items-end gap-3">
            <Words
              label="Called"
              value={r.name}
              must={must(`roles[${i}].name`)}
              onChange={(name) => role(i, { name })}
              className="w-40"
            />
            <label className="flex items-center gap-2 pb-2">
              <input
                type="checkbox"
                checked={r.works}
                disabled={i === 0}
                onChange={(e) => role(i, { works: e.target.checked })}
              />{" "}
              does what is counted
            </label>
            {!r.works && (
              <label className="flex items-center gap-2 pb-2">
                <input type="checkbox" checked={r.busy} onChange={(e) => role(i, { busy: e.target.checked })} /> moves
                too: no rest
              </label>
            )}
            <Words
              label="What to tell them"
              value={r.line}
              must={must(`roles[${i}].line`)}
              onChange={(line) => role(i, { line })}
              className="min-w-56 flex-1"
            />
            {i > 0 && (
              <button
                type="button"
                className="btn btn-small mb-1"
                aria-label={`Take out ${r.name}`}
                onClick={() => set({ roles: ladder.roles.filter((_, n) => n !== i) })}
              >
                <Trash2 size={16} aria-hidden />
              </button>
            )}
          </div>
        ))}
        <button
          type="button"
          className="btn btn-small"
          onClick={() => set({ roles: [...ladder.roles, { name: "counter", works: false, busy: false, line: "" }] })}
        >
          <Plus size={16} aria-hidden /> Somebody else
        </button>
      </Part>

      <Part title="The floor for one spot">
        <p className="flex flex-wrap items-baseline gap-x-4 gap-y-2">
          <Num
            label="length"
            unit="m"
            step={0.1}
            value={ladder.footprint.lengthM}
            must={must("footprint.lengthM")}
            onChange={(lengthM) => foot({ lengthM })}
          />
          <Num
            label="width"
            unit="m"
            step={0.1}
            value={ladder.footprint.widthM}
            must={must("footprint.widthM")}
            onChange={(widthM) => foot({ widthM })}
          />
          <Num
            label="between two"
            unit="m"
            step={0.1}
            value={ladder.footprint.gapM}
            must={must("footprint.gapM")}
            onChange={(gapM) => foot({ gapM })}
          />
          <Num
            label="to the edge"
            unit="m"
            step={0.1}
            value={ladder.footprint.edgeM}
            must={must("footprint.edgeM")}
            onChange={(edgeM) => foot({ edgeM })}
          />
          <Num
            label="free height"
            unit="m"
            step={0.1}
            value={ladder.footprint.heightM}
            must={must("footprint.heightM")}
            onChange={(heightM) => foot({ heightM })}
          />
          <Num
            label="reach of a swing"
            unit="m"
            step={0.1}
            value={ladder.swingM}
            must={must("swingM")}
            onChange={(swingM) => set({ swingM })}
          />
        </p>
        <p className="flex flex-wrap gap-5">
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              checked={ladder.footprint.needsWall}
              onChange={(e) => foot({ needsWall: e.target.checked })}
            />{" "}
            at a free wall
          </label>
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              checked={ladder.footprint.oneRow}
              onChange={(e) => foot({ oneRow: e.target.checked })}
            />{" "}
            all in one row, same way
          </label>
          <label className="flex items-center gap-2">
            <input type="checkbox" checked={ladder.counted} onChange={(e) => set({ counted: e.target.checked })} />{" "}
            results are kept
          </label>
        </p>
        <Chips
          label="Goes on"
          value={ladder.surfaces}
          words={surfaceWord as Record<Ladder["surfaces"][number], string>}
          onChange={(surfaces) => set({ surfaces })}
          must={must("surfaces")}
        />
      </Part>

      <Part title="Kit">
        <KitForm
          kit={ladder.kit}
          kinds={kinds}
          must={must}
          onChange={(k, step) => onChange({ ...ladder, kit: k }, step)}
        />
        <div className="flex flex-wrap gap-x-8 gap-y-3">
          <KindList
            label="Balls in order, easiest first"
            value={ladder.ballOrder}
            kinds={kinds.filter((k) => k.group === "BALL" && k.never === null)}
            onChange={(ballOrder) => set({ ballOrder })}
          />
          <KindList
            label="Gear for a hard ball or stick"
            value={ladder.gear}
            kinds={kinds.filter((k) => k.group === "GEAR")}
            onChange={(gear) => set({ gear })}
          />
        </div>
      </Part>

      <Part title="What you say">
        <div className="grid gap-3 sm:grid-cols-2">
          {ladder.cues.map((c, i) => (
            <Words
              // biome-ignore lint/suspicious/noArrayIndexKey: a cue is told apart by its place only
              key={i}
              label={`Cue ${i + 1}`}
              value={c}
              onChange={(text) => set({ cues: ladder.cues.map((o, n) => (n === i ? text : o)) })}
            />
          ))}
          <Words label="Eyes are" value={ladder.eyes} must={must("eyes")} onChange={(eyes) => set({ eyes })} />
        </div>
        {must("cues") && (
          <p role="alert" className="font-semibold text-alert">
            Cues {must("cues")}.
          </p>
        )}
        {ladder.cues.length < 4 && (
          <button type="button" className="btn btn-small" onClick={() => set({ cues: [...ladder.cues, ""] })}>
            <Plus size={16} aria-hidden /> A cue
          </button>
        )}
        {ladder.faults.map((f, i) => (
          <div key={f.id} className="grid gap-3 sm:grid-cols-2">
            <Words
              label={`Fault ${i + 1}, as you see it`}
              value={f.seen}
              must={must(`faults[${i}].seen`)}
              onChange={(seen) => fault(i, { seen })}
            />
            <Words
              label="What mends it"
              value={f.mend}
              must={must(`faults[${i}].mend`)}
              onChange={(mend) => fault(i, { mend })}
            />
          </div>
        ))}
        <button
          type="button"
          className="btn btn-small"
          onClick={() => set({ faults: [...ladder.faults, { id: lastingId("fault"), seen: "", mend: "" }] })}
        >
          <Plus size={16} aria-hidden /> A fault
        </button>
        <div className="grid gap-3 sm:grid-cols-3">
          <Words
            label="Seated (or empty)"
            value={ladder.seated}
            must={must("seated")}
            onChange={(t) => set({ seated: t || null })}
          />
          <Words
            label="With one hand (or empty)"
            value={ladder.oneHand}
            must={must("oneHand")}
            onChange={(t) => set({ oneHand: t || null })}
          />
          <Words
            label="Seeing little (or empty)"
            value={ladder.seesLittle}
            must={must("seesLittle")}
            onChange={(t) => set({ seesLittle: t || null })}
          />
        </div>
      </Part>

      <Part title="Take care">
        <Chips
          label="Cautions"
          value={ladder.cautions}
          words={cautionWord}
          onChange={(cautions) => set({ cautions })}
          must={must("cautions")}
        />
        <Chips
          label="Not done"
          value={ladder.refusedPlaces}
          words={refusedPlace}
          onChange={(refusedPlaces) => set({ refusedPlaces })}
        />
      </Part>
    </div>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="space-y-3">
      <h2 className="border-b-2 border-ink pb-1">{title}</h2>
      {children}
    </section>
  );
}
