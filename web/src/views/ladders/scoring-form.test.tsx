import { fireEvent, render, screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import type { Measure } from "../../api/types";
import { measures } from "../run/measures";
import { blankRung } from "./blank";
import { ScoringForm } from "./scoring-form";

function form(measure: Measure) {
  const onChange = vi.fn();
  const rung = { ...blankRung(undefined), measure };
  render(
    <ScoringForm rung={rung} must={(f) => (f === "scoring.rings" ? "must rise" : undefined)} onChange={onChange} />,
  );
  const type = (label: RegExp, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
  return { onChange, type };
}

it("reads rings as they are written, and marks them when they are wrong", () => {
  const { onChange, type } = form(measures.RINGS.blank);
  type(/^Rings/, "11=5, 20=3");
  expect(onChange.mock.lastCall?.[0].measure.rings).toEqual([
    { radiusCm: 11, points: 5 },
    { radiusCm: 20, points: 3 },
  ]);
  type(/^Rings/, "eleven");
  // No number: the server names the field.
  expect(onChange.mock.lastCall?.[0].measure.rings).toEqual([{ radiusCm: 0, points: -1 }]);
  expect(screen.getByLabelText(/^Rings/)).toHaveAttribute("aria-invalid", "true");
});

it("asks only what the measure uses, and takes words to be called", () => {
  const { onChange, type } = form(measures.COUNT_IN_TIME.blank);
  expect(screen.queryByLabelText(/^Rings/)).toBeNull();
  type(/^Called at random/, "red, blue , ");
  expect(onChange.mock.lastCall?.[0].calls).toEqual({ words: ["red", "blue"], everySec: 3 });
});
