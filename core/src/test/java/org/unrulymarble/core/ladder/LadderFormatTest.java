package org.unrulymarble.core.ladder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.Cases;
import org.unrulymarble.core.kit.KitKind;
import org.unrulymarble.core.kit.KitKinds;
import org.unrulymarble.core.measure.Course;
import org.unrulymarble.core.measure.CourseTime;

/** The file format of ladders: written, read back, and as the published schema says. */
class LadderFormatTest {

    private static final KitKinds KINDS = KitKinds.shipped();
    private static final List<Ladder> ALL = Catalogue.shipped().all();
    private static final Schema SCHEMA = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(json(LadderFiles.schema()));

    /** A rung has these of its own or its ladder's, a ladder its family of its own or its file's, which a schema cannot say. */
    private static final Set<String> FROM_ABOVE = Set.of("family", "sides", "measure", "unit", "pace", "doses");

    @Test
    void what_is_written_reads_back_as_the_same_ladders() {
        String json = json(LadderWriter.file(ALL, List.of()));

        assertThat(LadderFiles.read("all.yaml", LadderWriter.yaml(ALL, List.of()), KINDS))
                .isEqualTo(ALL);
        assertThat(LadderFiles.read("all.json", json, KINDS)).isEqualTo(ALL);
        assertThat(LadderFiles.read("tabs.json", json.replace("  ", "\t"), KINDS))
                .isEqualTo(ALL);
    }

    @Test
    void a_drawn_course_is_kept_in_a_file_and_one_of_one_marker_is_refused() {
        String plain = json(LadderWriter.file(
                ALL.stream().filter(l -> l.id().equals("called-markers")).toList(), List.of()));
        String start = "{\"xM\":0.0,\"yM\":1.5}";
        String drawn = "{\"course\":{\"markers\":[" + start + ",{\"xM\":4.0,\"yM\":0.0}],\"back\":true}}";
        String file = plain.replaceAll(
                "\"measure\"\\s*:\\s*\"course-time\"", "\"measure\":\"course-time\",\"scoring\":" + drawn);

        List<Ladder> read = LadderFiles.read("drawn.json", file, KINDS);
        assertThat(read.get(0).rungs())
                .last()
                .extracting(Rung::measure)
                .isEqualTo(new CourseTime(
                        new Course(List.of(new Course.Marker(0.0, 1.5), new Course.Marker(4.0, 0.0)), true)));
        assertThat(SCHEMA.validate(file, InputFormat.JSON)).isEmpty();
        assertThat(LadderFiles.read("again.yaml", LadderWriter.yaml(read, List.of()), KINDS))
                .isEqualTo(read);

        String one = file.replace(start + ",", "");
        assertThat(reads(one)).isFalse();
        assertThat(SCHEMA.validate(one, InputFormat.JSON)).isNotEmpty();
    }

    @Test
    void the_schema_takes_every_shipped_ladder() {
        assertThat(SCHEMA.validate(json(LadderWriter.file(ALL, List.of())), InputFormat.JSON))
                .isEmpty();
    }

    @Test
    void the_schema_and_the_reader_refuse_the_same_files() {
        // Between them these have every field there is.
        for (String id : List.of(
                "wall-serve-stepping-back",
                "claps-and-turns",
                "wake-the-joints",
                "off-a-bat",
                "stick-wall-ball",
                "bowl-at-rings",
                "number-keep",
                "called-markers")) {
            Map<String, Object> file = LadderWriter.file(
                    ALL.stream().filter(l -> l.id().equals(id)).toList(), KINDS.all());
            List<String> disagreed = new ArrayList<>();
            for (List<Object> path : paths(file, List.of()))
                for (Object other : new Object[] {null, Map.of("nonsense", 1), "", -1, List.of()}) {
                    Map<String, Object> changed = changed(file, path, other);
                    boolean fromAbove =
                            other == null && FROM_ABOVE.contains(path.get(path.size() - 1)) && path.size() <= 5;
                    // What a sentence names has to be there; which names they are only the reader knows.
                    boolean callsNamed = id.equals("called-markers")
                            && List.of("scoring", "calls").contains(path.get(path.size() - 1))
                            && path.get(3).equals(0);
                    fromAbove |= path.contains("figures") || other == null && (path.contains("standM") || callsNamed);
                    String text = json(changed);
                    boolean reads = reads(text);
                    boolean valid = SCHEMA.validate(text, InputFormat.JSON).isEmpty();
                    if (reads != (valid && !fromAbove))
                        disagreed.add(path + " = " + other + (reads ? " is read" : " is not read"));
                }
            assertThat(disagreed).as(id).isEmpty();
        }
    }

    @Test
    void a_file_brings_the_kinds_of_kit_that_only_its_own_school_knows() {
        KitKind noodle = new KitKind(
                "own-noodle",
                "swim noodle",
                KitKind.Group.STICK,
                150.0,
                null,
                90.0,
                false,
                true,
                false,
                true,
                true,
                false,
                null,
                0,
                "splits when it is bent");
        Ladder plain = ALL.get(0);
        String text = LadderWriter.yaml(List.of(plain), List.of(noodle))
                .replace("kind: " + plain.kit().get(0).kind() + "\n", "kind: own-noodle\n");
        String withKind = LadderWriter.yaml(
                LadderFiles.read("x", "kinds: [{id: own-noodle, name: n, group: stick}]\n" + text, KINDS),
                List.of(noodle));

        assertThatThrownBy(() -> LadderFiles.read("mine.yaml", text, KINDS))
                .hasMessageContaining("kit[0].kind: UNKNOWN [own-noodle]");
        assertThat(LadderFiles.readFile("mine.yaml", withKind, KINDS).kinds()).containsExactly(noodle);
    }

    @Test
    void the_worked_example_of_the_documentation_is_read() throws IOException {
        String doc = Files.readString(Path.of("../docs/formats.md"));
        String example = doc.substring(doc.indexOf("format: 2\n"), doc.indexOf("```", doc.indexOf("format: 2\n")));

        assertThat(LadderFiles.read("example.yaml", example, KINDS))
                .singleElement()
                .satisfies(l ->
                        assertThat(l.rungs()).extracting(Rung::id).containsExactly("half-way", "far-end", "in-turn"));
        assertThat(SCHEMA.validate(example, InputFormat.YAML)).isEmpty();
    }

    @Test
    void every_ladder_that_is_wrong_is_named_with_its_line_and_nothing_is_read() {
        String file = LadderWriter.yaml(ALL.subList(0, 3), List.of());
        String broken =
                file.replaceFirst("noise: \\w+", "noise: deafening").replaceFirst("(?s)(.*)effort: \\d", "$1effort: 9");

        assertThatThrownBy(() -> LadderFiles.read("mine.yaml", broken, KINDS))
                .isInstanceOfSatisfying(
                        BadLadderFile.class,
                        e -> assertThat(e.troubles())
                                .extracting(
                                        BadLadderFile.Trouble::ladder,
                                        t -> t.fault().field(),
                                        BadLadderFile.Trouble::line)
                                .containsExactly(
                                        org.assertj.core.groups.Tuple.tuple(
                                                ALL.get(0).id(), "noise", line(broken, "deafening")),
                                        org.assertj.core.groups.Tuple.tuple(
                                                ALL.get(2).id(), "effort", line(broken, "effort: 9"))));
    }

    @Test
    void a_file_that_is_no_list_of_ladders_says_so_where_it_is() {
        assertThat(trouble("ladders: [").line()).isEqualTo(1);
        assertThat(trouble("a: 1\nb: [1,\nc: 2").fault().figures().get(0).toString())
                .contains("readable");
        assertThat(trouble("lader: []").fault().field()).isEqualTo("ladders");
        assertThat(trouble("format: 1\nladers: 3\nladders: []").line()).isEqualTo(2);
        assertThat(trouble("ladders:\n- id: a\n- 7").line()).isEqualTo(2);
        assertThat(trouble("!!java.net.URL [\"x\"]").fault().field()).isEqualTo("file");
    }

    private static BadLadderFile.Trouble trouble(String text) {
        try {
            LadderFiles.read("mine.yaml", text, KINDS);
        } catch (BadLadderFile e) {
            return e.troubles().get(0);
        }
        throw new AssertionError("was read: " + text);
    }

    private static int line(String text, String part) {
        return (int) text.substring(0, text.indexOf(part)).lines().count();
    }

    private static boolean reads(String text) {
        try {
            LadderFiles.read("changed.json", text, KINDS);
            return true;
        } catch (BadLadderFile e) {
            return false;
        }
    }

    private static String json(Object value) {
        return Cases.JSON.writerWithDefaultPrettyPrinter().writeValueAsString(value);
    }

    /** Every field of a file, as the way down to it; of a list its first entry. */
    private static List<List<Object>> paths(Object at, List<Object> way) {
        List<List<Object>> out = new ArrayList<>();
        if (at instanceof Map<?, ?> map)
            map.forEach((key, value) -> {
                List<Object> here = new ArrayList<>(way);
                here.add(key);
                out.add(here);
                out.addAll(paths(value, here));
            });
        else if (at instanceof List<?> list && !list.isEmpty()) {
            List<Object> here = new ArrayList<>(way);
            here.add(0);
            out.addAll(paths(list.get(0), here));
        }
        return out;
    }

    /** The file with one field changed, or without it. */
    @SuppressWarnings("unchecked")
    private static Map<String, Object> changed(Object file, List<Object> path, Object other) {
        return (Map<String, Object>) copy(file, path, other);
    }

    private static Object copy(Object at, List<Object> path, Object other) {
        if (path.isEmpty()) return other;
        Object step = path.get(0);
        List<Object> rest = path.subList(1, path.size());
        if (at instanceof Map<?, ?> map) {
            Map<Object, Object> copy = new LinkedHashMap<>(map);
            if (rest.isEmpty() && other == null) copy.remove(step);
            else copy.put(step, copy(map.get(step), rest, other));
            return copy;
        }
        List<Object> copy = new ArrayList<>((List<?>) at);
        copy.set((Integer) step, copy(copy.get((Integer) step), rest, other));
        return copy;
    }
}
