import type { Challenge, ClassRecord } from "../../api/types";

/** The challenge of a pupil on a rung as it is, without modifiers. */
export function find(record: ClassRecord, pupilId: string, ladderId: string, rungId: string): Challenge | undefined {
  return record.challenges.find(
    (c) => c.pupilId === pupilId && c.ladderId === ladderId && c.rungId === rungId && c.modifiers.length === 0,
  );
}
