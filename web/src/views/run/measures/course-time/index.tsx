import { A_DAY_SEC, type MeasureView } from "../measure-view";
import { quickest, watch } from "../shared/watch";
import { CourseForm } from "./form";
import { CoursePad } from "./pad";

export const courseTime: MeasureView<"COURSE_TIME"> = {
  Pad: CoursePad,
  key: (taps, _, { workedMs }) => ({
    type: watch(taps).sinceMs === null ? "START" : "STOP",
    offsetMs: workedMs(),
  }),
  miss: null,
  score: quickest,
  ask: () => "How long did the course take, in seconds or as 0:18?",
  most: () => A_DAY_SEC,
  timed: true,
  blank: { type: "COURSE_TIME", course: null },
  Form: CourseForm,
};
