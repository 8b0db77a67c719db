package org.unrulymarble.core.skill;

import java.util.Map;

/**
 * What the school's own records have taught so far.
 *
 * @param version kept with every record that was concluded by it; 0 before anything was learnt
 * @param harder by how much rungs were found harder than the house's, logits, by {@link Difficulties#key}
 * @param tries,pupils that it rests on
 */
public record LearntSkill(int version, SkillFigures figures, Map<String, Double> harder, long tries, int pupils) {

    /** Nothing yet: the house's own. */
    public static final LearntSkill NOTHING = new LearntSkill(0, SkillFigures.HOUSE, Map.of(), 0, 0);

    public LearntSkill {
        harder = Map.copyOf(harder);
    }
}
