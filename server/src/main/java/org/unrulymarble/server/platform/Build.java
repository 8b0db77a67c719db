package org.unrulymarble.server.platform;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HexFormat;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;

/** Which rules are at work: what was concluded by others is not theirs. Builds are reproducible and have no time, so it is their content that tells. */
@Component
public class Build {

    private static final String RULES = "classpath*:org/unrulymarble/core/**/*.class";
    private static final String LADDERS = "classpath*:ladders/**/*.yaml";
    private static final int LETTERS = 40;

    private String rules;

    /** The same for the same rules and ladders; worked out when it is first asked for. */
    public synchronized String rules() {
        if (rules == null) rules = read();
        return rules;
    }

    private static String read() {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            PathMatchingResourcePatternResolver resolver = new PathMatchingResourcePatternResolver();
            for (String pattern : new String[] {RULES, LADDERS}) {
                Resource[] all = resolver.getResources(pattern);
                Arrays.sort(all, Comparator.comparing(Resource::getDescription));
                for (Resource one : all)
                    try (InputStream in = new DigestInputStream(one.getInputStream(), digest)) {
                        in.transferTo(java.io.OutputStream.nullOutputStream());
                    }
            }
            return HexFormat.of().formatHex(digest.digest()).substring(0, LETTERS);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
