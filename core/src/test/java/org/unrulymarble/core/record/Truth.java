package org.unrulymarble.core.record;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import java.util.function.ToDoubleFunction;
import org.unrulymarble.core.chance.Mastery;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.run.RoundResult;
import org.unrulymarble.core.skill.Difficulties;
import org.unrulymarble.core.skill.LearntSkill;
import org.unrulymarble.core.skill.SkillLearner;

/**
 * Holds the advice against the truth: pupils of known ability practise six weeks, three to twelve counted tries a lesson, and each way to decide says who
 * goes up. The figures are learnt from other pupils of the same kind first, as a school's would be. Seeded.
 */
public final class Truth {

    private static final Ladder LADDER =
            Catalogue.shipped().ladder("sock-bullseye").orElseThrow();
    private static final Rung RUNG = LADDER.rung("big-ring").orElseThrow();
    private static final int LESSONS = 6;
    private static final int SCHOOLS = 5;
    private static final int OTHERS = 400;
    private static final int A_CLASS = 24;
    private static final int DAYS_BETWEEN = 7;
    private static final LocalDate FIRST = LocalDate.of(2026, 9, 7);
    private static final Readiness HOW = new Readiness(
            Readiness.School.RECKONED, 3, 3, 5, Readiness.Standard.ONE_FOR_ALL, 0.8, 0.5, 0.9, 12.0, 42.0, 0.5);

    private Truth() {}

    /** Pupils of one kind: ability in logits at first, what each of so many lessons adds, form of a day, and how much the last try pulls at the next. */
    public enum Kind {
        UNIFORM("shares even from 0 to 1, standing still", r -> logit(0.01 + 0.98 * r.nextDouble()), 0, 0, 0, 0),
        GOOD("a good class, standing still", r -> 1.7 + 0.8 * normal(r), 0, 0, 0, 0),
        WEAK("a weak class, standing still", r -> 0.2 + 0.8 * normal(r), 0, 0, 0, 0),
        IMPROVING("who improve while they practise", r -> 0.2 + normal(r), 0.3, LESSONS, 0, 0),
        LEVELLING("who improve for three lessons and then stand still", r -> 0.2 + normal(r), 0.5, 3, 0, 0),
        STREAKY("who hit and miss in streaks", r -> 0.9 + normal(r), 0, 0, 0, 0.8),
        FORM("with good and bad days", r -> 0.9 + normal(r), 0, 0, 0.7, 0);

        final String about;
        final ToDoubleFunction<SplittableRandom> first;
        final double gain;
        final int growing;
        final double form;
        final double pull;

        Kind(
                String about,
                ToDoubleFunction<SplittableRandom> first,
                double gain,
                int growing,
                double form,
                double pull) {
            this.about = about;
            this.first = first;
            this.gain = gain;
            this.growing = growing;
            this.form = form;
            this.pull = pull;
        }
    }

    /** A way to decide. */
    public enum Way {
        SKILL("read from every try"),
        ONE_CLASS("the same when one class of 24 has taught"),
        HOUSE("the same before anything was learnt"),
        FORMER("the former advice"),
        TEN_IN_A_ROW("ten in a row"),
        EIGHT_OF_TEN("8 of the last 10"),
        TEN_OF_TEN("10 of the last 10");

        final String about;

        Way(String about) {
            this.about = about;
        }
    }

    /** One pupil after the six lessons. {@code since} the lesson, from 1, since which each way says up without a break; 0 where it does not. */
    private record Pupil(
            boolean holds, double chance, double formerChance, int[] upSince, boolean flips, boolean formerFlips) {}

    /** What one way said of one kind of pupils. */
    public record Said(Way way, int rightUp, int wrongUp, double meanLesson) {
        public double share() {
            return rightUp + wrongUp == 0 ? 1 : (double) rightUp / (rightUp + wrongUp);
        }
    }

    public record Tenth(int pupils, double stated, double truly) {}

    /**
     * @param rightAtEqualWrong right ups of the reckoning when it is made to be as often wrong as the former advice was; {@code formerRight} of that
     * @param flips share of pupils whose word changed in a quiet week; {@code formerFlips} by the former advice
     */
    public record Outcome(
            Kind kind,
            LearntSkill learnt,
            int pupils,
            int holding,
            List<Tenth> tenths,
            List<Said> said,
            int rightAtEqualWrong,
            int formerRight,
            double flips,
            double formerFlips) {
        public Said by(Way way) {
            return said.stream().filter(s -> s.way() == way).findFirst().orElseThrow();
        }
    }

    /** So many schools of 400 others that taught, and as many pupils of each. */
    public static Outcome of(Kind kind, int schools, int pupils, long seed) {
        SplittableRandom all = new SplittableRandom(seed);
        List<School> each = new ArrayList<>();
        for (int i = 0; i < schools; i++) each.add(new School(kind, pupils, all.split()));
        List<Taught> taught = each.parallelStream().map(School::taught).toList();
        return outcome(
                kind,
                taught.get(0).learnt(),
                taught.stream().flatMap(t -> t.pupils().stream()).toList());
    }

    private record Taught(LearntSkill learnt, List<Pupil> pupils) {}

    private record School(Kind kind, int pupils, SplittableRandom random) {

        Taught taught() {
            Difficulties house = Difficulties.of(LADDER, 0.8);
            List<SkillLearner.Series> others = new ArrayList<>();
            for (int i = 0; i < OTHERS; i++) {
                List<SkillLearner.DayOnRung> days = new ArrayList<>();
                for (Lesson l : practise(kind, random))
                    days.add(new SkillLearner.DayOnRung(DAYS_BETWEEN * l.number(), RUNG.id(), l.hits(), l.misses()));
                others.add(new SkillLearner.Series("other" + i, house, LADDER.id(), days));
            }
            LearntSkill learnt = SkillLearner.of(others, 0);
            LearntSkill oneClass = SkillLearner.of(others.subList(0, A_CLASS), 0);
            List<Pupil> all = new ArrayList<>();
            for (int i = 0; i < pupils; i++) all.add(pupil(kind, random, learnt, oneClass));
            return new Taught(learnt, all);
        }
    }

    private record Lesson(int number, int hits, int misses, boolean[] tries, double ability) {}

    private static List<Lesson> practise(Kind kind, SplittableRandom random) {
        double ability = kind.first.applyAsDouble(random);
        List<Lesson> lessons = new ArrayList<>();
        for (int n = 0; n < LESSONS; n++) {
            double form = kind.form * normal(random);
            boolean[] tries = new boolean[3 + random.nextInt(10)];
            int hits = 0;
            double pull = 0;
            for (int t = 0; t < tries.length; t++) {
                tries[t] = random.nextDouble() < 1 / (1 + Math.exp(-(ability + form + pull)));
                if (tries[t]) hits++;
                pull = kind.pull * (tries[t] ? 1 : -1);
            }
            lessons.add(new Lesson(n, hits, tries.length - hits, tries, ability));
            if (n < kind.growing) ability += kind.gain;
        }
        return lessons;
    }

    private static Pupil pupil(Kind kind, SplittableRandom random, LearntSkill learnt, LearntSkill oneClass) {
        List<Lesson> lessons = practise(kind, random);
        double share = kind.pull == 0
                ? 1 / (1 + Math.exp(-lessons.get(LESSONS - 1).ability()))
                : streakyShare(kind, lessons.get(LESSONS - 1).ability());
        List<Attempt> attempts = new ArrayList<>();
        List<Boolean> tries = new ArrayList<>();
        int[] upSince = new int[Way.values().length];
        boolean row = false;
        SkillRead read = null;
        for (Lesson l : lessons) {
            LocalDate on = FIRST.plusDays((long) DAYS_BETWEEN * l.number());
            attempts.add(attempt(l, on));
            for (boolean t : l.tries()) {
                tries.add(t);
                row |= last(tries, 10) == 10;
            }
            read = SkillRead.of(Side.STRONG, LADDER, RUNG, attempts, new Judge(HOW, learnt, on));
            boolean[] up = {
                read.word() == Mastery.Advice.UP,
                up(attempts, oneClass, on),
                up(attempts, LearntSkill.NOTHING, on),
                former(lessons.subList(0, l.number() + 1), 0).advice() == Mastery.Advice.UP,
                row,
                last(tries, 10) >= 8,
                last(tries, 10) == 10
            };
            for (int w = 0; w < up.length; w++) upSince[w] = !up[w] ? 0 : upSince[w] == 0 ? l.number() + 1 : upSince[w];
        }
        LocalDate end = FIRST.plusDays((long) DAYS_BETWEEN * (LESSONS - 1));
        SkillRead later = SkillRead.of(Side.STRONG, LADDER, RUNG, attempts, new Judge(HOW, learnt, end.plusDays(7)));
        Mastery then = former(lessons, 0);
        return new Pupil(
                share >= 0.8,
                read.chanceHolds(),
                then.weightedTries() < HOW.minTries() ? 0 : then.chanceHolds(),
                upSince,
                later.word() != read.word() || later.seeAgain(),
                former(lessons, 7).advice() != then.advice());
    }

    private static boolean up(List<Attempt> attempts, LearntSkill learnt, LocalDate on) {
        return SkillRead.of(Side.STRONG, LADDER, RUNG, attempts, new Judge(HOW, learnt, on))
                        .word()
                == Mastery.Advice.UP;
    }

    /** What goes in in the long run where the last try pulls at the next. */
    private static double streakyShare(Kind kind, double ability) {
        double afterHit = 1 / (1 + Math.exp(-(ability + kind.pull)));
        double afterMiss = 1 / (1 + Math.exp(-(ability - kind.pull)));
        return afterMiss / (1 - afterHit + afterMiss);
    }

    private static Mastery former(List<Lesson> lessons, int daysLater) {
        int end = lessons.get(lessons.size() - 1).number();
        return Mastery.of(new Mastery.MasteryAsk(
                lessons.stream()
                        .map(l -> new Mastery.Evidence(
                                (double) DAYS_BETWEEN * (end - l.number()) + daysLater, l.hits(), l.misses()))
                        .toList(),
                HOW.halfLifeDays(),
                0.8,
                0.5,
                HOW.sure(),
                HOW.minTries()));
    }

    private static int last(List<Boolean> tries, int n) {
        return tries.size() < n
                ? 0
                : (int) tries.subList(tries.size() - n, tries.size()).stream()
                        .filter(t -> t)
                        .count();
    }

    private static Attempt attempt(Lesson l, LocalDate on) {
        return new Attempt(
                "a" + l.number(),
                "ada",
                on,
                new Attempt.Task(LADDER.id(), RUNG.id(), List.of(), Side.STRONG),
                1,
                new Attempt.Counts(l.hits(), l.hits(), l.misses(), l.hits() + l.misses(), null),
                null,
                new Attempt.Things(null, null, null),
                new Attempt.Setting(null, null, null),
                new Attempt.Worth(RoundResult.Source.ADULT, true, false, false),
                null,
                List.of());
    }

    private static Outcome outcome(Kind kind, LearntSkill learnt, List<Pupil> all) {
        List<Said> said = new ArrayList<>();
        for (Way way : Way.values()) {
            int w = way.ordinal();
            List<Pupil> up = all.stream().filter(p -> p.upSince()[w] > 0).toList();
            List<Pupil> right = up.stream().filter(Pupil::holds).toList();
            said.add(new Said(
                    way,
                    right.size(),
                    up.size() - right.size(),
                    right.stream().mapToInt(p -> p.upSince()[w]).average().orElse(Double.NaN)));
        }
        List<Tenth> tenths = new ArrayList<>();
        for (int t = 0; t < 10; t++) {
            int tenth = t;
            List<Pupil> in = all.stream()
                    .filter(p -> Math.min(9, (int) (p.chance() * 10)) == tenth)
                    .toList();
            tenths.add(new Tenth(
                    in.size(),
                    in.stream().mapToDouble(Pupil::chance).average().orElse(0),
                    in.stream().mapToDouble(p -> p.holds() ? 1 : 0).average().orElse(0)));
        }
        Said former = said.get(Way.FORMER.ordinal());
        return new Outcome(
                kind,
                learnt,
                all.size(),
                (int) all.stream().filter(Pupil::holds).count(),
                tenths,
                said,
                rightAt(all, former.wrongUp()),
                former.rightUp(),
                share(all, Pupil::flips),
                share(all, Pupil::formerFlips));
    }

    /** How many are rightly sent up before so many are wrongly, from the surest down. */
    private static int rightAt(List<Pupil> all, int wrong) {
        int right = 0;
        int off = 0;
        for (Pupil p : all.stream()
                .sorted(Comparator.comparingDouble(Pupil::chance).reversed())
                .toList()) {
            if (p.holds()) right++;
            else if (++off > wrong) break;
        }
        return right;
    }

    private static double share(List<Pupil> all, java.util.function.Predicate<Pupil> which) {
        return (double) all.stream().filter(which).count() / all.size();
    }

    private static double logit(double share) {
        return Math.log(share / (1 - share));
    }

    private static double normal(SplittableRandom random) {
        return Math.sqrt(-2 * Math.log(1 - random.nextDouble())) * Math.cos(2 * Math.PI * random.nextDouble());
    }

    /** Writes docs/truth.md. @param args the file, and how many pupils of each kind and school */
    public static void main(String[] args) throws IOException {
        int pupils = args.length > 1 ? Integer.parseInt(args[1]) : 2000;
        StringBuilder page = new StringBuilder(HEAD.formatted(SCHOOLS * pupils));
        for (Kind kind : Kind.values()) page.append(told(of(kind, SCHOOLS, pupils, 7)));
        Files.writeString(Path.of(args[0]), page);
        System.out.print(page);
    }

    private static final String HEAD = """
            # Is the advice true?

            Made by `./marble truth`; seeded, so it comes out the same. %,d simulated pupils of each kind, whose true ability is known, in five schools, practise six
            weeks with three to twelve counted tries each. Held is a true share of 80 %% or more. Each way to decide says after the last lesson who goes up. The
            figures are learnt from 400 other pupils of the same kind and school first, as a school's own would be, or from one class of 24 of them. A word
            counts from the lesson since which it stood.

            """;

    private static String told(Outcome o) {
        StringBuilder out = new StringBuilder("## %s: %s\n\n"
                .formatted(
                        o.kind().name().charAt(0) + o.kind().name().substring(1).toLowerCase(Locale.ROOT),
                        o.kind().about));
        out.append(
                "%,d of %,d hold. Learnt in the first school: mean %.2f, sd %.2f, gain %.2f a lesson, drift %.2f a day, form %.2f.\n\n"
                        .formatted(
                                o.holding(),
                                o.pupils(),
                                o.learnt().figures().priorMean(),
                                o.learnt().figures().priorSd(),
                                o.learnt().figures().gainPerDay(),
                                o.learnt().figures().driftSdPerDay(),
                                o.learnt().figures().formSd()));
        out.append(
                "| way | rightly up | wrongly up | right of those sent up | lesson of a right word |\n|---|---|---|---|---|\n");
        for (Said s : o.said())
            out.append("| %s | %d | %d | %.0f %% | %.1f |\n"
                    .formatted(s.way().about, s.rightUp(), s.wrongUp(), 100 * s.share(), s.meanLesson()));
        out.append(
                "\nAs often wrong as the former advice, it finds %d where that found %d (%.2f times). In a quiet week %.1f %% of words change or ask to be seen again (formerly %.1f %%).\n\n"
                        .formatted(
                                o.rightAtEqualWrong(),
                                o.formerRight(),
                                (double) o.rightAtEqualWrong() / Math.max(1, o.formerRight()),
                                100 * o.flips(),
                                100 * o.formerFlips()));
        out.append("| stated held | ");
        for (Tenth t : o.tenths()) out.append("%.2f | ".formatted(t.stated()));
        out.append("\n|---|").append("---|".repeat(10)).append("\n| truly held | ");
        for (Tenth t : o.tenths()) out.append("%.2f | ".formatted(t.truly()));
        out.append("\n| pupils | ");
        for (Tenth t : o.tenths()) out.append("%d | ".formatted(t.pupils()));
        return out.append("\n\n").toString();
    }
}
