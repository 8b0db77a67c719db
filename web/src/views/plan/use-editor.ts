import { useEffect, useState } from "react";
import { useLocation } from "react-router";
import { v4 } from "uuid";
import type { Block, Edit, Ladder, LessonView, Space } from "../../api/types";
import { useChosenClass } from "../../chosen-class";
import { useRehearsal } from "./rehearse";
import { usePlan } from "./use-plan";

/** The lesson as it is being changed. */
export function useEditor({
  loaded,
  catalogue,
  onOffer,
  rooms,
}: {
  loaded: LessonView;
  catalogue: Ladder[];
  /** without what was retired, which is only read */
  onOffer: Ladder[];
  rooms: Space[];
}) {
  const plan = usePlan(loaded);
  const { saved, draft, problem, change, changeLesson } = plan;
  // Whoever put a block in from elsewhere comes to it.
  const [chosenId, setChosenId] = useState<string | undefined>(useLocation().state?.block);
  const [adding, setAdding] = useState(false);
  const [proposing, setProposing] = useState(useLocation().hash === "#propose");
  const readOnly = !loaded.mayChange;
  const { choose } = useChosenClass();
  const blocks = draft.lesson.blocks;
  const chosen = blocks.find((b) => b.id === chosenId);
  const shownPlan = saved.plan.blocks.find((b) => b.id === (chosen?.id ?? blocks[0]?.id));
  const shownCircuit = saved.plan.circuits.find((c) => c.stations.some((s) => s.blockId === shownPlan?.id));
  const shownLadder = catalogue.find((l) => l.id === (chosen ?? blocks[0])?.ladderId);
  const setBlocks = (next: Block[], step: string) => changeLesson({ ...draft.lesson, blocks: next }, step);
  const must = (field: string) => problem?.must(field);
  const atHome = draft.lesson.audience === "EACH_AT_HOME";
  const rehearsal = useRehearsal(loaded.id);
  const rehearsed = rehearsal.data?.of === draft.lesson ? rehearsal.data.told : undefined;
  const mayRehearse = !atHome && !readOnly && blocks.length > 0;
  const { undo, redo } = plan;
  const here = {
    classId: saved.classId,
    spaceId: saved.spaceId,
    audience: draft.lesson.audience,
    ...(draft.lesson.startMin === null ? {} : { startMin: draft.lesson.startMin }),
  };

  useEffect(() => {
    const byKey = (e: KeyboardEvent) => {
      const typing = e.target instanceof HTMLElement && e.target.closest("input, textarea, [role=dialog]");
      if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === "z") {
        e.preventDefault();
        if (e.shiftKey) redo?.();
        else undo?.();
      } else if ((e.key === "[" || e.key === "]") && !typing) {
        // To the block before or behind, wherever the focus was.
        const rows = [...document.querySelectorAll<HTMLElement>("button[data-block]")];
        const at = rows.indexOf(document.activeElement as HTMLElement);
        rows[at < 0 ? 0 : Math.max(0, Math.min(rows.length - 1, at + (e.key === "]" ? 1 : -1)))]?.focus();
      } else if (e.key === "n" && !typing && !readOnly && !e.ctrlKey && !e.metaKey) {
        e.preventDefault();
        setAdding(true);
      }
    };
    window.addEventListener("keydown", byKey);
    return () => window.removeEventListener("keydown", byKey);
  }, [undo, redo, readOnly]);

  const add = (how: (id: string, at: number | null) => Edit) => {
    const id = v4();
    const after = blocks.findIndex((b) => b.id === chosenId);
    plan.edit([how(id, after < 0 ? null : after + 1)], `add ${id}`);
    setChosenId(id);
    setAdding(false);
  };
  const addTime = (kind: "WATER" | "TALK" | "FREE" | "ROUTINE") =>
    add((id, at) => ({ type: "ADD_TIME", id, at, kind, seconds: null }));

  return {
    loaded,
    catalogue,
    onOffer,
    rooms,
    plan,
    saved,
    draft,
    problem,
    change,
    changeLesson,
    chosenId,
    setChosenId,
    adding,
    setAdding,
    proposing,
    setProposing,
    readOnly,
    choose,
    blocks,
    chosen,
    shownPlan,
    shownCircuit,
    shownLadder,
    setBlocks,
    must,
    atHome,
    rehearsal,
    rehearsed,
    mayRehearse,
    undo,
    redo,
    here,
    add,
    addTime,
  };
}

export type Parts = ReturnType<typeof useEditor>;
