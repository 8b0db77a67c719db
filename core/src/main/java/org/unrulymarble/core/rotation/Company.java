package org.unrulymarble.core.rotation;

import java.util.ArrayList;
import java.util.List;
import org.unrulymarble.core.check.Checks;

/**
 * Who is better apart, who belongs together, and who was together last: for groups, and for the crews at the spots.
 *
 * @param apart pairs of pupils' ids, 0 to 200, as {@code together}; whom nobody knows here does not matter
 * @param met those who were in one group the last times
 */
public record Company(List<List<String>> apart, List<List<String>> together, List<Groups.Met> met) {

    public static final Company ANY = new Company(List.of(), List.of(), List.of());

    private static final int MOST = 200;

    public Company {
        new Checks()
                .entries("apart", apart, 0, MOST)
                .entries("together", together, 0, MOST)
                .required("met", met)
                .done();
        apart = apart.stream().map(List::copyOf).toList();
        together = together.stream().map(List::copyOf).toList();
        met = List.copyOf(met);
    }

    /**
     * The same crews with as few wishes broken as exchanges of two pupils can bring: somebody is moved only where a wish is broken, so that the order of
     * the class stays for all others.
     *
     * @param crews ids, in the order of the spots
     */
    public List<List<String>> seated(List<List<String>> crews) {
        if (apart.isEmpty() && together.isEmpty()) return crews;
        List<List<String>> now = new ArrayList<>();
        crews.forEach(crew -> now.add(new ArrayList<>(crew)));
        int broken = broken(now);
        for (boolean better = true; better && broken > 0; ) {
            better = false;
            for (int a = 0; a < now.size() && !better; a++)
                for (int b = a + 1; b < now.size() && !better; b++) better = exchanged(now, a, b, broken);
            broken = broken(now);
        }
        return now.stream().map(List::copyOf).toList();
    }

    private boolean exchanged(List<List<String>> crews, int a, int b, int broken) {
        for (int i = 0; i < crews.get(a).size(); i++)
            for (int j = 0; j < crews.get(b).size(); j++) {
                swap(crews.get(a), i, crews.get(b), j);
                if (broken(crews) < broken) return true;
                swap(crews.get(a), i, crews.get(b), j);
            }
        return false;
    }

    private static void swap(List<String> a, int i, List<String> b, int j) {
        String first = a.get(i);
        a.set(i, b.get(j));
        b.set(j, first);
    }

    private int broken(List<List<String>> crews) {
        int broken = 0;
        for (List<String> pair : apart) if (inOne(crews, pair)) broken++;
        for (List<String> pair : together) if (areHere(crews, pair) && !inOne(crews, pair)) broken++;
        return broken;
    }

    private static boolean inOne(List<List<String>> crews, List<String> pair) {
        return crews.stream().anyMatch(crew -> crew.containsAll(pair));
    }

    private static boolean areHere(List<List<String>> crews, List<String> pair) {
        return pair.stream().allMatch(id -> crews.stream().anyMatch(crew -> crew.contains(id)));
    }
}
