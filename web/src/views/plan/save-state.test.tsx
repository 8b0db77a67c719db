import { screen } from "@testing-library/react";
import { expect, it } from "vitest";
import { Problem } from "../../api/client";
import { press, show } from "../../test-page";
import { SaveState } from "./save-state";

function state(problem: Problem | undefined, unsaved: boolean) {
  const done: string[] = [];
  show(
    <SaveState
      plan={{
        problem,
        unsaved,
        again: () => done.push("again"),
        takeTheirs: () => done.push("theirs"),
        keepMine: () => done.push("mine"),
      }}
    />,
  );
  return done;
}

const field = [{ field: "edits[0].place", rule: "ONE_OF", must: "must be clear of the way out" }];

it("says of what could not be that it stays as it was, since nothing waits to be saved", () => {
  state(new Problem(400, "Something does not fit", "One field.", field), false);
  expect(screen.getByRole("status")).toHaveTextContent("It stays as it was: it must be clear of the way out.");
  expect(screen.queryByText(/Not saved/)).toBeNull();
});

it("says how many fields keep it from being saved", () => {
  const two = [...field, { ...field[0], field: "lesson.minutes" } as (typeof field)[0]];
  state(new Problem(400, "Something does not fit", "Two fields.", two), true);
  expect(screen.getByRole("status")).toHaveTextContent(/2 fields need/);
});

it("can be saved again where the server did not answer", () => {
  const done = state(new Problem(0, "No connection", "The server does not answer."), true);
  expect(screen.getByRole("alert")).toHaveTextContent("No connection. The server does not answer.");
  press("Save again");
  expect(done).toEqual(["again"]);
});

it("lets one choose where somebody else changed it", () => {
  const done = state(new Problem(409, "Changed elsewhere", "Mrs Quay saved it."), true);
  press("Show the newer one");
  press("Save mine over it");
  expect(done).toEqual(["theirs", "mine"]);
});

it("says what is on its way and what is there", () => {
  state(undefined, true);
  state(undefined, false);
  expect(screen.getAllByTestId("save-state").map((s) => s.textContent)).toEqual(["Saving …", "Saved"]);
});
