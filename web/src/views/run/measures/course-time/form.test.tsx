import { fireEvent, render, screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import type { Course } from "../../../../api/types";
import { CourseForm } from "./form";

vi.stubGlobal(
  "ResizeObserver",
  class {
    observe() {}
    disconnect() {}
  },
);

const two: Course = {
  markers: [
    { xM: 0, yM: 0 },
    { xM: 3, yM: 0 },
  ],
  back: true,
};

function shown(course: Course | null) {
  const onChange = vi.fn();
  render(
    <CourseForm
      measure={{ type: "COURSE_TIME", course }}
      must={(f) => (f === "scoring.course.markers" ? "must be 2 to 30" : undefined)}
      onChange={onChange}
    />,
  );
  return () => onChange.mock.lastCall?.[0].course as Course | null;
}

it("begins with a usual course, and ends as the task says", () => {
  const now = shown(null);
  expect(screen.queryByRole("group")).toBeNull();
  fireEvent.click(screen.getByRole("button", { name: "square" }));
  expect(now()?.markers.map((m) => [m.xM, m.yM])).toEqual([
    [0, 0],
    [3, 0],
    [3, 3],
    [0, 3],
    [0, 0],
  ]);
});

it("moves a marker by the arrow keys, never below nought, adds one and takes the last away", () => {
  const now = shown(two);
  expect(screen.getByRole("alert").textContent).toBe("must be 2 to 30");
  const second = screen.getByRole("button", { name: /^Marker 2, 3 m along, 0 m across/ });
  fireEvent.keyDown(second, { key: "ArrowUp" });
  expect(now()?.markers[1]).toEqual({ xM: 3, yM: 0 });
  fireEvent.keyDown(second, { key: "ArrowDown", shiftKey: true });
  expect(now()?.markers[1]).toEqual({ xM: 3, yM: 0.5 });
  fireEvent.click(screen.getByRole("button", { name: "marker" }));
  expect(now()?.markers).toEqual([...two.markers, { xM: 4, yM: 0 }]);
  expect(screen.getByRole("button", { name: "last marker" }).hasAttribute("disabled")).toBe(true);
  fireEvent.click(screen.getByLabelText("the same way back"));
  expect(now()?.back).toBe(false);
  fireEvent.click(screen.getByRole("button", { name: "as the task says" }));
  expect(now()).toBeNull();
});
