import type { ClassDoc, PupilDetails } from "../../api/types";
import { texts } from "../../words/texts";

const t = texts("begin");

/** A pupil of whom nothing is known yet. */
export const nobody: PupilDetails = {
  firstName: "",
  initial: "",
  birthYear: null,
  strongHand: "RIGHT",
  shoeCm: null,
  reachCm: null,
  adaptations: [],
  adaptation: null,
  homeKit: {},
  homeSpace: null,
  homeQuiet: null,
  otherHome: null,
};

/** Pupils whose names come later. */
export const nameless = (count: number): PupilDetails[] =>
  Array.from({ length: count }, (_, i) => ({ ...nobody, firstName: t("who.pupil", { n: i + 1 }) }));

const isNameless = (p: PupilDetails) =>
  p.initial === "" && /\d+$/.test(p.firstName) && p.firstName === t("who.pupil", { n: /\d+$/.exec(p.firstName)?.[0] });

/** Names a list brings: those who have none yet get theirs, with all that is recorded of them; the others come behind. */
export function named(pupils: ClassDoc["pupils"], list: PupilDetails[]): ClassDoc["pupils"] {
  const rest = [...list];
  const known = pupils.map((p) => {
    const name = isNameless(p.details) ? rest.shift() : undefined;
    if (!name) return p;
    const { firstName, initial, birthYear } = name;
    return { ...p, details: { ...p.details, firstName, initial, birthYear: birthYear ?? p.details.birthYear } };
  });
  return [...known, ...rest.map((details) => ({ id: null, details }))];
}

/** How many have no name yet. */
export const namelessIn = (pupils: ClassDoc["pupils"]) => pupils.filter((p) => isNameless(p.details)).length;
