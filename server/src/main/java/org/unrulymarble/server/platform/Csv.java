package org.unrulymarble.server.platform;

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
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Fields;
import org.unrulymarble.core.check.Refused;

/**
 * CSV (RFC 4180, UTF-8). Written with commas; read as spreadsheets save it: with semicolons or tabs, a byte order mark, decimal commas. A text that a
 * spreadsheet would take for a formula is written with an apostrophe before it, which reading takes off again.
 */
public final class Csv {

    public static final String BETWEEN = "; ";
    private static final String FORMULA_STARTS = "=+-@\t\r";
    private static final int MOST_LINES = 100_000;

    private Csv() {}

    /** One cell that cannot be read. {@code line} from 1, the header's being 1; {@code must} what it must be, ready to be shown. */
    public record BadCell(long line, String column, String must) {}

    private record BadLine(long line, Fault fault) {}

    /** What is wrong with a file: the first of it, and how much there is. */
    private static final class Wrongs {
        private final List<BadLine> first = new ArrayList<>();
        private int inAll;

        void add(BadLine one) {
            if (inAll++ < Problems.MOST_TOLD) first.add(one);
        }
    }

    /**
     * @param rows those that could be read, in order
     * @param bad the first {@value Problems#MOST_TOLD} cells that cannot
     * @param badInAll how many cannot
     */
    public record Read<T>(List<T> rows, List<BadCell> bad, int badInAll) {}

    public static CSVPrinter printer(Appendable to, List<String> columns) throws IOException {
        CSVPrinter printer = new CSVPrinter(to, CSVFormat.RFC4180);
        printer.printRecord(columns);
        return printer;
    }

    public static String harmless(String text) {
        return text != null && !text.isEmpty() && FORMULA_STARTS.indexOf(text.charAt(0)) >= 0 ? "'" + text : text;
    }

    private static String plain(String cell) {
        return cell.length() > 1 && cell.charAt(0) == '\'' && FORMULA_STARTS.indexOf(cell.charAt(1)) >= 0
                ? cell.substring(1)
                : cell;
    }

    /** @param each reads one line; what it returns counts only if it called nothing wrong */
    public static <T> Read<T> read(
            String text, List<String> columns, List<String> needed, Words words, Function<Line, T> each) {
        List<T> rows = new ArrayList<>();
        Wrongs bad = new Wrongs();
        lines(text, columns, needed, bad, each, rows);
        return new Read<>(
                List.copyOf(rows),
                bad.first.stream()
                        .map(b -> new BadCell(b.line(), b.fault().field(), words.must(b.fault())))
                        .toList(),
                bad.inAll);
    }

    private static <T> void lines(
            String text, List<String> columns, List<String> needed, Wrongs bad, Function<Line, T> each, List<T> rows) {
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
        try (CSVParser parser = CSVParser.parse(new StringReader(body), format)) {
            header(parser.getHeaderNames(), columns, needed, bad);
            if (bad.inAll > 0) return;
            for (CSVRecord record : parser) {
                long number = parser.getCurrentLineNumber();
                if (record.getRecordNumber() > MOST_LINES) {
                    bad.add(new BadLine(number, new Fault("file", Fault.Rule.ENTRIES, List.of(1, MOST_LINES))));
                    return;
                }
                Line line = new Line(record, number, bad);
                try {
                    T row = each.apply(line);
                    if (line.isGood()) rows.add(row);
                } catch (Refused e) {
                    for (Fault f : e.faults())
                        bad.add(new BadLine(number, new Fault(column(f.field()), f.rule(), f.figures())));
                }
            }
        } catch (IllegalArgumentException | UncheckedIOException e) {
            // What the reader says of it is for whoever wrote the reader.
            bad.add(new BadLine(
                    1,
                    new Fault(
                            "file",
                            Fault.Rule.KIND,
                            List.of("readable as CSV: each column named once, each quotation mark closed"))));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A field as a column is called. */
    private static String column(String field) {
        return field.replaceAll("([a-z])([A-Z])", "$1_$2").toLowerCase(Locale.ROOT);
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

    private static void header(List<String> names, List<String> columns, List<String> needed, Wrongs bad) {
        for (String name : names)
            if (!columns.contains(name.toLowerCase(Locale.ROOT)))
                bad.add(new BadLine(1, new Fault(name, Fault.Rule.NO_FIELD, List.of(String.join(", ", columns)))));
        for (String column : needed)
            if (names.stream().noneMatch(n -> n.equalsIgnoreCase(column)))
                bad.add(new BadLine(1, new Fault(column, Fault.Rule.REQUIRED, List.of())));
    }

    /** One line, cell by cell; whatever is wrong with it is said at once. An empty cell is null. */
    public static final class Line {
        private final CSVRecord cells;
        private final long number;
        private final Wrongs bad;
        private final int badBefore;

        private Line(CSVRecord cells, long number, Wrongs bad) {
            this.cells = cells;
            this.number = number;
            this.bad = bad;
            this.badBefore = bad.inAll;
        }

        public boolean isGood() {
            return bad.inAll == badBefore;
        }

        public boolean has(String column) {
            return cells.isMapped(column) && cells.isSet(column);
        }

        public String text(String column) {
            if (!has(column)) return null;
            String cell = plain(cells.get(column));
            return cell.isBlank() ? null : cell;
        }

        public List<String> parts(String column) {
            String all = text(column);
            return all == null
                    ? List.of()
                    : Arrays.stream(all.split(";")).map(String::strip).toList();
        }

        public LocalDate day(String column) {
            String cell = text(column);
            if (cell == null) return null;
            try {
                return LocalDate.parse(cell);
            } catch (DateTimeParseException e) {
                wrong(column, Fault.Rule.KIND, "a day such as 2026-11-26");
                return null;
            }
        }

        public Double number(String column) {
            String cell = text(column);
            if (cell == null) return null;
            try {
                return Double.valueOf(cell.replace(',', '.'));
            } catch (NumberFormatException e) {
                wrong(column, Fault.Rule.KIND, "a number");
                return null;
            }
        }

        public Integer whole(String column) {
            Double value = number(column);
            if (value == null) return null;
            if (value == Math.rint(value) && Math.abs(value) < 1e9) return value.intValue();
            wrong(column, Fault.Rule.KIND, "a whole number");
            return null;
        }

        public boolean yes(String column) {
            String cell = text(column);
            if (cell == null || cell.equalsIgnoreCase("no") || cell.equalsIgnoreCase("false")) return false;
            if (!cell.equalsIgnoreCase("yes") && !cell.equalsIgnoreCase("true"))
                wrong(column, Fault.Rule.ONE_OF, "yes, no");
            return true;
        }

        public <E extends Enum<E>> E word(String column, Class<E> kind, E otherwise) {
            String cell = text(column);
            return cell == null ? otherwise : parse(cell, column, kind);
        }

        public <E extends Enum<E>> E parse(String cell, String column, Class<E> kind) {
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

        public void wrong(String column, Fault.Rule rule, Object figure) {
            bad.add(new BadLine(number, new Fault(column, rule, List.of(figure))));
        }
    }
}
