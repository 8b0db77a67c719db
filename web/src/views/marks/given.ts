import type { Planning, SchoolClass, Space } from "../../api/types";
import type { Units } from "../../lengths";

/** What is in hand: it prefills every working. */
export type Given = {
  planning: Planning;
  spaces: Space[];
  space: Space | undefined;
  chosen: SchoolClass | undefined;
  units: Units;
  setUnits: (units: Units) => void;
  shoeM: number;
  setShoeM: (m: number) => void;
  paceM: number;
  setPaceM: (m: number) => void;
  thisYear: number;
};

const mean = (numbers: number[]) => numbers.reduce((a, b) => a + b, 0) / numbers.length;

/** Usual age of the class, or of nine-year-olds where no birth year is known. */
export function age(given: Given): number {
  const years = given.chosen?.pupils.map((p) => p.details.birthYear).filter((y) => y !== null) ?? [];
  return years.length ? Math.round(given.thisYear - mean(years)) : 9;
}

/** Standing reach of the class where it is known, in metres. */
export function reachM(given: Given): number | undefined {
  const reaches = given.chosen?.pupils.map((p) => p.details.reachCm).filter((r) => r !== null) ?? [];
  return reaches.length ? Number((mean(reaches) / 100).toFixed(2)) : undefined;
}

export const ball = (given: Given, id: string) => given.planning.balls.find((b) => b.id === id);

export function reaction(given: Given, years: number) {
  const known = given.planning.reactions.filter((r) => r.fromAge <= years);
  return known[known.length - 1] ?? given.planning.reactions[0];
}
