package org.unrulymarble.core.ladder;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.unrulymarble.core.check.Fields;
import org.unrulymarble.core.kit.KitKinds;
import org.yaml.snakeyaml.LoaderOptions;
import org.yaml.snakeyaml.Yaml;
import org.yaml.snakeyaml.constructor.SafeConstructor;
import org.yaml.snakeyaml.error.YAMLException;

/** Reads ladders from YAML, one file a family. Format: docs/formats.md. */
public final class LadderFiles {

    private LadderFiles() {}

    /** The files that {@code /ladders/files.txt} names, in its order. */
    static List<Ladder> readShipped(KitKinds kinds) {
        List<Ladder> all = new ArrayList<>();
        for (String file : names()) {
            try (InputStream in = LadderFiles.class.getResourceAsStream("/ladders/" + file)) {
                if (in == null) throw new BadLadderFile(file, "-", "file", "is missing");
                all.addAll(read(file, new InputStreamReader(in, StandardCharsets.UTF_8), kinds));
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
     * Reads one file.
     *
     * @param file its name, for messages
     * @param kinds kinds of kit that it may name
     * @throws BadLadderFile naming file, ladder, field and reason at the first thing that is wrong
     */
    public static List<Ladder> read(String file, Reader yaml, KitKinds kinds) {
        LoaderOptions options = new LoaderOptions();
        options.setAllowDuplicateKeys(false);
        Object document;
        try {
            document = new Yaml(new SafeConstructor(options)).load(yaml);
        } catch (YAMLException e) {
            throw new BadLadderFile(file, "-", "file", "is not readable as YAML: " + e.getMessage());
        }
        if (!(document instanceof Map<?, ?> top) || !(top.get("ladders") instanceof List<?> entries))
            throw new BadLadderFile(file, "-", "ladders", "must be a list of ladders");
        List<Ladder> ladders = new ArrayList<>();
        for (int i = 0; i < entries.size(); i++) {
            if (!(entries.get(i) instanceof Map<?, ?> entry))
                throw new BadLadderFile(file, "number " + (i + 1), "entry", "must be a mapping");
            String id = String.valueOf(entry.get("id"));
            try {
                ladders.add(new LadderShape(kinds).ladder(new Fields(entry), top.get("family")));
            } catch (Fields.Unreadable e) {
                throw new BadLadderFile(file, id, e.path(), e.reason());
            }
        }
        return ladders;
    }
}
