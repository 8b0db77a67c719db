package org.unrulymarble.server.store;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;

/**
 * A class list as a school office or a spreadsheet has it: any columns, with or without a heading. Says what it takes each column for; whoever asks
 * may say otherwise. Of a family name one letter is kept, of a birthday the year.
 *
 * @param headed whether the first line names the columns
 * @param pupils as they would be kept, a line each
 * @param unread numbers of the lines, from 1, in which no first name was found
 */
record ClassList(boolean headed, List<ListColumn> columns, List<PupilDetails> pupils, List<Integer> unread) {

    private static final int MOST_LINES = 300;
    private static final int MOST_COLUMNS = 40;
    private static final int SAMPLES = 3;
    private static final char[] DELIMITERS = {'\t', ';', ',', '|'};
    private static final Pattern NUMBERING = Pattern.compile("^\\(?\\d{1,3}[.):]?\\s+(?=\\D)");
    private static final Pattern YEAR = Pattern.compile("(?<!\\d)(19[9]\\d|20\\d\\d)(?!\\d)");
    private static final Pattern SHORT_DATE = Pattern.compile("^\\d{1,2}[./-]\\d{1,2}[./-](\\d\\d)$");

    /** What a column is taken for. */
    enum Meaning {
        FIRST_NAME,
        /** of which the first letter is kept */
        FAMILY_NAME,
        /** first name, then family name, perhaps a year of birth */
        FIRST_AND_FAMILY,
        /** family name, then first name */
        FAMILY_AND_FIRST,
        /** a year, or a birthday of which the year is kept */
        BORN,
        NOTHING
    }

    /**
     * @param title as the list has it, or null where it has none
     * @param samples the first few of its cells
     */
    record ListColumn(@Nullable String title, Meaning meaning, List<String> samples) {}

    /**
     * @param text as it was pasted, or read from a file
     * @param meanings of the columns as somebody said, or null: found out
     */
    static ClassList read(String text, List<Meaning> meanings) {
        List<List<String>> lines = lines(text.startsWith("\uFEFF") ? text.substring(1) : text);
        int width = lines.stream().mapToInt(List::size).max().orElse(0);
        new Checks()
                .entries("text", lines, 0, MOST_LINES)
                .range("columns", width, 0, MOST_COLUMNS)
                .done();
        boolean headed = !lines.isEmpty() && lines.get(0).stream().anyMatch(ClassList::isTitle);
        List<List<String>> body = lines.subList(headed ? 1 : 0, lines.size());
        List<ListColumn> columns = new ArrayList<>();
        for (int c = 0; c < width; c++) {
            int at = c;
            List<String> cells = body.stream().map(l -> cell(l, at)).toList();
            String title = headed && !cell(lines.get(0), c).isEmpty() ? cell(lines.get(0), c) : null;
            Meaning meaning = meanings != null && c < meanings.size()
                    ? meanings.get(c)
                    : title == null ? byCells(cells) : named(title);
            columns.add(new ListColumn(
                    title,
                    meaning,
                    cells.stream().filter(s -> !s.isEmpty()).limit(SAMPLES).toList()));
        }
        if (meanings == null) settle(columns, delimiterOf(text));
        List<PupilDetails> pupils = new ArrayList<>();
        List<Integer> unread = new ArrayList<>();
        for (int i = 0; i < body.size(); i++) {
            PupilDetails pupil = pupil(body.get(i), columns);
            if (pupil == null) unread.add(i + 1 + (headed ? 1 : 0));
            else pupils.add(pupil);
        }
        return new ClassList(headed, List.copyOf(columns), List.copyOf(pupils), List.copyOf(unread));
    }

    private static List<List<String>> lines(String text) {
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(delimiterOf(text))
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .setLenientEof(true)
                .setTrailingData(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            List<List<String>> lines = new ArrayList<>();
            parser.forEach(r -> {
                List<String> cells = r.stream().map(String::strip).toList();
                if (cells.stream().anyMatch(s -> !s.isEmpty())) lines.add(cells);
            });
            return lines;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (UncheckedIOException e) {
            // A quotation mark that nobody closed: then the lines are taken as they stand.
            return text.lines()
                    .map(l -> Arrays.stream(l.split(Pattern.quote(String.valueOf(delimiterOf(text)))))
                            .map(String::strip)
                            .toList())
                    .filter(l -> l.stream().anyMatch(s -> !s.isEmpty()))
                    .toList();
        }
    }

    /** What stands most often, and where two stand alike the one that parts cells in fewer other uses. */
    private static char delimiterOf(String text) {
        char best = '\t';
        long most = 0;
        for (char c : DELIMITERS) {
            long lines = text.lines().filter(l -> l.indexOf(c) >= 0).count();
            if (lines > most) {
                most = lines;
                best = c;
            }
        }
        return best;
    }

    private static boolean isTitle(String cell) {
        return !cell.isEmpty() && named(cell) != Meaning.NOTHING;
    }

    /** What a heading says; NOTHING for one that says none of it. */
    private static Meaning named(String title) {
        String t = title.toLowerCase(Locale.ROOT).replaceAll("[^a-z]+", " ").strip();
        if (t.matches("(first|given|fore|christian|preferred|known as)( ?names?)?|forename|called"))
            return Meaning.FIRST_NAME;
        if (t.matches("(last|family|second)( ?names?)?|surnames?|initials?")) return Meaning.FAMILY_NAME;
        if (t.matches("(sur|last|family) ?names? (and )?(first|fore|given)( ?names?)?"))
            return Meaning.FAMILY_AND_FIRST;
        if (t.matches("(full |pupil |student )?names?|pupils?|students?|child(ren)?")) return Meaning.FIRST_AND_FAMILY;
        if (t.matches("(date |year )?(of )?birth( ?(date|day|year))?|birth(day|date|year)|born|dob|d o b|year born"))
            return Meaning.BORN;
        return Meaning.NOTHING;
    }

    private static Meaning byCells(List<String> cells) {
        List<String> some = cells.stream().filter(s -> !s.isEmpty()).toList();
        if (some.isEmpty()) return Meaning.NOTHING;
        if (most(some, s -> year(s) != null && s.matches("[\\d./ -]+"))) return Meaning.BORN;
        if (most(some, s -> s.matches("\\P{L}*"))) return Meaning.NOTHING;
        if (most(some, s -> s.matches("\\p{L}\\.?"))) return Meaning.FAMILY_NAME;
        if (most(some, s -> s.contains(","))) return Meaning.FAMILY_AND_FIRST;
        if (most(some, s -> unnumbered(s).contains(" "))) return Meaning.FIRST_AND_FAMILY;
        return Meaning.FIRST_NAME;
    }

    /** Each of a name's parts comes from one column: of two with one word each, a comma between says that the family name is first. */
    private static void settle(List<ListColumn> columns, char delimiter) {
        List<Integer> first = at(columns, EnumSet.of(Meaning.FIRST_NAME));
        List<Integer> family = at(columns, EnumSet.of(Meaning.FAMILY_NAME));
        List<Integer> whole = at(columns, EnumSet.of(Meaning.FIRST_AND_FAMILY, Meaning.FAMILY_AND_FIRST));
        boolean titled = columns.stream().anyMatch(c -> c.title() != null);
        if (!titled && first.size() >= 2 && family.isEmpty() && whole.isEmpty()) {
            if (delimiter == ',') Collections.swap(first, 0, 1);
            set(columns, first.get(1), Meaning.FAMILY_NAME);
            first = List.of(first.get(0));
        }
        // A column of single words beside one of whole names is a form, a house, a hand.
        if (!whole.isEmpty() && !titled) first.forEach(c -> set(columns, c, Meaning.NOTHING));
        if (titled && !first.isEmpty()) whole.forEach(c -> set(columns, c, Meaning.NOTHING));
        once(columns, EnumSet.of(Meaning.FIRST_NAME, Meaning.FIRST_AND_FAMILY, Meaning.FAMILY_AND_FIRST));
        once(columns, EnumSet.of(Meaning.FAMILY_NAME));
        once(columns, EnumSet.of(Meaning.BORN));
        // "Name" beside "Surname" is a first name.
        List<Integer> names = at(columns, EnumSet.of(Meaning.FIRST_AND_FAMILY));
        if (titled
                && !names.isEmpty()
                && !at(columns, EnumSet.of(Meaning.FAMILY_NAME)).isEmpty())
            set(columns, names.get(0), Meaning.FIRST_NAME);
    }

    private static void once(List<ListColumn> columns, Set<Meaning> some) {
        at(columns, some).stream().skip(1).forEach(c -> set(columns, c, Meaning.NOTHING));
    }

    private static List<Integer> at(List<ListColumn> columns, Set<Meaning> some) {
        List<Integer> found = new ArrayList<>();
        for (int c = 0; c < columns.size(); c++)
            if (some.contains(columns.get(c).meaning())) found.add(c);
        return found;
    }

    private static void set(List<ListColumn> columns, int at, Meaning meaning) {
        ListColumn c = columns.get(at);
        columns.set(at, new ListColumn(c.title(), meaning, c.samples()));
    }

    /** Null where no first name is in the line. */
    private static PupilDetails pupil(List<String> line, List<ListColumn> columns) {
        String first = "";
        String family = "";
        Integer born = null;
        for (int c = 0; c < columns.size(); c++) {
            String cell = cell(line, c);
            switch (columns.get(c).meaning()) {
                case FIRST_NAME -> first = unnumbered(cell);
                case FAMILY_NAME -> family = cell;
                case BORN -> born = year(cell);
                case FIRST_AND_FAMILY -> {
                    if (born == null) born = year(cell);
                    String[] both = firstAndFamily(unnumbered(cell));
                    first = both[0];
                    if (family.isEmpty()) family = both[1];
                }
                case FAMILY_AND_FIRST -> {
                    String[] both = unnumbered(cell).split("[,\\s]+", 2);
                    first = both.length > 1 ? both[1] : "";
                    family = both[0];
                }
                case NOTHING -> {}
            }
        }
        String kept = first.length() > 40 ? first.substring(0, 40) : first;
        if (kept.codePoints().noneMatch(Character::isLetter)) return null;
        return new PupilDetails(kept, letter(family), born, null, null, null, null, null, null, null, null, null);
    }

    /** The last word is the family name, from the first small one on where there is one (van, de): "Ana Maria Sol", "Jan de Wit". */
    private static String[] firstAndFamily(String cell) {
        List<String> words = Arrays.stream(cell.split("[\\s,]+"))
                .filter(w -> w.codePoints().anyMatch(Character::isLetter))
                .toList();
        if (words.isEmpty()) return new String[] {"", ""};
        int family = words.size() - 1;
        for (int w = words.size() - 1; w >= 1; w--)
            if (Character.isLowerCase(words.get(w).codePointAt(0))) family = w;
        if (words.size() == 1 || family == 0) return new String[] {String.join(" ", words), ""};
        return new String[] {
            String.join(" ", words.subList(0, family)), String.join(" ", words.subList(family, words.size()))
        };
    }

    private static String letter(String family) {
        String word = Arrays.stream(family.split("[^\\p{L}]+"))
                .filter(w -> !w.isEmpty() && Character.isUpperCase(w.codePointAt(0)))
                .findFirst()
                .orElse(family.replaceAll("[^\\p{L}]+", ""));
        return word.isEmpty() || !Character.isLetter(word.charAt(0))
                ? ""
                : word.substring(0, 1).toUpperCase(Locale.ROOT);
    }

    private static Integer year(String cell) {
        Matcher whole = YEAR.matcher(cell);
        if (whole.find()) return Integer.valueOf(whole.group(1));
        Matcher brief = SHORT_DATE.matcher(cell);
        return brief.matches() ? (Integer) (2000 + Integer.parseInt(brief.group(1))) : null;
    }

    private static String unnumbered(String cell) {
        return NUMBERING.matcher(cell).replaceFirst("");
    }

    private static boolean most(List<String> cells, Predicate<String> what) {
        return cells.stream().filter(what).count() * 5 >= cells.size() * 4L;
    }

    private static String cell(List<String> line, int at) {
        return at < line.size() ? line.get(at) : "";
    }
}
