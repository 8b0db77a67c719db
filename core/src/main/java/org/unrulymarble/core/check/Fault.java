package org.unrulymarble.core.check;

import java.util.List;

/**
 * One thing wrong with one field.
 *
 * @param field path from the refused value, such as {@code blocks[2].sets}; empty for the value itself
 * @param rule what the field must keep; the words for it live with the screens and the server
 * @param figures the numbers or words that belong to the rule, in the order of its text
 */
public record Fault(String field, Rule rule, List<Object> figures) {

    public Fault {
        figures = List.copyOf(figures);
    }

    /** The same fault seen from one level up: {@code sets} under {@code blocks[2]} is {@code blocks[2].sets}. */
    public Fault under(String parent) {
        if (parent.isEmpty()) return this;
        String path = field.isEmpty() ? parent : field.startsWith("[") ? parent + field : parent + "." + field;
        return new Fault(path, rule, figures);
    }

    /** The rules that a field can break. */
    public enum Rule {
        /** Absent or null; figures: none. */
        REQUIRED,
        /** A number outside its range; figures: least, greatest. */
        RANGE,
        /** A number that must be above a limit; figures: limit, greatest. */
        ABOVE,
        /** Text too long or blank; figures: fewest, most letters. */
        LENGTH,
        /** A list with too few or too many entries; figures: fewest, most. */
        ENTRIES,
        /** A word that is none of those allowed; figures: the allowed words. */
        ONE_OF,
        /** An id that nothing is known under; figures: the id. */
        UNKNOWN,
        /** Two fields that do not fit each other; figures: the other field. */
        AT_LEAST_FIELD,
        /** Two fields that do not fit each other; figures: the other field. */
        AT_MOST_FIELD,
        /** Two fields that do not fit each other; figures: the other field. */
        ABOVE_FIELD,
        /** A number that must lie between two limits without reaching them; figures: the limits. */
        BETWEEN,
        /** Counts that are all nought; figures: none. */
        SOME_THROWS,
        /** More choices than one question may hold; figures: the most. */
        OPTIONS,
        /** More tries in one round than one question may hold; figures: the most. */
        TRIES,
        /** Text with a letter that is not allowed; figures: the letters allowed. */
        LETTERS,
        /** The same id used twice; figures: the id. */
        TWICE,
        /** Not readable as the kind of value that is wanted; figures: what it must be. */
        KIND,
        /** A field that does not belong there; figures: the fields that do. */
        NO_FIELD,
        /** An id that ships with the application and is not anybody else's; figures: the id. */
        SHIPPED,
        /** A list that has lost something that is in use; figures: what it was called, how often it was used. */
        IN_USE,
        /** A free wall that lies on another one of the same side; figures: none. */
        WALLS_MEET,
        /** A station beyond the floor or away from the wall that it needs; figures: none. */
        PLACE_OUTSIDE,
        /** A station before a door, a way out, stairs, or where something stands; figures: none. */
        PLACE_WAY,
        /** A station that throws at a window; figures: none. */
        PLACE_WINDOW,
        /** A station on or too near to another one; figures: the other's number. */
        PLACE_STATION,
        /** A station in the line of another one's throws; figures: the other's number. */
        PLACE_THROWN_AT
    }
}
