package org.unrulymarble.server.record;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.unrulymarble.core.record.Attempt;

/**
 * What a class did on one day.
 *
 * @param pupils how many had a result
 * @param movedSecPerPupil seconds of work in rounds by the clock, on average of those; rounds by count are not in it
 */
record DayTaught(LocalDate on, List<String> ladderIds, int pupils, int rounds, int movedSecPerPupil) {

    static List<DayTaught> of(List<Attempt> attempts) {
        // What was practised at home was taught by nobody that day.
        Map<LocalDate, List<Attempt>> byDay = attempts.stream()
                .filter(a -> a.where() == Attempt.Where.SCHOOL)
                .collect(Collectors.groupingBy(Attempt::on, TreeMap::new, Collectors.toList()));
        List<DayTaught> out = new ArrayList<>();
        byDay.forEach((on, all) -> {
            Set<String> ladders = new LinkedHashSet<>();
            all.forEach(a -> ladders.add(a.ladderId()));
            int pupils = (int) all.stream().map(Attempt::pupilId).distinct().count();
            long moved = all.stream()
                    .mapToLong(a -> a.workSec() == null ? 0 : a.workSec())
                    .sum();
            out.add(new DayTaught(on, List.copyOf(ladders), pupils, all.size(), (int) (moved / pupils)));
        });
        return out;
    }
}
