import { fireEvent, screen, within } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { ClassDoc, PupilDetails, SchoolClass } from "../../api/types";
import { choose, press, pressSoon, refusal, sentTo, serve, show, type, WithClasses } from "../../test-page";
import { Classes } from "./classes";
import { nobody } from "./roster";

const pupil = (id: string, firstName: string, more: Partial<PupilDetails> = {}) => ({
  id,
  name: firstName,
  details: { ...nobody, firstName, ...more },
});

const known = {
  id: "c1",
  version: 4,
  name: "5b",
  pupils: [pupil("p1", "Amaru", { shoeCm: 22 }), pupil("p2", "Beatrix", { adaptations: ["SEATED"] })],
  helperIds: ["h1"],
  left: [{ id: "p9", name: "Ivo K.", leftOn: "2026-09-01" }],
  mayChange: true,
} as unknown as SchoolClass;

const around = {
  "GET /api/session": { who: { teaches: true } },
  "GET /api/people/helpers": [
    { id: "h1", displayName: "Odile" },
    { id: "h2", displayName: "Pem" },
  ],
  "GET /api/kit": { kinds: [], rules: [], items: [], standIns: [] },
};

beforeEach(() => sessionStorage.clear());
afterEach(() => vi.unstubAllGlobals());

const put = "PUT /api/classes/c1";
const names = (doc: unknown) => (doc as ClassDoc).pupils.map((p) => p.details.firstName);

async function openKnown(answers: Record<string, unknown> = {}) {
  let now = known;
  const heard = serve({
    ...around,
    "GET /api/classes": () => [now],
    [put]: (doc: ClassDoc) => {
      now = { ...now, ...doc, version: now.version + 1 } as unknown as SchoolClass;
      return now;
    },
    ...answers,
  });
  show(
    <WithClasses>
      <Classes />
    </WithClasses>,
  );
  await pressSoon(/^5b/);
  return heard;
}

it("saves each change of a class as it is made, and takes it back", async () => {
  const heard = await openKnown();
  type("Shoe length of pupil 1", "23");
  await vi.waitFor(() => expect(sentTo(heard, put)).toHaveLength(1));
  expect(sentTo(heard, put)[0]).toMatchObject({ version: 4, pupils: [{ details: { shoeCm: 23 } }, {}] });
  press("Undo");
  await vi.waitFor(() => expect(sentTo(heard, put)).toHaveLength(2));
  expect(sentTo(heard, put)[1]).toMatchObject({ version: 5, pupils: [{ details: { shoeCm: 22 } }, {}] });
});

it("tells a change by a colleague and overwrites nothing unasked", async () => {
  const theirs = { ...known, version: 9, name: "5b new" };
  const heard = await openKnown({
    [put]: (doc: ClassDoc) =>
      doc.version === 9
        ? { ...theirs, ...doc, version: 10 }
        : refusal(409, {}, { title: "Changed elsewhere", currentVersion: 9 }),
    "GET /api/classes/c1": theirs,
  });
  type("First name of pupil 2", "Bea");
  await screen.findByText("Changed elsewhere.");
  expect(screen.getByLabelText("First name of pupil 2")).toHaveValue("Bea");
  press("Show the newer one");
  await vi.waitFor(() => expect(screen.getByLabelText("Class")).toHaveValue("5b new"));
  expect(screen.getByLabelText("First name of pupil 2")).toHaveValue("Beatrix");
  press("Undo");
  await vi.waitFor(() => expect(sentTo(heard, put).at(-1)).toMatchObject({ version: 9, name: "5b" }));
  expect(screen.getByLabelText("First name of pupil 2")).toHaveValue("Bea");
});

it("asks before a pupil with a record goes, and says what else there is", async () => {
  const heard = await openKnown({ "GET /api/pupils/p2/kept": { name: "Beatrix", kept: { rounds: 41, runs: 1 } } });
  press("Remove Beatrix");
  const sheet = within(screen.getByRole("dialog"));
  expect(await sheet.findByText("41 rounds")).toBeInTheDocument();
  expect(sheet.getByRole("link", { name: /with the record kept/ })).toHaveAttribute("href", "/pupils/p2#place");
  fireEvent.click(sheet.getByRole("button", { name: "Keep" }));
  expect(sentTo(heard, put)).toEqual([]);
  press("Remove Beatrix");
  press("Remove");
  await vi.waitFor(() => expect(sentTo(heard, put).map(names)).toEqual([["Amaru"]]));
});

it("adds a line by Enter and lets it go again unasked", async () => {
  const heard = await openKnown();
  fireEvent.keyDown(screen.getByLabelText("Initial of pupil 2"), { key: "Enter" });
  const third = await screen.findByLabelText("First name of pupil 3");
  await vi.waitFor(() => expect(third).toHaveFocus());
  press("Remove 3");
  expect(screen.queryByRole("dialog")).toBeNull();
  await vi.waitFor(() => expect(sentTo(heard, put).map(names).at(-1)).toEqual(["Amaru", "Beatrix"]));
});

it("says at its field, and in short beside it, what a refused pupil must be", async () => {
  await openKnown({ [put]: () => refusal(400, { "pupils[0].details.birthYear": "must be 1930 to 2026" }) });
  type("Birth year of pupil 1", "3");
  expect(await screen.findByText("must be 1930 to 2026")).toBeInTheDocument();
  expect(screen.getByLabelText("Birth year of pupil 1")).toHaveAttribute("aria-invalid", "true");
  expect(screen.getByLabelText("Birth year of pupil 1")).toHaveValue("3");
  expect(screen.getByText(/one field needs/)).toBeInTheDocument();
});

it("gives helpers the class and takes it from them", async () => {
  const heard = await openKnown();
  (await screen.findByLabelText("Pem")).click();
  await vi.waitFor(() => expect(sentTo(heard, put).at(-1)).toMatchObject({ helperIds: ["h1", "h2"] }));
  screen.getByLabelText("Odile").click();
  await vi.waitFor(() => expect(sentTo(heard, put).at(-1)).toMatchObject({ helperIds: ["h2"] }));
  expect(screen.getByRole("link", { name: /Ivo K\./ })).toHaveAttribute("href", "/pupils/p9");
});

it("keeps two homes of a pupil apart", async () => {
  const heard = await openKnown();
  expect(screen.getByRole("button", { name: "Needs and home of pupil 2" })).toHaveTextContent("needs noted");
  press("Needs and home of pupil 2");
  screen.getByLabelText("uses one hand").click();
  await vi.waitFor(() =>
    expect(sentTo(heard, put).at(-1)).toMatchObject({
      pupils: [{}, { details: { adaptations: ["SEATED", "ONE_HAND"] } }],
    }),
  );
  press(/another home/i);
  await vi.waitFor(() =>
    expect(sentTo(heard, put).at(-1)).toMatchObject({
      pupils: [{ details: { otherHome: null } }, { details: { otherHome: { kit: {}, space: null } } }],
    }),
  );
});

describe("a new class", () => {
  const post = "POST /api/classes";
  const list = "POST /api/classes/list";
  const read = {
    columns: [
      { title: "Pupil", meaning: "FIRST_NAME", samples: ["Rowan", "Imke"] },
      { title: null, meaning: "BORN", samples: ["3.4.2016", ""] },
    ],
    pupils: [
      { ...nobody, firstName: "Rowan", initial: "B", birthYear: 2016 },
      { ...nobody, firstName: "Imke", birthYear: null },
    ],
    unread: [4],
  };

  async function begin(answers: Record<string, unknown>) {
    const heard = serve({ ...around, "GET /api/classes": [], ...answers });
    const shown = show(
      <WithClasses>
        <Classes />
      </WithClasses>,
    );
    await pressSoon("New class");
    return { heard, ...shown };
  }

  it("is taken from a pasted list, whose columns can be said otherwise", async () => {
    const { heard } = await begin({ [list]: read, [post]: known });
    type(/^Class list/, "Pupil;born\nRowan B;3.4.2016\nImke;");
    expect(await screen.findByText("Rowan B., 2016")).toBeInTheDocument();
    expect(screen.getByText(/^2 names found/)).toHaveTextContent("No name found in line 4.");
    await choose("What column 2 is", "not kept");
    await vi.waitFor(() => expect(sentTo(heard, list).at(-1)).toMatchObject({ meanings: ["FIRST_NAME", "NOTHING"] }));
    press("Take these 2");
    type("Class", "6a");
    press("Save the class");
    await vi.waitFor(() => expect(sentTo(heard, post).map(names)).toEqual([["Rowan", "Imke"]]));
    await vi.waitFor(() => expect(sessionStorage.getItem("marble.newClass")).toBeNull());
  });

  it("does not offer what was read before once the list cannot be read", async () => {
    await begin({
      [list]: ({ text }: { text: string }) =>
        text === "Rowan" ? read : refusal(400, { text: "must be at most 100000 characters" }),
    });
    type(/^Class list/, "Rowan");
    await screen.findByRole("button", { name: "Take these 2" });
    type(/^Class list/, "Rowan and far too much");
    expect(await screen.findByText(/must be at most 100000 characters/)).toBeInTheDocument();
    expect(screen.queryByRole("button", { name: "Take these 2" })).toBeNull();
    type(/^Class list/, "");
    await vi.waitFor(() => expect(screen.queryByText(/100000/)).toBeNull());
  });

  it("is made once, however often it is pressed", async () => {
    let answer: (made: unknown) => void = () => undefined;
    const { heard } = await begin({ [post]: () => new Promise((told) => (answer = told)) });
    type("Class", "6a");
    press("Save the class");
    press("Save the class");
    await vi.waitFor(() => expect(sentTo(heard, post)).toHaveLength(1));
    answer(refusal(400, { name: "must be another name" }));
    expect(await screen.findByText(/must be another name/)).toBeInTheDocument();
    press("Save the class");
    await vi.waitFor(() => expect(sentTo(heard, post)).toHaveLength(2));
  });

  it("stays begun while the window is open", async () => {
    const { unmount } = await begin({});
    type("Class", "7c");
    press("One more line");
    type("First name of pupil 1", "Nils");
    unmount();
    await begin({});
    expect(screen.getByLabelText("Class")).toHaveValue("7c");
    expect(screen.getByLabelText("First name of pupil 1")).toHaveValue("Nils");
  });
});
