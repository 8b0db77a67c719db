package org.unrulymarble.core.check;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.BiFunction;
import java.util.function.Function;

/**
 * One mapping of a file, said once: which entries it has and in which order. Out of this it is read, written and described, so that the three cannot
 * drift apart. What a value must be is checked by the value itself; the limits here only describe it.
 *
 * @param <T> what it becomes
 */
public abstract class Mapping<T> {

    private final String name;
    private final String says;
    private final List<Entry<T, ?>> entries = new ArrayList<>();

    /** One that stands in a single place. */
    protected Mapping() {
        this(null, null);
    }

    /**
     * @param name under which its description is referred to, or null where it stands in the place itself
     * @param says what it is, or null
     */
    protected Mapping(String name, String says) {
        this.name = name;
        this.says = says;
    }

    /** Puts the value together from what its entries read. */
    protected abstract T from(Fields f);

    /** Further words of the description's own language. */
    protected Map<String, Object> also() {
        return Map.of();
    }

    /**
     * Reads it, and insists that every entry of the file is known.
     *
     * @throws Fields.Unreadable with all that is wrong
     */
    public final T read(Fields fields) {
        return Fields.whole(fields, this::from);
    }

    /** As a file has it; what is absent or empty is left out. */
    public final Map<String, Object> written(T value) {
        Map<String, Object> out = new LinkedHashMap<>();
        for (Entry<T, ?> entry : entries) {
            Object written = entry.write.apply(value);
            if (written == null
                    || written instanceof Collection<?> c && c.isEmpty()
                    || written instanceof Map<?, ?> m && m.isEmpty()) continue;
            out.put(entry.field, written);
        }
        return out;
    }

    /**
     * Its JSON Schema (draft 2020-12).
     *
     * @param named takes those that have a name, each once
     */
    public final Map<String, Object> schema(Map<String, Object> named) {
        if (name == null) return described(named);
        if (!named.containsKey(name)) {
            named.put(name, Map.of());
            named.put(name, described(named));
        }
        return Map.of("$ref", "#/$defs/" + name);
    }

    private Map<String, Object> described(Map<String, Object> named) {
        Map<String, Object> out = new LinkedHashMap<>();
        out.put("type", "object");
        if (says != null) out.put("description", says);
        out.put("additionalProperties", false);
        List<String> required =
                entries.stream().filter(e -> e.must).map(e -> e.field).toList();
        if (!required.isEmpty()) out.put("required", required);
        out.putAll(also());
        Map<String, Object> properties = new LinkedHashMap<>();
        for (Entry<T, ?> entry : entries) properties.put(entry.field, entry.schema(named));
        out.put("properties", properties);
        return out;
    }

    protected final Entry<T, String> text(String field, Function<T, String> get) {
        return add(field, Fields::text, get, type("string"));
    }

    protected final Entry<T, Boolean> bool(String field, Function<T, Boolean> get) {
        return add(field, Fields::bool, get, type("boolean"));
    }

    protected final Entry<T, Integer> whole(String field, Function<T, Integer> get) {
        return add(field, Fields::whole, get, type("integer"));
    }

    protected final Entry<T, Double> number(String field, Function<T, Double> get) {
        return add(field, Fields::number, get, type("number"));
    }

    /** Numbers under names of one's own. */
    protected final Entry<T, Map<String, Double>> numbers(String field, Function<T, Map<String, Double>> get) {
        return add(field, Fields::numbers, value -> new TreeMap<>(get.apply(value)), type("object"));
    }

    protected final <E extends Enum<E>> Entry<T, E> word(String field, Class<E> kind, Function<T, E> get) {
        return add(field, (f, name) -> f.word(name, kind), value -> small(get.apply(value)), named -> words(kind));
    }

    protected final <E extends Enum<E>> Entry<T, List<E>> words(String field, Class<E> kind, Function<T, List<E>> get) {
        return add(
                field,
                (f, name) -> f.words(name, kind),
                value -> each(get.apply(value), Mapping::small),
                named -> list(words(kind)));
    }

    protected final Entry<T, List<String>> texts(String field, Function<T, List<String>> get) {
        return add(field, Fields::texts, get, named -> list(Map.of("type", "string")));
    }

    /** @param most characters of each */
    protected final Entry<T, List<String>> texts(String field, int most, Function<T, List<String>> get) {
        return add(field, Fields::texts, get, named -> list(text(most)));
    }

    protected final <P> Entry<T, P> part(String field, Mapping<P> of, Function<T, P> get) {
        return add(
                field,
                (f, name) -> f.part(name, of::from),
                value -> {
                    P part = get.apply(value);
                    return part == null ? null : of.written(part);
                },
                of::schema);
    }

    protected final <P> Entry<T, List<P>> parts(String field, Mapping<P> of, Function<T, List<P>> get) {
        return add(
                field,
                (f, name) -> f.parts(name, of::from),
                value -> each(get.apply(value), of::written),
                named -> list(of.schema(named)));
    }

    protected final <V> Entry<T, V> add(
            String field,
            BiFunction<Fields, String, V> read,
            Function<T, ?> write,
            Function<Map<String, Object>, Map<String, Object>> type) {
        Entry<T, V> entry = new Entry<>(field, read, write, type);
        entries.add(entry);
        return entry;
    }

    /** Text of at least one character. */
    protected static Map<String, Object> text(int most) {
        return ordered("type", "string", "minLength", 1, "maxLength", most);
    }

    protected static Map<String, Object> list(Map<String, Object> of) {
        return ordered("type", "array", "items", of);
    }

    private static Function<Map<String, Object>, Map<String, Object>> type(String type) {
        return named -> Map.of("type", type);
    }

    private static Map<String, Object> words(Class<? extends Enum<?>> kind) {
        return Map.of(
                "enum",
                Arrays.stream(kind.getEnumConstants()).map(Fields::small).toList());
    }

    private static String small(Enum<?> word) {
        return word == null ? null : Fields.small(word);
    }

    private static <A, B> List<B> each(List<A> list, Function<A, B> to) {
        return list == null ? null : list.stream().map(to).toList();
    }

    private static Map<String, Object> ordered(Object... namesAndValues) {
        Map<String, Object> out = new LinkedHashMap<>();
        for (int i = 0; i < namesAndValues.length; i += 2) out.put((String) namesAndValues[i], namesAndValues[i + 1]);
        return out;
    }

    /**
     * One entry.
     *
     * @param <T> of what it is a part
     * @param <V> what it becomes; null where the file does not have it
     */
    public static final class Entry<T, V> {
        private final String field;
        private final BiFunction<Fields, String, V> read;
        private final Function<T, ?> write;
        private final Function<Map<String, Object>, Map<String, Object>> type;
        private final Map<String, Object> limits = new LinkedHashMap<>();
        private boolean must;

        private Entry(
                String field,
                BiFunction<Fields, String, V> read,
                Function<T, ?> write,
                Function<Map<String, Object>, Map<String, Object>> type) {
            this.field = field;
            this.read = read;
            this.write = write;
            this.type = type;
        }

        /** What a file has here, or null. */
        public V of(Fields f) {
            return read.apply(f, field);
        }

        /** The same, or what holds where the file does not say. */
        public V of(Fields f, V otherwise) {
            V value = of(f);
            return value == null ? otherwise : value;
        }

        /** The same of a part that is shaped in another way here. */
        public <P> P part(Fields f, Function<Fields, P> shape) {
            return f.part(field, shape);
        }

        /** The same of a list of parts. */
        public <P> List<P> parts(Fields f, Function<Fields, P> shape) {
            return f.parts(field, shape);
        }

        /** It is never left out. */
        public Entry<T, V> must() {
            must = true;
            return this;
        }

        /** A number between these, both included. */
        public Entry<T, V> range(Number least, Number greatest) {
            return limit("minimum", least).limit("maximum", greatest);
        }

        /** A number above the first, up to the second. */
        public Entry<T, V> above(Number limit, Number greatest) {
            return limit("exclusiveMinimum", limit).limit("maximum", greatest);
        }

        /** Text of one character to so many. */
        public Entry<T, V> upTo(int most) {
            return limit("minLength", 1).limit("maxLength", most);
        }

        /** A list of so many. */
        public Entry<T, V> entries(int fewest, int most) {
            return limit("minItems", fewest).limit("maxItems", most);
        }

        public Entry<T, V> says(String description) {
            return limit("description", description);
        }

        /** A further word of the description's own language. */
        public Entry<T, V> limit(String word, Object value) {
            limits.put(word, value);
            return this;
        }

        private Map<String, Object> schema(Map<String, Object> named) {
            Map<String, Object> out = new LinkedHashMap<>(type.apply(named));
            out.putAll(limits);
            return out;
        }
    }
}
