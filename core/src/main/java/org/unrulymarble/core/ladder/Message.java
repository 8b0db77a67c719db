package org.unrulymarble.core.ladder;

import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.util.ULocale;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** A sentence with names for figures, in ICU's syntax (unicode-org.github.io/icu/userguide/format_parse/messages). */
final class Message {

    private static final Properties OURS = ours();
    private static final int KEPT = 5_000;
    private static final Map<String, MessageFormat> READ = new ConcurrentHashMap<>();

    private Message() {}

    /** @throws IllegalArgumentException for a pattern that is none, or a name that has no figure */
    static String fill(String pattern, Map<String, Object> figures) {
        if (pattern.indexOf('{') < 0) return pattern;
        MessageFormat format = read(pattern);
        for (String name : format.getArgumentNames())
            if (!figures.containsKey(name)) throw new IllegalArgumentException(name);
        // A format is no value: it is copied for whoever fills it.
        return ((MessageFormat) format.clone()).format(figures);
    }

    /** One of the core's own sentences. */
    static String ours(String key, Map<String, Object> figures) {
        return fill(OURS.getProperty(key), figures);
    }

    /** @throws IllegalArgumentException for a pattern that is none */
    static Set<String> names(String pattern) {
        return pattern.indexOf('{') < 0 ? Set.of() : read(pattern).getArgumentNames();
    }

    private static MessageFormat read(String pattern) {
        if (READ.size() > KEPT) READ.clear();
        return READ.computeIfAbsent(pattern, p -> new MessageFormat(p, ULocale.ENGLISH));
    }

    private static Properties ours() {
        try (InputStream in = Message.class.getResourceAsStream("/words/rungs.properties")) {
            Properties words = new Properties();
            words.load(new InputStreamReader(in, StandardCharsets.UTF_8));
            return words;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
