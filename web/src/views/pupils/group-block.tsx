import type { ClassRecord, Ladder } from "../../api/types";
import { BlockToPlan } from "../ladders/to-plan";
import { newBlock } from "../plan/new-block";

const NOTE_LETTERS = 200;

/** From those whom a question found straight into a plan: a block on their ladder, each on their own rung, with their names in its note. */
export function GroupBlock({ record, ladder, pupilIds }: { record: ClassRecord; ladder: Ladder; pupilIds: string[] }) {
  const names = record.pupils.filter((p) => pupilIds.includes(p.pupilId)).map((p) => p.name);
  const first = ladder.rungs[0];
  if (!first) return null;
  return (
    <BlockToPlan
      label="Plan a block for them"
      title={`A block of “${ladder.name}” for ${names.length}`}
      className="btn btn-small"
      block={() => ({
        ...newBlock(ladder, first),
        rungBy: "OWN",
        note: `For ${names.join(", ")}`.slice(0, NOTE_LETTERS),
      })}
    />
  );
}
