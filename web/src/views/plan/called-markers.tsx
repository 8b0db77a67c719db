import { Minus } from "lucide-react";
import type { Block } from "../../api/types";
import { CourseDrawing } from "../../room/course";
import { NumberField } from "../../ui/fields";
import { texts } from "../../words/texts";
import type { EditorProps } from "./block-editor";
import { Row } from "./block-row";

const t = texts("plan");

type Called = NonNullable<Block["called"]>;
type Marker = Called["markers"][number];

const MOST = 24;
const COLOURS = ["red", "blue", "yellow", "green", "orange", "white", "black", "purple"];

const USUAL_SEC = 4;

/** Usual figures to begin with; every marker can be moved. */
const FIGURES = {
  CROSS: [
    [1.5, 0],
    [3, 1.5],
    [1.5, 3],
    [0, 1.5],
  ],
  CORNERS: [
    [0, 0],
    [3, 0],
    [3, 3],
    [0, 3],
  ],
  LINE: [
    [0, 0.5],
    [1.5, 0.5],
    [3, 0.5],
    [4.5, 0.5],
  ],
} as const;

/** The markers that are called, where the lesson lays its own: as many of each colour as there are, each where it lies. */
export function CalledMarkers({ block, plan, rung, must, onChange }: EditorProps) {
  const calls = rung.calls;
  if (!calls || !plan?.callsMarkers) return null;
  const drawn = block.called;
  const set = (called: Called | null) => onChange({ ...block, called }, "called");
  const lay = (figure: keyof typeof FIGURES) =>
    set({
      everySec: drawn?.everySec ?? calls.everySec ?? USUAL_SEC,
      markers: FIGURES[figure].map(([xM, yM], i) => ({ word: COLOURS[i] ?? "", xM, yM })),
    });
  const wrong = must("called.markers") ?? must("called");
  return (
    <div className="space-y-2">
      <Row label={t("called.label")}>
        <span>{drawn ? t("called.asDrawn") : t("called.asRung", { words: calls.words.join(", ") })}</span>
        {(Object.keys(FIGURES) as (keyof typeof FIGURES)[]).map((figure) => (
          <button key={figure} type="button" className="btn btn-small" onClick={() => lay(figure)}>
            {t(`called.figure.${figure}`)}
          </button>
        ))}
        {drawn && (
          <button type="button" className="underline" onClick={() => set(null)}>
            {t("usual.rung")}
          </button>
        )}
      </Row>
      {drawn && (
        <>
          <CourseDrawing
            course={{ markers: drawn.markers, back: false }}
            words={drawn.markers.map((m) => m.word)}
            onChange={({ markers }) =>
              set({ ...drawn, markers: markers.map((at, i) => ({ word: drawn.markers[i]?.word ?? "", ...at })) })
            }
          />
          <p className="flex flex-wrap items-center gap-2">
            <span>{t("called.oneMore")}</span>
            {COLOURS.map((word) => (
              <button
                key={word}
                type="button"
                className="btn btn-small"
                disabled={drawn.markers.length >= MOST}
                onClick={() => set({ ...drawn, markers: [...drawn.markers, beside(drawn.markers, word)] })}
              >
                {word}
              </button>
            ))}
            <button
              type="button"
              className="btn btn-small"
              disabled={drawn.markers.length <= 2}
              onClick={() => set({ ...drawn, markers: drawn.markers.slice(0, -1) })}
            >
              <Minus size={15} aria-hidden /> {t("called.last")}
            </button>
            <span>{t("called.every")}</span>
            <NumberField
              label={t("called.every")}
              unit={t("called.sec")}
              step={0.5}
              value={drawn.everySec}
              must={must("called.everySec")}
              onChange={(everySec) => set({ ...drawn, everySec: everySec as number })}
            />
          </p>
          <p className="text-sm text-soft">{t("called.how")}</p>
        </>
      )}
      {wrong && (
        <p role="alert" className="font-semibold text-alert">
          {t("called.label")} {wrong}
        </p>
      )}
    </div>
  );
}

/** One more a step beyond the outermost. */
function beside(markers: Marker[], word: string): Marker {
  return { word, xM: Math.max(...markers.map((m) => m.xM)) + 1, yM: markers.at(-1)?.yM ?? 0 };
}
