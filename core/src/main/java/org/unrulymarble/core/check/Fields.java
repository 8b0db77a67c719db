package org.unrulymarble.core.check;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/** One mapping of a YAML file, read field by field; remembers what was asked for, so that a misspelt field is found. */
public final class Fields {

    private final Map<?, ?> map;
    private final Set<String> read = new HashSet<>();

    public Fields(Map<?, ?> map) {
        this.map = map;
    }

    public String text(String field) {
        return as(field, String.class, "text");
    }

    public Boolean bool(String field) {
        return as(field, Boolean.class, "true or false");
    }

    public Integer whole(String field) {
        return as(field, Integer.class, "a whole number");
    }

    public Double number(String field) {
        Number n = as(field, Number.class, "a number");
        return n == null ? null : n.doubleValue();
    }

    public List<String> texts(String field) {
        return list(field, o -> cast(o, String.class, "text"));
    }

    /** A word of an enum, written small and with hyphens: {@code both-sides}. */
    public <E extends Enum<E>> E word(String field, Class<E> kind) {
        String text = text(field);
        return text == null ? null : at(field, () -> parse(text, kind));
    }

    public <E extends Enum<E>> List<E> words(String field, Class<E> kind) {
        return list(field, o -> parse(cast(o, String.class, "text"), kind));
    }

    public <T> List<T> parts(String field, Function<Fields, T> shape) {
        return list(field, o -> whole(new Fields(cast(o, Map.class, "a mapping")), shape));
    }

    public <T> T part(String field, Function<Fields, T> shape) {
        Map<?, ?> inner = as(field, Map.class, "a mapping");
        return inner == null ? null : at(field, () -> whole(new Fields(inner), shape));
    }

    public boolean has(String field) {
        return map.get(field) != null;
    }

    /** Shapes a value and then insists that every field of the file was used. */
    public static <T> T whole(Fields fields, Function<Fields, T> shape) {
        T value;
        try {
            value = shape.apply(fields);
        } catch (Refused e) {
            // A misspelt field is the reason why another is missing, so it is named first.
            fields.onlyKnown();
            throw new Unreadable(e.faults());
        }
        fields.onlyKnown();
        return value;
    }

    private void onlyKnown() {
        for (Object key : map.keySet())
            if (!read.contains(String.valueOf(key)))
                throw new Unreadable(
                        String.valueOf(key),
                        Fault.Rule.NO_FIELD,
                        read.stream().sorted().collect(Collectors.joining(", ")));
    }

    private <T> T as(String field, Class<T> kind, String must) {
        read.add(field);
        Object value = map.get(field);
        return value == null ? null : at(field, () -> cast(value, kind, must));
    }

    private <T> List<T> list(String field, Function<Object, T> each) {
        List<?> raw = as(field, List.class, "a list");
        if (raw == null) return null;
        List<T> out = new ArrayList<>();
        for (int i = 0; i < raw.size(); i++) {
            Object entry = raw.get(i);
            out.add(at(field + "[" + i + "]", () -> each.apply(entry)));
        }
        return out;
    }

    private static <T> T cast(Object value, Class<T> kind, String must) {
        if (!kind.isInstance(value)) throw new Unreadable("", Fault.Rule.KIND, must);
        return kind.cast(value);
    }

    private static <E extends Enum<E>> E parse(String text, Class<E> kind) {
        String name = text.toUpperCase(Locale.ROOT).replace('-', '_');
        return Arrays.stream(kind.getEnumConstants())
                .filter(e -> e.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new Unreadable(
                        "",
                        Fault.Rule.ONE_OF,
                        Arrays.stream(kind.getEnumConstants())
                                .map(Fields::small)
                                .collect(Collectors.joining(", "))));
    }

    /** A word of an enum as files write it. */
    public static String small(Enum<?> word) {
        return word.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static <T> T at(String field, java.util.function.Supplier<T> reader) {
        try {
            return reader.get();
        } catch (Unreadable e) {
            throw new Unreadable(e.faults().stream().map(f -> f.under(field)).toList());
        }
    }

    /** Where in the mapping reading failed, and what would have been right there. */
    public static final class Unreadable extends RuntimeException {
        private static final long serialVersionUID = 1L;
        private final transient List<Fault> faults;

        public Unreadable(List<Fault> faults) {
            super(said(faults));
            this.faults = List.copyOf(faults);
        }

        public Unreadable(String field, Fault.Rule rule, Object... figures) {
            this(List.of(new Fault(field, rule, List.of(figures))));
        }

        private static String said(List<Fault> faults) {
            return faults.stream()
                    .map(f -> f.field() + ": " + f.rule() + " " + f.figures())
                    .collect(Collectors.joining("; "));
        }

        /** At least one. */
        public List<Fault> faults() {
            return faults;
        }
    }
}
