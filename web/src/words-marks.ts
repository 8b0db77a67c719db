import type { AimSheet, JackMatch, NetOnWall, OffTheWall, Spots } from "./api/types";
import { each, textsOf } from "./words/texts";
import words from "./words/workings.json";

const t = textsOf("workings", words);

/** The words of the board of workings. */

const ids = [
  "net",
  "aim",
  "ceiling",
  "off-the-wall",
  "in-a-row",
  "step-by-step",
  "room",
  "markers",
  "jack",
  "bowling",
  "stations",
] as const;

export const workings = ids.map((id) => [id, t(`workingName.${id}`), t(`workingAbout.${id}`)] as const);

export type WorkingId = (typeof ids)[number];

export const noDrag = t("noDrag");

export const withAir = t("withAir");

export const presetNote = t("presetNote");

export const plainMark: Record<NonNullable<NetOnWall["plainMarkIs"]>, string> = each(words.plainMark, (key) =>
  t(`plainMark.${key}`),
);

export const direction: Record<NonNullable<AimSheet["landings"]>["direction"], string> = each(words.direction, (key) =>
  t(`direction.${key}`),
);

export const correct: Record<AimSheet["correct"], string> = each(words.correct, (key) => t(`correct.${key}`));

export const rebound: Record<OffTheWall["rebound"]["outcome"], string> = each(words.rebound, (key) =>
  t(`rebound.${key}`),
);

export const nextWhy: Record<NonNullable<JackMatch["next"]>["why"], string> = each(words.nextWhy, (key) =>
  t(`nextWhy.${key}`),
);

export const pointsWhy: Record<JackMatch["ends"][number]["why"], string> = each(words.pointsWhy, (key) =>
  t(`pointsWhy.${key}`),
);

export const noRoom: Record<NonNullable<Spots["reason"]>, string> = each(words.noRoom, (key) => t(`noRoom.${key}`));

export const zone: Record<string, string> = each(words.zone, (key) => t(`zone.${key}`));

export const noBall: Record<string, string> = each(words.noBall, (key) => t(`noBall.${key}`));

/** Beyond ten minutes nobody counts seconds. */
export const seconds = (sec: number) =>
  sec >= 600 ? t("minutes", { n: Math.round(sec / 60) }) : `${sec < 10 ? sec.toFixed(1) : Math.round(sec)} s`;
