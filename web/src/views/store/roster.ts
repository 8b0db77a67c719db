import type { PupilDetails } from "../../api/types";

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

/** Reads pasted lines: first name, initial, birth year, parted by commas, semicolons, tabs or spaces. Empty lines are left out. */
export function readRoster(text: string): PupilDetails[] {
  return text
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter((line) => line !== "")
    .map((line) => {
      const parts = line.split(/[,;\t]\s*|\s+/).filter((p) => p !== "");
      const year = parts.find((p) => /^\d{4}$/.test(p));
      const [firstName = "", family = ""] = parts.filter((p) => !/^\d+$/.test(p));
      return {
        ...nobody,
        firstName,
        initial: family.charAt(0).toUpperCase(),
        birthYear: year ? Number(year) : null,
      };
    });
}
