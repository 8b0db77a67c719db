package org.unrulymarble.server.platform;

import java.util.Locale;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import org.unrulymarble.core.check.Fault;

/** The server's words, all from messages.properties. */
@Component
public class Words {

    private final MessageSource messages;

    Words(MessageSource messages) {
        this.messages = messages;
    }

    public String of(String key, Object... figures) {
        return messages.getMessage(key, figures, Locale.ENGLISH);
    }

    /** Thousands are parted only where there are ten of them: 1990 is a year. */
    private static Object told(Object figure) {
        return figure instanceof Integer i && i >= 1000 && i < 10_000 ? i.toString() : figure;
    }

    /** What a field must be, in words. */
    public String must(Fault fault) {
        return of(
                "fault." + fault.rule(),
                fault.figures().stream().map(Words::told).toArray());
    }
}
