package org.unrulymarble.core.home;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.kit.KitKinds;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.core.place.Wall;

/**
 * What a family tells of its home, in a code of its own: as if it were practice {@link #PRACTICE} of the card.
 *
 * @param kit counts of kinds, of those that are asked for
 * @param space the free floor under 2.4 m, with its whole length of wall where there is one to throw at; null where it was not told
 * @param quiet whether somebody lives below; null where it was not told
 */
public record HomeTold(
        Map<String, Integer> kit,
        @Nullable Space space,
        @Nullable Boolean quiet) {

    /** No week has so many practices. */
    public static final int PRACTICE = ReturnCode.MOST_PRACTICES;

    /** What is asked for, a bit each from the lowest. */
    public static final List<String> KINDS = List.of(
            "balloon",
            "small-foam-ball",
            "foam-ball",
            "tennis-ball",
            "play-ball",
            "table-tennis-ball",
            "paper-cup",
            "hoop");

    /** Half metres of a room, 0.5 to 8 m. */
    private static final int MOST_HALVES = 16;

    private static final double CEILING_M = 2.4;
    private static final int CUPS = 2;

    /** The bounds of its numbers: kinds as bits, length and width in half metres, below (1 yes, 0 no), wall (1 yes, 0 no). */
    public static final List<Integer> MOST = List.of((1 << KINDS.size()) - 1, MOST_HALVES, MOST_HALVES, 1, 1);

    /** What is asked of a home. @param kinds by name, a bit each from the lowest; {@code most} as {@link #MOST} */
    public record Asked(int practice, List<String> kinds, List<Integer> most) {}

    public static Asked asked(KitKinds kinds) {
        return new Asked(
                PRACTICE,
                KINDS.stream().map(id -> kinds.kind(id).orElseThrow().name()).toList(),
                MOST);
    }

    /** @param numbers as {@link #MOST} bounds them, null where nothing was told */
    public static HomeTold of(List<Integer> numbers) {
        Map<String, Integer> kit = new LinkedHashMap<>();
        if (numbers.get(0) != null)
            for (int i = 0; i < KINDS.size(); i++)
                if ((numbers.get(0) >> i & 1) == 1)
                    kit.put(KINDS.get(i), KINDS.get(i).equals("paper-cup") ? CUPS : 1);
        Integer length = numbers.get(1);
        Integer width = numbers.get(2);
        Space space = null;
        if (length != null && width != null && length > 0 && width > 0) {
            double longM = Math.max(length, width) / 2.0;
            double wideM = Math.min(length, width) / 2.0;
            boolean wall = numbers.get(4) != null && numbers.get(4) == 1;
            space = new Space(longM, wideM, CEILING_M, wall ? new Wall(wideM, longM) : null);
        }
        return new HomeTold(kit, space, numbers.get(3) == null ? null : (Boolean) (numbers.get(3) == 1));
    }

    /** The numbers that say this: for whoever plays a family. */
    static List<Integer> numbers(List<String> kinds, double lengthM, double widthM, boolean below, boolean wall) {
        int bits = 0;
        for (String kind : kinds) bits |= 1 << KINDS.indexOf(kind);
        List<Integer> numbers = new ArrayList<>();
        numbers.add(bits);
        numbers.add((int) Math.round(2 * lengthM));
        numbers.add((int) Math.round(2 * widthM));
        numbers.add(below ? 1 : 0);
        numbers.add(wall ? 1 : 0);
        return numbers;
    }
}
