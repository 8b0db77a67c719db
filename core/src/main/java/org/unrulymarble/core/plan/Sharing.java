package org.unrulymarble.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.rotation.Company;
import org.unrulymarble.core.rotation.Groups;

/** Who shares a spot or goes round together, by what is known of the pupils. */
public final class Sharing {

    /** Against a difference of one logit between groups, squared: to have met before costs a little. */
    public static final double MET_WEIGHT = 0.05;

    private static final int MOST = 60;

    private Sharing() {}

    /** Logits above the class's mean, on average of the ladders on which this pupil is known; 0 where nothing is. */
    public static double level(PlanPupil pupil, List<Ladder> ladders, Setting setting) {
        return ladders.stream()
                .filter(l -> setting.standings().able(pupil.id(), l).isPresent())
                .mapToDouble(l -> ability(pupil, l, setting)
                        - setting.pupils().stream()
                                .filter(p -> setting.standings().able(p.id(), l).isPresent())
                                .mapToDouble(p -> ability(p, l, setting))
                                .average()
                                .orElse(0))
                .average()
                .orElse(0);
    }

    private static double ability(PlanPupil pupil, Ladder ladder, Setting setting) {
        return setting.standings().able(pupil.id(), ladder).orElseThrow().ability();
    }

    /**
     * The crews of a block; apart and together hold as far as they can.
     *
     * @param pupilIds in the order of the class
     */
    static List<List<String>> crews(List<String> pupilIds, Placed p, Setting setting) {
        List<List<String>> inOrder = Crews.of(pupilIds, p.ladder().perSpot());
        Company company = setting.company();
        if (p.block().together() == Block.Together.IN_ORDER || inOrder.size() < 2 || pupilIds.size() > MOST)
            return company.seated(inOrder);
        Map<String, PlanPupil> byId =
                setting.pupils().stream().collect(Collectors.toMap(PlanPupil::id, Function.identity()));
        Groups found = Groups.of(new Groups.GroupsAsk(
                p.block().together() == Block.Together.MIXED ? Groups.Mode.EVEN : Groups.Mode.ALIKE,
                inOrder.size(),
                pupilIds.stream()
                        .map(id -> new Groups.GroupPupil(id, level(byId.get(id), List.of(p.ladder()), setting)))
                        .toList(),
                company.apart(),
                company.together(),
                company.met(),
                MET_WEIGHT));
        if (!found.feasible()) return company.seated(inOrder);
        List<List<String>> crews = new ArrayList<>();
        for (List<String> group : found.groups())
            crews.add(group.stream()
                    .sorted(Comparator.comparingInt(pupilIds::indexOf))
                    .toList());
        // As in the order of the class: the larger crews come last.
        crews.sort(
                Comparator.<List<String>>comparingInt(List::size).thenComparing(crew -> pupilIds.indexOf(crew.get(0))));
        return List.copyOf(crews);
    }
}
