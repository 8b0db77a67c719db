import { Parts } from "../../ui/parts";
import saidSchool from "../../words/school.json";
import { textsOf } from "../../words/texts";
import { Audit } from "./audit";
import { Backups } from "./backups";
import { Learnt } from "./learnt";
import { People } from "./people";

const t = textsOf("school", saidSchool);

const parts = [
  ["people", t("parts.people"), People],
  ["audit", t("parts.audit"), Audit],
  ["learnt", t("parts.learnt"), Learnt],
  ["backups", t("parts.backups"), Backups],
] as const;

/** For the administrator: who may come in, what was done, and what is kept safe. */
export function SchoolView() {
  return <Parts name={t("parts.school")} at="/school" parts={parts} />;
}
