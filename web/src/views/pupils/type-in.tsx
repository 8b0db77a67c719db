import { useState } from "react";
import { api } from "../../api/client";
import type { Ladder, PupilRecord, TypedIn } from "../../api/types";
import { localDay } from "../../local-day";
import { Choice } from "../../ui/choice";
import { Sheet } from "../../ui/sheet";
import { side as sideWord } from "../../words";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";
import { measure } from "../../words-ladders";
import { Box, DayBox, typedNumber } from "./box";
import { Refused, useSend } from "./use-send";

const t = textsOf("pupils", saidPupils);

const sidesOf = {
  NONE: ["NONE"],
  OWN_JOBS: ["NONE"],
  BOTH: ["RIGHT", "LEFT"],
  BOTH_DIRECTIONS: ["CLOCKWISE", "COUNTER_CLOCKWISE"],
  STRONG_ONLY: ["STRONG"],
} as const;

const empty = { score: "", hits: "", misses: "", workSec: "", ball: "", distanceM: "", target: "", with: "" };

/** A result from paper or from home. It counts less until somebody of the school has seen or confirmed it. */
export function TypeIn({ record, ladders }: { record: PupilRecord; ladders: Ladder[] }) {
  const [open, setOpen] = useState(false);
  const [ladderId, setLadderId] = useState(record.attempts[0]?.attempt.ladderId ?? ladders[0]?.id ?? "");
  const ladder = ladders.find((l) => l.id === ladderId);
  const [rungId, setRungId] = useState("");
  const rung = ladder?.rungs.find((r) => r.id === rungId) ?? ladder?.rungs[0];
  const sides = rung ? sidesOf[rung.sides] : (["NONE"] as const);
  const [side, setSide] = useState<string>("");
  const [on, setOn] = useState(() => localDay());
  const [figures, setFigures] = useState(empty);
  const [home, setHome] = useState(false);
  const [seen, setSeen] = useState(false);
  const { send, problem } = useSend();
  const chosenSide = (sides as readonly string[]).includes(side) ? side : sides[0];
  const type = rung?.measure.type;
  const outOf = type === "HITS_OF_N" || type === "NO_BALLS";
  const timed = type === "TIME_FOR_N" || type === "COURSE_TIME";
  const asks = { hits: type === "COUNT_IN_TIME", workSec: !outOf && !timed };
  const keep = async () => {
    // What was typed for another rung and is not asked for this one stays behind.
    const score = typedNumber(figures.score);
    const hits = outOf ? score : asks.hits ? typedNumber(figures.hits) : null;
    // What was typed may be empty or no number: the server says so at its field.
    const typed = {
      on,
      ladderId,
      rungId: rung?.id,
      modifiers: [],
      side: chosenSide,
      score,
      hits,
      misses: typedNumber(figures.misses),
      workSec: asks.workSec ? typedNumber(figures.workSec) : null,
      timeMs: null,
      ball: figures.ball.trim() || null,
      distanceM: typedNumber(figures.distanceM),
      target: figures.target.trim() || null,
      with: figures.with.trim() || null,
      where: home ? "HOME" : "SCHOOL",
      seen,
      trial: false,
    } as unknown as TypedIn;
    const kept = await send(() =>
      api("post", "/api/pupils/{id}/attempts", { params: { path: { id: record.pupilId } }, body: typed }),
    );
    if (!kept) return;
    setFigures(empty);
    setOpen(false);
  };
  const box = (label: string, field: keyof typeof empty, kind: "number" | "words" = "number") => (
    <Box
      label={label}
      field={field}
      kind={kind}
      value={figures[field]}
      problem={problem}
      onChange={(v) => setFigures({ ...figures, [field]: v })}
    />
  );
  return (
    <>
      <button type="button" className="btn btn-small" onClick={() => setOpen(true)}>
        {t("typeIn.typeInAResult")}
      </button>
      <Sheet title={t("typeIn.aResultOf", { name: record.name })} open={open} onOpenChange={setOpen}>
        <div className="space-y-3">
          <div className="flex flex-wrap gap-3">
            <Choice
              label={t("typeIn.ladder")}
              value={ladderId}
              options={ladders.map((l) => ({ value: l.id, text: l.name }))}
              onChange={setLadderId}
            />
            <Choice
              label={t("typeIn.rung")}
              value={rung?.id ?? ""}
              options={(ladder?.rungs ?? []).map((r, i) => ({ value: r.id, text: `${i + 1} ${r.name}` }))}
              onChange={setRungId}
            />
            {sides.length > 1 && (
              <Choice
                label={t("typeIn.side")}
                value={chosenSide ?? "NONE"}
                options={sides.map((s) => ({ value: s as string, text: sideWord[s] }))}
                onChange={setSide}
              />
            )}
          </div>
          <p className="text-soft">
            {rung && t("typeIn.counted", { measure: measure[rung.measure.type], unit: rung.unit, counts: rung.counts })}
          </p>
          <div className="flex flex-wrap gap-3">
            <DayBox label={t("typeIn.day")} field="on" value={on} problem={problem} onChange={setOn} />
            {box(outOf ? t("typeIn.hits") : t("typeIn.score"), "score")}
            {asks.hits && box(t("typeIn.hitsIfCounted"), "hits")}
            {box(t("typeIn.missesIfCounted"), "misses")}
            {asks.workSec && box(t("typeIn.secondsOfTheRound"), "workSec")}
            {box(t("typeIn.ballIfAnother"), "ball", "words")}
            {box(t("typeIn.distanceInMIfAnother"), "distanceM")}
            {box(t("typeIn.targetIfAnother"), "target", "words")}
            {box(t("typeIn.withWhom"), "with", "words")}
          </div>
          <label className="flex items-center gap-2">
            <input type="checkbox" checked={home} onChange={(e) => setHome(e.target.checked)} />{" "}
            {t("typeIn.doneAtHome")}
          </label>
          <label className="flex items-center gap-2">
            <input type="checkbox" checked={seen} onChange={(e) => setSeen(e.target.checked)} />{" "}
            {t("typeIn.somebodyOfTheSchool")}
          </label>
        </div>
        <Refused
          problem={problem}
          shown={["score", "hits", "misses", "workSec", "on", "ball", "distanceM", "target", "with"]}
        />
        <button type="button" className="btn btn-main mt-4" onClick={keep}>
          {t("typeIn.keepTheResult")}
        </button>
      </Sheet>
    </>
  );
}
