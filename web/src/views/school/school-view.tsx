import { Parts } from "../../ui/parts";
import { Audit } from "./audit";
import { Backups } from "./backups";
import { Learnt } from "./learnt";
import { People } from "./people";

const parts = [
  ["people", "People", People],
  ["audit", "Audit", Audit],
  ["learnt", "Learnt", Learnt],
  ["backups", "Backups", Backups],
] as const;

/** For the administrator: who may come in, what was done, and what is kept safe. */
export function SchoolView() {
  return <Parts name="School" at="/school" parts={parts} />;
}
