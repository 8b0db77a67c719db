package org.unrulymarble.core.record;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import java.util.function.ToDoubleFunction;
import org.unrulymarble.core.chance.Mastery;

/** Simulated pupils whose real rate is known, so that a stated certainty can be held against the truth. */
public final class PupilsOfKnownRate {

    private static final double HOLD = 0.8;
    private static final double FLOOR = 0.5;
    private static final int LESSONS = 6;
    private static final int DAYS_BETWEEN = 7;
    private static final int LUCKY_RUN = 10;

    private PupilsOfKnownRate() {}

    /** What was stated of the pupils in one tenth of certainty, and how many of them truly hold. */
    public record Tenth(int pupils, double stated, double truly) {}

    /**
     * @param sentUpByRun pupils who do not hold, sent up by ten in a row, as a share of all who do not hold
     * @param sentUpByUs the same by the reckoning
     */
    public record Outcome(List<Tenth> tenths, double sentUpByRun, double sentUpByUs) {

        /** The greatest distance of a stated certainty from the truth, among tenths with at least so many pupils. */
        public double worst(int leastPupils) {
            return tenths.stream()
                    .filter(t -> t.pupils() >= leastPupils)
                    .mapToDouble(t -> Math.abs(t.stated() - t.truly()))
                    .max()
                    .orElseThrow();
        }
    }

    /**
     * @param firstRate a pupil's rate in the first lesson
     * @param gainPerLesson how far each lesson brings the rate towards certainty, 0 to 1
     * @param halfLifeDays of the reckoning; very long is forgetting switched off
     */
    public static Outcome of(
            int pupils,
            long seed,
            ToDoubleFunction<SplittableRandom> firstRate,
            double gainPerLesson,
            double halfLifeDays) {
        SplittableRandom random = new SplittableRandom(seed);
        int[] count = new int[10];
        double[] stated = new double[10];
        int[] truly = new int[10];
        int weak = 0;
        int byRun = 0;
        int byUs = 0;
        for (int i = 0; i < pupils; i++) {
            double rate = firstRate.applyAsDouble(random);
            List<Mastery.Evidence> evidence = new ArrayList<>();
            int run = 0;
            int longest = 0;
            for (int lesson = 0; lesson < LESSONS; lesson++) {
                int hits = 0;
                int tries = 3 + random.nextInt(10);
                for (int t = 0; t < tries; t++) {
                    boolean hit = random.nextDouble() < rate;
                    if (hit) hits++;
                    run = hit ? run + 1 : 0;
                    longest = Math.max(longest, run);
                }
                double daysAgo = (double) DAYS_BETWEEN * (LESSONS - 1 - lesson);
                evidence.add(new Mastery.Evidence(daysAgo, hits, tries - hits));
                if (lesson < LESSONS - 1) rate += gainPerLesson * (1 - rate);
            }
            Mastery said = Mastery.of(new Mastery.MasteryAsk(evidence, halfLifeDays, HOLD, FLOOR, 0.9, 12.0));
            int tenth = Math.min(9, (int) (said.chanceHolds() * 10));
            count[tenth]++;
            stated[tenth] += said.chanceHolds();
            if (rate >= HOLD) truly[tenth]++;
            else {
                weak++;
                if (longest >= LUCKY_RUN) byRun++;
                if (said.advice() == Mastery.Advice.UP) byUs++;
            }
        }
        List<Tenth> tenths = new ArrayList<>();
        for (int t = 0; t < 10; t++)
            tenths.add(new Tenth(
                    count[t],
                    count[t] == 0 ? 0 : stated[t] / count[t],
                    count[t] == 0 ? 0 : (double) truly[t] / count[t]));
        return new Outcome(tenths, (double) byRun / weak, (double) byUs / weak);
    }

    public static double evenly(SplittableRandom random) {
        return random.nextDouble();
    }

    /** Most are weak: the square of an even draw. */
    public static double mostlyWeak(SplittableRandom random) {
        double u = random.nextDouble();
        return u * u;
    }

    /** The figures that the notes state; run by the bench. */
    public static void main(String[] args) {
        say("rates even, forgetting off", of(20_000, 7, PupilsOfKnownRate::evenly, 0, 1e9));
        say("rates even, half after 42 days", of(20_000, 7, PupilsOfKnownRate::evenly, 0, 42));
        say("most pupils weak, half after 42 days", of(20_000, 7, PupilsOfKnownRate::mostlyWeak, 0, 42));
        say("who improve while they practise, half after 42 days", of(20_000, 7, PupilsOfKnownRate::evenly, 0.15, 42));
    }

    private static void say(String who, Outcome o) {
        System.out.printf(
                Locale.ENGLISH,
                "pupils of known rate, %s: stated certainty off the truth by at most %.1f points in a tenth of 200 or more; of those who do not hold,"
                        + " ten in a row sends up %.1f %%, we send up %.1f %%%n",
                who,
                100 * o.worst(200),
                100 * o.sentUpByRun(),
                100 * o.sentUpByUs());
        for (Tenth t : o.tenths())
            System.out.printf(
                    Locale.ENGLISH, "    %5d pupils: stated %.3f, truly %.3f%n", t.pupils(), t.stated(), t.truly());
    }
}
