package org.unrulymarble.core.plan;

import java.util.ArrayList;
import java.util.List;

/**
 * How pupils share spots of so many each. Who is over joins the others, one more to a crew, so that nobody is alone in a task for two and everybody
 * works as often; only where there are fewer crews than pupils over do these make a crew that is short.
 */
final class Crews {

    private Crews() {}

    static int count(int pupils, int perSpot) {
        int full = pupils / perSpot;
        int over = pupils % perSpot;
        return over <= full ? full : full + 1;
    }

    /** In the order of the pupils; the larger crews come last. */
    static <T> List<List<T>> of(List<T> pupils, int perSpot) {
        int crews = count(pupils.size(), perSpot);
        int larger = Math.max(0, pupils.size() - crews * perSpot);
        List<List<T>> out = new ArrayList<>();
        int from = 0;
        for (int crew = 0; crew < crews; crew++) {
            int to = Math.min(pupils.size(), from + perSpot + (crew >= crews - larger ? 1 : 0));
            out.add(pupils.subList(from, to));
            from = to;
        }
        return out;
    }

    /** Who works in a part of a crew's turn: in a crew with one more than its spot has places for, that one works beside another. */
    static List<String> workers(List<String> crew, int part, Placed p) {
        int atOnce = p.ladder().workingAtOnce();
        boolean larger = crew.size() > p.ladder().perSpot();
        int first = larger ? crew.size() * part / p.parts() : part * step(p);
        int many = larger ? Math.max(atOnce, crew.size() * (part + 1) / p.parts() - first) : atOnce;
        return inTurn(crew, first, many, List.of());
    }

    /** The others, in the order of the roles. */
    static List<String> helpers(List<String> crew, List<String> workers) {
        int first = crew.indexOf(workers.get(workers.size() - 1)) + 1;
        return inTurn(crew, first, crew.size(), workers);
    }

    /** By roles each part moves everyone on by one role; else by as many as work. */
    private static int step(Placed p) {
        return p.block().roleTurns() == Block.RoleTurns.EVERY_ROLE
                ? 1
                : p.ladder().workingAtOnce();
    }

    /** A crew that is short of people begins again at its first: nobody stands idle. */
    private static List<String> inTurn(List<String> crew, int first, int many, List<String> but) {
        List<String> out = new ArrayList<>();
        for (int k = 0; k < many; k++) {
            String one = crew.get((first + k) % crew.size());
            if (!out.contains(one) && !but.contains(one)) out.add(one);
        }
        return out;
    }
}
