import { fireEvent, render, screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import type { CircuitPlan, Place } from "../../api/types";
import { StationsRoom } from "../../room/stations-room";
import { WallFields } from "./wall-fields";

const loft = {
  size: { lengthM: 9, widthM: 6, ceilingM: null, wall: { runM: 9, depthM: 6, heightM: null, holds: null } },
  features: [],
  otherWalls: [{ edge: "RIGHT", fromM: 1, stretch: { runM: 4, depthM: 3, heightM: 2, holds: "a map" } }],
} as unknown as Place;

it("adds a wall on a side that has none, changes one and takes it away, and says what is wrong at its field", () => {
  const onPlace = vi.fn();
  const must = (f: string) => (f === "place.otherWalls[0].stretch.runM" ? "must be from 0 to 5" : undefined);
  render(<WallFields place={loft} must={must} onPlace={onPlace} />);
  expect(screen.getByText(/must be from 0 to 5/)).toBeTruthy();

  fireEvent.click(screen.getByRole("button", { name: "another free wall" }));
  expect(onPlace.mock.lastCall?.[0].otherWalls).toEqual([
    loft.otherWalls[0],
    { edge: "BOTTOM", fromM: 0, stretch: { runM: 9, depthM: 6, heightM: null, holds: null } },
  ]);
  fireEvent.change(screen.getByLabelText(/^Height of wall 1/), { target: { value: "2.2" } });
  expect(onPlace.mock.lastCall?.[0].size.wall).toEqual({ runM: 9, depthM: 6, heightM: 2.2, holds: null });
  fireEvent.change(screen.getByLabelText("What is on this wall, Wall 2"), { target: { value: "" } });
  expect(onPlace.mock.lastCall?.[0].otherWalls[0].stretch).toEqual({ runM: 4, depthM: 3, heightM: 2, holds: null });
  fireEvent.click(screen.getByRole("button", { name: "Take away wall 2" }));
  expect(onPlace.mock.lastCall?.[0].otherWalls).toEqual([]);
});

it("has walls without a first one: the only free wall may be at an end", () => {
  const onPlace = vi.fn();
  const hall = { ...loft, size: { ...loft.size, wall: null } } as Place;
  render(<WallFields place={hall} must={() => undefined} onPlace={onPlace} />);
  expect(screen.getAllByLabelText(/^Height of wall/)).toHaveLength(1);
  fireEvent.change(screen.getByLabelText(/^Length of wall 1/), { target: { value: "3" } });
  expect(onPlace.mock.lastCall?.[0].otherWalls).toHaveLength(1);
  expect(onPlace.mock.lastCall?.[0].otherWalls[0].stretch.runM).toBe(3);
});

it("carries a station that needs a wall to the middle of another one", () => {
  const station = {
    blockId: "b",
    placed: { xM: 0, yM: 0, alongM: 3, acrossM: 2 },
    spots: [],
    way: "TOP",
    reason: null,
  };
  const onPlace = vi.fn();
  vi.stubGlobal(
    "ResizeObserver",
    class {
      observe() {}
      disconnect() {}
    },
  );
  Element.prototype.scrollIntoView = vi.fn();
  render(
    <StationsRoom
      place={loft}
      circuit={{ stations: [station] } as unknown as CircuitPlan}
      plans={[{ id: "b", family: "THROW", atWalls: [{ edge: "TOP", spots: 2 }] }] as never}
      names={["Serve"]}
      spaceName="Loft"
      onPlace={onPlace}
    />,
  );
  fireEvent.keyDown(screen.getByRole("combobox", { name: "Wall of station 1, Serve" }), { key: "ArrowDown" });
  fireEvent.click(screen.getByRole("option", { name: "right end" }));
  // The middle of the wall is 3 m down, and the station reaches 2 m out from it: its own middle is 1 m off the end.
  expect(onPlace).toHaveBeenLastCalledWith("b", 6.5, 2);
});

it("says where to stand, what is out of sight from there, and where no floor is left for it", () => {
  const drawn = (adult: CircuitPlan["adult"]) => {
    const { container, unmount } = render(
      <StationsRoom
        place={loft}
        circuit={{ stations: [], adult } as unknown as CircuitPlan}
        plans={[]}
        names={[]}
        spaceName="Loft"
      />,
    );
    const text = container.querySelector("figcaption")?.textContent;
    unmount();
    return text;
  };
  expect(drawn({ xM: 6.3, yM: 0.3, hidden: [] })).toBe(
    "You: 6.3 m from the left, 0.3 m from the top. From there all stations are in sight.",
  );
  expect(drawn({ xM: 1, yM: 2, hidden: [1, 3] })).toMatch(/From there stations 2 and 4 are out of sight\.$/);
  expect(drawn(null)).toBe("No floor is left for you to stand on: watch from a door.");
});
