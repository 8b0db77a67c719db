package org.unrulymarble.core.plan.edit;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.Setting;

/** One change of a lesson. What follows from it by a rule of the house is part of it: another rung brings its own pace, and so on. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
@JsonSubTypes({
    @JsonSubTypes.Type(value = LessonEdit.Add.class, name = "ADD"),
    @JsonSubTypes.Type(value = LessonEdit.AddTime.class, name = "ADD_TIME"),
    @JsonSubTypes.Type(value = LessonEdit.Copy.class, name = "COPY"),
    @JsonSubTypes.Type(value = LessonEdit.Remove.class, name = "REMOVE"),
    @JsonSubTypes.Type(value = LessonEdit.Move.class, name = "MOVE"),
    @JsonSubTypes.Type(value = LessonEdit.Swap.class, name = "SWAP"),
    @JsonSubTypes.Type(value = LessonEdit.AddBackwards.class, name = "ADD_BACKWARDS"),
    @JsonSubTypes.Type(value = LessonEdit.EndWithWarmUpBackwards.class, name = "END_WITH_WARM_UP_BACKWARDS"),
    @JsonSubTypes.Type(value = LessonEdit.ChooseShape.class, name = "CHOOSE_SHAPE"),
    @JsonSubTypes.Type(value = LessonEdit.SplitFor.class, name = "SPLIT_FOR"),
    @JsonSubTypes.Type(value = CircuitEdit.PutTogether.class, name = "PUT_TOGETHER"),
    @JsonSubTypes.Type(value = CircuitEdit.TakeApart.class, name = "TAKE_APART"),
    @JsonSubTypes.Type(value = CircuitEdit.SetCircuit.class, name = "SET_CIRCUIT"),
    @JsonSubTypes.Type(value = CircuitEdit.SetStationRest.class, name = "SET_STATION_REST"),
    @JsonSubTypes.Type(value = CircuitEdit.PlaceStation.class, name = "PLACE_STATION"),
    @JsonSubTypes.Type(value = CircuitEdit.LayOut.class, name = "LAY_OUT"),
    @JsonSubTypes.Type(value = CircuitEdit.SetGroups.class, name = "SET_GROUPS"),
    @JsonSubTypes.Type(value = CircuitEdit.GroupBy.class, name = "GROUP_BY"),
    @JsonSubTypes.Type(value = BlockEdit.ChooseRung.class, name = "CHOOSE_RUNG"),
    @JsonSubTypes.Type(value = BlockEdit.ChooseTask.class, name = "CHOOSE_TASK"),
    @JsonSubTypes.Type(value = BlockEdit.ChooseWho.class, name = "CHOOSE_WHO"),
    @JsonSubTypes.Type(value = BlockEdit.ChooseDose.class, name = "CHOOSE_DOSE"),
    @JsonSubTypes.Type(value = BlockEdit.SetDose.class, name = "SET_DOSE"),
    @JsonSubTypes.Type(value = BlockEdit.SetSets.class, name = "SET_SETS"),
    @JsonSubTypes.Type(value = BlockEdit.SetSeconds.class, name = "SET_SECONDS"),
    @JsonSubTypes.Type(value = BlockEdit.DropOptional.class, name = "DROP_OPTIONAL"),
    @JsonSubTypes.Type(value = BlockEdit.ChooseSides.class, name = "CHOOSE_SIDES"),
    @JsonSubTypes.Type(value = BlockEdit.GiveCue.class, name = "GIVE_CUE"),
    @JsonSubTypes.Type(value = BlockEdit.SayChange.class, name = "SAY_CHANGE"),
    @JsonSubTypes.Type(value = BlockEdit.ChoosePart.class, name = "CHOOSE_PART"),
    @JsonSubTypes.Type(value = BlockEdit.GoBackwards.class, name = "GO_BACKWARDS"),
    @JsonSubTypes.Type(value = BlockEdit.SetModifier.class, name = "SET_MODIFIER"),
    @JsonSubTypes.Type(value = BlockEdit.SetGate.class, name = "SET_GATE"),
    @JsonSubTypes.Type(value = BlockEdit.SetMeasure.class, name = "SET_MEASURE"),
    @JsonSubTypes.Type(value = BlockEdit.ChooseRungOfSet.class, name = "CHOOSE_RUNG_OF_SET"),
    @JsonSubTypes.Type(value = BlockEdit.SetStand.class, name = "SET_STAND"),
    @JsonSubTypes.Type(value = BlockEdit.SetTarget.class, name = "SET_TARGET"),
    @JsonSubTypes.Type(value = BlockEdit.SetBand.class, name = "SET_BAND"),
    @JsonSubTypes.Type(value = BlockEdit.MarkBand.class, name = "MARK_BAND"),
    @JsonSubTypes.Type(value = BlockEdit.SetSpot.class, name = "SET_SPOT"),
    @JsonSubTypes.Type(value = BlockEdit.SetHelpers.class, name = "SET_HELPERS"),
    @JsonSubTypes.Type(value = BlockEdit.SetCalled.class, name = "SET_CALLED"),
    @JsonSubTypes.Type(value = BlockEdit.SetMostSpots.class, name = "SET_MOST_SPOTS"),
    @JsonSubTypes.Type(value = BlockEdit.PlayWith.class, name = "PLAY_WITH"),
    @JsonSubTypes.Type(value = BlockEdit.SetMeanwhile.class, name = "SET_MEANWHILE"),
    @JsonSubTypes.Type(value = BlockEdit.AddVariant.class, name = "ADD_VARIANT"),
    @JsonSubTypes.Type(value = BlockEdit.TakeOutVariant.class, name = "TAKE_OUT_VARIANT"),
    @JsonSubTypes.Type(value = BlockEdit.SetOnlyFor.class, name = "SET_ONLY_FOR")
})
public sealed interface Edit permits LessonEdit, CircuitEdit, BlockEdit {

    /**
     * The lesson after it.
     *
     * @throws org.unrulymarble.core.check.Refused naming the field where the lesson has no such block, or the catalogue no such task
     */
    Lesson on(Lesson lesson, Setting setting);

    /** The lesson after all of them, one after the other. */
    static Lesson all(List<Edit> edits, Lesson lesson, Setting setting) {
        Lesson out = lesson;
        for (Edit edit : edits) out = edit.on(out, setting);
        return out;
    }
}
