package org.unrulymarble.server.run;

import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.run.FlatEvent;
import org.unrulymarble.core.run.RunEvent;
import org.unrulymarble.core.run.RunScript;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.annotation.JsonDeserialize;
import tools.jackson.databind.json.JsonMapper;

/**
 * An event as it came in or lies in a log: today's, or one of a tablet or log from before each kind had its own parts.
 *
 * @param flat whether it is of the old shape: what was typed there was looked at by the page of its day
 */
@JsonDeserialize(using = SentEvent.Reader.class)
record SentEvent(RunEvent event, boolean flat) {

    static SentEvent read(JsonMapper json, String body) {
        return json.readValue(body, SentEvent.class);
    }

    /** @throws org.unrulymarble.core.check.Refused naming what does not fit the script */
    void checkAgainst(RunScript script) {
        try {
            event.checkAgainst(script);
            if (!flat) event.checkTold(script);
        } catch (Refused e) {
            throw flat ? new Refused(e.faults().stream().map(SentEvent::flat).toList()) : e;
        }
    }

    /** As the old shape calls the field. */
    private static Fault flat(Fault f) {
        return new Fault(f.field().replace("what.", ""), f.rule(), f.figures());
    }

    static final class Reader extends ValueDeserializer<SentEvent> {
        @Override
        public SentEvent deserialize(JsonParser parser, DeserializationContext context) {
            JsonNode tree = context.readTree(parser);
            return tree.has("kind")
                    ? new SentEvent(
                            context.readTreeAsValue(tree, FlatEvent.class).event(), true)
                    : new SentEvent(context.readTreeAsValue(tree, RunEvent.class), false);
        }
    }
}
