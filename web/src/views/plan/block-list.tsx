import {
  type Announcements,
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  MeasuringStrategy,
  PointerSensor,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { GripVertical } from "lucide-react";
import { Fragment, useEffect, useRef } from "react";
import { v4 } from "uuid";
import type { Problem } from "../../api/client";
import type { Block, BlockPlan, Circuit, CircuitPlan, Edit, Ladder, LessonView } from "../../api/types";
import { blockName } from "../../lane/lane-blocks";
import { FamilyGlyph, familyColour, TimeGlyph } from "../../ui/marble";
import { clock, dose, modifier, moveHelp, stationDose } from "../../words";
import { texts } from "../../words/texts";
import { BlockEditor } from "./block-editor";
import { CircuitHead } from "./circuit-head";
import { TimeEditor } from "./time-editor";

const t = texts("plan");

type Props = {
  blocks: Block[];
  plans: BlockPlan[];
  circuits: Circuit[];
  circuitPlans: CircuitPlan[];
  catalogue: Ladder[];
  onOffer: Ladder[];
  who: LessonView["who"];
  findings: LessonView["findings"];
  problem: Problem | undefined;
  chosenId: string | undefined;
  onChoose: (id: string | undefined) => void;
  /** What is typed or ticked as it stands. */
  onChange: (blocks: Block[], step: string) => void;
  onCircuits: (circuits: Circuit[], step: string) => void;
  /** What the core has a rule for. */
  onEdit: (edits: Edit[], step: string) => void;
  readOnly: boolean;
};

/** The blocks in order; the chosen one opens into its dose sentence. Moved by drag, by its buttons and by keyboard. */
export function BlockList(props: Props) {
  const { blocks, catalogue, onEdit, readOnly } = props;
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const drop = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const to = blocks.findIndex((b) => b.id === over.id);
    onEdit([{ type: "MOVE", blockId: String(active.id), to }], `move ${active.id} ${Date.now()}`);
  };
  const name = (id: unknown) => {
    const block = blocks.find((b) => b.id === id);
    return block ? blockName(block, catalogue) : t("blockList.theBlock");
  };
  const place = (id: unknown) =>
    t("blockList.placeOf", { n: 1 + blocks.findIndex((b) => b.id === id), length: blocks.length });
  const announcements: Announcements = {
    onDragStart: ({ active }) => t("blockList.takenUpFrom", { id: name(active.id), id2: place(active.id) }),
    onDragOver: ({ active, over }) =>
      over ? t("blockList.isOver", { id: name(active.id), id2: place(over.id) }) : undefined,
    onDragEnd: ({ active, over }) =>
      over ? t("blockList.putDownAt", { id: name(active.id), id2: place(over.id) }) : undefined,
    onDragCancel: ({ active }) => t("blockList.staysAt", { id: name(active.id), id2: place(active.id) }),
  };
  if (blocks.length === 0)
    return <p className="border-y-2 border-ink py-6 text-soft">{t("blockList.noBlockYetAdd")}</p>;
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      // An open block is too tall to be put between others: it closes when it is taken up.
      onDragStart={() => props.onChoose(undefined)}
      measuring={{ droppable: { strategy: MeasuringStrategy.Always } }}
      onDragEnd={drop}
      accessibility={{ announcements, screenReaderInstructions: { draggable: moveHelp } }}
    >
      <SortableContext items={blocks.map((b) => b.id)} strategy={verticalListSortingStrategy} disabled={readOnly}>
        <ol className="border-t-2 border-ink" aria-label={t("blockList.blocks")}>
          {blocks.map((b, i) => {
            const circuit = props.circuits.find((c) => c.stationIds[0] === b.id);
            return (
              <Fragment key={b.id}>
                {circuit && <Head {...props} circuit={circuit} index={i} />}
                <BlockLine {...props} block={b} index={i} />
              </Fragment>
            );
          })}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

function Head({
  circuit,
  index,
  circuits,
  circuitPlans,
  blocks,
  who,
  problem,
  readOnly,
  onCircuits,
  onEdit,
}: Props & { circuit: Circuit; index: number }) {
  const after = index + circuit.stationIds.length;
  const move = (to: number) => onEdit([{ type: "MOVE", blockId: circuit.id, to }], `move ${circuit.id} ${Date.now()}`);
  return (
    <CircuitHead
      circuit={circuit}
      plan={circuitPlans.find((c) => c.id === circuit.id)}
      who={who}
      must={(field) => problem?.must(`lesson.circuits[${circuits.indexOf(circuit)}].${field}`)}
      readOnly={readOnly}
      onChange={(next, step) =>
        onCircuits(
          circuits.map((c) => (c.id === next.id ? next : c)),
          `${step} ${next.id}`,
        )
      }
      onEdit={onEdit}
      onUp={index > 0 ? () => move(index - 1) : undefined}
      onDown={after < blocks.length ? () => move(index + 1) : undefined}
    />
  );
}

function BlockLine(props: Props & { block: Block; index: number }) {
  const { block, index, blocks, plans, catalogue, problem, chosenId, onChoose, readOnly } = props;
  const row = useRef<HTMLButtonElement>(null);
  const moved = useRef(false);
  const before = useRef(index);
  // A row that is put elsewhere in the page loses the focus; it gets it back.
  useEffect(() => {
    if (moved.current && before.current !== index) {
      row.current?.focus();
      moved.current = false;
    }
    before.current = index;
  }, [index]);
  const sortable = useSortable({ id: block.id });
  const forwards = blocks.find((b) => b.id === block.reverses) ?? block;
  const ladder = catalogue.find((l) => l.id === forwards.ladderId);
  const rung = ladder?.rungs.find((r) => r.id === forwards.rungId);
  const plan = plans.find((p) => p.id === block.id);
  const circuit = props.circuits.find((c) => c.stationIds.includes(block.id));
  const station = circuit ? circuit.stationIds.indexOf(block.id) + 1 : 0;
  const open = chosenId === block.id;
  const path = `lesson.blocks[${index}]`;
  const wrong = problem?.errors.some((e) => e.field.startsWith(path));
  if (block.kind === "TASK" && (!ladder || !rung)) return null;
  const title = blockName(forwards, catalogue);
  const stops = props.findings.some((f) => f.blockId === block.id && f.level === "STOP" && f.silenced === null);
  return (
    <li
      ref={sortable.setNodeRef}
      style={{
        transform: CSS.Translate.toString(sortable.transform),
        transition: sortable.transition,
        borderLeftColor: open ? (ladder ? familyColour[ladder.family] : "var(--color-soft)") : "transparent",
        position: "relative",
        zIndex: sortable.isDragging ? 10 : undefined,
      }}
      className={`border-b border-l-8 border-b-rule ${open ? "bg-tint" : "bg-sheet"}`}
    >
      <div className={`flex items-center gap-3 py-2 pr-2 ${circuit ? "pl-5" : ""}`}>
        {!readOnly && (
          <button
            type="button"
            className="cursor-grab touch-none p-1 text-soft"
            {...sortable.attributes}
            {...sortable.listeners}
            aria-label={t("blockList.moveBlock", { n: index + 1, title })}
          >
            <GripVertical size={18} aria-hidden />
          </button>
        )}
        <span className={`clock w-5 text-right ${circuit ? "font-bold" : "text-soft"}`}>
          {circuit ? station : index + 1}
        </span>
        {ladder ? <FamilyGlyph family={ladder.family} size={26} /> : <TimeGlyph kind={block.kind} size={26} />}
        <button
          type="button"
          ref={row}
          data-block
          onKeyDown={(e) => {
            const by = { ArrowUp: -1, ArrowDown: 1 }[e.key];
            if (!e.altKey || !by || readOnly || index + by < 0 || index + by >= props.blocks.length) return;
            e.preventDefault();
            moved.current = true;
            props.onEdit([{ type: "MOVE", blockId: block.id, to: index + by }], `move ${block.id} ${Date.now()}`);
          }}
          className="min-w-0 flex-1 text-left"
          aria-expanded={open}
          onClick={() => onChoose(open ? undefined : block.id)}
        >
          <span className="font-head text-[1.07rem] font-bold">{title}</span>{" "}
          <span className="text-soft">{block.reverses ? t("blockList.backwards") : rung?.name}</span>
          {block.onlyPupilIds.length > 0 && (
            <strong> {t("blockList.for", { count: block.onlyPupilIds.length })}</strong>
          )}
          {block.modifiers.length > 0 && (
            <span className="text-soft"> + {block.modifiers.map((m) => modifier[m]).join(", ")}</span>
          )}
          <span className={`block text-[0.95rem] ${wrong ? "font-semibold text-alert" : "text-soft"}`}>
            {circuit && plan ? stationDose(block, plan, circuit) : dose(block, plan, rung)}
            {plan && plan.waiting > 0 && (
              <span className={block.meanwhile ? "" : "font-semibold text-alert"}>
                {" ‖ "}
                {block.meanwhile
                  ? t("blockList.quietTask", {
                      name: catalogue.find((l) => l.id === block.meanwhile?.ladderId)?.name ?? "",
                    })
                  : t("blockList.waitWithNothingToDo", {
                      waiting: plan.waiting,
                      idleSecPerPupil: clock(plan.idleSecPerPupil),
                    })}
              </span>
            )}
            {stops && <span className="font-semibold text-alert"> {t("blockList.toMendFirst")}</span>}
          </span>
        </button>
        {!circuit && <span className="clock text-lg">{plan ? clock(plan.endSec - plan.startSec) : "–:––"}</span>}
      </div>
      {open && <Opened {...props} forwards={forwards} />}
    </li>
  );
}

/** The open block: the dose sentence of a task, or the minutes of other time. */
function Opened(props: Props & { block: Block; index: number; forwards: Block }) {
  const { block, forwards, index, blocks, plans, catalogue, onOffer, problem, who } = props;
  const { onChoose, onChange, onEdit, readOnly } = props;
  const ladder = catalogue.find((l) => l.id === forwards.ladderId);
  const rung = ladder?.rungs.find((r) => r.id === forwards.rungId);
  const move = (by: number) =>
    onEdit([{ type: "MOVE", blockId: block.id, to: index + by }], `move ${block.id} ${Date.now()}`);
  const shared = {
    block,
    must: (field: string) => problem?.must(`lesson.blocks[${index}].${field}`),
    readOnly,
    onChange: (next: Block, step: string) =>
      onChange(
        blocks.map((b) => (b.id === block.id ? next : b)),
        `${step} ${block.id}`,
      ),
    onRemove: () => {
      onEdit([{ type: "REMOVE", blockId: block.id }], `remove ${block.id}`);
      onChoose(undefined);
    },
    onCopy: () => {
      const id = v4();
      onEdit([{ type: "COPY", blockId: block.id, id }], `copy ${id}`);
      onChoose(id);
    },
    onUp: index > 0 ? () => move(-1) : undefined,
    onDown: index < blocks.length - 1 ? () => move(1) : undefined,
  };
  if (!ladder || !rung) return <TimeEditor {...shared} plan={plans.find((p) => p.id === block.id)} />;
  return (
    <BlockEditor
      {...shared}
      onEdit={(edit) => onEdit([edit], `${edit.type} ${block.id} ${Date.now()}`)}
      blocks={blocks}
      ladder={ladder}
      rung={rung}
      plan={plans.find((p) => p.id === block.id)}
      station={props.circuits.some((c) => c.stationIds.includes(block.id))}
      circuit={props.circuitPlans.find((c) => c.stations.some((s) => s.blockId === block.id))}
      catalogue={catalogue}
      onOffer={onOffer}
      who={who}
    />
  );
}
