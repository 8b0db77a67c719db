import { screen } from "@testing-library/react";
import { expect, it } from "vitest";
import type { Ladder } from "../../api/types";
import { serve, show } from "../../test-page";
import { CuesCalled } from "./cues-called";

const ladder = {
  id: "l",
  name: "Rings",
  faults: [
    { id: "bent", seen: "The elbow bends", mend: "Brush your trousers." },
    { id: "line", seen: "Over the line", mend: "Step short." },
    { id: "low", seen: "Bends", mend: "Stand tall." },
    { id: "late", seen: "Lets go late", mend: "Let go at the knee." },
  ],
} as unknown as Ladder;
const part = (hits: number, tries: number) => ({ hits, tries });

it("tells how it went before and after each cue, and where that is too little to say", async () => {
  serve({
    "GET /api/classes/c1/ladders/l/cues": [
      { faultId: "bent", pupils: 5, before: part(15, 50), after: part(30, 60), enough: true, chance: 0.03 },
      { faultId: "line", pupils: 4, before: part(10, 20), after: part(11, 20), enough: true, chance: 0.75 },
      { faultId: "low", pupils: 9, before: part(1, 90), after: part(80, 90), enough: true, chance: 0.0001 },
      { faultId: "late", pupils: 1, before: part(1, 5), after: part(5, 5), enough: false, chance: null },
    ],
  });
  show(<CuesCalled classId="c1" ladder={ladder} />);
  expect(await screen.findByText(/Brush your trousers/)).toHaveTextContent(
    "30 % of 50 tries went in before it, 50 % of 60 after it, with 5 pupils. Chance alone makes so much difference in 3 % of such cases.",
  );
  expect(screen.getByText(/Step short/)).toHaveTextContent("That can well be chance: it makes so much in 75 %");
  expect(screen.getByText(/Stand tall/)).toHaveTextContent("in less than 1 of 100 such cases");
  expect(screen.getByText(/Let go at the knee/)).toHaveTextContent(
    "too few counted tries to say anything yet (1 pupil)",
  );
  expect(screen.getByText(/Practice raises a share as well/)).toBeInTheDocument();
});
