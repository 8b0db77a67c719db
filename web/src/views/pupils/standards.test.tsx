import { screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import type { Ladder } from "../../api/types";
import { press, pressSoon, refusal, sentTo, serve, show, type } from "../../test-page";
import { Standards } from "./standards";

const ladder = {
  id: "l",
  name: "Rings",
  rungs: [
    { id: "a", name: "Near" },
    { id: "b", name: "Far" },
  ],
} as unknown as Ladder;
const PUT = "PUT /api/classes/c1/readiness";
const served = {
  "GET /api/classes/c1/readiness": { version: 4, readiness: { holdShare: 0.8, ofRungs: { "l/a": 0.6, "x/y": 0.5 } } },
  "GET /api/classes/c1/ladders/l/standards": [
    { rungId: "a", share: 0.6, gates: 0.74 },
    { rungId: "b", share: 0.8, gates: null },
  ],
};

it("says what holds a rung otherwise, takes it back, and leaves other ladders alone", async () => {
  const heard = serve({ ...served, [PUT]: { version: 5, readiness: {} } });
  show(<Standards classId="c1" ladder={ladder} />);
  press("What holds a rung");
  expect(await screen.findByText("its gate gives 74 %")).toBeInTheDocument();
  expect(screen.getByText("its gate gives none")).toBeInTheDocument();
  expect(screen.getByLabelText("Held at, Near, %")).toHaveValue("60");
  type("Held at, Near, %", "");
  type("Held at, Far, %", "55");
  press("Keep it");
  await vi.waitFor(() =>
    expect(sentTo(heard, PUT)).toEqual([
      { version: 4, readiness: { holdShare: 0.8, ofRungs: { "x/y": 0.5, "l/b": 0.55 } } },
    ]),
  );
});

it("says at its field what a share must be", async () => {
  serve({ ...served, [PUT]: () => refusal(400, { "readiness.ofRungs[l/b]": "must be from 0.01 to 0.99" }) });
  show(<Standards classId="c1" ladder={ladder} />);
  press("What holds a rung");
  await screen.findByText("its gate gives none");
  type("Held at, Far, %", "300");
  await pressSoon("Keep it");
  expect(await screen.findByText(/must be from 0.01 to 0.99/)).toBeInTheDocument();
});
