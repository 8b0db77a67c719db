import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { Listed, type Must } from "../../../ladders/form-bits";
import { type MeasureView, MISS, type Of, only } from "../measure-view";
import { pointsOf } from "./fold";
import { RingsPad } from "./pad";

const say = textsOf("run", saidRun);

export const rings: MeasureView<"RINGS"> = {
  Pad: RingsPad,
  key: () => null,
  miss: MISS,
  score: (taps, measure) => only(pointsOf(taps, measure.rings)),
  ask: () => say("index.howManyPointsOnThe"),
  most: () => 100_000,
  wide: true,
  countsTries: true,
  blank: {
    type: "RINGS",
    rings: [
      { radiusCm: 10, points: 5 },
      { radiusCm: 20, points: 3 },
      { radiusCm: 30, points: 1 },
    ],
  },
  Form: RingsForm,
};

function RingsForm({
  measure,
  must,
  onChange,
}: {
  measure: Of<"RINGS">;
  must: Must;
  onChange: (measure: Of<"RINGS">) => void;
}) {
  return (
    <Listed
      label={say("ringsIndex.ringsFromTheMiddle")}
      value={measure.rings.map((r) => `${r.radiusCm}=${r.points}`)}
      must={must("scoring.rings")}
      onChange={(parts) => onChange({ ...measure, rings: parts.map(ring) })}
    />
  );
}

function ring(text: string): Of<"RINGS">["rings"][number] {
  const [radiusCm, points] = text.split("=").map((t) => Number.parseInt(t, 10));
  // What is no number is left for the server to name.
  return { radiusCm: Number.isNaN(radiusCm) ? 0 : (radiusCm ?? 0), points: Number.isNaN(points) ? -1 : (points ?? -1) };
}
