import { act, fireEvent, screen } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import type { Measure, Tap } from "../../../../api/types";
import { press, serve, show } from "../../../../test-page";
import type { PadProps } from "../shared/pad";
import { MatchPad } from "./pad";

afterEach(() => vi.unstubAllGlobals());

const rules = { type: "MATCH", targetScore: 7, timeCapSec: null } as unknown as Extract<Measure, { type: "MATCH" }>;

/** A core that says whose ball it is: the sides in turn, and what lies is worth two to side A. */
const soFar = (taps: Tap[]) => ({
  lying: taps.filter((t) => t.type === "BALL").map(() => ({ side: "A", xCm: 10, yCm: 0, dead: false })),
  sheet: {
    over: "NOT_YET",
    winner: null,
    totals: { A: 0, B: 0 },
    ends: [{ points: taps.length > 1 ? { A: 2, B: 0 } : { A: 0, B: 0 } }],
    next: { side: taps.length % 2 ? "B" : "A", player: 1, ballNumber: 1, why: "JACK_FIRST" },
  },
});

function pad() {
  const waiting: (() => void)[] = [];
  serve({
    "POST /api/reckon/match-so-far": ({ taps }: { taps: Tap[] }) =>
      taps.length === 0
        ? soFar(taps)
        : new Promise((told) => {
            waiting.push(() => told(soFar(taps)));
          }),
  });
  let taps: Tap[] = [];
  const page = () => (
    <MatchPad
      {...({
        who: "",
        measure: rules,
        stairs: null,
        spot: 0,
        open: true,
        running: true,
        workedMs: () => 0,
        crew: [],
        joint: true,
        sides: { A: "Blue", B: "Orange" },
        players: { A: ["Amaru T."], B: ["Beatrix O."] },
      } as unknown as PadProps<typeof rules>)}
      taps={taps}
      tap={(one) => {
        taps = [...taps, one];
        again(page());
      }}
    />
  );
  const { again } = show(page());
  return { taps: () => taps, waiting };
}

const lay = () => fireEvent.pointerDown(screen.getByTestId("match-ground"), { clientX: 420, clientY: 200 });

it("lays the next ball only once it is known whose it is", async () => {
  const { taps, waiting } = pad();
  await screen.findByText(/Blue plays first/);
  lay();
  lay();
  expect(taps()).toMatchObject([{ type: "BALL", team: "A" }]);
  await vi.waitFor(() => expect(waiting).toHaveLength(1));
  await act(async () => waiting[0]?.());
  await screen.findByText(/Beatrix O\. plays/);
  lay();
  expect(taps()).toMatchObject([
    { type: "BALL", team: "A" },
    { type: "BALL", team: "B" },
  ]);
});

it("takes an end as it lies only where what lies is known", async () => {
  const { taps, waiting } = pad();
  await screen.findByText(/Blue plays first/);
  lay();
  await vi.waitFor(() => expect(waiting).toHaveLength(1));
  await act(async () => waiting[0]?.());
  await screen.findByText(/Beatrix O\. plays/);
  lay();
  await vi.waitFor(() => expect(waiting).toHaveLength(2));
  await act(async () => waiting[1]?.());
  const end = await screen.findByRole("button", { name: "As it lies: Blue 2" });
  lay();
  expect(end).toBeDisabled();
  await vi.waitFor(() => expect(waiting).toHaveLength(3));
  await act(async () => waiting[2]?.());
  await vi.waitFor(() => expect(screen.getByRole("button", { name: "As it lies: Blue 2" })).toBeEnabled());
  press("As it lies: Blue 2");
  expect(taps().at(-1)).toEqual({ type: "END_WON", team: "A", points: 2 });
});
