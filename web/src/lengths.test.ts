import { expect, test } from "vitest";
import { length, paces, read, shoes, small, written } from "./lengths";

test("what stands in a field is read back as the same length, in either unit", () => {
  for (let m = 0; m < 12; m += 0.137) {
    expect(read(written(m, "metric"), "metric")).toBeCloseTo(m, 3);
    expect(read(written(m, "feet"), "feet")).toBeCloseTo(m, 3);
  }
});

test("lengths are read as people write them, and nonsense is no length", () => {
  expect(read("2,43", "metric")).toBeCloseTo(2.43);
  expect(read("243 cm", "metric")).toBeCloseTo(2.43);
  expect(read("7 ft 11½ in", "metric")).toBeCloseTo(2.4257, 3);
  expect(read(`7' 11"`, "feet")).toBeCloseTo(2.413, 3);
  expect(read("94 in", "feet")).toBeCloseTo(2.3876, 3);
  expect(read("8", "feet")).toBeCloseTo(2.4384, 3);
  for (const nonsense of ["", "high", "2.4.3", "7 ft x", "--2", "1e3"]) expect(read(nonsense, "metric")).toBeNull();
});

test("lengths are told to the half inch, without twelve inches over", () => {
  expect(length(2.43, "metric")).toBe("2.43 m");
  expect(length(2.4257, "feet")).toBe("7 ft 11½ in");
  expect(length(0.3047, "feet")).toBe("1 ft");
  expect(length(0.0127, "feet")).toBe("½ in");
  expect(small(24, "metric")).toBe("24 cm");
  expect(small(24, "feet")).toBe("9½ in");
});

test("a floor is stepped to the half", () => {
  expect(paces(3, 0.75)).toBe("4 paces");
  expect(paces(0.75, 0.75)).toBe("1 pace");
  expect(paces(0.3, 0.75)).toBe("½ pace");
  expect(shoes(1.15, 0.23)).toBe("5 shoes");
  expect(shoes(0.35, 0.23)).toBe("1½ shoes");
});
