import { expect, it } from "vitest";
import { labelRoom, labelX } from "./label-room";

const x = (sec: number) => sec;
const block = (name: string, startSec: number, effort: number) => ({ name, startSec, effort });

it("shortens a name only where the next label at its height begins", () => {
  const first = block("Wake the joints", 0, 2);
  expect(labelRoom(first, [block("b", 80, 2)], x, 500)).toBe("Wake…");
  expect(labelRoom(block("Stretching", 0, 2), [block("b", 60, 2)], x, 500)).toBe("Stretc…");
  expect(labelRoom(first, [block("b", 80, 5), block("c", 300, 2)], x, 500)).toBe("Wake the joints");
  expect(labelRoom(first, [block("b", 20, 2)], x, 500)).toBe("");
});

it("begins the last name before its block where it would run over the bell", () => {
  const last = block("Cool-down stretches", 440, 1);
  expect(labelRoom(last, [], x, 540)).toBe("Cool-down stretches");
  const at = labelX(440, "Cool-down stretches", 540);
  expect(at).toBeLessThan(440);
  expect(at + 6.9 * "Cool-down stretches".length).toBeLessThan(540);
  expect(labelX(200, "Cool-down stretches", 540)).toBe(200);
});
