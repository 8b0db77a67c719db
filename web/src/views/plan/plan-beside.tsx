import { blockName } from "../../lane/lane-blocks";
import { Room } from "../../room/room";
import { StationsRoom } from "../../room/stations-room";
import { caution, deferring } from "../../words";
import { texts } from "../../words/texts";
import { Findings } from "./findings";
import type { Parts } from "./use-editor";

const t = texts("plan");

/** The room of what is shown, what stands against the lesson, and what to take care of. */
export function Beside({
  catalogue,
  draft,
  plan,
  saved,
  changeLesson,
  chosenId,
  setChosenId,
  readOnly,
  blocks,
  chosen,
  shownPlan,
  shownCircuit,
  shownLadder,
  must,
  atHome,
}: Parts) {
  return (
    <>
      <h2>{shownLadder ? `${saved.spaceName}: ${shownLadder.name}` : saved.spaceName}</h2>
      {shownCircuit ? (
        <StationsRoom
          place={saved.place}
          circuit={shownCircuit}
          plans={saved.plan.blocks}
          names={shownCircuit.stations.map((s) => {
            const station = saved.lesson.blocks.find((b) => b.id === s.blockId);
            return station ? blockName(station, catalogue) : "";
          })}
          spaceName={saved.spaceName}
          chosenId={chosenId}
          onPlace={
            readOnly
              ? undefined
              : (blockId, xM, yM) =>
                  plan.edit(
                    [{ type: "PLACE_STATION", circuitId: shownCircuit.id, blockId, xM, yM }],
                    `place ${blockId} ${Date.now()}`,
                  )
          }
          must={must("edits[0].place") ?? must("place")}
        />
      ) : (
        <Room
          place={saved.place}
          plan={shownPlan}
          block={chosen ?? blocks[0]}
          needsWall={shownLadder?.footprint.needsWall ?? false}
          name={saved.spaceName}
          atHome={atHome}
        />
      )}
      <Findings
        view={saved}
        catalogue={catalogue}
        readOnly={readOnly}
        waiting={plan.unsaved}
        onMend={plan.mend}
        onSilence={(silenced) => changeLesson({ ...draft.lesson, silenced }, `silence ${silenced.length}`)}
        onChoose={setChosenId}
      />
      {shownLadder && (
        <div className="border-l-4 border-move pl-3">
          <h3 className="font-bold">{t("planView.takeCare")}</h3>
          <ul>
            {shownLadder.cautions.map((c) => (
              <li key={c}>{caution[c]}</li>
            ))}
          </ul>
        </div>
      )}
      <p className="text-sm text-soft">{deferring}</p>
    </>
  );
}
