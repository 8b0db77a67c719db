import type { Block, Finding, Lesson } from "./api/types";
import { clock, family as familyWord, metres, percent, side } from "./words";
import words from "./words/findings.json";
import { each, textsOf } from "./words/texts";

/** The words of "Before you run it": what stands against a lesson, in figures, and what one press would change. */

const t = textsOf("findings", words);

type Figures = Finding["figures"];

export const adaptation: Record<string, string> = each(words.adaptation, (key) => t(`adaptation.${key}`));

/** What goes with every task, where a ladder says nothing of its own. */
export const everyTask: Record<string, string> = each(words.everyTask, (key) => t(`everyTask.${key}`));

export const surface: Record<string, string> = each(words.surface, (key) => t(`surface.${key}`));

export const sideOrder: Record<Block["sideOrder"], string> = each(words.sideOrder, (key) => t(`sideOrder.${key}`));

const shapeName = each(words.shape, (key) => t(`shapeName.${key}`));

export const shape = Object.fromEntries(
  (Object.keys(shapeName) as Lesson["shape"][]).map((key) => [key, [shapeName[key], t(`shape.${key}`)]]),
) as Record<Lesson["shape"], [name: string, about: string]>;

const cap = (s: string) => s.charAt(0).toUpperCase() + s.slice(1);

/** Figures that a message may ask for and a finding need not have: numbers are 0 then, what is chosen by is "none". */
const COUNTS = [
  "places",
  "windows",
  "spots",
  "fit",
  "reps",
  "byPlanningRate",
  "left",
  "sets",
  "tasks",
  "times",
  "rounds",
];
const CHOICES = [
  "standM",
  "lacks",
  "ball",
  "of",
  "inSec",
  "to",
  "variant",
  "task",
  "meanwhile",
  "heat",
  "hard",
  "ageKnown",
];

/** What the messages fill in: each figure as it is, lengths and clocks as they are read, and what stands for several. */
function filled(f: Figures): Record<string, unknown> {
  const out: Record<string, unknown> = {};
  for (const key of COUNTS) out[key] = 0;
  for (const key of CHOICES) out[key] = "none";
  for (const [key, value] of Object.entries(f)) {
    if (value === null || value === "" || value === false) continue;
    if (typeof value === "number" && value === 0 && CHOICES.includes(key)) continue;
    const metre = typeof value === "number" && /[a-z]M$/.test(key);
    out[key] = metre ? metres(value) : typeof value === "boolean" ? String(value) : value;
    if (typeof value === "number" && /Sec$|^seconds$/.test(key)) out[`${key.replace(/Sec$/, "")}Clock`] = clock(value);
  }
  const n = (key: string) => Number(f[key] ?? 0);
  const s = (key: string) => String(f[key] ?? "");
  return {
    ...out,
    With: cap(s("with")),
    activeMin: Math.round(n("activeSec") / 60),
    adaptationWord: adaptation[s("adaptation")] ?? "",
    blockCount: (f.blocks as string[] | undefined)?.length ?? 0,
    expectedWhole: Math.round(n("expected")),
    familyWords: ((f.families as string[] | undefined) ?? [])
      .map((x) => familyWord[x as keyof typeof familyWord].toLowerCase())
      .join(", "),
    fewer: String(n("rounds") < n("turns")),
    how: [
      s("changes"),
      s("make") && (n("makeMin") > 0 ? t("makeMin", { make: s("make"), min: n("makeMin") }) : s("make")),
    ]
      .filter(Boolean)
      .join(". "),
    pupilCount: n("pupils"),
    sharePercent: percent(n("share")),
    sideWord: side[s("side") as keyof typeof side] ?? s("side"),
    surfaceWord: surface[s("surface")] ?? s("surface"),
  };
}

function names(pupils: string[]): string {
  return pupils.length > 4
    ? t("names", { shown: pupils.slice(0, 3).join(", "), more: pupils.length - 3 })
    : pupils.join(", ");
}

export function finding(f: Finding): string {
  return t(`finding.${f.code}`, { ...filled(f.figures), pupils: names(f.pupils) });
}

export function mend(f: Finding): [press: string, does: string] {
  return f.mend ? mendOf(f.mend) : ["", ""];
}

/** The press, and what it does. */
export function mendOf(m: NonNullable<Finding["mend"]>): [press: string, does: string] {
  const figures = { changes: "", ...filled(m.figures) };
  return [t(`press.${m.kind}`, figures), t(`does.${m.kind}`, figures)];
}

/** From where on it is said, and by whose rule. */
export function said(f: Finding): string {
  const from = f.threshold
    ? t(`threshold.${f.threshold.name as keyof typeof words.threshold}`, {
        v: f.threshold.value,
        percent: percent(f.threshold.value),
      })
    : "";
  const school = f.school === "EVERY" ? "" : t(`school.${f.school}`);
  return [from && t("saidFrom", { from }), school].filter(Boolean).join(" · ");
}
