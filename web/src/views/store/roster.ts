import type { PupilDetails } from "../../api/types";

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
        firstName,
        initial: family.charAt(0).toUpperCase(),
        birthYear: year ? Number(year) : null,
        strongHand: "RIGHT" as const,
        shoeCm: null,
        reachCm: null,
        adaptation: null,
      };
    });
}
