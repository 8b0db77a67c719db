import { ArrowLeft, Link2, Printer } from "lucide-react";
import { type ReactNode, useState } from "react";
import { Link } from "react-router";
import type { Problem } from "../../api/client";
import { length, type Units } from "../../lengths";
import { Choice } from "../../ui/choice";
import { Sheet } from "../../ui/sheet";
import { caution, deferring } from "../../words";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import type { Given } from "./given";
import { type Measure, MeasureTable } from "./measures";
import { link, type Values } from "./use-values";

const t = textsOf("marks", saidMarks);

export type Said = { text: string; kind?: "warn" | "note" };

/** One working on one screen: the drawing, what it says in words, the values, and the marking-out sheet that is printed. */
export function Working({
  title,
  given,
  values,
  drawing,
  said,
  problem,
  controls,
  aside,
  measures,
  materials,
  cautions,
}: {
  title: string;
  given: Given;
  values: Values;
  drawing: ReactNode;
  said: Said[];
  problem?: Problem;
  controls: ReactNode;
  /** Below the drawing: tables that are part of the working. */
  aside?: ReactNode;
  measures: Measure[];
  materials: string[];
  cautions: (keyof typeof caution)[];
}) {
  return (
    <article className="print:flex print:flex-col">
      <div className="mb-3 flex flex-wrap items-center gap-x-5 gap-y-2 border-b-[3px] border-ink pb-2">
        <Link to="/marks" className="flex items-center gap-1 text-soft print:hidden">
          <ArrowLeft size={17} aria-hidden /> {t("working.marks")}
        </Link>
        <h1 className="mr-auto">{title}</h1>
        <div className="flex flex-wrap items-center gap-2 print:hidden">
          <UnitSwitch units={given.units} onChange={given.setUnits} />
          <CopyLink values={values} />
          <PrintButton given={given} />
        </div>
      </div>
      <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_20.5rem] print:contents">
        <div className="min-w-0 print:contents">
          <figure>
            {drawing}
            <figcaption className="mt-2 space-y-1" data-testid="sentence" aria-live="polite">
              {said.map((s) => (
                <p key={s.text} className={tone(s.kind)}>
                  {s.kind === "warn" && <strong className="text-alert">{t("working.mind")} </strong>}
                  {s.text}
                </p>
              ))}
            </figcaption>
          </figure>
          <div className="print:order-2">{aside}</div>
        </div>
        <div className="space-y-3 print:hidden">
          {problem && (
            <p role="alert" className="border-l-4 border-alert bg-tint p-3 font-semibold">
              {problem.status === 400 ? t("working.aValueDoesNotFit") : `${problem.title}: ${problem.detail}`}
              {problem.errors
                .filter((e) => problem.status === 400 && e.field)
                .map((e) => (
                  <span key={e.field} className="block font-normal">
                    {e.field} {e.must}
                  </span>
                ))}
            </p>
          )}
          {controls}
        </div>
      </div>
      <section className="mt-7 print:order-1 print:mt-3" aria-label={t("working.markingoutSheet")}>
        <h2 className="border-b-2 border-ink pb-1">{t("working.markingOut")}</h2>
        {measures.length > 0 && (
          <MeasureTable measures={measures} units={given.units} paceM={given.paceM} shoeM={given.shoeM} />
        )}
        <div className="mt-3 grid gap-x-8 gap-y-3 sm:grid-cols-2">
          {materials.length > 0 && (
            <div>
              <h3 className="font-bold">{t("working.youNeed")}</h3>
              <p>{materials.join(", ")}.</p>
            </div>
          )}
          <div>
            <h3 className="font-bold">{t("working.mind2")}</h3>
            <ul className="list-disc pl-5">
              {cautions.map((c) => (
                <li key={c}>{caution[c]}</li>
              ))}
            </ul>
          </div>
        </div>
        <p className="mt-2 text-sm text-soft">
          {t("working.shoePace", {
            deferring,
            length: length(given.shoeM, given.units),
            length2: length(given.paceM, given.units),
          })}
        </p>
      </section>
    </article>
  );
}

const tone = (kind: Said["kind"]) =>
  kind === "warn" ? "border-l-4 border-alert bg-tint px-3 py-1" : kind === "note" ? "text-soft" : "text-[1.06rem]";

function UnitSwitch({ units, onChange }: { units: Units; onChange: (units: Units) => void }) {
  return (
    <Choice
      label={t("working.units")}
      className="btn btn-small"
      value={units}
      options={[
        { value: "metric", text: t("working.metres") },
        { value: "feet", text: t("working.feetAndInches") },
      ]}
      onChange={onChange}
    />
  );
}

function CopyLink({ values }: { values: Values }) {
  const [told, setTold] = useState<string>();
  const address = () => `${window.location.origin}${link(values)}`;
  const copy = async () => {
    const text = address();
    try {
      await navigator.clipboard.writeText(text);
      setTold(t("working.linkCopied"));
    } catch {
      // Without leave to use the clipboard the address bar holds the same link.
      window.history.replaceState(window.history.state, "", text);
      setTold(t("working.linkIsInTheAddress"));
    }
  };
  return (
    <button type="button" className="btn btn-small" onClick={copy} onBlur={() => setTold(undefined)}>
      <Link2 size={16} aria-hidden /> <span aria-live="polite">{told ?? t("working.copyLink")}</span>
    </button>
  );
}

const PAPER = "marble.paper";

function PrintButton({ given }: { given: Given }) {
  const [open, setOpen] = useState(false);
  const [paper, setPaper] = useState(() => localStorage.getItem(PAPER) ?? "A4");
  const print = () => {
    localStorage.setItem(PAPER, paper);
    document.documentElement.dataset.paper = paper;
    setOpen(false);
    // The dialog is gone from the page before it is printed.
    requestAnimationFrame(() => requestAnimationFrame(() => window.print()));
  };
  return (
    <>
      <button type="button" className="btn btn-small btn-main" onClick={() => setOpen(true)}>
        <Printer size={16} aria-hidden /> {t("working.printSheet")}
      </button>
      <Sheet title={t("working.printTheMarkingoutSheet")} open={open} onOpenChange={setOpen}>
        <div className="space-y-4">
          <p>{t("working.onePageTheDrawing")}</p>
          <div className="flex flex-wrap items-center gap-4">
            <Choice
              label={t("working.paper")}
              value={paper}
              options={[
                { value: "A4", text: t("working.a4") },
                { value: "letter", text: t("working.letter") },
              ]}
              onChange={setPaper}
            />
            <ShoeAndPace given={given} />
          </div>
          <button type="button" className="btn btn-main" onClick={print}>
            {t("working.toThePrinter")}
          </button>
        </div>
      </Sheet>
    </>
  );
}

function ShoeAndPace({ given }: { given: Given }) {
  const field = (label: string, m: number, set: (m: number) => void) => (
    <label className="flex items-center gap-2">
      {label}
      <input
        className="field num"
        inputMode="decimal"
        defaultValue={Math.round(m * 100)}
        onChange={(e) => {
          const cm = Number(e.target.value);
          if (cm >= 10 && cm <= 200) set(cm / 100);
        }}
      />
      {t("working.cm")}
    </label>
  );
  return (
    <>
      {field(t("working.shoe"), given.shoeM, given.setShoeM)}
      {field(t("working.pace"), given.paceM, given.setPaceM)}
    </>
  );
}
