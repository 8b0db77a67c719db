import { screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import type { Company, SchoolClass } from "../../api/types";
import { choose, press, pressSoon, refusal, sentTo, serve, show } from "../../test-page";
import { ClassCompany } from "./class-company";

const known = {
  id: "c1",
  name: "Teal",
  pupils: ["Ada", "Ben", "Cleo"].map((name) => ({ id: name.toLowerCase(), name })),
} as unknown as SchoolClass;
const path = "/api/classes/c1/company";

it("keeps two apart or together, and takes it back", async () => {
  const heard = serve({
    [`GET ${path}`]: { apart: [["ada", "ben"]], together: [] },
    [`PUT ${path}`]: (now: Company) => now,
  });
  show(<ClassCompany known={known} />);
  press("Apart and together");
  expect(await screen.findByText("Ada and Ben")).toBeInTheDocument();
  await choose("Belong together: one", "Ben");
  await choose("Belong together: the other", "Cleo");
  press("Keep them together");
  expect(await screen.findByText("Ben and Cleo")).toBeInTheDocument();
  press("Take out Ada and Ben");
  await vi.waitFor(() => expect(screen.queryByText("Ada and Ben")).toBeNull());
  expect(sentTo(heard, `PUT ${path}`)).toEqual([
    { apart: [["ada", "ben"]], together: [["ben", "cleo"]] },
    { apart: [], together: [["ben", "cleo"]] },
  ]);
});

it("says what is wrong with a pair that is refused", async () => {
  serve({
    [`GET ${path}`]: { apart: [["ada", "ben"]], together: [] },
    [`PUT ${path}`]: () => refusal(400, { together: "must be two who are not to be apart" }),
  });
  show(<ClassCompany known={known} />);
  press("Apart and together");
  await pressSoon("Keep them together");
  expect(await screen.findByRole("alert")).toHaveTextContent("This pair must be two who are not to be apart.");
  expect(screen.queryAllByText("Ada and Ben")).toHaveLength(1);
});
