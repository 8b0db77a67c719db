package org.unrulymarble.core.ladder;

/** A ladder file that cannot be used; the message names file, ladder, field and reason. */
public final class BadLadderFile extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public BadLadderFile(String file, String ladder, String field, String reason) {
        super("%s: ladder \"%s\": %s: %s".formatted(file, ladder, field, reason));
    }
}
