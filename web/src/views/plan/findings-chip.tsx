import type { Finding } from "../../api/types";
import { texts } from "../../words/texts";

const t = texts("plan");

/** How many findings stand against the lesson, at its head; a press leads to them. */
export function FindingsChip({ findings }: { findings: Finding[] }) {
  const open = findings.filter((f) => f.silenced === null);
  const stops = open.filter((f) => f.level === "STOP").length;
  const minds = open.filter((f) => f.level === "MIND").length;
  if (stops + minds === 0) return null;
  return (
    <a
      href="#before"
      className={`btn btn-small no-underline ${stops > 0 ? "border-alert! font-bold text-alert!" : ""}`}
    >
      {[stops > 0 && t("chip.stops", { n: stops }), minds > 0 && t("chip.minds", { n: minds })]
        .filter(Boolean)
        .join(", ")}
    </a>
  );
}
