package org.unrulymarble.core.ladder;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.unrulymarble.core.chance.GateChance;
import org.unrulymarble.core.kit.KitKinds;
import org.unrulymarble.core.kit.KitProperty;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.measure.Furthest;
import org.unrulymarble.core.measure.HeldForTime;
import org.unrulymarble.core.measure.KeepAll;
import org.unrulymarble.core.measure.TimeForN;
import org.unrulymarble.core.skill.GateStandard;

/** The rules for every shipped rung that can be checked without a teacher. */
class SoundRungsTest {

    private static final Catalogue CATALOGUE = Catalogue.shipped();
    private static final KitKinds KINDS = KitKinds.shipped();
    private static final double LEAST = 0.6;
    private static final double MOST = 0.8;

    /** A rung under its ladder. */
    record Of(Ladder ladder, Rung rung) {
        @Override
        public String toString() {
            return ladder.id() + "/" + rung.id();
        }
    }

    static Stream<Of> rungs() {
        return CATALOGUE.all().stream().flatMap(l -> l.rungs().stream().map(r -> new Of(l, r)));
    }

    static Stream<Of> gated() {
        return rungs().filter(
                        of -> GateChance.known(of.rung().measure(), of.rung().gate()))
                .filter(of -> !(of.rung().measure() instanceof HeldForTime));
    }

    @ParameterizedTest
    @MethodSource("gated")
    void its_gate_is_passed_by_60_to_80_of_100_in_one_round_at_its_own_pace(Of of) {
        assertThat(GateStandard.chance(of.rung(), of.rung().pace().share()).orElseThrow())
                .isBetween(LEAST, MOST);
    }

    /** What is measured off says so in the task itself: a substitute has only that. */
    @Test
    void where_one_stands_is_in_the_task() {
        Pattern place = Pattern.compile("\\{(stand|start|spotsLie|taskShoes|taskM)");
        // Its ball goes as far as it likes; its cups stand at three distances.
        Set<String> without = Set.of("swing-like-a-clock/ahead-of-the-foot", "cups-and-cloths/near-middle-far-cups");
        assertThat(rungs().filter(of -> of.rung().standM() != null)
                        .filter(of -> !place.matcher(of.rung().task()).find())
                        .map(Of::toString))
                .containsExactlyInAnyOrderElementsOf(without);
    }

    @Test
    void easier_and_harder_are_whole_sentences() throws IOException {
        String[] lists = Files.readString(Path.of("src/test/resources/ladders/sentences.txt"))
                .replaceFirst("#.*\n", "")
                .split("\n\n");
        Set<String> does = Set.of(lists[0].split("\\s+"));
        Set<String> isSo = Set.of(lists[1].split("\\s+"));
        assertThat(rungs().flatMap(of ->
                        Stream.of(of.rung().easier(), of.rung().harder()).map(said -> of + ": " + said)))
                .allSatisfy(line -> {
                    List<String> words = List.of(line.replaceFirst(".*?: ", "").split("[^\\p{L}-]+"));
                    assertThat(line).endsWith(".");
                    assertThat(words).hasSizeGreaterThan(1);
                    assertThat(does.contains(words.get(0)) || words.stream().anyMatch(isSo::contains))
                            .as(line)
                            .isTrue();
                });
    }

    @Test
    void so_is_one_that_asks_for_a_time_or_for_goes_until_all_are_kept() {
        rungs().filter(of -> of.rung().measure() instanceof TimeForN).forEach(of -> {
            TimeForN fixed = (TimeForN) of.rung().measure();
            Pace pace = of.rung().pace();
            assertThat(GateChance.hitsWithin(
                            fixed.n(), pace, pace.share(), of.rung().gate().reach()))
                    .as(of.toString())
                    .isBetween(LEAST, MOST);
        });
        rungs().filter(of -> of.rung().measure() instanceof KeepAll)
                .forEach(of ->
                        assertThat(keptWithin(of.rung())).as(of.toString()).isBetween(LEAST, MOST));
    }

    /** Share of ten thousand seeded games that are over within the gate's goes. */
    private static double keptWithin(Rung rung) {
        KeepAll keep = (KeepAll) rung.measure();
        Random random = new Random(5);
        int games = 10_000;
        int within = 0;
        for (int game = 0; game < games; game++) {
            boolean[] kept = new boolean[keep.balls()];
            int left = keep.balls();
            int goes = 0;
            while (left > 0) {
                goes++;
                int ball = random.nextInt(keep.balls());
                boolean thrown = keep.draw() == KeepAll.Draw.LEFT || !kept[ball];
                if (!thrown || random.nextDouble() >= rung.pace().share()) continue;
                kept[ball] = true;
                left--;
            }
            if (goes <= rung.gate().reach()) within++;
        }
        return (double) within / games;
    }

    @ParameterizedTest
    @MethodSource("rungs")
    void its_floor_holds_the_way_back_that_its_gate_asks_for(Of of) {
        if (!of.ladder().footprint().oneRow() && !of.ladder().footprint().needsWall()) return;
        Rung rung = of.rung();
        double standsM = rung.standM() == null ? 0 : rung.standM();
        if (rung.measure() instanceof Furthest furthest) {
            double startM = furthest.stairs().startM() == null
                    ? standsM
                    : furthest.stairs().startM();
            standsM = Math.max(
                    standsM, startM + rung.gate().reach() * furthest.stairs().stepM());
        }

        assertThat(of.ladder().footprint(rung).lengthM()).isGreaterThanOrEqualTo(standsM);
    }

    @Test
    void harder_is_never_blind_never_nearer_and_never_a_faster_ball() {
        List<String> blind = new ArrayList<>();
        rungs().forEach(of -> {
            String harder = of.rung().words().harder().toLowerCase(Locale.ROOT);
            if (harder.matches(
                    ".*(eyes shut|close your eyes|looks away|in the dark|nearer|(quicker|faster|harder) (roll|push|throw|ball|feed|toss|pass)).*"))
                blind.add(of + ": " + harder);
        });

        assertThat(blind).isEmpty();
    }

    /** "Easier: 3 m." says to nobody what is to be 3 m. */
    @Test
    void easier_and_harder_are_no_bare_figures() {
        assertThat(rungs().filter(of -> Stream.of(of.rung().easier(), of.rung().harder())
                        .anyMatch(text -> text.matches("\\{\\w+}\\."))))
                .isEmpty();
    }

    @Test
    void what_has_to_bounce_is_nothing_that_does_not() {
        Set<String> told = Set.of("clap-and-bounce", "one-bounce");
        rungs().filter(of -> told.contains(of.rung().id()))
                .forEach(of -> assertThat(of.ladder().kit(of.rung()).stream().map(KitRole::needs))
                        .as(of.toString())
                        .anyMatch(needs -> needs.contains(KitProperty.BOUNCES)));
    }

    @Test
    void small_hard_balls_lie_only_in_ladders_that_caution_of_them() {
        Set<Caution> ofHard = Set.of(
                Caution.HARD_BALL_FACE, Caution.PROTECTIVE_GEAR, Caution.GLASS_BEHIND_TARGET, Caution.STAIRS_AND_DOORS);
        for (Ladder ladder : CATALOGUE.all()) {
            boolean hard = ladder.ballOrder().stream()
                    .anyMatch(ball ->
                            KINDS.kind(ball).filter(k -> k.hard() && k.grips()).isPresent());
            if (hard) assertThat(ladder.cautions()).as(ladder.id()).containsAnyElementsOf(ofHard);
        }
    }

    @Test
    void what_is_thrown_at_people_in_a_dodge_is_foam_or_socks() {
        Ladder dodge = CATALOGUE.ladder("soft-dodge").orElseThrow();
        assertThat(dodge.kit())
                .filteredOn(role -> role.role().equals("balls"))
                .singleElement()
                .satisfies(role -> {
                    assertThat(role.kind()).isEqualTo("sock-ball");
                    assertThat(role.standIns()).extracting(s -> s.kind()).containsExactly("small-foam-ball");
                });
    }

    @Test
    void nobody_throws_at_one_who_is_turning_away_or_has_not_looked() {
        Rung turn = CATALOGUE.rung("called-turns", "turn-on-the-word").orElseThrow();
        Rung behind = CATALOGUE.rung("fed-from-behind", "turn-and-catch").orElseThrow();

        assertThat(turn.words().task()).contains("only then is the ball thrown");
        assertThat(behind.words().task()).contains("throws when you face the wall");
    }

    @Test
    void every_ladder_says_how_it_is_done_seated_with_one_hand_and_seeing_little() {
        assertThat(CATALOGUE.all()).filteredOn(l -> l.seated() == null).isEmpty();
        assertThat(CATALOGUE.all()).filteredOn(l -> l.oneHand() == null).isEmpty();
        assertThat(CATALOGUE.all()).filteredOn(l -> l.ages() == null).isEmpty();
        // Nobody who sees little stands where something is thrown at them.
        assertThat(CATALOGUE.all())
                .filteredOn(l -> l.seesLittle() == null)
                .extracting(Ladder::id)
                .containsExactly("soft-dodge");
    }

    @Test
    void nobody_is_called_fed_or_copied_where_everybody_works_alone() {
        Pattern others = Pattern.compile("\\b(partner|neighbour|leader|whistle|feeder|caller|that is called)\\b");
        assertThat(rungs().filter(of -> of.ladder().perSpot() == 1)
                        .filter(of -> others.matcher(of.rung().words().task().toLowerCase(Locale.ROOT))
                                .find()))
                .isEmpty();
    }

    @Test
    void cautions_follow_from_what_is_done() {
        for (Ladder ladder : CATALOGUE.all()) {
            Set<Caution> cautions = Set.copyOf(ladder.cautions());
            if (ladder.swingM() != null) assertThat(cautions).as(ladder.id()).contains(Caution.SWING_CLEARANCE);
            if (ladder.footprint().needsWall() && ladder.swingM() == null)
                assertThat(cautions).as(ladder.id()).containsAnyOf(Caution.GLASS_BEHIND_TARGET, Caution.FAST_RETURN);
            if (ladder.rungs().stream().anyMatch(r -> r.manner().feet() == Manner.Feet.WORKING))
                assertThat(cautions).as(ladder.id()).containsAnyOf(Caution.LACES, Caution.WET_FLOOR);
        }
    }

    /** Two rungs of different ladders that share half of their phrases would be one task under two names. */
    /** Whoever looks for one finds it by its words, and does not take it for another. */
    @Test
    void no_two_ladders_have_names_of_the_same_words() {
        Set<String> small = Set.of("a", "an", "and", "at", "by", "in", "of", "on", "the", "to", "with");
        Set<Set<String>> names = new HashSet<>();
        for (Ladder ladder : CATALOGUE.all()) {
            Set<String> words = new HashSet<>();
            for (String word : ladder.name().toLowerCase(Locale.ROOT).split("[^a-z]+"))
                // One marker is called as many are.
                if (!small.contains(word)) words.add(word.replaceFirst("(ed|er|ers|s)$", ""));
            assertThat(words).as(ladder.name()).hasSizeGreaterThan(1);
            assertThat(names.add(words)).as(ladder.name()).isTrue();
        }
    }

    @Test
    void no_task_is_there_twice() {
        List<Of> all = rungs().toList();
        List<Set<String>> phrases =
                all.stream().map(of -> phrases(of.rung().task())).toList();
        List<String> alike = new ArrayList<>();
        for (int a = 0; a < all.size(); a++)
            for (int b = a + 1; b < all.size(); b++) {
                if (all.get(a).ladder().id().equals(all.get(b).ladder().id())) continue;
                Set<String> both = new HashSet<>(phrases.get(a));
                both.retainAll(phrases.get(b));
                int either = phrases.get(a).size() + phrases.get(b).size() - both.size();
                if (2 * both.size() > either) alike.add(all.get(a) + " and " + all.get(b));
            }

        assertThat(alike).isEmpty();
    }

    private static Set<String> phrases(String text) {
        String[] words = text.toLowerCase(Locale.ROOT).split("\\W+");
        Set<String> threes = new HashSet<>();
        for (int i = 0; i + 2 < words.length; i++) threes.add(words[i] + " " + words[i + 1] + " " + words[i + 2]);
        return threes;
    }

    @Test
    void there_is_enough_to_begin_and_to_end_with_and_for_the_first_and_the_last_years() {
        assertThat(CATALOGUE.all()).hasSizeGreaterThanOrEqualTo(120);
        assertThat(rungs()).hasSizeGreaterThanOrEqualTo(480);
        for (Part part : List.of(Part.WARM_UP, Part.COOL_DOWN))
            assertThat(CATALOGUE.all())
                    .filteredOn(l -> l.part() == part && l.perSpot() <= 2)
                    .as(part.name())
                    .hasSizeGreaterThanOrEqualTo(6);
    }
}
