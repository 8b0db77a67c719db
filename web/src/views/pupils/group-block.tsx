import { useQuery } from "@tanstack/react-query";
import { ladders } from "../../api/queries";
import type { ClassRecord, Ladder } from "../../api/types";
import saidPupils from "../../words/pupils.json";
import { textsOf } from "../../words/texts";
import { BlockToPlan } from "../ladders/to-plan";

const t = textsOf("pupils", saidPupils);

/** From those whom a question found straight into a plan: a block for them alone, each on their own rung, and a quiet task for the others. */
export function GroupBlock({ record, ladder, pupilIds }: { record: ClassRecord; ladder: Ladder; pupilIds: string[] }) {
  const catalogue = useQuery(ladders);
  const first = ladder.rungs[0];
  if (!first) return null;
  const everybody = pupilIds.length === record.pupils.length;
  const quiet = catalogue.data?.find((l) => l.meanwhile && l.id !== ladder.id);
  return (
    <BlockToPlan
      label={t("groupBlock.planABlockFor")}
      title={t("groupBlock.title", { name: ladder.name, n: pupilIds.length })}
      className="btn btn-small"
      edits={(id) => [
        { type: "ADD", id, at: null, ladderId: ladder.id, rungId: first.id },
        { type: "CHOOSE_WHO", blockId: id, rungBy: "OWN" },
        { type: "SET_ONLY_FOR", blockId: id, pupilIds: everybody ? [] : pupilIds },
        {
          type: "SET_MEANWHILE",
          blockId: id,
          task: everybody || !quiet?.rungs[0] ? null : { ladderId: quiet.id, rungId: quiet.rungs[0].id },
        },
      ]}
    />
  );
}
