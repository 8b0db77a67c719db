package org.unrulymarble.core.run;

import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.games.Bowling;
import org.unrulymarble.core.measure.Tap;

/**
 * An event as logs and tablets wrote it before each kind had its own parts: one row of fields, of which a kind uses some. Only read, never written:
 * what was kept or waits on a device in this shape means the same for ever.
 *
 * @param note for FAULT: id of the ladder's fault; for WORD: a word; for STANDS: the device whose count stands; for RUNG: the rung's id; for SAID:
 *     the pupil's one word; for BALL and ENDED: A or B, for ENDED also TIE; for MISS, where no-balls are kept: why it was one, or null
 */
public record FlatEvent(
        UUID id,
        Kind kind,
        Long atMs,
        Integer segment,
        Long offsetMs,
        Integer take,
        String pupilId,
        Integer score,
        Integer addSec,
        UUID target,
        String device,
        String note,
        Double xCm,
        Double yCm) {

    /** What could be done. */
    public enum Kind {
        GO,
        HOLD,
        STOP_ALL,
        AGAIN,
        NEXT,
        BACK,
        EXTEND,
        HIT,
        MISS,
        LANDED,
        START,
        SPLIT,
        STOP,
        BALL,
        ENDED,
        COLLECT,
        AWAY,
        HERE,
        FAULT,
        WORD,
        SAID,
        RUNG,
        TRIAL,
        STANDS,
        SCORES_ON,
        SCORES_OFF,
        TAKE_BACK,
        FINISH
    }

    /** @throws org.unrulymarble.core.check.Refused naming the part that does not fit */
    public RunEvent event() {
        new Checks().required("kind", kind).done();
        return new RunEvent(id, atMs, device, what());
    }

    private What what() {
        return switch (kind) {
            case GO -> new What.Go(segment, offsetMs);
            case HOLD -> new What.Hold(segment, offsetMs);
            case STOP_ALL -> new What.StopAll(segment, offsetMs);
            case AGAIN -> new What.Again(segment, offsetMs);
            case NEXT -> new What.Next(segment, offsetMs);
            case BACK -> new What.Back(segment, offsetMs);
            case EXTEND -> new What.Extend(segment, addSec);
            case HIT -> tapped(new Tap.Hit(score));
            case MISS -> tapped(new Tap.Miss(note == null ? null : word(Bowling.NoBall.values())));
            case LANDED -> tapped(new Tap.Landed(xCm, yCm));
            case START -> tapped(new Tap.Start(offsetMs));
            case SPLIT -> tapped(new Tap.Split(offsetMs));
            case STOP -> tapped(new Tap.Stop(offsetMs));
            case BALL -> tapped(new Tap.Ball(word(Tap.Team.values()), xCm, yCm));
            case ENDED -> tapped(new Tap.EndWon("TIE".equals(note) ? null : word(Tap.Team.values()), score));
            case COLLECT -> new What.Told(segment, take, pupilId, score, toldMs());
            case AWAY -> new What.Away(pupilId);
            case HERE -> new What.Here(pupilId);
            case FAULT -> new What.FaultSeen(segment, pupilId, note);
            case WORD -> new What.OwnWord(segment, pupilId, word(What.Word.values()));
            case SAID -> new What.Said(segment, pupilId, note);
            case RUNG -> new What.OnRung(segment, pupilId, note);
            case TRIAL -> new What.Trial(segment, take);
            case STANDS -> new What.Stands(segment, take, pupilId, note);
            case SCORES_ON -> new What.ScoresOnWall(true);
            case SCORES_OFF -> new What.ScoresOnWall(false);
            case TAKE_BACK -> new What.TakeBack(target);
            case FINISH -> new What.Finish();
        };
    }

    private What tapped(Tap tap) {
        return new What.Tapped(segment, take, pupilId, tap);
    }

    private Integer toldMs() {
        if (offsetMs == null) return null;
        new Checks().range("offsetMs", offsetMs, 0, 86_400_000).done();
        return offsetMs.intValue();
    }

    private <E extends Enum<E>> E word(E[] words) {
        List<String> names = Arrays.stream(words).map(Enum::name).toList();
        new Checks()
                .that(names.contains(note), "note", Fault.Rule.ONE_OF, String.join(", ", names))
                .done();
        return words[names.indexOf(note)];
    }
}
