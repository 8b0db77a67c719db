import type { Units } from "../../lengths";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";

const t = textsOf("marks", saidMarks);

export type V = {
  mode: string;
  runM: number | null;
  gapM: number | null;
  passM: number | null;
  ballCm: number | null;
  thereAndBack: boolean;
  firstSec: number | null;
  betterPercent: number | null;
  level: string;
  seed: number | null;
  choices: number | null;
  howMany: number | null;
  mostRunning: number | null;
  radiusM: number | null;
  backEachTime: boolean;
  called: number;
  balls: number | null;
  drawFrom: string;
  results: string;
};

/** Colours of the caller, each with a sign of its own: never colour alone. */
export const colours = [
  { name: t("markersValues.blue"), fill: "#2b4cc4", sign: "M-9 9L0 -10L9 9Z" },
  { name: t("markersValues.green"), fill: "#0b7a5e", sign: "M-8 -8H8V8H-8Z" },
  { name: t("markersValues.orange"), fill: "#c44a12", sign: "M0 -10a10 10 0 1 0 .1 0" },
  { name: t("markersValues.plum"), fill: "#9b1f6b", sign: "M0 -11L11 0L0 11L-11 0Z" },
  { name: t("markersValues.ochre"), fill: "#7a5c06", sign: "M-9 -9L9 9M9 -9L-9 9" },
  { name: t("markersValues.black"), fill: "#1e2c2b", sign: "M-10 0H10M0 -10V10" },
];

export function circle(choices: number, radiusM: number) {
  const n = Math.max(0, Math.min(12, Math.round(choices)));
  return Array.from({ length: n }, (_, i) => {
    const turn = (2 * Math.PI * i) / n + Math.PI / 2;
    return { xM: radiusM * Math.cos(turn), yM: radiusM * Math.sin(turn) };
  });
}

export type View<A> = { v: V; answer: A | undefined; change: (p: Partial<V>) => void; units: Units };
