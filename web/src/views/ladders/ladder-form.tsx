import { useQuery } from "@tanstack/react-query";
import { Plus, Trash2 } from "lucide-react";
import type { ReactNode } from "react";
import { kit } from "../../api/queries";
import type { Ladder } from "../../api/types";
import { caution as cautionWord, family as familyWord } from "../../words";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";
import { surface as surfaceWord } from "../../words-findings";
import { aspect, noise, part, refusedPlace } from "../../words-ladders";
import { lastingId } from "./blank";
import { Chips, KindList, type Must, Num, Pick, Words } from "./form-bits";
import { KitForm } from "./kit-form";
import { RungsForm } from "./rungs-form";

const say = textsOf("ladders", saidLadders);

/** A ladder that is being written. */
function useLadderForm({
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
  return { ladder, used, onChange, must, kinds, set, foot, role, fault };
}

type Parts = ReturnType<typeof useLadderForm>;

/** Everything that a ladder says, in the order in which a teacher thinks of it. */
export function LadderForm(props: Parameters<typeof useLadderForm>[0]) {
  const parts = useLadderForm(props);
  const { ladder, used, onChange, must, kinds, set, fault } = parts;
  return (
    <div className="space-y-8">
      <WhatItIs {...parts} />
      <Part title={say("ladderForm.theRungsEasiestFirst")}>
        {must("rungs") && (
          <p role="alert" className="font-semibold text-alert">
            {say("ladderForm.theRungs")} {must("rungs")}.
          </p>
        )}
        <RungsForm ladder={ladder} used={used} onChange={onChange} must={must} />
      </Part>

      <Roles {...parts} />
      <Floor {...parts} />
      <Part title={say("ladderForm.kit")}>
        <KitForm
          kit={ladder.kit}
          kinds={kinds}
          must={must}
          onChange={(k, step) => onChange({ ...ladder, kit: k }, step)}
        />
        <div className="flex flex-wrap gap-x-8 gap-y-3">
          <KindList
            label={say("ladderForm.ballsInOrderEasiest")}
            value={ladder.ballOrder}
            kinds={kinds.filter((k) => k.group === "BALL" && k.never === null)}
            onChange={(ballOrder) => set({ ballOrder })}
          />
          <KindList
            label={say("ladderForm.gearForAHard")}
            value={ladder.gear}
            kinds={kinds.filter((k) => k.group === "GEAR")}
            onChange={(gear) => set({ gear })}
          />
        </div>
      </Part>

      <Part title={say("ladderForm.whatYouSay")}>
        <div className="grid gap-3 sm:grid-cols-2">
          {ladder.cues.map((c, i) => (
            <Words
              // biome-ignore lint/suspicious/noArrayIndexKey: a cue is told apart by its place only
              key={i}
              label={say("ladderForm.cue", { n: i + 1 })}
              value={c}
              onChange={(text) => set({ cues: ladder.cues.map((o, n) => (n === i ? text : o)) })}
            />
          ))}
          <Words
            label={say("ladderForm.eyesAre")}
            value={ladder.eyes}
            must={must("eyes")}
            onChange={(eyes) => set({ eyes })}
          />
        </div>
        {must("cues") && (
          <p role="alert" className="font-semibold text-alert">
            {say("ladderForm.cues")} {must("cues")}.
          </p>
        )}
        {ladder.cues.length < 4 && (
          <button type="button" className="btn btn-small" onClick={() => set({ cues: [...ladder.cues, ""] })}>
            <Plus size={16} aria-hidden /> {say("ladderForm.aCue")}
          </button>
        )}
        {ladder.faults.map((f, i) => (
          <div key={f.id} className="grid gap-3 sm:grid-cols-2">
            <Words
              label={say("ladderForm.faultAsYouSeeIt", { n: i + 1 })}
              value={f.seen}
              must={must(`faults[${i}].seen`)}
              onChange={(seen) => fault(i, { seen })}
            />
            <Words
              label={say("ladderForm.whatMendsIt")}
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
          <Plus size={16} aria-hidden /> {say("ladderForm.aFault")}
        </button>
        <div className="grid gap-3 sm:grid-cols-3">
          <Words
            label={say("ladderForm.seatedOrEmpty")}
            value={ladder.seated}
            must={must("seated")}
            onChange={(t) => set({ seated: t || null })}
          />
          <Words
            label={say("ladderForm.withOneHandOr")}
            value={ladder.oneHand}
            must={must("oneHand")}
            onChange={(t) => set({ oneHand: t || null })}
          />
          <Words
            label={say("ladderForm.seeingLittleOrEmpty")}
            value={ladder.seesLittle}
            must={must("seesLittle")}
            onChange={(t) => set({ seesLittle: t || null })}
          />
        </div>
      </Part>

      <Part title={say("ladderForm.takeCare")}>
        <Chips
          label={say("ladderForm.cautions")}
          value={ladder.cautions}
          words={cautionWord}
          onChange={(cautions) => set({ cautions })}
          must={must("cautions")}
        />
        <Chips
          label={say("ladderForm.notDone")}
          value={ladder.refusedPlaces}
          words={refusedPlace}
          onChange={(refusedPlaces) => set({ refusedPlaces })}
        />
      </Part>
    </div>
  );
}

/** What it is called, where it belongs and what it trains. */
function WhatItIs({ ladder, must, set }: Parts) {
  return (
    <Part title={say("ladderForm.whatItIs")}>
      <div className="flex flex-wrap items-end gap-4">
        <Words
          label={say("ladderForm.nameOfTheLadder")}
          value={ladder.name}
          must={must("name")}
          onChange={(name) => set({ name })}
          className="min-w-64 flex-1"
        />
        <Pick
          label={say("ladderForm.family")}
          value={ladder.family}
          words={familyWord}
          onChange={(f) => set({ family: f })}
        />
        <Pick
          label={say("ladderForm.whereInALesson")}
          value={ladder.part}
          words={part}
          onChange={(p) => set({ part: p })}
        />
        <Pick label={say("ladderForm.noise")} value={ladder.noise} words={noise} onChange={(n) => set({ noise: n })} />
        <Num
          label={say("ladderForm.effort1To5")}
          value={ladder.effort}
          must={must("effort")}
          onChange={(effort) => set({ effort })}
        />
        <Num
          label={say("ladderForm.agesFrom")}
          value={ladder.ages?.from ?? null}
          must={must("ages.from")}
          onChange={(from) => set({ ages: from === null ? null : { from, to: ladder.ages?.to ?? null } })}
        />
        {ladder.ages && (
          <Num
            label={say("ladderForm.agesTo")}
            value={ladder.ages.to}
            must={must("ages.to")}
            onChange={(to) => set({ ages: ladder.ages && { ...ladder.ages, to } })}
          />
        )}
      </div>
      <Words
        label={say("ladderForm.sportsWithCommasBetween")}
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
        label={say("ladderForm.trains")}
        value={ladder.aspects}
        words={aspect}
        onChange={(aspects) => set({ aspects })}
        must={must("aspects")}
      />
    </Part>
  );
}

/** Who is at a spot. */
function Roles({ ladder, must, set, role }: Parts) {
  return (
    <Part title={say("ladderForm.whoIsAtA")}>
      {ladder.roles.map((r, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a part has no id, and keeps its place while it is written
        <div key={i} className="flex flex-wrap items-end gap-3">
          <Words
            label={say("ladderForm.called")}
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
            {say("ladderForm.doesWhatIsCounted")}
          </label>
          {!r.works && (
            <label className="flex items-center gap-2 pb-2">
              <input type="checkbox" checked={r.busy} onChange={(e) => role(i, { busy: e.target.checked })} />{" "}
              {say("ladderForm.movesTooNoRest")}
            </label>
          )}
          <Words
            label={say("ladderForm.whatToTellThem")}
            value={r.line}
            must={must(`roles[${i}].line`)}
            onChange={(line) => role(i, { line })}
            className="min-w-56 flex-1"
          />
          {i > 0 && (
            <button
              type="button"
              className="btn btn-small mb-1"
              aria-label={say("ladderForm.takeOut", { name: r.name })}
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
        <Plus size={16} aria-hidden /> {say("ladderForm.somebodyElse")}
      </button>
    </Part>
  );
}

/** The floor for one spot, and where it goes. */
function Floor({ ladder, must, set, foot }: Parts) {
  return (
    <Part title={say("ladderForm.theFloorForOne")}>
      <p className="flex flex-wrap items-baseline gap-x-4 gap-y-2">
        <Num
          label={say("ladderForm.length")}
          unit={say("ladderForm.m")}
          step={0.1}
          value={ladder.footprint.lengthM}
          must={must("footprint.lengthM")}
          onChange={(lengthM) => foot({ lengthM })}
        />
        <Num
          label={say("ladderForm.width")}
          unit={say("ladderForm.m")}
          step={0.1}
          value={ladder.footprint.widthM}
          must={must("footprint.widthM")}
          onChange={(widthM) => foot({ widthM })}
        />
        <Num
          label={say("ladderForm.betweenTwo")}
          unit={say("ladderForm.m")}
          step={0.1}
          value={ladder.footprint.gapM}
          must={must("footprint.gapM")}
          onChange={(gapM) => foot({ gapM })}
        />
        <Num
          label={say("ladderForm.toTheEdge")}
          unit={say("ladderForm.m")}
          step={0.1}
          value={ladder.footprint.edgeM}
          must={must("footprint.edgeM")}
          onChange={(edgeM) => foot({ edgeM })}
        />
        <Num
          label={say("ladderForm.freeHeight")}
          unit={say("ladderForm.m")}
          step={0.1}
          value={ladder.footprint.heightM}
          must={must("footprint.heightM")}
          onChange={(heightM) => foot({ heightM })}
        />
        <Num
          label={say("ladderForm.reachOfASwing")}
          unit={say("ladderForm.m")}
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
          {say("ladderForm.atAFreeWall")}
        </label>
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            checked={ladder.footprint.oneRow}
            onChange={(e) => foot({ oneRow: e.target.checked })}
          />{" "}
          {say("ladderForm.allInOneRow")}
        </label>
        <label className="flex items-center gap-2">
          <input type="checkbox" checked={ladder.counted} onChange={(e) => set({ counted: e.target.checked })} />{" "}
          {say("ladderForm.resultsAreKept")}
        </label>
      </p>
      <Chips
        label={say("ladderForm.goesOn")}
        value={ladder.surfaces}
        words={surfaceWord as Record<Ladder["surfaces"][number], string>}
        onChange={(surfaces) => set({ surfaces })}
        must={must("surfaces")}
      />
    </Part>
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
