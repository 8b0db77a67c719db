package org.unrulymarble.core.record;

import java.time.LocalDate;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.skill.Difficulties;
import org.unrulymarble.core.skill.LearntSkill;

/** By what a record is concluded: how the class decides, what the school has learnt, and the day. */
public final class Judge {

    private final Readiness how;
    private final LearntSkill learnt;
    private final LocalDate today;
    private final Map<String, Difficulties> difficulties = new ConcurrentHashMap<>();

    public Judge(Readiness how, LearntSkill learnt, LocalDate today) {
        this.how = how;
        this.learnt = learnt;
        this.today = today;
    }

    public Readiness how() {
        return how;
    }

    public LearntSkill learnt() {
        return learnt;
    }

    public LocalDate today() {
        return today;
    }

    /** How hard the rungs of a ladder are, with the share that holds each, by this class's choice of standard. */
    public Difficulties difficulties(Ladder ladder) {
        return difficulties.computeIfAbsent(
                ladder.id(),
                id -> Difficulties.of(
                        ladder,
                        how.holdShare(),
                        how.standard() == Readiness.Standard.ONE_FOR_ALL,
                        learnt.harder(),
                        how.ofRungs()));
    }
}
