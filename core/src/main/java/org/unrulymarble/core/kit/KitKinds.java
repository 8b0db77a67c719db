package org.unrulymarble.core.kit;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.unrulymarble.core.check.Fields;
import org.unrulymarble.core.check.Mapping;
import org.yaml.snakeyaml.LoaderOptions;
import org.yaml.snakeyaml.Yaml;
import org.yaml.snakeyaml.constructor.SafeConstructor;

/** All kinds of kit that are known, by id. */
public final class KitKinds {

    /** A kind as a file has it. */
    public static final Mapping<KitKind> MAPPING = new KindMapping();

    private final Map<String, KitKind> byId = new LinkedHashMap<>();

    public KitKinds(Collection<KitKind> kinds) {
        for (KitKind kind : kinds) byId.put(kind.id(), kind);
    }

    /** The kinds that ship with the application. A bad file stops with the kind, the field and the reason. */
    public static KitKinds shipped() {
        try (InputStream in = KitKinds.class.getResourceAsStream("/kit/kinds.yaml")) {
            Map<?, ?> top = new Yaml(new SafeConstructor(new LoaderOptions()))
                    .load(new InputStreamReader(in, StandardCharsets.UTF_8));
            List<KitKind> kinds = new ArrayList<>();
            for (Object entry : (List<?>) top.get("kinds")) kinds.add(kind((Map<?, ?>) entry));
            return new KitKinds(kinds);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static KitKind kind(Map<?, ?> entry) {
        try {
            return kind(new Fields(entry));
        } catch (Fields.Unreadable e) {
            throw new IllegalStateException("kinds.yaml, " + entry.get("id") + ", " + e.getMessage(), e);
        }
    }

    /**
     * One kind as a file has it.
     *
     * @throws Fields.Unreadable with all that is wrong
     */
    public static KitKind kind(Fields fields) {
        return MAPPING.read(fields);
    }

    public List<KitKind> all() {
        return List.copyOf(byId.values());
    }

    public Optional<KitKind> kind(String id) {
        return Optional.ofNullable(byId.get(id));
    }
}
