import type { ClassRecord, OnLadder } from "../../api/types";

export type Done = OnLadder["challenges"][number];

/** Each pupil on each ladder, found by both. */
export function byPupilAndLadder(record: ClassRecord): (pupilId: string, ladderId: string) => OnLadder | undefined {
  const all = new Map(record.onLadders.map((r) => [`${r.pupilId}/${r.ladderId}`, r]));
  return (pupilId, ladderId) => all.get(`${pupilId}/${ladderId}`);
}

/** The challenge on a rung as it is, without modifiers. */
export const plain = (on: OnLadder | undefined, rungId: string): Done | undefined =>
  on?.challenges.find((c) => c.rungId === rungId && c.modifiers.length === 0);

/** Challenges completed as they are, of everybody. */
export const completed = (record: ClassRecord) =>
  record.onLadders.flatMap((r) =>
    r.challenges
      .filter((c) => c.completedOn && c.modifiers.length === 0)
      .map((c) => ({ ...c, pupilId: r.pupilId, ladderId: r.ladderId })),
  );
