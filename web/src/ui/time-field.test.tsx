import { fireEvent, screen } from "@testing-library/react";
import { useState } from "react";
import { expect, it } from "vitest";
import { show } from "../test-page";
import { TimeField, timeOf } from "./time-field";

function Field({ heard }: { heard: (number | null)[] }) {
  const [value, setValue] = useState<number | null>(600);
  return (
    <TimeField
      label="Beginning"
      value={value}
      onChange={(min) => {
        heard.push(min);
        setValue(min);
      }}
    />
  );
}

it.each([
  ["9:05", 545],
  ["905", 545],
  ["09.05", 545],
  ["23:59", 1439],
  [" ", null],
  ["24:00", undefined],
  ["9:5", undefined],
  ["ten", undefined],
])("reads %s", (typed, min) => expect(timeOf(typed)).toBe(min));

it("takes over a time once it is one, says what it must be, and leaves the last one standing", () => {
  const heard: (number | null)[] = [];
  show(<Field heard={heard} />);
  const field = screen.getByRole("textbox", { name: "Beginning" });
  expect(field).toHaveValue("10:00");
  fireEvent.change(field, { target: { value: "9:4" } });
  expect(field).toHaveAccessibleDescription("must be a time such as 9:05");
  expect(heard).toEqual([]);
  fireEvent.change(field, { target: { value: "9:40" } });
  expect(heard).toEqual([580]);
  fireEvent.change(field, { target: { value: "9:4x" } });
  fireEvent.blur(field);
  expect(field).toHaveValue("9:40");
  expect(field).toHaveAttribute("aria-invalid", "false");
});
