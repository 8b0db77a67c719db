import type { Ladder, MeasureType, Rung, RungFit } from "./api/types";
import words from "./words/catalogue.json";
import { each, textsOf } from "./words/texts";
import { mendOf } from "./words-findings";

const t = textsOf("catalogue", words);

/** The words of the catalogue. */

export const lever: Record<Rung["lever"], string> = each(words.lever, (key) => t(`lever.${key}`));

export const measure: Record<MeasureType, string> = each(words.measure, (key) => t(`measure.${key}`));

export const aspect: Record<Ladder["aspects"][number], string> = each(words.aspect, (key) => t(`aspect.${key}`));

export const noise: Record<Ladder["noise"], string> = each(words.noise, (key) => t(`noise.${key}`));

export const part: Record<Ladder["part"], string> = each(words.part, (key) => t(`part.${key}`));

export const rungSides: Record<Rung["sides"], string> = each(words.rungSides, (key) => t(`rungSides.${key}`));

export const refusedPlace: Record<Ladder["refusedPlaces"][number], string> = each(words.refusedPlace, (key) =>
  t(`refusedPlace.${key}`),
);

export const needs: Record<Ladder["kit"][number]["needs"][number], string> = each(words.needs, (key) =>
  t(`needs.${key}`),
);

export const onMiss: Record<Rung["doses"]["staircase"]["onMiss"], string> = each(words.onMiss, (key) =>
  t(`onMiss.${key}`),
);

export function people(ladder: Ladder): string {
  return t("people", { n: ladder.roles.length });
}

export function sports(ladder: Ladder): string {
  return ladder.sports[0] === "all" ? t("everySport") : ladder.sports.join(", ");
}

export const verdict: Record<RungFit["verdict"], string> = each(words.verdict, (key) => t(`verdict.${key}`));

/** How many are at work here, and what is changed for it: "6 spots, 2 waves. Fill up with tennis balls." */
export function hereIs(fit: RungFit): string {
  if (fit.verdict === "NOT" || !fit.waves) return "";
  const spots = t("spotsAndWaves", { spots: fit.spots, waves: fit.waves });
  const changes = fit.changes.map((c) => {
    const [press, does] = mendOf(c);
    const joined = does.startsWith("with ") ? `${press} ${does}` : [press, does].filter(Boolean).join(": ");
    return joined.replace(/[.:]?$/, ".");
  });
  return [spots, ...changes].join(" ");
}

export const ours = t("ours");
