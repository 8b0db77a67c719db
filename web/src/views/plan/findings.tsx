import { Check, CircleAlert, TriangleAlert } from "lucide-react";
import { type FormEvent, useState } from "react";
import type { Finding, Ladder, Lesson, LessonView } from "../../api/types";
import { blockName } from "../../lane/lane-blocks";
import { clock } from "../../words";
import { texts } from "../../words/texts";
import { finding, mend, said } from "../../words-findings";
import { stopsOf } from "./stops-of";

const t = texts("plan");

/** "Before you run it": what stands against the lesson, each with its figures, one press that mends it, and a way to let it stand. */
export function Findings({
  view,
  catalogue,
  readOnly,
  waiting,
  onMend,
  onSilence,
  onChoose,
}: {
  view: LessonView;
  catalogue: Ladder[];
  readOnly: boolean;
  /** While a change is on its way the findings belong to the lesson before it. */
  waiting: boolean;
  onMend: (finding: string) => void;
  onSilence: (silenced: Lesson["silenced"]) => void;
  onChoose: (blockId: string) => void;
}) {
  const open = view.findings.filter((f) => f.silenced === null);
  const still = view.findings.filter((f) => f.silenced !== null);
  const stops = stopsOf(view);
  const name = (f: Finding) => {
    const at = view.lesson.blocks.findIndex((b) => b.id === f.blockId);
    const block = view.lesson.blocks[at];
    return block ? `${at + 1} ${blockName(block, catalogue)}` : "";
  };
  return (
    <section aria-labelledby="before" data-testid="findings" aria-busy={waiting}>
      <h2 id="before" className="flex items-baseline gap-3 border-b-2 border-ink pb-1">
        {t("findings.beforeYouRunIt")}
        <span className="ml-auto text-base font-normal text-soft" role="status" data-testid="finding-count">
          {open.length === 0
            ? t("findings.nothing")
            : stops > 0
              ? t("findings.stops", { n: stops })
              : t("findings.looks", { n: open.length })}
        </span>
      </h2>
      <ul>
        {open.map((f) => (
          <Line
            key={f.id}
            f={f}
            name={name(f)}
            readOnly={readOnly}
            waiting={waiting}
            onMend={() => onMend(f.id)}
            onSilence={(reason) => onSilence([...view.lesson.silenced, { finding: f.id, reason }])}
            onChoose={() => f.blockId && onChoose(f.blockId)}
          />
        ))}
      </ul>
      <Sound view={view} open={open} />
      {still.length > 0 && (
        <details className="mt-2">
          <summary className="cursor-pointer text-soft">{t("findings.letStand", { length: still.length })}</summary>
          <ul>
            {still.map((f) => (
              <li key={f.id} className="border-b border-rule py-1.5 text-[0.95rem]">
                <strong>{name(f)}</strong> {finding(f)}{" "}
                <span className="text-soft">
                  {t("findings.letStand2")} {f.silenced}.
                </span>{" "}
                {!readOnly && (
                  <button
                    type="button"
                    className="underline"
                    onClick={() => onSilence(view.lesson.silenced.filter((s) => s.finding !== f.id))}
                  >
                    {t("findings.sayItAgain")}
                  </button>
                )}
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

function Line({
  f,
  name,
  readOnly,
  waiting,
  onMend,
  onSilence,
  onChoose,
}: {
  f: Finding;
  name: string;
  readOnly: boolean;
  waiting: boolean;
  onMend: () => void;
  onSilence: (reason: string) => void;
  onChoose: () => void;
}) {
  const [giving, setGiving] = useState(false);
  const [reason, setReason] = useState("");
  const [press, does] = mend(f);
  const silence = (e: FormEvent) => {
    e.preventDefault();
    if (reason.trim()) onSilence(reason.trim());
  };
  const stop = f.level === "STOP";
  return (
    <li className="border-b border-rule py-2" data-testid="finding" data-code={f.code} data-level={f.level}>
      <div className="flex gap-2.5">
        {stop ? (
          <CircleAlert size={20} className="mt-0.5 flex-none text-alert" aria-label={t("findings.stopsIt")} />
        ) : (
          <TriangleAlert size={20} className="mt-0.5 flex-none text-move" aria-label={t("findings.toLookAt")} />
        )}
        <div className="min-w-0 flex-1 leading-snug">
          <p>
            {name && (
              <button
                type="button"
                className="font-semibold underline decoration-rule underline-offset-2"
                onClick={onChoose}
              >
                {name}
              </button>
            )}{" "}
            {finding(f)}
          </p>
          <p className="text-sm text-soft">{said(f)}</p>
          {!readOnly && (
            <p className="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1">
              {f.mend && (
                <>
                  <button type="button" className="btn btn-small btn-main" disabled={waiting} onClick={onMend}>
                    {press}
                  </button>
                  <span className="text-sm">{does}</span>
                </>
              )}
              {!giving && (
                <button type="button" className="text-sm text-soft underline" onClick={() => setGiving(true)}>
                  {t("findings.letItStand")}
                </button>
              )}
            </p>
          )}
          {giving && (
            <form onSubmit={silence} className="mt-1.5 flex flex-wrap items-center gap-2">
              <input
                className="field min-w-40 flex-1"
                // biome-ignore lint/a11y/noAutofocus: the field was just asked for
                autoFocus
                aria-label={t("findings.whyItMayStand")}
                placeholder={t("findings.whyItMayStand")}
                maxLength={120}
                value={reason}
                onChange={(e) => setReason(e.target.value)}
              />
              <button type="submit" className="btn btn-small" disabled={!reason.trim()}>
                {t("findings.letItStand")}
              </button>
              <button type="button" className="btn btn-small" onClick={() => setGiving(false)}>
                {t("findings.cancel")}
              </button>
            </form>
          )}
        </div>
      </div>
    </li>
  );
}

/** What was looked at and is in order. */
function Sound({ view, open }: { view: LessonView; open: Finding[] }) {
  const { plan } = view;
  if (plan.blocks.length === 0) return null;
  const none = (...codes: string[]) => !open.some((f) => codes.some((c) => f.code.startsWith(c)));
  const lines = [
    none("PAST_BELL") && t("findings.endsBeforeTheBell", { pastBellSec: clock(plan.pastBellSec) }),
    none("SIDE") &&
      plan.rightSec + plan.leftSec > 0 &&
      plan.rightSec === plan.leftSec &&
      t("findings.rightAndLeftGetThe"),
    none("KIT", "GEAR") && view.gather.items.length > 0 && t("findings.thereIsEnoughKitFor"),
    none("WAVE_IDLE") && plan.idleSecPerPupil === 0 && t("findings.nobodyWaitsWithNothingTo"),
  ].filter((l): l is string => !!l);
  return (
    <ul>
      {lines.map((l) => (
        <li key={l} className="flex gap-2.5 border-b border-rule py-1.5">
          <Check size={20} className="flex-none text-catch" aria-hidden /> {l}
        </li>
      ))}
    </ul>
  );
}
