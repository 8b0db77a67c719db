package org.unrulymarble.server.store;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVPrinter;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Fields;
import org.unrulymarble.core.plan.Adaptation;
import org.unrulymarble.server.platform.Csv;
import org.unrulymarble.server.platform.Words;

/** A class list as CSV; docs/formats.md says what is in each column. The room at home is no part of it. */
final class RosterFile {

    /** The columns, in order. */
    enum Column {
        ID,
        FIRST_NAME,
        INITIAL,
        BIRTH_YEAR,
        STRONG_HAND,
        SHOE_CM,
        REACH_CM,
        ADAPTATIONS,
        NOTE,
        HOME_KIT;

        String title() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    private static final List<String> TITLES =
            Arrays.stream(Column.values()).map(Column::title).toList();

    private RosterFile() {}

    /**
     * @param id null where the line has none
     * @param told the columns that the file has; {@code details} has nothing where it is silent
     */
    record Listed(UUID id, Set<Column> told, PupilDetails details) {

        /** What the file does not tell stays as it is with a pupil who is there. */
        PupilDetails beside(PupilDetails there) {
            return new PupilDetails(
                    details.firstName(),
                    told.contains(Column.INITIAL) ? details.initial() : there.initial(),
                    told.contains(Column.BIRTH_YEAR) ? details.birthYear() : there.birthYear(),
                    told.contains(Column.STRONG_HAND) ? details.strongHand() : there.strongHand(),
                    told.contains(Column.SHOE_CM) ? details.shoeCm() : there.shoeCm(),
                    told.contains(Column.REACH_CM) ? details.reachCm() : there.reachCm(),
                    told.contains(Column.ADAPTATIONS) ? details.adaptations() : there.adaptations(),
                    told.contains(Column.NOTE) ? details.adaptation() : there.adaptation(),
                    told.contains(Column.HOME_KIT) ? details.homeKit() : there.homeKit(),
                    there.homeSpace(),
                    there.homeQuiet(),
                    there.otherHome());
        }
    }

    static void write(SchoolClass c, Appendable to) throws IOException {
        CSVPrinter printer = Csv.printer(to, TITLES);
        for (Pupil p : c.pupils()) {
            PupilDetails d = p.details();
            printer.printRecord(
                    p.id(),
                    Csv.harmless(d.firstName()),
                    Csv.harmless(d.initial()),
                    d.birthYear(),
                    Fields.small(d.strongHand()),
                    d.shoeCm(),
                    d.reachCm(),
                    d.adaptations().stream().map(Fields::small).collect(Collectors.joining(Csv.BETWEEN)),
                    Csv.harmless(d.adaptation()),
                    Csv.harmless(new TreeMap<>(d.homeKit())
                            .entrySet().stream()
                                    .map(k -> k.getKey() + ": " + k.getValue())
                                    .collect(Collectors.joining(Csv.BETWEEN))));
        }
        printer.flush();
    }

    static Csv.Read<Listed> read(String text, Words words) {
        return Csv.read(
                text,
                TITLES,
                List.of(Column.FIRST_NAME.title()),
                words,
                line -> new Listed(id(line), told(line), details(line)));
    }

    private static Set<Column> told(Csv.Line line) {
        return Arrays.stream(Column.values()).filter(c -> line.has(c.title())).collect(Collectors.toSet());
    }

    private static PupilDetails details(Csv.Line line) {
        return new PupilDetails(
                line.text(Column.FIRST_NAME.title()),
                line.text(Column.INITIAL.title()),
                line.whole(Column.BIRTH_YEAR.title()),
                line.word(Column.STRONG_HAND.title(), PupilDetails.Hand.class, PupilDetails.Hand.RIGHT),
                line.whole(Column.SHOE_CM.title()),
                line.whole(Column.REACH_CM.title()),
                line.parts(Column.ADAPTATIONS.title()).stream()
                        .map(a -> line.parse(a, Column.ADAPTATIONS.title(), Adaptation.class))
                        .filter(a -> a != null)
                        .toList(),
                line.text(Column.NOTE.title()),
                homeKit(line),
                null,
                null,
                null);
    }

    private static Map<String, Integer> homeKit(Csv.Line line) {
        Map<String, Integer> kit = new TreeMap<>();
        for (String part : line.parts(Column.HOME_KIT.title())) {
            int colon = part.lastIndexOf(':');
            try {
                kit.put(
                        part.substring(0, colon).strip(),
                        Integer.valueOf(part.substring(colon + 1).strip()));
            } catch (IndexOutOfBoundsException | NumberFormatException e) {
                line.wrong(
                        Column.HOME_KIT.title(),
                        Fault.Rule.KIND,
                        "kinds with counts, such as tennis ball: 2; bucket: 1");
            }
        }
        return kit;
    }

    private static UUID id(Csv.Line line) {
        String cell = line.text(Column.ID.title());
        if (cell == null) return null;
        try {
            return UUID.fromString(cell);
        } catch (IllegalArgumentException e) {
            line.wrong(Column.ID.title(), Fault.Rule.KIND, "an id as it was exported, or empty");
            return null;
        }
    }
}
