import { expect, it } from "vitest";
import codes from "../../../core/src/test/resources/home/codes.json";
import type { Felt } from "./card";
import { returnCode } from "./code";

it("makes the codes that the core makes and reads", () => {
  for (const c of codes)
    expect(returnCode(c.key, c.card, c.practice, c.numbers, c.most, c.felt as Felt | null)).toBe(c.code);
  expect(codes.length).toBeGreaterThan(5);
});
