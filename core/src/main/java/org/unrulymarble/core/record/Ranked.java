package org.unrulymarble.core.record;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * One pupil's place among the class, told only when asked for.
 *
 * @param place from 1; who is level shares one
 * @param gain median over the pupil's challenges of how much the best is better than the own first, as a share of the first; null where nothing
 *     was tried twice
 * @param completed challenges completed; rounds how many rounds
 */
public record Ranked(String pupilId, int place, @Nullable Double gain, int completed, int rounds) {

    /** What the pupils are ordered by. */
    public enum By {
        GAIN,
        COMPLETED,
        ROUNDS
    }

    /** Best first; who has nothing to compare stands last. */
    public static List<Ranked> of(List<String> pupilIds, List<OnLadder> records, By by) {
        Map<String, List<OnLadder>> mine = new HashMap<>();
        for (OnLadder r : records)
            mine.computeIfAbsent(r.pupilId(), k -> new ArrayList<>()).add(r);
        List<Ranked> all = new ArrayList<>(pupilIds.stream()
                .map(id -> one(id, mine.getOrDefault(id, List.of())))
                .toList());
        all.sort(Comparator.comparingDouble((Ranked r) -> merit(r, by)).reversed());
        List<Ranked> out = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            Ranked r = all.get(i);
            boolean level = i > 0 && merit(r, by) == merit(all.get(i - 1), by);
            out.add(new Ranked(
                    r.pupilId(), level ? out.get(i - 1).place() : i + 1, r.gain(), r.completed(), r.rounds()));
        }
        return List.copyOf(out);
    }

    private static Ranked one(String pupilId, List<OnLadder> mine) {
        List<OnLadder.Done> challenges =
                mine.stream().flatMap(r -> r.challenges().stream()).toList();
        List<Double> gains = challenges.stream()
                .map(OnLadder.Done::gain)
                .filter(Objects::nonNull)
                .sorted()
                .toList();
        return new Ranked(
                pupilId,
                0,
                median(gains),
                (int) challenges.stream()
                        .filter(c -> c.completedOn() != null && c.modifiers().isEmpty())
                        .count(),
                mine.stream().mapToInt(OnLadder::rounds).sum());
    }

    private static Double median(List<Double> sorted) {
        int n = sorted.size();
        if (n == 0) return null;
        return n % 2 == 1 ? sorted.get(n / 2) : (Double) ((sorted.get(n / 2 - 1) + sorted.get(n / 2)) / 2);
    }

    private static double merit(Ranked r, By by) {
        return switch (by) {
            case GAIN -> r.gain() == null ? -1 : r.gain();
            case COMPLETED -> r.completed();
            case ROUNDS -> r.rounds();
        };
    }
}
