package org.unrulymarble.core.ladder;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.place.Noise;

/** Finds ladders by what they are for and by words. */
public final class Search {

    /** Of every sport. */
    public static final String ALL_SPORTS = "all";

    private static final int THREE_AND_MORE = 3;

    private final List<Ladder> ladders;
    private final WordSearch words;

    /** Reads words: an engine, which is none of the core's business. */
    public interface WordSearch {
        /** @return the ladders that the words mean, best first; none where they mean nothing */
        List<Ladder> meant(String words);
    }

    /** @param ladders in the order in which they are shown where no words are asked for */
    public Search(Collection<Ladder> ladders, WordSearch words) {
        this.ladders = List.copyOf(ladders);
        this.words = words;
    }

    /**
     * What is wanted; null where it is all the same.
     *
     * @param words as a teacher says them, up to 100 letters
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

    /** The ladders that are wanted: a sport's own before those of every sport, then by how well the words fit, else in their order. */
    public List<Ladder> among(Wanted wanted) {
        boolean asked = wanted.words() != null && !wanted.words().isBlank();
        return (asked ? words.meant(wanted.words()) : ladders)
                .stream()
                        .filter(l -> takes(l, wanted))
                        .sorted(Comparator.comparing(
                                l -> wanted.sport() != null && !l.sports().contains(wanted.sport())))
                        .toList();
    }

    private static boolean takes(Ladder l, Wanted w) {
        return (w.sport() == null
                        || l.sports().contains(w.sport())
                        || l.sports().contains(ALL_SPORTS))
                && (w.family() == null || l.family() == w.family())
                && (w.aspect() == null || l.aspects().contains(w.aspect()))
                && (w.people() == null || Math.min(THREE_AND_MORE, l.perSpot()) == w.people())
                && (w.noise() == null || l.noise().compareTo(w.noise()) <= 0);
    }
}
