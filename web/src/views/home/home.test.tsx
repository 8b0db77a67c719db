import { fireEvent, render, screen } from "@testing-library/react";
import jsQR from "jsqr";
import { encode } from "uqr";
import { expect, it } from "vitest";
import codes from "../../../../core/src/test/resources/home/codes.json";
import type { HomeCardLine } from "../../api/types";
import { HomeSlip, homeFits, homeSlipOf, NOTHING, type Ticked } from "./home-slip";
import { codeIn } from "./result-files";
import { slipOf } from "./slips";

it("reads with the camera what a card shows", () => {
  for (const { code } of codes) {
    const { data, size } = encode(code, { border: 2 });
    const dot = 4;
    const side = size * dot;
    const picture = new Uint8ClampedArray(side * side * 4);
    for (let y = 0; y < side; y++)
      for (let x = 0; x < side; x++) {
        const dark = data[Math.floor(y / dot)]?.[Math.floor(x / dot)];
        picture.set(dark ? [0, 0, 0, 255] : [255, 255, 255, 255], 4 * (y * side + x));
      }
    expect(jsQR(picture, side, side)?.data).toBe(code);
  }
});

it("takes the code out of a result file and nothing out of any other", () => {
  expect(codeIn(`{"format":"unruly-marble-result","code":"2222-3333-444"}`)).toBe("2222-3333-444");
  for (const no of ["", "[]", "null", `{"format":"other","code":"2222"}`, `{"format":"unruly-marble-result"}`])
    expect(codeIn(no)).toBeUndefined();
});

it("sends only slips on which something was filled in", () => {
  const box = { task: "Cup to cup", round: 1, side: "NONE" as const, tries: null, most: 9, said: null };
  const card = { id: "a", each: [{ on: "2026-11-30", number: "2222", boxes: [box, box] }] } as unknown as HomeCardLine;
  expect(slipOf(card, 1, ["", " "])).toEqual([]);
  expect(slipOf(card, 1, ["", "7"])).toEqual([{ cardId: "a", practice: 1, numbers: [null, 7], felt: null }]);
});

it("sends what a family ticked of its home as its page would, and leaves out what it did not say", () => {
  const card = { id: "a", pupil: "Ayo B." } as unknown as HomeCardLine;
  const asked = { practice: 8, kinds: ["balloon", "hoop"], most: [3, 16, 16, 1, 1] };
  let ticked: Ticked = NOTHING;
  expect(homeSlipOf(card, asked, ticked)).toEqual([]);
  const line = () => <HomeSlip name="Ayo B." asked={asked} ticked={ticked} onTick={(t) => (ticked = t)} />;
  const { rerender } = render(line());
  fireEvent.click(screen.getByLabelText("hoop"));
  rerender(line());
  fireEvent.change(screen.getByLabelText("Ayo B.: metres of free floor, long"), { target: { value: "2,7" } });
  rerender(line());
  expect(homeFits(ticked)).toBe(false);
  fireEvent.change(screen.getByLabelText("Ayo B.: metres of free floor, wide"), { target: { value: "9" } });
  rerender(line());
  expect(homeFits(ticked)).toBe(false);
  fireEvent.change(screen.getByLabelText("Ayo B.: metres of free floor, wide"), { target: { value: "2" } });
  expect(homeFits(ticked)).toBe(true);
  expect(homeSlipOf(card, asked, ticked)).toEqual([
    { cardId: "a", practice: 8, numbers: [2, 5, 4, null, null], felt: null },
  ]);
});
