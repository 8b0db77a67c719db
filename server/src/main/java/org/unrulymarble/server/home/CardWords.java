package org.unrulymarble.server.home;

import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.util.ULocale;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Properties;

/** What a card says: home/words.properties. */
final class CardWords {

    private static final Properties WORDS = read();

    private CardWords() {}

    static String of(String key, Map<String, Object> figures) {
        String pattern = WORDS.getProperty(key);
        if (pattern == null) throw new IllegalArgumentException(key);
        return new MessageFormat(pattern, ULocale.ENGLISH).format(figures);
    }

    static String of(String key) {
        return of(key, Map.of());
    }

    private static Properties read() {
        try (InputStream in = CardWords.class.getResourceAsStream("/home/words.properties")) {
            Properties words = new Properties();
            words.load(new InputStreamReader(in, StandardCharsets.UTF_8));
            return words;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
