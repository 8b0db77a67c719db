import { texts } from "./words/texts";

const t = texts("ui");

/** Lengths as people say them: metric, or feet and inches. Everything is kept in metres; this only writes and reads. */
export type Units = "metric" | "feet";

const M_PER_INCH = 0.0254;
const KEY = "marble.units";

export const savedUnits = (): Units => (localStorage.getItem(KEY) === "feet" ? "feet" : "metric");
export const saveUnits = (units: Units) => localStorage.setItem(KEY, units);

const halves = (x: number) => {
  const rounded = Math.round(x * 2) / 2;
  const whole = Math.floor(rounded);
  return rounded === whole ? `${whole}` : whole === 0 ? "½" : `${whole}½`;
};

/** 2.43 -> "2.43 m" or "7 ft 11½ in" */
export function length(m: number, units: Units): string {
  if (units === "metric") return `${m.toFixed(2)} m`;
  const inches = Math.round((Math.abs(m) / M_PER_INCH) * 2) / 2;
  const feet = Math.floor(inches / 12);
  const rest = inches - feet * 12;
  const sign = m < 0 && inches > 0 ? "-" : "";
  if (feet === 0) return `${sign}${halves(rest)} in`;
  return rest === 0 ? `${sign}${feet} ft` : t("lengths.ftIn", { sign, feet, halves: halves(rest) });
}

/** Small lengths: 24 -> "24 cm" or "9½ in" */
export function small(cm: number, units: Units): string {
  return units === "metric" ? `${Number(cm.toFixed(cm < 10 ? 1 : 0))} cm` : `${halves(cm / 100 / M_PER_INCH)} in`;
}

/** What stands in a field; the same text comes back as the same length. */
export function written(m: number, units: Units): string {
  if (units === "metric") return String(Number(m.toFixed(3)));
  const inches = m / M_PER_INCH;
  const feet = Math.floor(inches / 12 + 1e-6);
  const rest = Number((inches - feet * 12).toFixed(2));
  return rest >= 12
    ? `${feet + 1} ft`
    : feet === 0
      ? `${rest} in`
      : rest === 0
        ? `${feet} ft`
        : t("lengths.ftIn2", { feet, rest });
}

/** Reads "2.43", "2,43 m", "7 ft 11 in", "7' 11\"", "94 in"; a bare number is metres, or feet. Null if it is no length. */
export function read(text: string, units: Units): number | null {
  const t = text.trim().toLowerCase().replace(",", ".").replaceAll("½", ".5").replaceAll(" .5", ".5");
  const number = "(-?\\d+(?:\\.\\d+)?|\\.\\d+)";
  const bare = new RegExp(`^${number}$`).exec(t);
  if (bare) return Number(bare[1]) * (units === "metric" ? 1 : 12 * M_PER_INCH);
  const metric = new RegExp(`^${number}\\s*(m|cm)$`).exec(t);
  if (metric) return Number(metric[1]) / (metric[2] === "cm" ? 100 : 1);
  const feet = new RegExp(`^${number}\\s*(?:ft|')\\s*(?:${number}\\s*(?:in|"|'')?)?$`).exec(t);
  if (feet) return (Number(feet[1]) * 12 + Number(feet[2] ?? 0)) * M_PER_INCH;
  const inches = new RegExp(`^${number}\\s*(?:in|")$`).exec(t);
  return inches ? Number(inches[1]) * M_PER_INCH : null;
}

/** "5½ paces": to the nearest half, since nobody steps finer. */
export const paces = (m: number, paceM: number) => counted(m / paceM, "lengths.paces");
export const shoes = (m: number, shoeM: number) => counted(m / shoeM, "lengths.shoes");

/** Halves round to one where they say so: "½ pace", "1 pace", "1½ paces". */
const counted = (n: number, what: "lengths.paces" | "lengths.shoes") =>
  t(what, { n: halves(n), of: [1, 2].includes(Math.round(n * 2)) ? 1 : 2 });
