package org.unrulymarble.server.home;

import java.io.IOException;
import java.io.Writer;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/** A card's practices as days of a calendar (RFC 5545). */
final class CardCalendar {

    private CardCalendar() {}

    static void write(CardsOut.CardOut out, Writer to) throws IOException {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Unruly Marble//Home practice//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        for (int k = 1; k <= out.body().practices().size(); k++) {
            VEvent event = new VEvent(
                    out.week().dayOf(k),
                    CardWords.of(
                            "calendar.title",
                            java.util.Map.of(
                                    "k",
                                    k,
                                    "all",
                                    out.body().practices().size(),
                                    "name",
                                    out.firstName(),
                                    "minutes",
                                    out.week().minutes())));
            event.add(new Uid(out.card().id() + "-" + k + "@unruly-marble"));
            event.add(new Description(String.join(
                    ", ",
                    out.body().practice(k).tasks().stream().map(t -> t.name()).toList())));
            calendar.add(event);
        }
        new CalendarOutputter(false).output(calendar, to);
    }
}
