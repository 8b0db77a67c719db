package org.unrulymarble.core.ladder;

import java.util.List;
import org.unrulymarble.core.check.Fault;

/** A ladder file that cannot be used. Nothing of it was taken. */
public final class BadLadderFile extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient List<Trouble> troubles;

    /**
     * One thing wrong with a file.
     *
     * @param line in the file, from 1; where a field is missing, the line of what it is missing from
     * @param ladder id of the ladder, or what stands for one that has none
     * @param fault the field within the ladder, and what it must be
     */
    public record Trouble(int line, String ladder, Fault fault) {}

    public BadLadderFile(String file, List<Trouble> troubles) {
        super(said(file, troubles.get(0)));
        this.troubles = List.copyOf(troubles);
    }

    private static String said(String file, Trouble t) {
        return "%s: line %d: ladder \"%s\": %s: %s %s"
                .formatted(
                        file,
                        t.line(),
                        t.ladder(),
                        t.fault().field(),
                        t.fault().rule(),
                        t.fault().figures());
    }

    /** At least one. */
    public List<Trouble> troubles() {
        return troubles;
    }
}
