import { screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import type { Edit, Lesson } from "../../api/types";
import { press, sentTo, serve, show } from "../../test-page";
import type { EditorProps } from "./block-editor";
import { InsteadOf } from "./instead-of";
import { LessonOnPage } from "./on-page";
import { ladder, quiet } from "./one-task";

const lesson = { blocks: [] } as unknown as Lesson;
const pairs = { ...ladder, roles: [{ name: "catcher" }, { name: "feeder" }] } as unknown as EditorProps["ladder"];
const to = (more: object) => ({
  ladderId: quiet.id,
  rungId: "q1",
  alone: true,
  atOnce: 24,
  turns: 1,
  totalSec: 1170,
  movingShare: 0.62,
  ...more,
});

function shown(answer: unknown) {
  const heard = serve({ "POST /api/lessons/l1/instead": answer });
  const edits: Edit[] = [];
  const props = {
    block: { id: "b1" },
    ladder: pairs,
    readOnly: false,
    catalogue: [pairs, quiet],
    onEdit: (edit: Edit) => edits.push(edit),
  } as unknown as EditorProps;
  show(
    <LessonOnPage value={{ id: "l1", lesson, totalSec: 1200, movingShare: 0.41 }}>
      <InsteadOf {...props} />
    </LessonOnPage>,
  );
  press("Another task instead");
  return { heard, edits };
}

it("says what each task would change, and takes one", async () => {
  const { heard, edits } = shown([to({})]);
  expect(await screen.findByText("24 at once · each moves 62 % (now 41 %) · 0:30 shorter")).toBeInTheDocument();
  press("Take Cup on the table");
  expect(edits).toEqual([{ type: "CHOOSE_TASK", blockId: "b1", ladderId: "cup", rungId: "q1" }]);
  expect(screen.queryByRole("dialog")).toBeNull();
  expect(sentTo(heard, "POST /api/lessons/l1/instead")).toEqual([{ lesson, blockId: "b1", alone: false }]);
});

it("asks for what each does alone where somebody feeds, and says that nothing else fits", async () => {
  const { heard } = shown((asked: { alone: boolean }) => (asked.alone ? [] : [to({ turns: 3, totalSec: 1200 })]));
  expect(await screen.findByText(/24 at once, 3 turns/)).toHaveTextContent("ends when it does now");
  screen.getByRole("checkbox", { name: /nobody feeds/ }).click();
  expect(await screen.findByText("Nothing else fits this room, class and kit.")).toBeInTheDocument();
  await vi.waitFor(() =>
    expect(sentTo(heard, "POST /api/lessons/l1/instead")).toMatchObject([{ alone: false }, { alone: true }]),
  );
});
