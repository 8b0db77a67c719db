import saidRun from "../../../../words/run.json";
import { textsOf } from "../../../../words/texts";
import { A_DAY_SEC, type MeasureView } from "../measure-view";
import { quickest, watch } from "../shared/watch";
import { CourseForm } from "./form";
import { CoursePad } from "./pad";

const t = textsOf("run", saidRun);

export const courseTime: MeasureView<"COURSE_TIME"> = {
  Pad: CoursePad,
  key: (taps, _, { workedMs }) => ({
    type: watch(taps).sinceMs === null ? "START" : "STOP",
    offsetMs: workedMs(),
  }),
  miss: null,
  score: quickest,
  ask: () => t("index.howLongDidTheCourse"),
  most: () => A_DAY_SEC,
  timed: true,
  blank: { type: "COURSE_TIME", course: null },
  Form: CourseForm,
};
