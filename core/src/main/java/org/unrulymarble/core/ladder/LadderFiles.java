package org.unrulymarble.core.ladder;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Fields;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.kit.KitKind;
import org.unrulymarble.core.kit.KitKinds;
import org.yaml.snakeyaml.LoaderOptions;
import org.yaml.snakeyaml.Yaml;
import org.yaml.snakeyaml.constructor.SafeConstructor;
import org.yaml.snakeyaml.error.MarkedYAMLException;
import org.yaml.snakeyaml.error.YAMLException;

/** Reads ladders from YAML or JSON. Format: docs/formats.md. */
public final class LadderFiles {

    static final int FORMAT = 2;

    private static final List<String> TOP = List.of("format", "family", "presets", "kinds", "ladders");

    private LadderFiles() {}

    /** The format of a file of ladders as a JSON Schema (draft 2020-12), made of what reads and writes it. */
    public static Map<String, Object> schema() {
        Map<String, Object> named = new LinkedHashMap<>();
        Map<String, Object> kind = KitKinds.MAPPING.schema(named);
        Map<String, Object> ladder = new LadderMapping(new KitKinds(List.of()), null).schema(named);
        Map<String, Object> properties = new LinkedHashMap<>();
        properties.put("format", Map.of("enum", List.of(EarlierFormat.NUMBER, FORMAT)));
        properties.put(
                "family",
                Map.of(
                        "enum",
                        Arrays.stream(Family.values()).map(Fields::small).toList(),
                        "description",
                        "Of every ladder that does not name its own."));
        properties.put("presets", Map.of("description", "For YAML anchors; not read."));
        properties.put(
                "kinds",
                Map.of(
                        "type",
                        "array",
                        "items",
                        kind,
                        "description",
                        "Kinds of kit that the ladders name and that do not ship with the application."));
        properties.put("ladders", Map.of("type", "array", "items", ladder));
        Map<String, Object> schema = new LinkedHashMap<>();
        schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        schema.put("$id", "urn:marble:ladders:" + FORMAT);
        schema.put("title", "Ladders of Unruly Marble");
        schema.put(
                "description",
                "A file of ladders, in YAML or JSON. Lengths in metres, times in seconds. What a schema cannot say, and the application checks: a rung has measure, unit, sides, pace and doses of its own or its ladder's; ids are distinct; kinds of kit are known.");
        schema.put("type", "object");
        schema.put("additionalProperties", false);
        schema.put("required", List.of("ladders"));
        schema.put("properties", properties);
        schema.put("$defs", named);
        return schema;
    }

    /** The files that {@code /ladders/files.txt} names, in its order. */
    static List<Ladder> readShipped(KitKinds kinds) {
        List<Ladder> all = new ArrayList<>();
        for (String file : names()) {
            try (InputStream in = LadderFiles.class.getResourceAsStream("/ladders/" + file)) {
                if (in == null) throw new IllegalStateException(file + " is named in files.txt and missing");
                all.addAll(read(file, new String(in.readAllBytes(), StandardCharsets.UTF_8), kinds));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
        return all;
    }

    private static List<String> names() {
        try (InputStream in = LadderFiles.class.getResourceAsStream("/ladders/files.txt")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .map(String::strip)
                    .filter(line -> !line.isEmpty() && !line.startsWith("#"))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * What a file holds.
     *
     * @param kinds of kit that the school it comes from has added, and its ladders name
     */
    public record LadderFile(List<KitKind> kinds, List<Ladder> ladders) {}

    /** The ladders of a file; as {@link #readFile}. */
    static List<Ladder> read(String file, String text, KitKinds kinds) {
        return readFile(file, text, kinds).ladders();
    }

    /**
     * Reads one file, all or nothing.
     *
     * @param file its name, for messages
     * @param text YAML, or JSON, which is read as YAML
     * @param known kinds of kit that it may name besides those that it brings
     * @throws BadLadderFile naming line, ladder, field and reason, for all that is wrong
     */
    public static LadderFile readFile(String file, String text, KitKinds known) {
        String yaml = withoutTabs(text);
        if (!(load(file, yaml) instanceof Map<?, ?> top) || !(top.get("ladders") instanceof List<?> entries)) {
            Fault fault = new Fault("ladders", Fault.Rule.KIND, List.of("a list of ladders"));
            throw new BadLadderFile(file, List.of(new BadLadderFile.Trouble(1, "", fault)));
        }
        Troubles troubles = new Troubles(yaml);
        for (Object key : top.keySet())
            if (!TOP.contains(String.valueOf(key)))
                troubles.add(
                        "", "", new Fault(String.valueOf(key), Fault.Rule.NO_FIELD, List.of(String.join(", ", TOP))));
        boolean earlier = Integer.valueOf(EarlierFormat.NUMBER).equals(top.get("format"));
        if (top.get("format") != null && !earlier && !top.get("format").equals(FORMAT))
            troubles.add("", "", new Fault("format", Fault.Rule.ONE_OF, List.of(EarlierFormat.NUMBER, FORMAT)));
        List<KitKind> brought = each(top.get("kinds"), "kinds", troubles, KitKind::id, KitKinds::kind);
        List<KitKind> all = new ArrayList<>(brought);
        all.addAll(known.all());
        LadderMapping mapping = new LadderMapping(new KitKinds(all), top.get("family"));
        List<Ladder> ladders = each(
                earlier ? EarlierFormat.carriedOver(entries) : entries, "ladders", troubles, Ladder::id, mapping::read);
        if (!troubles.found.isEmpty()) throw new BadLadderFile(file, troubles.found);
        return new LadderFile(brought, ladders);
    }

    /** Reads a list entry by entry; what is wrong with one does not keep the others from being looked at. */
    private static <T> List<T> each(
            Object list, String field, Troubles troubles, Function<T, String> idOf, Function<Fields, T> read) {
        List<T> out = new ArrayList<>();
        if (list == null) return out;
        if (!(list instanceof List<?> entries)) {
            troubles.add("", "", new Fault(field, Fault.Rule.KIND, List.of("a list")));
            return out;
        }
        Set<String> ids = new HashSet<>();
        for (int i = 0; i < entries.size(); i++) {
            String name = field + "[" + i + "]";
            try {
                if (!(entries.get(i) instanceof Map<?, ?> entry))
                    throw new Fields.Unreadable("", Fault.Rule.KIND, "a mapping");
                if (entry.get("id") instanceof String id) name = id;
                T one = read.apply(new Fields(entry));
                if (!ids.add(idOf.apply(one))) throw new Fields.Unreadable("id", Fault.Rule.TWICE, idOf.apply(one));
                out.add(one);
            } catch (Fields.Unreadable e) {
                for (Fault fault : e.faults()) troubles.add(field + "[" + i + "].", name, fault);
            }
        }
        return out;
    }

    /** What is wrong with a file, each with its line. */
    private static final class Troubles {
        private final String yaml;
        private final List<BadLadderFile.Trouble> found = new ArrayList<>();
        private Lines lines;

        Troubles(String yaml) {
            this.yaml = yaml;
        }

        void add(String under, String ladder, Fault fault) {
            if (lines == null) lines = new Lines(yaml);
            found.add(new BadLadderFile.Trouble(lines.of(under + fault.field()), ladder, fault));
        }
    }

    /**
     * One ladder that did not come from a file but has the fields of one, looked at as strictly.
     *
     * @throws Refused naming all fields that are wrong
     */
    public static Ladder checked(Map<?, ?> ladder, KitKinds kinds) {
        try {
            return new LadderMapping(kinds, null).read(new Fields(ladder));
        } catch (Fields.Unreadable e) {
            throw new Refused(e.faults());
        }
    }

    /** On which line of a readable file something stands, from 1; the path is such as {@code ladders[2].id}. */
    public static int line(String text, String path) {
        return new Lines(withoutTabs(text)).of(path);
    }

    /** JSON may be set with tabs, which YAML refuses; within its texts there can be none. */
    private static String withoutTabs(String text) {
        return text.stripLeading().startsWith("{") ? text.replace('\t', ' ') : text;
    }

    private static Object load(String file, String yaml) {
        LoaderOptions options = new LoaderOptions();
        options.setAllowDuplicateKeys(false);
        try {
            return new Yaml(new SafeConstructor(options)).load(yaml);
        } catch (MarkedYAMLException e) {
            int line = e.getProblemMark() == null ? 1 : e.getProblemMark().getLine() + 1;
            throw unreadable(file, line, e.getProblem());
        } catch (YAMLException e) {
            throw unreadable(file, 1, e.getMessage());
        }
    }

    private static BadLadderFile unreadable(String file, int line, String problem) {
        Fault fault = new Fault("file", Fault.Rule.KIND, List.of("readable as YAML or JSON: " + problem));
        return new BadLadderFile(file, List.of(new BadLadderFile.Trouble(line, "", fault)));
    }
}
