import { CourseDrawing } from "../../../../room/course";
import type { Of } from "../measure-view";
import type { PadProps } from "../shared/pad";
import { WatchPad } from "../shared/watch-pad";

/** The watch, and the course beneath it where one is drawn. */
export function CoursePad(props: PadProps<Of<"COURSE_TIME">>) {
  const { course } = props.measure;
  if (!course) return <WatchPad {...props} />;
  return (
    <div className="flex min-w-0 flex-1 flex-col">
      <div className="flex flex-1">
        <WatchPad {...props} />
      </div>
      <CourseDrawing course={course} night high={110} />
    </div>
  );
}
