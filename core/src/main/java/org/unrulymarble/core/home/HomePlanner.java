package org.unrulymarble.core.home;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Caution;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Lever;
import org.unrulymarble.core.ladder.Part;
import org.unrulymarble.core.place.Noise;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.core.plan.Adaptation;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.PlanPupil;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.findings.Finding;
import org.unrulymarble.core.plan.findings.Findings;
import org.unrulymarble.core.propose.NextLesson;

/** Puts a week of practices together for one pupil, their home, their kit and their own steps. Whatever is not known is taken small, low and quiet. */
public final class HomePlanner {

    /** A home of which nothing is known: 2 x 2 m under 2.4 m, no free wall. */
    public static final Space UNKNOWN = new Space(2.0, 2.0, 2.4, null);

    private static final int MOST_MENDS = 8;

    /**
     * What is known of a home.
     *
     * @param space null where nothing is known
     * @param quiet whether somebody may live below
     * @param kit counts of kinds; empty where nothing is known
     * @param helper whether somebody is there to feed or to hold
     */
    public record Home(Space space, boolean quiet, Map<String, Integer> kit, boolean helper) {}

    /**
     * How the week is to be.
     *
     * @param practices 1 to 7
     * @param minutes of each, 5 to 30
     */
    public record Week(Integer practices, Integer minutes) {
        public Week {
            new Checks()
                    .range("practices", practices, 1, 7)
                    .range("minutes", minutes, 5, 30)
                    .done();
        }
    }

    private final Setting home;
    private final PlanPupil pupil;
    private final Integer shoeCm;
    private final List<NextLesson.Practised> practised;
    private final NextLesson.Answer proposer;
    private final List<String> notAtHome;

    /**
     * @param school the class's setting; its catalogue, standings and kinds of kit are used
     * @param practised this pupil's days
     */
    public HomePlanner(
            Setting school,
            PlanPupil pupil,
            Home home,
            Integer shoeCm,
            List<NextLesson.Practised> practised,
            NextLesson.Answer proposer) {
        this.pupil = new PlanPupil(pupil.id(), pupil.name(), pupil.age(), pupil.adaptations(), home.kit());
        this.shoeCm = shoeCm;
        this.practised = practised;
        this.proposer = proposer;
        Space space = home.space() == null ? UNKNOWN : home.space();
        Place place = new Place(space, null, null, true, home.quiet(), null, null, null, null, null);
        this.home = school.in(place).of(List.of(this.pupil)).with(school.kit().atHome(home.kit()));
        this.notAtHome = school.catalogue().all().stream()
                .filter(l -> !isForHome(l, home, pupil.adaptations()) || !home.helper() && asksForAnother(l))
                .map(Ladder::id)
                .toList();
    }

    private HomePlanner(HomePlanner like, Collection<String> without) {
        home = like.home;
        pupil = like.pupil;
        shoeCm = like.shoeCm;
        practised = like.practised;
        proposer = like.proposer;
        notAtHome = Stream.concat(like.notAtHome.stream(), without.stream())
                .distinct()
                .toList();
    }

    /** The same without some tasks, by the ids of their ladders. */
    public HomePlanner without(Collection<String> ladderIds) {
        return new HomePlanner(this, ladderIds);
    }

    /** Never swings, dodging, gear for what is hard, or what is loud; with a partner only where there is one; and only what this pupil can do. */
    static boolean isForHome(Ladder ladder, Home home, Set<Adaptation> adaptations) {
        boolean safe = ladder.swingM() == null
                && ladder.gear().isEmpty()
                && ladder.noise() != Noise.LOUD
                && !ladder.cautions().contains(Caution.AT_PERSON_SOFT_ONLY)
                && !ladder.cautions().contains(Caution.HARD_BALL_FACE)
                && !ladder.cautions().contains(Caution.WATER_AND_CARS);
        boolean still = !home.quiet() || ladder.noise() == Noise.QUIET;
        boolean company = ladder.perSpot() == 1 || home.helper() && ladder.perSpot() == 2;
        return safe
                && still
                && company
                && (!adaptations.contains(Adaptation.SEATED) || ladder.seated() != null)
                && (!adaptations.contains(Adaptation.ONE_HAND) || ladder.oneHand() != null);
    }

    /** Whether the step that this pupil is on needs somebody to copy or to answer. */
    private boolean asksForAnother(Ladder ladder) {
        return home.standings().ownRung(pupil.id(), ladder).lever() == Lever.PARTNER;
    }

    /**
     * A week: what is worked on comes twice, so that it can be seen to grow.
     *
     * @return fewer than asked, or none, where nothing fits
     */
    public List<HomePractice> week(Week week) {
        List<HomePractice> out = new ArrayList<>();
        List<String> last = List.of();
        String again = null;
        NextLesson.Choices choices = new NextLesson.Choices(
                Lesson.of(week.minutes(), Lesson.Audience.EACH_AT_HOME, List.of()),
                home,
                practised,
                NextLesson.Wish.AS_USUAL,
                notAtHome);
        for (int i = 0; i < week.practices(); i++) {
            List<String> stay = again == null ? List.of() : List.of(again);
            Set<String> without = new HashSet<>(last);
            if (again != null) without.remove(again);
            List<Block> blocks = proposed(choices, stay, without);
            if (blocks.isEmpty()) blocks = proposed(choices, List.of(), Set.of());
            if (blocks.isEmpty()) return out;
            out.add(practice(Lesson.of(week.minutes(), Lesson.Audience.EACH_AT_HOME, blocks)));
            List<String> worked = blocks.stream()
                    .filter(b -> ladder(b).part() == Part.MAIN && ladder(b).counted())
                    .map(Block::ladderId)
                    .toList();
            String kept = again;
            again = worked.stream().filter(id -> !id.equals(kept)).findFirst().orElse(null);
            last = worked;
        }
        return out;
    }

    private List<Block> proposed(NextLesson.Choices choices, List<String> keep, Set<String> without) {
        NextLesson next =
                choices.propose(new NextLesson.Wishes(NextLesson.Wish.AS_USUAL, keep, List.copyOf(without)), proposer);
        return next.lesson() == null ? List.of() : sound(next.lesson()).blocks();
    }

    /** A card goes out of sight: what still stops a plan is taken out of it. */
    private Lesson sound(Lesson lesson) {
        Lesson now = lesson;
        for (int i = 0; i < MOST_MENDS; i++) {
            List<Finding> stops = Findings.of(now, home).findings().stream()
                    .filter(f -> f.level() == Finding.Level.STOP && f.blockId() != null)
                    .toList();
            if (stops.isEmpty()) return now;
            now = now.without(stops.get(0).blockId());
        }
        return now;
    }

    /** A lesson of the teacher's own, each task on this pupil's step. What does not go in this home is left out. */
    public HomePractice of(Lesson lesson) {
        Set<String> out = new HashSet<>(notAtHome);
        List<Block> own = lesson.blocks().stream()
                .filter(b -> b.kind() == Block.Kind.TASK && !out.contains(b.ladderId()))
                .map(b -> b.with(d -> {
                    d.onlyPupilIds = List.of();
                    d.meanwhile = null;
                    d.reverses = null;
                    d.measure = null;
                    d.modifiers = List.of();
                    d.laterRungIds = List.of();
                    Ladder ladder = catalogue().ladder(b.ladderId()).orElseThrow();
                    if (b.rungBy() != Block.RungBy.ONE) {
                        d.rungBy = Block.RungBy.ONE;
                        ladder.rung(b.rungId())
                                .ifPresent(
                                        from -> d.stepTo(from, home.standings().ownRung(pupil.id(), ladder)));
                    }
                }))
                .toList();
        Lesson mine = Lesson.of(lesson.minutes(), Lesson.Audience.EACH_AT_HOME, own);
        Lesson mended = mine;
        for (int i = 0; i < MOST_MENDS; i++) {
            Finding stop = Findings.of(mended, home).findings().stream()
                    .filter(f -> f.level() == Finding.Level.STOP && f.mend() != null)
                    .findFirst()
                    .orElse(null);
            if (stop == null) break;
            mended = Findings.mended(mended, home, stop.id());
        }
        Lesson sound = sound(mended);
        return sound.blocks().isEmpty() ? null : practice(sound);
    }

    private HomePractice practice(Lesson lesson) {
        return new CardWriter(home, pupil, shoeCm).write(lesson);
    }

    private Ladder ladder(Block block) {
        return catalogue().ladder(block.ladderId()).orElseThrow();
    }

    private Catalogue catalogue() {
        return home.catalogue();
    }
}
