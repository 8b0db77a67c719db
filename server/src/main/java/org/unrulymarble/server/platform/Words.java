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

    /** What a field must be, in words. */
    public String must(Fault fault) {
        return of("fault." + fault.rule(), fault.figures().toArray());
    }
}
