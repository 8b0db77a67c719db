import type { SkillView } from "../../api/types";
import { localDay } from "../../local-day";
import { day } from "../../words";
import saidSchool from "../../words/school.json";
import { textsOf } from "../../words/texts";

const t = textsOf("school", saidSchool);

/** On which records the figures rest by which pupils are read. */
export function learntFrom({ learntMs, tries, pupils }: SkillView): string {
  return learntMs === null
    ? t("learnt.nothing")
    : t("learnt.from", { day: day(localDay(new Date(learntMs))), tries, pupils });
}
