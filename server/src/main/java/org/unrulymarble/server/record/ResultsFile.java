package org.unrulymarble.server.record;

import java.io.IOException;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVPrinter;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Fields;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.ladder.MovedRungs;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.Detail;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.core.run.RoundResult;
import org.unrulymarble.core.run.RoundTime;
import org.unrulymarble.server.platform.Csv;
import org.unrulymarble.server.platform.Words;
import tools.jackson.core.JacksonException;

/** Results as CSV; docs/formats.md says what is in each column. */
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
        IN_A_ROW,
        WORK_SEC,
        ASKED_SEC,
        TIME_MS,
        BALL,
        DISTANCE_M,
        TARGET,
        WITH,
        SPACE,
        WHERE,
        COUNTED_BY,
        CONFIRMED,
        CHOSEN,
        TRIAL,
        JOINT_WITH,
        SCORED_BY;

        String title() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    private static final List<Column> NEEDED =
            List.of(Column.PUPIL, Column.DAY, Column.LADDER, Column.RUNG, Column.SCORE);

    /** Who shares a result and is no longer here: the result stays a joint one. */
    private static final String GONE = "(gone)";

    private static final MeasureJson SCORED_BY = new MeasureJson();

    private ResultsFile() {}

    private static List<String> titles(List<Column> columns) {
        return columns.stream().map(Column::title).toList();
    }

    static CSVPrinter printer(Appendable to) throws IOException {
        return Csv.printer(to, titles(List.of(Column.values())));
    }

    static void print(CSVPrinter printer, Attempt a, Map<String, String> names) throws IOException {
        printer.printRecord(
                a.id(),
                Csv.harmless(names.getOrDefault(a.pupilId(), a.pupilId())),
                a.on(),
                a.ladderId(),
                a.rungId(),
                a.modifiers().stream().map(Fields::small).collect(Collectors.joining(Csv.BETWEEN)),
                Fields.small(a.side()),
                a.set(),
                a.score(),
                a.hits(),
                a.misses(),
                a.inARow(),
                a.workSec(),
                a.time() == null ? null : a.time().askedSec(),
                a.timeMs(),
                Csv.harmless(a.ball()),
                a.distanceM(),
                Csv.harmless(a.target()),
                Csv.harmless(a.with()),
                Csv.harmless(a.space()),
                Fields.small(a.where()),
                Fields.small(a.countedBy()),
                a.confirmed() ? "yes" : "no",
                a.chosen() ? "yes" : "no",
                a.trial() ? "yes" : "no",
                Csv.harmless(a.jointWith().stream()
                        .map(id -> names.getOrDefault(id, GONE))
                        .collect(Collectors.joining(Csv.BETWEEN))),
                SCORED_BY.convertToDatabaseColumn(a.task().scoredBy()));
    }

    /** @param pupils ids by name; a name that two pupils have is known to nobody */
    static Csv.Read<Attempt> read(String text, Map<String, String> pupils, Catalogue catalogue, Words words) {
        return Csv.read(
                text,
                titles(List.of(Column.values())),
                titles(NEEDED),
                words,
                line -> new Cells(line).attempt(pupils, catalogue));
    }

    /** One line's cells. */
    private record Cells(Csv.Line line) {

        Attempt attempt(Map<String, String> pupils, Catalogue catalogue) {
            String ladder = line.text(Column.LADDER.title());
            String rung = line.text(Column.RUNG.title());
            if (ladder != null && rung != null) {
                MovedRungs.At now = MovedRungs.now(ladder, rung);
                ladder = now.ladderId();
                rung = now.rungId();
                if (catalogue.rung(ladder, rung).isEmpty())
                    line.wrong(Column.RUNG.title(), Fault.Rule.UNKNOWN, ladder + ", " + rung);
            }
            Integer timeMs = line.whole(Column.TIME_MS.title());
            Integer hits = line.whole(Column.HITS.title());
            Integer misses = line.whole(Column.MISSES.title());
            String id = line.text(Column.ID.title());
            Integer set = line.whole(Column.SET.title());
            Side side = line.word(Column.SIDE.title(), Side.class, Side.NONE);
            Attempt.Where where = line.word(Column.WHERE.title(), Attempt.Where.class, Attempt.Where.SCHOOL);
            RoundResult.Source countedBy =
                    line.word(Column.COUNTED_BY.title(), RoundResult.Source.class, RoundResult.Source.TYPED);
            String pupil = pupil(line.text(Column.PUPIL.title()), Column.PUPIL, pupils);
            List<String> jointWith = line.parts(Column.JOINT_WITH.title()).stream()
                    .map(name -> pupil(name, Column.JOINT_WITH, pupils))
                    .toList();
            List<Modifier> modifiers = line.parts(Column.MODIFIERS.title()).stream()
                    .map(m -> line.parse(m, Column.MODIFIERS.title(), Modifier.class))
                    .toList();
            LocalDate on = line.day(Column.DAY.title());
            Integer score = line.whole(Column.SCORE.title());
            Integer inARow = line.whole(Column.IN_A_ROW.title());
            Integer workSec = line.whole(Column.WORK_SEC.title());
            Integer askedSec = line.whole(Column.ASKED_SEC.title());
            Double distanceM = line.number(Column.DISTANCE_M.title());
            boolean confirmed = line.yes(Column.CONFIRMED.title());
            boolean chosen = line.yes(Column.CHOSEN.title());
            boolean trial = line.yes(Column.TRIAL.title());
            String known = id(id);
            Measure scoredBy = scoredBy(line.text(Column.SCORED_BY.title()));
            if (!line.isGood()) return null;
            return new Attempt(
                    known,
                    pupil,
                    on,
                    new Attempt.Task(ladder, rung, modifiers, side, scoredBy),
                    set == null ? 1 : set,
                    new Attempt.Counts(
                            score,
                            hits,
                            misses,
                            hits == null || misses == null ? null : (Integer) (hits + misses),
                            inARow),
                    workSec == null ? null : new RoundTime(workSec, askedSec),
                    new Attempt.Things(line.text(Column.BALL.title()), distanceM, line.text(Column.TARGET.title())),
                    new Attempt.Setting(line.text(Column.WITH.title()), line.text(Column.SPACE.title()), where),
                    new Attempt.Worth(countedBy, confirmed, chosen, trial),
                    timeMs == null ? null : new Detail.Timed(timeMs, List.of()),
                    jointWith);
        }

        private String id(String cell) {
            try {
                return (cell == null ? UUID.randomUUID() : UUID.fromString(cell)).toString();
            } catch (IllegalArgumentException e) {
                line.wrong(Column.ID.title(), Fault.Rule.KIND, "an id as it was exported, or empty");
                return null;
            }
        }

        /** As it was exported, or one of the measures by its name with its usual figures. */
        private Measure scoredBy(String cell) {
            try {
                if (cell == null || cell.startsWith("{")) return SCORED_BY.convertToEntityAttribute(cell);
                Measure.Kind kind = line.parse(cell, Column.SCORED_BY.title(), Measure.Kind.class);
                return kind == null ? null : SCORED_BY.convertToEntityAttribute("{\"type\":\"" + kind + "\"}");
            } catch (JacksonException e) {
                line.wrong(Column.SCORED_BY.title(), Fault.Rule.KIND, "a measure's name, or as it was exported");
                return null;
            }
        }

        private String pupil(String name, Column column, Map<String, String> pupils) {
            if (name == null || column == Column.JOINT_WITH && name.equals(GONE)) return name;
            String id = pupils.get(name);
            if (id == null) line.wrong(column.title(), Fault.Rule.UNKNOWN, name);
            return id;
        }
    }
}
