package org.unrulymarble.core.ladder;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Fields;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.kit.KitKinds;
import org.yaml.snakeyaml.LoaderOptions;
import org.yaml.snakeyaml.Yaml;
import org.yaml.snakeyaml.constructor.SafeConstructor;
import org.yaml.snakeyaml.error.MarkedYAMLException;
import org.yaml.snakeyaml.error.YAMLException;

/** Reads ladders from YAML or JSON. Format: docs/formats.md. */
public final class LadderFiles {

    static final int FORMAT = 1;

    private static final List<String> TOP = List.of("format", "family", "presets", "ladders");

    private LadderFiles() {}

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
     * Reads one file, all or nothing.
     *
     * @param file its name, for messages
     * @param text YAML, or JSON, which is read as YAML
     * @param kinds kinds of kit that it may name
     * @throws BadLadderFile naming line, ladder, field and reason, for each ladder that is wrong
     */
    public static List<Ladder> read(String file, String text, KitKinds kinds) {
        String yaml = withoutTabs(text);
        Object document = load(file, yaml);
        List<BadLadderFile.Trouble> troubles = new ArrayList<>();
        List<Ladder> ladders = new ArrayList<>();
        if (!(document instanceof Map<?, ?> top) || !(top.get("ladders") instanceof List<?> entries)) {
            Fault fault = new Fault("ladders", Fault.Rule.KIND, List.of("a list of ladders"));
            throw new BadLadderFile(file, List.of(new BadLadderFile.Trouble(1, "", fault)));
        }
        Lines lines = null;
        for (Object key : top.keySet()) {
            if (TOP.contains(String.valueOf(key))) continue;
            lines = new Lines(yaml);
            troubles.add(new BadLadderFile.Trouble(
                    lines.of(String.valueOf(key)),
                    "",
                    new Fault(String.valueOf(key), Fault.Rule.NO_FIELD, List.of(String.join(", ", TOP)))));
        }
        if (top.get("format") != null && !top.get("format").equals(FORMAT))
            troubles.add(new BadLadderFile.Trouble(
                    new Lines(yaml).of("format"), "", new Fault("format", Fault.Rule.ONE_OF, List.of(FORMAT))));
        Set<String> ids = new HashSet<>();
        for (int i = 0; i < entries.size(); i++) {
            String name = "number " + (i + 1);
            try {
                if (!(entries.get(i) instanceof Map<?, ?> entry))
                    throw new Fields.Unreadable("", Fault.Rule.KIND, "a mapping");
                if (entry.get("id") instanceof String id) name = id;
                Ladder ladder = new LadderShape(kinds).ladder(new Fields(entry), top.get("family"));
                if (!ids.add(ladder.id())) throw new Fields.Unreadable("id", Fault.Rule.TWICE, ladder.id());
                ladders.add(ladder);
            } catch (Fields.Unreadable e) {
                if (lines == null) lines = new Lines(yaml);
                for (Fault fault : e.faults())
                    troubles.add(
                            new BadLadderFile.Trouble(lines.of("ladders[" + i + "]." + fault.field()), name, fault));
            }
        }
        if (!troubles.isEmpty()) throw new BadLadderFile(file, troubles);
        return ladders;
    }

    /**
     * A ladder that did not come from a file, looked at as strictly as one that did; names and making of its kit are those of the kinds.
     *
     * @throws Refused naming the field, also for a kind of kit that is not known
     */
    public static Ladder checked(Ladder ladder, KitKinds kinds) {
        try {
            return new LadderShape(kinds).ladder(new Fields(LadderWriter.ladder(ladder)), null);
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
