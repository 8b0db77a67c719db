package org.unrulymarble.core.kit;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.yaml.snakeyaml.LoaderOptions;
import org.yaml.snakeyaml.Yaml;
import org.yaml.snakeyaml.constructor.SafeConstructor;

/** What a school of some kind usually has: a beginning, to be counted. */
public record Cupboard(String id, List<Counted> kit) {

    /** @param count how many, or null for as many as are asked */
    public record Counted(String kind, @Nullable Integer count) {
        public Counted {
            Checks checks = new Checks().text("kind", kind, 60);
            if (count != null) checks.range("count", count, 0, 10_000);
            checks.done();
        }
    }

    /** Those that ship with the application, the smallest first. */
    public static List<Cupboard> usual() {
        try (InputStream in = Cupboard.class.getResourceAsStream("/kit/cupboards.yaml")) {
            Map<?, ?> top = new Yaml(new SafeConstructor(new LoaderOptions()))
                    .load(new InputStreamReader(in, StandardCharsets.UTF_8));
            return ((List<?>) top.get("cupboards"))
                    .stream().map(entry -> read((Map<?, ?>) entry)).toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Cupboard read(Map<?, ?> entry) {
        return new Cupboard(
                (String) entry.get("id"),
                ((Map<?, ?>) entry.get("kit"))
                        .entrySet().stream()
                                .map(e -> new Counted((String) e.getKey(), (Integer) e.getValue()))
                                .toList());
    }
}
