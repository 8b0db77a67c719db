package org.unrulymarble.core.check;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/**
 * One mapping of a YAML file, read field by field; remembers what was asked for, so that a misspelt field is found. What is wrong with one field
 * does not keep the others from being looked at: all of it is said at the end.
 */
public final class Fields {

    private final Map<?, ?> map;
    private final List<Fault> faults = new ArrayList<>();
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

    /** Numbers under names of one's own. */
    public Map<String, Double> numbers(String field) {
        return part(field, f -> {
            Map<String, Double> numbers = new LinkedHashMap<>();
            f.map.keySet().forEach(name -> numbers.put(String.valueOf(name), f.number(String.valueOf(name))));
            return numbers;
        });
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

    /** Says that a field is wrong for a reason that only whoever shapes the value knows; the others are still looked at. */
    public <T> T wrong(String field, Fault.Rule rule, Object... figures) {
        faults.add(new Fault(field, rule, List.of(figures)));
        return null;
    }

    public boolean has(String field) {
        return map.get(field) != null;
    }

    /**
     * Shapes a value and then insists that nothing was wrong with any field, and that every field of the file was used.
     *
     * @throws Unreadable with all that is wrong
     */
    public static <T> T whole(Fields fields, Function<Fields, T> shape) {
        T value = null;
        List<Fault> own = List.of();
        boolean allRead = true;
        try {
            value = shape.apply(fields);
        } catch (Refused e) {
            own = e.faults();
        } catch (RuntimeException e) {
            // A part that could not be read is missing where the whole is put together.
            if (fields.faults.isEmpty()) throw e;
            allRead = false;
        }
        if (allRead) fields.onlyKnown();
        List<Fault> all = new ArrayList<>(fields.faults);
        for (Fault f : own) if (all.stream().noneMatch(known -> covers(known, f))) all.add(f);
        if (!all.isEmpty()) throw new Unreadable(all);
        return value;
    }

    /** Whether a field is only refused because it, or something in it, was not readable. */
    private static boolean covers(Fault known, Fault f) {
        return known.field().equals(f.field())
                || known.field().startsWith(f.field() + ".")
                || known.field().startsWith(f.field() + "[")
                || f.field().startsWith(known.field() + ".");
    }

    private void onlyKnown() {
        for (Object key : map.keySet())
            if (!read.contains(String.valueOf(key)))
                faults.add(
                        0,
                        new Fault(
                                String.valueOf(key),
                                Fault.Rule.NO_FIELD,
                                List.of(read.stream().sorted().collect(Collectors.joining(", ")))));
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

    /** Null where it cannot be read; why is kept for the end. */
    private <T> T at(String field, Supplier<T> reader) {
        try {
            return reader.get();
        } catch (Unreadable e) {
            e.faults().forEach(f -> faults.add(f.under(field)));
            return null;
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
