import { screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import type { RunDevices } from "../../api/types";
import { choose, sentTo, serve, show } from "../../test-page";
import { Devices } from "./devices";

const path = "/api/runs/r/devices";
const here: RunDevices = {
  code: "ABC234",
  untilMs: 1_800_000_000_000,
  spots: 2,
  stations: [
    { block: 1, task: "Close shot", spots: 1 },
    { block: 2, task: "Wall and back", spots: 2 },
  ],
  devices: [
    {
      device: "pad-7",
      kind: "PAD",
      spot: 1,
      block: null,
      battery: 0.1,
      silentSec: 40,
      connected: true,
      counted: 3,
      notCounted: 1,
    },
  ],
};

it("puts a device at a spot of one of the stations that are used at once, and says what is wrong with it", async () => {
  const heard = serve({ [`GET ${path}`]: here, [`PUT ${path}`]: here });
  show(<Devices runId="r" />);
  expect(await screen.findByText("silent for 40 s")).toBeInTheDocument();
  expect(screen.getByText("battery low: 10 %")).toBeInTheDocument();
  await choose("Spot of Pad pad-7", "station 2 (Wall and back), spot 2");
  await vi.waitFor(() => expect(sentTo(heard, `PUT ${path}`)).toEqual([{ device: "pad-7", spot: 2, block: 2 }]));
});
