package org.unrulymarble.core.propose;

import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;

/**
 * What may be in a lesson, and what it is worth.
 *
 * @param targetSec 60 to 14,400
 * @param blocksMin 1 to 12, at most blocksMax
 * @param halfSec active seconds after which half of what a task can give is had, 1 to 3,600
 * @param leap how far the effort of neighbours may differ for nothing, 0 to 4
 * @param needOpen whether one that opens is asked for, where there is one
 */
public record ProposeAsk(
        Integer targetSec,
        Integer transitionSec,
        Integer blocksMin,
        Integer blocksMax,
        Double halfSec,
        Double leap,
        Boolean needOpen,
        Boolean needClose,
        Weights weights,
        List<Candidate> candidates) {

    /** Where in a lesson a candidate may stand. */
    public enum Place {
        OPEN,
        MAIN,
        CLOSE
    }

    /** Each 0 to 1,000; idle at least unused, so that padding never pays. */
    public record Weights(
            Double aspect, Double merit, Double family, Double idle, Double kit, Double effort, Double unused) {
        public Weights {
            Checks checks = new Checks();
            checks.range("aspect", aspect, 0, 1_000)
                    .range("merit", merit, 0, 1_000)
                    .range("family", family, 0, 1_000)
                    .range("idle", idle, 0, 1_000)
                    .range("kit", kit, 0, 1_000)
                    .range("effort", effort, 0, 1_000)
                    .range("unused", unused, 0, 1_000)
                    .that(idle == null || unused == null || idle >= unused, "idle", Fault.Rule.AT_LEAST_FIELD, "unused")
                    .done();
        }
    }

    /** One way to do it. */
    public record Way(Integer sets, @Nullable Integer workSec, Integer totalSec, Integer activeSec) {
        public Way {
            new Checks()
                    .range("sets", sets, 1, 60)
                    .seconds("workSec", workSec)
                    .seconds("totalSec", totalSec)
                    .seconds("activeSec", activeSec)
                    .that(
                            activeSec == null || totalSec == null || activeSec <= totalSec,
                            "activeSec",
                            Fault.Rule.AT_MOST_FIELD,
                            "totalSec")
                    .done();
        }
    }

    /**
     * A task that may be chosen.
     *
     * @param group of which one at most is chosen: a ladder
     * @param effort 1 to 5
     * @param merit 0 to 1
     * @param must whether it has to be in it
     */
    public record Candidate(
            String id,
            String group,
            Place part,
            String family,
            List<String> aspects,
            Integer effort,
            Double merit,
            List<String> kit,
            Boolean must,
            List<Way> options) {
        public Candidate {
            Checks checks = new Checks()
                    .text("id", id, 200)
                    .text("group", group, 200)
                    .required("part", part)
                    .text("family", family, 200)
                    .entries("aspects", aspects, 1, 10)
                    .range("effort", effort, 1, 5)
                    .range("merit", merit, 0, 1)
                    .entries("kit", kit, 0, 12)
                    .required("must", must)
                    .entries("options", options, 1, 12);
            if (aspects != null && aspects.stream().allMatch(Objects::nonNull)) checks.distinct("aspects", aspects);
            if (kit != null && kit.stream().allMatch(Objects::nonNull)) checks.distinct("kit", kit);
            checks.done();
            aspects = List.copyOf(aspects);
            kit = List.copyOf(kit);
            options = List.copyOf(options);
        }

        Candidate with(boolean toBeIn, List<Way> ways) {
            return new Candidate(id, group, part, family, aspects, effort, merit, kit, toBeIn, ways);
        }

        Candidate named(String other) {
            return new Candidate(other, group, part, family, aspects, effort, merit, kit, must, options);
        }
    }

    ProposeAsk of(int fewest, int most, Weights others, List<Candidate> among) {
        return new ProposeAsk(
                targetSec, transitionSec, fewest, most, halfSec, leap, needOpen, needClose, others, among);
    }

    public ProposeAsk {
        Checks checks = new Checks()
                .range("targetSec", targetSec, 60, Checks.MAX_SEC)
                .seconds("transitionSec", transitionSec)
                .range("blocksMin", blocksMin, 1, 12)
                .range("blocksMax", blocksMax, 1, 12)
                .that(
                        blocksMin == null || blocksMax == null || blocksMin <= blocksMax,
                        "blocksMin",
                        Fault.Rule.AT_MOST_FIELD,
                        "blocksMax")
                .range("halfSec", halfSec, 1, 3_600)
                .range("leap", leap, 0, 4)
                .required("needOpen", needOpen)
                .required("needClose", needClose)
                .required("weights", weights)
                .entries("candidates", candidates, 1, 400);
        if (candidates != null && candidates.stream().allMatch(Objects::nonNull))
            checks.distinct("candidates", candidates.stream().map(Candidate::id).toList());
        checks.done();
        candidates = List.copyOf(candidates);
    }

    /** Whether one of this part has to be in it. */
    public boolean needs(Place part) {
        boolean asked = switch (part) {
            case OPEN -> needOpen;
            case CLOSE -> needClose;
            case MAIN -> true;
        };
        return asked && (part == Place.MAIN || candidates.stream().anyMatch(c -> c.part() == part));
    }

    public Way way(Pick pick) {
        return candidates.get(pick.candidate()).options().get(pick.option());
    }

    /** A candidate with one of its options, both by place. */
    public record Pick(int candidate, int option) {}
}
