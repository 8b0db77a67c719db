package org.unrulymarble.core.ladder;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.unrulymarble.core.measure.Course;
import org.unrulymarble.core.measure.Measure;

/** A rung's sentences with the figures in force filled in: what a screen, a sheet and a run say. */
public record RungWords(
        String name, String change, String task, String counts, String countsNot, String easier, String harder) {

    public static RungWords of(Figures figures) {
        Rung rung = figures.rung();
        // A gate or a measure of another kind may have no such figure: then the rung's own stands.
        Map<String, Object> named = new HashMap<>(Figures.of(rung).named());
        named.putAll(figures.named());
        return new RungWords(
                filled(rung.name(), named),
                filled(rung.change(), named),
                filled(rung.task(), named),
                filled(rung.counts(), named),
                filled(rung.countsNot(), named),
                filled(rung.easier(), named),
                filled(rung.harder(), named));
    }

    /** What does not count, and that what is in the air at the stop does not. */
    public RungWords notInTheAir() {
        return new RungWords(
                name, change, task, counts, countsNot + " " + Message.ours("in-the-air", Map.of()), easier, harder);
    }

    /** What counts, and by what it is scored here instead of the rung's own way. */
    public RungWords scoredBy(Measure.Kind kind) {
        return new RungWords(
                name,
                change,
                task,
                counts + " " + Message.ours("scored." + kind.name(), Map.of()),
                countsNot,
                easier,
                harder);
    }

    /** What to do, and at which target here. */
    public RungWords at(String target) {
        return new RungWords(
                name,
                change,
                task + " " + Message.ours("target", Map.of("target", target)),
                counts,
                countsNot,
                easier,
                harder);
    }

    /** What to do, and along which course here. */
    public RungWords along(Course course) {
        return new RungWords(
                name,
                change,
                task + " "
                        + Message.ours(
                                "course",
                                Map.of(
                                        "markers",
                                        course.places(),
                                        "lengthM",
                                        course.toldM(),
                                        "back",
                                        course.back() ? "yes" : "no")),
                counts,
                countsNot,
                easier,
                harder);
    }

    /** What has to be put down for a course. */
    public static String markersOf(Course course) {
        return Message.ours("course-markers", Map.of("n", course.places()));
    }

    /** A ladder as it reads with its own figures; its names for figures are gone from it. */
    public static Ladder read(Ladder ladder) {
        List<Rung> rungs = ladder.rungs().stream().map(r -> r.with(r.words())).toList();
        return ladder.with(rungs);
    }

    private static String filled(String text, Map<String, Object> named) {
        // What was left out at the end or in the middle leaves no gap.
        return text.indexOf('{') < 0
                ? text
                : Message.fill(text, named).replaceAll(" {2,}", " ").strip();
    }
}
