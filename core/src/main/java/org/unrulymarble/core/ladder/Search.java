package org.unrulymarble.core.ladder;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fields;

/** Finds ladders by what they are for and by words; every word must be met somewhere, the name weighs most. */
public final class Search {

    /** Of every sport. */
    public static final String ALL_SPORTS = "all";

    private static final int LEAST_STEM = 4;
    private static final List<String> ENDINGS = List.of("ing", "ers", "ed", "er", "es", "s", "e");
    private static final String STEM = "~";
    private static final int WHOLE = 4;
    private static final int BEGUN = 3;
    private static final int STEMMED = 2;
    private static final int THREE_AND_MORE = 3;
    private static final int OWN_SPORT = 1000;

    /** By ladder, each word that it has with what it weighs there. */
    private final Map<Ladder, TreeMap<String, Integer>> words = new LinkedHashMap<>();

    /** @param ladders in the order in which ties are shown */
    public Search(Collection<Ladder> ladders) {
        for (Ladder ladder : ladders) words.put(ladder, weighed(ladder));
    }

    /**
     * What is wanted; null where it is all the same.
     *
     * @param words in any order, whole or begun, up to 100 letters
     * @param people who share a spot: 1, 2, or 3 for three and more
     * @param noise no louder than this
     */
    public record Wanted(String words, String sport, Family family, Aspect aspect, Integer people, Noise noise) {
        public Wanted {
            Checks checks = new Checks();
            if (words != null && !words.isBlank()) checks.text("words", words, 100);
            if (people != null) checks.range("people", people, 1, THREE_AND_MORE);
            checks.done();
        }
    }

    /** The ladders that are wanted: by how well the words fit, a sport's own before those of every sport, else in their order. */
    public List<Ladder> among(Wanted wanted) {
        List<String> asked = wanted.words() == null ? List.of() : words(wanted.words());
        List<Scored> found = new ArrayList<>();
        for (Map.Entry<Ladder, TreeMap<String, Integer>> entry : words.entrySet()) {
            Ladder ladder = entry.getKey();
            if (!takes(ladder, wanted)) continue;
            int score = score(entry.getValue(), asked);
            if (score == 0 && !asked.isEmpty()) continue;
            boolean ownSport = wanted.sport() == null || ladder.sports().contains(wanted.sport());
            found.add(new Scored(score + (ownSport ? OWN_SPORT : 0), ladder));
        }
        found.sort(Comparator.comparingInt((Scored s) -> -s.score()));
        return found.stream().map(Scored::ladder).toList();
    }

    private record Scored(int score, Ladder ladder) {}

    private static boolean takes(Ladder l, Wanted w) {
        return (w.sport() == null
                        || l.sports().contains(w.sport())
                        || l.sports().contains(ALL_SPORTS))
                && (w.family() == null || l.family() == w.family())
                && (w.aspect() == null || l.aspects().contains(w.aspect()))
                && (w.people() == null || Math.min(THREE_AND_MORE, l.perSpot()) == w.people())
                && (w.noise() == null || l.noise().compareTo(w.noise()) <= 0);
    }

    /** 0 unless each word is met. */
    private static int score(TreeMap<String, Integer> have, List<String> asked) {
        int sum = 0;
        for (String word : asked) {
            int best = best(have, word);
            if (best == 0) return 0;
            sum += best;
        }
        return sum;
    }

    /** The word itself, words that begin like it, and those with its stem: passes and passing are met by pass. */
    private static int best(TreeMap<String, Integer> have, String word) {
        int best = Math.max(WHOLE * have.getOrDefault(word, 0), STEMMED * have.getOrDefault(STEM + stem(word), 0));
        for (Map.Entry<String, Integer> e : have.tailMap(word, true).entrySet()) {
            if (!e.getKey().startsWith(word)) break;
            best = Math.max(best, BEGUN * e.getValue());
        }
        return best;
    }

    private static String stem(String word) {
        for (String ending : ENDINGS)
            if (word.endsWith(ending) && word.length() - ending.length() >= LEAST_STEM)
                return word.substring(0, word.length() - ending.length());
        return word;
    }

    private static TreeMap<String, Integer> weighed(Ladder l) {
        TreeMap<String, Integer> out = new TreeMap<>();
        put(out, 9, l.name());
        l.sports().forEach(sport -> put(out, 6, sport));
        put(out, 4, Fields.small(l.family()));
        l.aspects().forEach(aspect -> put(out, 4, Fields.small(aspect)));
        l.roles().forEach(role -> put(out, 3, role.name()));
        l.kit().forEach(kit -> put(out, 4, kit.what() + " " + kit.kind()));
        if (Boolean.TRUE.equals(l.footprint().needsWall())) put(out, 4, "wall");
        l.cues().forEach(cue -> put(out, 1, cue));
        for (Rung r : l.rungs()) {
            put(out, 5, r.name());
            put(out, 2, r.task() + " " + r.change() + " " + r.unit());
        }
        return out;
    }

    private static void put(TreeMap<String, Integer> out, int weight, String text) {
        for (String word : words(text)) {
            out.merge(word, weight, Math::max);
            out.merge(STEM + stem(word), weight, Math::max);
        }
    }

    private static List<String> words(String text) {
        List<String> words = new ArrayList<>();
        for (String word : text.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+"))
            if (!word.isEmpty()) words.add(word);
        return words;
    }
}
