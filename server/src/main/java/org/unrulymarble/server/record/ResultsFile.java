package org.unrulymarble.server.record;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Fields;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.core.score.RoundDetail;
import org.unrulymarble.core.score.RoundResult;
import org.unrulymarble.core.score.Side;

/**
 * Results as CSV (RFC 4180, UTF-8). Written with commas; read as spreadsheets save it: with semicolons or tabs, a byte order mark, decimal commas. A
 * text that a spreadsheet would take for a formula is written with an apostrophe before it, which reading takes off again.
 */
final class ResultsFile {

    /** The columns, in order; docs/formats.md says what is in them. */
    enum Column {
        ID,
        PUPIL,
        DAY,
        LADDER,
        RUNG,
        MODIFIERS,
        SIDE,
        SET,
        SCORE,
        HITS,
        MISSES,
        WORK_SEC,
        TIME_MS,
        BALL,
        DISTANCE_M,
        TARGET,
        WITH,
        SPACE,
        WHERE,
        COUNTED_BY,
        CONFIRMED,
        TRIAL,
        JOINT_WITH;

        String title() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    private static final List<Column> NEEDED =
            List.of(Column.PUPIL, Column.DAY, Column.LADDER, Column.RUNG, Column.SCORE);
    private static final String FORMULA_STARTS = "=+-@\t\r";
    private static final String BETWEEN = "; ";
    private static final int MOST_LINES = 100_000;

    private ResultsFile() {}

    /** One line that cannot be read. {@code line} from 1, the header's being 1. */
    record BadLine(long line, Fault fault) {}

    /** @param attempts those that could be read, in order */
    record Read(List<Attempt> attempts, List<BadLine> bad) {}

    static CSVPrinter printer(Appendable to) throws IOException {
        CSVPrinter printer = new CSVPrinter(to, CSVFormat.RFC4180);
        printer.printRecord(Arrays.stream(Column.values()).map(Column::title));
        return printer;
    }

    static void print(CSVPrinter printer, Attempt a, Map<String, String> names) throws IOException {
        printer.printRecord(
                a.id(),
                harmless(names.getOrDefault(a.pupilId(), a.pupilId())),
                a.on(),
                a.ladderId(),
                a.rungId(),
                a.modifiers().stream().map(Fields::small).collect(Collectors.joining(BETWEEN)),
                Fields.small(a.side()),
                a.set(),
                a.score(),
                a.hits(),
                a.misses(),
                a.workSec(),
                a.timeMs(),
                harmless(a.ball()),
                a.distanceM(),
                harmless(a.target()),
                harmless(a.with()),
                harmless(a.space()),
                Fields.small(a.where()),
                Fields.small(a.countedBy()),
                a.confirmed() ? "yes" : "no",
                a.trial() ? "yes" : "no",
                harmless(a.jointWith().stream()
                        .map(id -> names.getOrDefault(id, id))
                        .collect(Collectors.joining(BETWEEN))));
    }

    static String harmless(String text) {
        return text != null && !text.isEmpty() && FORMULA_STARTS.indexOf(text.charAt(0)) >= 0 ? "'" + text : text;
    }

    private static String plain(String cell) {
        return cell.length() > 1 && cell.charAt(0) == '\'' && FORMULA_STARTS.indexOf(cell.charAt(1)) >= 0
                ? cell.substring(1)
                : cell;
    }

    /** @param pupils ids by name; a name that two pupils have is known to nobody */
    static Read read(String text, Map<String, String> pupils, Catalogue catalogue) {
        String body = text.startsWith("\uFEFF") ? text.substring(1) : text;
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(delimiter(body))
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreEmptyLines(true)
                .setIgnoreHeaderCase(true)
                .setAllowMissingColumnNames(true)
                .setTrim(true)
                .get();
        List<Attempt> attempts = new ArrayList<>();
        List<BadLine> bad = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(new StringReader(body), format)) {
            header(parser.getHeaderNames(), bad);
            if (!bad.isEmpty()) return new Read(List.of(), bad);
            for (CSVRecord line : parser) {
                if (line.getRecordNumber() > MOST_LINES) {
                    bad.add(new BadLine(
                            parser.getCurrentLineNumber(),
                            new Fault("file", Fault.Rule.ENTRIES, List.of(1, MOST_LINES))));
                    break;
                }
                Line one = new Line(line, parser.getCurrentLineNumber(), bad);
                Attempt attempt = one.attempt(pupils, catalogue);
                if (attempt != null) attempts.add(attempt);
            }
        } catch (IllegalArgumentException | UncheckedIOException e) {
            bad.add(new BadLine(1, new Fault("file", Fault.Rule.KIND, List.of("readable as CSV: " + e.getMessage()))));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return new Read(List.copyOf(attempts), List.copyOf(bad));
    }

    /** Whatever the first line has most of. */
    private static char delimiter(String body) {
        String first = body.lines().findFirst().orElse("");
        char best = ',';
        for (char c : new char[] {';', '\t'})
            if (first.chars().filter(x -> x == c).count()
                    > first.chars().filter(x -> x == ',').count()) best = c;
        return best;
    }

    private static void header(List<String> names, List<BadLine> bad) {
        List<String> known = Arrays.stream(Column.values()).map(Column::title).toList();
        for (String name : names)
            if (!known.contains(name.toLowerCase(Locale.ROOT)))
                bad.add(new BadLine(1, new Fault(name, Fault.Rule.NO_FIELD, List.of(String.join(", ", known)))));
        for (Column c : NEEDED)
            if (names.stream().noneMatch(n -> n.equalsIgnoreCase(c.title())))
                bad.add(new BadLine(1, new Fault(c.title(), Fault.Rule.REQUIRED, List.of())));
    }

    /** One line, cell by cell; whatever is wrong with it is said at once. */
    private static final class Line {
        private final CSVRecord cells;
        private final long number;
        private final List<BadLine> bad;
        private final int badBefore;

        Line(CSVRecord cells, long number, List<BadLine> bad) {
            this.cells = cells;
            this.number = number;
            this.bad = bad;
            this.badBefore = bad.size();
        }

        Attempt attempt(Map<String, String> pupils, Catalogue catalogue) {
            String ladder = text(Column.LADDER);
            String rung = text(Column.RUNG);
            if (ladder != null && rung != null && catalogue.rung(ladder, rung).isEmpty())
                wrong(Column.RUNG, Fault.Rule.UNKNOWN, ladder + ", " + rung);
            Integer timeMs = whole(Column.TIME_MS);
            Integer hits = whole(Column.HITS);
            Integer misses = whole(Column.MISSES);
            String id = text(Column.ID);
            Integer set = whole(Column.SET);
            Side side = word(Column.SIDE, Side.class, Side.NONE);
            Attempt.Where where = word(Column.WHERE, Attempt.Where.class, Attempt.Where.SCHOOL);
            RoundResult.Source countedBy = word(Column.COUNTED_BY, RoundResult.Source.class, RoundResult.Source.TYPED);
            String pupil = pupil(text(Column.PUPIL), Column.PUPIL, pupils);
            List<String> jointWith = parts(Column.JOINT_WITH).stream()
                    .map(name -> pupil(name, Column.JOINT_WITH, pupils))
                    .toList();
            List<Modifier> modifiers = parts(Column.MODIFIERS).stream()
                    .map(m -> parse(m, Column.MODIFIERS, Modifier.class))
                    .toList();
            LocalDate on = day();
            Integer score = whole(Column.SCORE);
            Integer workSec = whole(Column.WORK_SEC);
            Double distanceM = number(Column.DISTANCE_M);
            boolean confirmed = yes(Column.CONFIRMED);
            boolean trial = yes(Column.TRIAL);
            if (bad.size() > badBefore) return null;
            try {
                return new Attempt(
                        id == null
                                ? UUID.randomUUID().toString()
                                : UUID.fromString(id).toString(),
                        pupil,
                        on,
                        ladder,
                        rung,
                        modifiers,
                        side,
                        set == null ? 1 : set,
                        score,
                        hits,
                        misses,
                        hits == null || misses == null ? null : (Integer) (hits + misses),
                        workSec,
                        text(Column.BALL),
                        distanceM,
                        text(Column.TARGET),
                        text(Column.WITH),
                        text(Column.SPACE),
                        where,
                        countedBy,
                        confirmed,
                        trial,
                        timeMs == null ? null : new RoundDetail(timeMs, null, null, null, null, null, null, null),
                        jointWith);
            } catch (Refused e) {
                for (Fault f : e.faults()) bad.add(new BadLine(number, f));
            } catch (IllegalArgumentException e) {
                wrong(Column.ID, Fault.Rule.KIND, "an id as it was exported, or empty");
            }
            return null;
        }

        private String pupil(String name, Column column, Map<String, String> pupils) {
            if (name == null) return null;
            String id = pupils.get(name);
            if (id == null) wrong(column, Fault.Rule.UNKNOWN, name);
            return id;
        }

        private String text(Column column) {
            if (!cells.isMapped(column.title()) || !cells.isSet(column.title())) return null;
            String cell = plain(cells.get(column.title()));
            return cell.isBlank() ? null : cell;
        }

        private List<String> parts(Column column) {
            String all = text(column);
            return all == null
                    ? List.of()
                    : Arrays.stream(all.split(";")).map(String::strip).toList();
        }

        private LocalDate day() {
            String cell = text(Column.DAY);
            if (cell == null) return null;
            try {
                return LocalDate.parse(cell);
            } catch (DateTimeParseException e) {
                wrong(Column.DAY, Fault.Rule.KIND, "a day such as 2026-11-26");
                return null;
            }
        }

        private Double number(Column column) {
            String cell = text(column);
            if (cell == null) return null;
            try {
                return Double.valueOf(cell.replace(',', '.'));
            } catch (NumberFormatException e) {
                wrong(column, Fault.Rule.KIND, "a number");
                return null;
            }
        }

        private Integer whole(Column column) {
            Double number = number(column);
            if (number == null) return null;
            if (number == Math.rint(number) && Math.abs(number) < 1e9) return number.intValue();
            wrong(column, Fault.Rule.KIND, "a whole number");
            return null;
        }

        private boolean yes(Column column) {
            String cell = text(column);
            if (cell == null || cell.equalsIgnoreCase("no") || cell.equalsIgnoreCase("false")) return false;
            if (!cell.equalsIgnoreCase("yes") && !cell.equalsIgnoreCase("true"))
                wrong(column, Fault.Rule.ONE_OF, "yes, no");
            return true;
        }

        private <E extends Enum<E>> E word(Column column, Class<E> kind, E otherwise) {
            String cell = text(column);
            return cell == null ? otherwise : parse(cell, column, kind);
        }

        private <E extends Enum<E>> E parse(String cell, Column column, Class<E> kind) {
            Map<String, E> words = new HashMap<>();
            for (E e : kind.getEnumConstants()) words.put(Fields.small(e), e);
            E found = words.get(cell.toLowerCase(Locale.ROOT));
            if (found == null)
                wrong(
                        column,
                        Fault.Rule.ONE_OF,
                        words.keySet().stream().sorted().collect(Collectors.joining(", ")));
            return found;
        }

        private void wrong(Column column, Fault.Rule rule, Object figure) {
            bad.add(new BadLine(number, new Fault(column.title(), rule, List.of(figure))));
        }
    }
}
