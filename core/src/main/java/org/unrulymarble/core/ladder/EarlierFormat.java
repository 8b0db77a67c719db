package org.unrulymarble.core.ladder;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Files of format 1: a rung's sentences were plain text and held their figures themselves. */
public final class EarlierFormat {

    static final int NUMBER = 1;

    /** The fields of a rung that are sentences. */
    public static final List<String> SENTENCES =
            List.of("name", "change", "task", "counts", "countsNot", "easier", "harder");

    private EarlierFormat() {}

    /** The same list of ladders with every sentence as a message that reads as it was written. */
    static Object carriedOver(Object ladders) {
        if (!(ladders instanceof List<?> all)) return ladders;
        return all.stream()
                .map(l -> with(
                        l,
                        "rungs",
                        rungs -> rungs instanceof List<?> list
                                ? list.stream().map(EarlierFormat::rung).toList()
                                : rungs))
                .toList();
    }

    private static Object rung(Object rung) {
        Object out = rung;
        for (String field : SENTENCES) out = with(out, field, text -> text instanceof String s ? plain(s) : text);
        return out;
    }

    /** A text as a message: braces are no names. */
    public static String plain(String text) {
        return text.replace("{", "'{'").replace("}", "'}'");
    }

    private static Object with(Object mapping, String field, java.util.function.UnaryOperator<Object> change) {
        if (!(mapping instanceof Map<?, ?> map) || map.get(field) == null) return mapping;
        Map<Object, Object> out = new LinkedHashMap<>(map);
        out.put(field, change.apply(map.get(field)));
        return out;
    }
}
