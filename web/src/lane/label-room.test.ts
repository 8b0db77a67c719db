import { expect, it } from "vitest";
import { labelRoom } from "./label-room";

const x = (sec: number) => sec;
const block = (name: string, startSec: number, effort: number) => ({ name, startSec, effort });

it("shortens a name only where the next label at its height begins", () => {
  const first = block("Wake the joints", 0, 2);
  expect(labelRoom(first, [block("b", 80, 2)], x, 500)).toBe("Wake the…");
  expect(labelRoom(first, [block("b", 80, 5), block("c", 300, 2)], x, 500)).toBe("Wake the joints");
  expect(labelRoom(first, [block("b", 20, 2)], x, 500)).toBe("");
});
