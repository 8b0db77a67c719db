package org.unrulymarble.core.propose;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.ladder.Family;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Part;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.findings.Finding;
import org.unrulymarble.core.plan.findings.Findings;
import org.unrulymarble.core.propose.NextLesson.Answer;
import org.unrulymarble.core.propose.NextLesson.Minutes;
import org.unrulymarble.core.propose.NextLesson.PassedOver;
import org.unrulymarble.core.propose.NextLesson.Reason;
import org.unrulymarble.core.propose.NextLesson.Wish;
import org.unrulymarble.core.propose.NextLesson.Wishes;

/** Makes the lesson that is proposed from the tasks that go here. */
final class LessonMaker {

    private static final String EVERY_SPORT = "all";
    private static final long SEC_PER_MIN = 60;
    private static final int MOST_PASSED_OVER = 5;
    private static final int MOST_LAID = 6;
    private static final int MOST_LAID_MOVING = 20;
    private static final double LEAST_MOVING = 0.08;

    /** Groups and stations are worth their trouble where each pupil moves so much more of the time. */
    private static final double LEAST_GAIN = 0.05;

    /** Below that share of the time a room is cramped: longer visits to fewer stations are borne, if they bring so much more. */
    private static final double ENOUGH_MOVING = 0.45;

    private static final double WORTH_MORE_OF_THE_SAME = 0.02;

    /** A loud station beside a quiet one costs as much as a minute in which each waits. */
    private static final double DROWNED_COSTS = 2;

    private final Lesson lesson;
    private final Setting setting;
    private final Answer proposer;

    /** @param lesson of which minutes, rules and audience are kept */
    LessonMaker(Lesson lesson, Setting setting, Answer proposer) {
        this.lesson = lesson;
        this.setting = setting;
        this.proposer = proposer;
    }

    private static NextLesson none(List<Task> tasks) {
        return new NextLesson(null, List.of(), passedOver(tasks, Set.of()), null, null, null, null);
    }

    /** A question and what came of it. */
    private record Answered(List<Task> fitting, ProposeAsk ask, Propose found) {}

    /** Of one family, each is tried for itself; else all of them together. */
    private Optional<Answered> answered(Wishes wishes, List<Task> goes) {
        boolean oneSkill = wishes.oneSkill() == null ? lesson.shape() == Lesson.Shape.ONE_SKILL : wishes.oneSkill();
        if (!oneSkill) return answer(wishes, goes);
        Set<Family> kept = goes.stream()
                .filter(t -> t.ladder().part() == Part.MAIN
                        && wishes.keep().contains(t.ladder().id()))
                .map(t -> t.ladder().family())
                .collect(Collectors.toSet());
        return Arrays.stream(Family.values())
                // What is kept says which; where it is of several, these are the fewest there can be.
                .filter(f -> kept.isEmpty() || kept.contains(f))
                .map(f -> goes.stream()
                        .filter(t -> t.ladder().part() != Part.MAIN
                                || t.ladder().family() == f
                                || wishes.keep().contains(t.ladder().id()))
                        .toList())
                .flatMap(of -> answer(wishes, of).stream())
                .max(Comparator.comparingDouble(a -> a.found().value()));
    }

    private Optional<Answered> answer(Wishes wishes, List<Task> goes) {
        if (goes.isEmpty()) return Optional.empty();
        ProposeAsk ask = ask(wishes, goes);
        Propose found = proposer.to(ask);
        return found.feasible() ? Optional.of(new Answered(goes, ask, found)) : Optional.empty();
    }

    static boolean suits(Ladder ladder, String sport) {
        return sport == null
                || ladder.part() != Part.MAIN
                || ladder.sports().contains(sport)
                || ladder.sports().contains(EVERY_SPORT);
    }

    private static List<Task> ofTheSport(List<Task> tasks, Wishes wishes) {
        return tasks.stream()
                .filter(t -> wishes.sport() == null
                        || t.ladder().part() != Part.MAIN
                        || t.ladder().sports().contains(wishes.sport())
                        || wishes.keep().contains(t.ladder().id()))
                .toList();
    }

    /** Where the ball comes first, a warm-up without one would stand in its place. */
    private static boolean opens(Task task, Lesson.Shape shape) {
        return shape != Lesson.Shape.BALL_FIRST
                || task.ladder().part() != Part.WARM_UP
                || task.ladder().ball().isPresent();
    }

    NextLesson of(List<Task> tasks, Wishes wishes, boolean beside) {
        List<Task> goes = tasks.stream()
                .filter(Task::goes)
                .filter(t -> opens(t, lesson.shape()))
                .toList();
        Made made = made(goes, wishes, beside).orElse(null);
        if (made == null) return none(tasks);
        // A room where nearly all only wait is no room for this class.
        if (!atHome() && made.withoutStations().movingShare() < LEAST_MOVING) return none(tasks);
        if (beside && cramped(made, wishes)) {
            // Where little moves at all, what moves counts more than usual.
            Made moving = made(goes, wishes.moving(), true).orElse(made);
            if (moving.share() >= made.share() + WORTH_MORE_OF_THE_SAME) made = moving;
        }
        Set<String> in = made.chosen().lesson().blocks().stream()
                .map(Block::ladderId)
                .filter(Objects::nonNull)
                .collect(Collectors.toSet());
        Most most = made.most().get();
        return new NextLesson(
                made.chosen().lesson(),
                made.chosen().reasons(),
                passedOver(tasks, in),
                most.gapShare(),
                made.minutes(),
                made.alone(),
                most.movingLimit());
    }

    private boolean atHome() {
        return lesson.audience() == Lesson.Audience.EACH_AT_HOME;
    }

    private boolean cramped(Made made, Wishes wishes) {
        return !atHome() && wishes.wish() == Wish.AS_USUAL && made.share() < ENOUGH_MOVING;
    }

    /**
     * A lesson that was put together, with what is known of it.
     *
     * @param alone of the one without stations, where this one has some; else null
     */
    private record Made(
            Chosen chosen, Minutes minutes, @Nullable Minutes alone, Supplier<Most> most) {
        double share() {
            return minutes.movingShare();
        }

        Minutes withoutStations() {
            return alone == null ? minutes : alone;
        }
    }

    private Optional<Made> made(List<Task> goes, Wishes wishes, boolean beside) {
        // What goes with every sport fills up only where the sport's own does not make a lesson.
        Answered answered = answered(wishes, ofTheSport(goes, wishes))
                .or(() -> wishes.sport() == null ? Optional.empty() : answered(wishes, goes))
                .orElse(null);
        if (answered == null) return Optional.empty();
        List<Task> fitting = answered.fitting();
        ProposeAsk ask = answered.ask();
        Propose found = answered.found();
        Chosen alone = chosen(fitting, picks(found, fitting), null);
        double gives = new Worth(ask).gives(picks(found, fitting));
        Minutes aloneTakes = Minutes.of(alone.lesson(), setting);
        if (!beside)
            return Optional.of(new Made(
                    alone, aloneTakes, null, () -> new Most(gap(found.bound(), found.value(), gives), null)));

        double gain = wishes.wish() == Wish.MORE_MOVING ? 1 : LEAST_GAIN * SEC_PER_MIN * lesson.minutes();
        WithStations with = withStations(
                wishes.wish() == Wish.MORE_MOVING,
                new Beside(ask, lesson, setting, fitting, wishes.wish()).better(picks(found, fitting), found.value()),
                fitting,
                aloneTakes.movingSecPerPupil() + (long) Math.ceil(gain));
        return Optional.of(new Made(
                with == null ? alone : with.chosen(),
                with == null ? aloneTakes : Minutes.of(with.chosen().lesson(), setting),
                with == null ? null : aloneTakes,
                () -> most(answered, wishes, gives, with == null ? null : with.laid())));
    }

    /** A lesson with stations that is sound. */
    private record WithStations(Beside.Laid laid, Chosen chosen, long movingSec) {
        boolean quietApart() {
            return laid.plan().circuits().get(0).quietApart();
        }

        /** Where all are to move, what moves them more; else what is worth as much, or nearly, and has no loud station beside a quiet one. */
        boolean before(WithStations other, boolean moving) {
            boolean quieter = quietApart() && !other.quietApart();
            if (moving) return movingSec > other.movingSec || (movingSec == other.movingSec && quieter);
            return quieter && laid.value() >= other.laid.value() - DROWNED_COSTS;
        }
    }

    /** @param better the best first @param leastMovingSec of each pupil */
    private @Nullable WithStations withStations(
            boolean moving, List<Beside.Laid> better, List<Task> fitting, long leastMovingSec) {
        WithStations best = null;
        for (Beside.Laid next : better.subList(0, Math.min(better.size(), moving ? MOST_LAID_MOVING : MOST_LAID))) {
            Chosen chosen = chosen(fitting, next.singles(), next);
            WithStations with = new WithStations(
                    next, chosen, Minutes.of(chosen.lesson(), setting).movingSecPerPupil());
            if (with.movingSec() < leastMovingSec || (best != null && !with.before(best, moving)) || !sound(chosen))
                continue;
            best = with;
            if (!moving && best.quietApart()) break;
        }
        return best;
    }

    /** How good it could be: proven last, of the lesson that is told. */
    private Most most(Answered answered, Wishes wishes, double gives, Beside.@Nullable Laid laid) {
        Propose found = answered.found();
        Double ofSingles = gap(found.bound(), found.value(), gives);
        if (atHome()) return new Most(ofSingles, null);
        StationBound.Most most =
                new StationBound(lesson, setting, proposer, wishes.wish(), answered.ask(), answered.fitting()).most();
        // Without stations it is of lessons without them.
        Double gap = laid == null ? ofSingles : gap(most.worth(), laid.value(), laid.gives());
        return new Most(gap, most.movingShare());
    }

    /** @param gapShare how much better another could be @param movingLimit how long each could move, of the time to the bell */
    private record Most(@Nullable Double gapShare, @Nullable Double movingLimit) {}

    /** How much better another could be, as a share of what this one gives: its costs left out, since worth less costs may be about nothing. */
    private static @Nullable Double gap(@Nullable Double bound, double value, double gives) {
        return bound == null ? null : (Double) ((bound - value) / Math.max(1, gives));
    }

    /** A lesson that was put together, mended. */
    private record Chosen(Lesson lesson, List<Reason> reasons) {}

    private static List<ProposeAsk.Pick> picks(Propose found, List<Task> fitting) {
        return found.blocks().stream()
                .map(c -> new ProposeAsk.Pick(
                        fitting.indexOf(fitting.stream()
                                .filter(t -> t.ladder().id().equals(c.id()))
                                .findFirst()
                                .orElseThrow()),
                        c.option()))
                .toList();
    }

    /** @param laid stations besides, which come before what closes; or null */
    private Chosen chosen(List<Task> fitting, List<ProposeAsk.Pick> picks, Beside.@Nullable Laid laid) {
        List<Block> blocks = new ArrayList<>();
        List<Reason> reasons = new ArrayList<>();
        for (ProposeAsk.Pick pick : picks) {
            Task task = fitting.get(pick.candidate());
            if (laid != null && task.ladder().part() == Part.COOL_DOWN) stations(laid, blocks, reasons);
            Block block = task.block("n" + (blocks.size() + 1), pick.option());
            blocks.add(block);
            reasons.add(task.reason(block.id()));
        }
        if (laid == null) return new Chosen(Mending.of(lesson.withBlocks(blocks), setting), reasons);
        if (reasons.size() == picks.size()) stations(laid, blocks, reasons);
        Lesson together = lesson.withBlocks(blocks).withCircuits(List.of(laid.circuit()));
        return new Chosen(Mending.of(together, setting), reasons);
    }

    private static void stations(Beside.Laid laid, List<Block> blocks, List<Reason> reasons) {
        for (int i = 0; i < laid.tasks().size(); i++) {
            Block block = laid.stations().get(i);
            blocks.add(block);
            reasons.add(laid.tasks().get(i).reason(block.id()));
        }
    }

    private boolean sound(Chosen chosen) {
        Findings found = Findings.of(chosen.lesson(), setting);
        return found.stops().isEmpty()
                && found.findings().stream().noneMatch(f -> f.code() == Finding.Code.WATER_MISSING)
                && !chosen.lesson().circuits().isEmpty()
                && found.plan().pastBellSec() <= 0;
    }

    private static List<PassedOver> passedOver(List<Task> tasks, Set<String> in) {
        return tasks.stream()
                .filter(t -> !in.contains(t.ladder().id()))
                .sorted(Comparator.comparing(Task::merit).reversed())
                .limit(MOST_PASSED_OVER)
                .map(Task::passedOver)
                .toList();
    }

    private ProposeAsk ask(Wishes wishes, List<Task> tasks) {
        Wish wish = wishes.wish();
        int minutes = lesson.minutes();
        boolean home = atHome();
        return new ProposeAsk(
                60 * minutes,
                lesson.transitionSec(),
                home ? minutes < 8 ? 2 : 3 : minutes < 20 ? 2 : minutes < 30 ? 3 : 4,
                home
                        ? minutes < 8 ? 2 : minutes < 15 ? 4 : 6
                        : minutes < 20 ? 3 : minutes < 30 ? 4 : minutes < 45 ? 7 : 9,
                home ? 120.0 : 240.0,
                1.0,
                lesson.shape() != Lesson.Shape.BALL_FIRST,
                !home,
                new ProposeAsk.Weights(
                        10.0,
                        wish == Wish.MORE_NEW ? 16.0 : home ? 30.0 : 10.0,
                        wish == Wish.MORE_KINDS ? 25.0 : 3.0,
                        wish == Wish.MORE_MOVING ? 8.0 : 2.0,
                        1.0,
                        wish == Wish.CALMER ? 5.0 : 2.0,
                        // Where idle time is dear, a lesson that ends early must not be the way to save it.
                        wish == Wish.MORE_MOVING ? 8.0 : 1.0),
                tasks.stream()
                        .map(t -> t.candidate(wishes.keep().contains(t.ladder().id())))
                        .toList());
    }
}
