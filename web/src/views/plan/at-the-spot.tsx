import type { Block } from "../../api/types";
import { texts } from "../../words/texts";
import type { EditorProps } from "./block-editor";
import { Row } from "./block-row";

const t = texts("plan");

type Help = NonNullable<Block["helpers"]>[number];

const PARTS: Help[] = ["COUNTER", "UMPIRE", "FETCHER", "BACKSTOP", "DISTRACTOR"];

/** Who is at a spot beside those who work and feed: a counter or nobody, a fetcher, a third to distract. Everybody gets each part. */
export function AtTheSpot({ block, plan, onChange }: EditorProps) {
  if (!plan?.atSpot) return null;
  const { stay } = plan.atSpot;
  const there = block.helpers ?? plan.atSpot.helpers;
  const set = (part: Help, on: boolean) =>
    onChange({ ...block, helpers: PARTS.filter((p) => (p === part ? on : there.includes(p))) }, "helpers");
  return (
    <Row label={t("spot.who")}>
      <span>{t("spot.stay", { names: stay.join(", ") })}</span>
      {PARTS.map((part) => (
        <label key={part} className="flex items-center gap-1.5">
          <input
            type="checkbox"
            className="size-4 accent-ink"
            checked={there.includes(part)}
            onChange={(e) => set(part, e.target.checked)}
          />
          {t(`spot.part.${part}`)}
        </label>
      ))}
      <span className="text-soft">{t("spot.people", { n: stay.length + there.length })}</span>
      {block.helpers && (
        <button
          type="button"
          className="underline"
          onClick={() => onChange({ ...block, helpers: null }, "helpers off")}
        >
          {t("usual.ladder")}
        </button>
      )}
    </Row>
  );
}
