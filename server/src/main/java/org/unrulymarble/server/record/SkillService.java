package org.unrulymarble.server.record;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.record.Readiness;
import org.unrulymarble.core.skill.Difficulties;
import org.unrulymarble.core.skill.LearntSkill;
import org.unrulymarble.core.skill.SkillLearner;
import org.unrulymarble.server.ladder.LadderService;
import org.unrulymarble.server.platform.LessonsGoing;
import org.unrulymarble.server.platform.LongWork;
import tools.jackson.databind.json.JsonMapper;

/** What the school's own records have taught: learnt by night or once a day, in one thread that lets everything else go first, and never beside a lesson. */
@Service
class SkillService {

    private static final Logger LOG = LoggerFactory.getLogger(SkillService.class);
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final LocalTime NIGHT_ENDS = LocalTime.of(5, 0);
    private static final Duration QUIET = Duration.ofMinutes(15);
    private static final Duration A_DAY = Duration.ofHours(20);

    /** Fewer new tries than this part of all teach nothing new. */
    private static final double NEW_PART = 0.02;

    private final LearntSkillRows rows;
    private final AttemptRows attempts;
    private final LadderService ladders;
    private final LessonsGoing lessons;
    private final TransactionTemplate inOne;
    private final Clock clock;
    private volatile Learnt known;

    private final LongWork longWork;

    SkillService(
            LearntSkillRows rows,
            AttemptRows attempts,
            LadderService ladders,
            LessonsGoing lessons,
            TransactionTemplate inOne,
            LongWork longWork,
            Clock clock) {
        this.rows = rows;
        this.longWork = longWork;
        this.attempts = attempts;
        this.ladders = ladders;
        this.lessons = lessons;
        this.inOne = inOne;
        this.clock = clock;
    }

    /** @param at null while nothing was learnt yet */
    record Learnt(LearntSkill skill, Instant at) {}

    /** What holds now. */
    Learnt now() {
        Learnt here = known;
        if (here == null)
            known = here = rows.findFirstByOrderByVersionDesc()
                    .map(r -> new Learnt(JSON.readValue(r.told(), LearntSkill.class), r.learntAt()))
                    .orElse(new Learnt(LearntSkill.NOTHING, null));
        return here;
    }

    @Scheduled(initialDelayString = "PT20M", fixedDelayString = "PT30M")
    void whenNobodyTeaches() {
        if (!due(now().at(), clock) || lessons.within(QUIET)) return;
        long tries = attempts.countedTries();
        if (tries - now().skill().tries() > NEW_PART * tries) learn();
    }

    /** By night; by day where the last time is a day ago, since a machine that is off by night would never learn. */
    static boolean due(@Nullable Instant last, Clock clock) {
        boolean night = !LocalTime.now(clock).isAfter(NIGHT_ENDS);
        return night || last == null || last.isBefore(clock.instant().minus(A_DAY));
    }

    /** Learns from all records as they are. Comes back when it is done. */
    Learnt learn() {
        return longWork.await(this::learnHere);
    }

    private Learnt learnHere() {
        List<SkillLearner.Series> all = Objects.requireNonNull(inOne.execute(t -> series()));
        if (all.isEmpty()) return now();
        long began = System.nanoTime();
        LearntSkill learnt = SkillLearner.of(all, now().skill().version());
        LOG.info(
                "Learnt version {} from {} tries of {} pupils in {} ms",
                learnt.version(),
                learnt.tries(),
                learnt.pupils(),
                (System.nanoTime() - began) / 1_000_000);
        Instant at = clock.instant();
        inOne.executeWithoutResult(
                t -> rows.save(new LearntSkillRow(learnt.version(), at, JSON.writeValueAsString(learnt))));
        known = new Learnt(learnt, at);
        return known;
    }

    /** Counted tries of everybody, by pupil, ladder and side, in order of days; joint results and trials are nobody's own. */
    private List<SkillLearner.Series> series() {
        Catalogue catalogue = ladders.catalogue();
        Map<String, Difficulties> house = new HashMap<>();
        record Key(UUID pupilId, String ladderId, Side side) {}
        Map<Key, List<SkillLearner.DayOnRung>> days = new HashMap<>();
        List<Key> order = new ArrayList<>();
        attempts.streamDaysOnRungs().forEach(d -> {
            if (catalogue.rung(d.getLadderId(), d.getRungId()).isEmpty()) return;
            Key key = new Key(d.getPupilId(), d.getLadderId(), d.getSide());
            days.computeIfAbsent(key, k -> {
                        order.add(k);
                        return new ArrayList<>();
                    })
                    .add(new SkillLearner.DayOnRung(
                            (int) d.getOnDay().toEpochDay(), d.getRungId(), d.getHits(), d.getMisses()));
        });
        return order.stream()
                .map(k -> new SkillLearner.Series(
                        k.pupilId().toString(),
                        house.computeIfAbsent(
                                k.ladderId(), id -> house(catalogue.ladder(id).orElseThrow())),
                        k.ladderId(),
                        days.get(k)))
                .toList();
    }

    private static Difficulties house(Ladder ladder) {
        return Difficulties.of(ladder, Readiness.USUAL.holdShare());
    }
}
