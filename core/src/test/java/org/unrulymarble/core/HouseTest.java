package org.unrulymarble.core;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.plan.edit.Edit;
import org.unrulymarble.core.plan.findings.Finding;

/** What is written for who carries on says what is there. */
class HouseTest {

    private static final Path ROOT = Path.of("..");
    private static final Path CORE = ROOT.resolve("core/src/main/java/org/unrulymarble/core");

    @Test
    void the_picture_has_every_room_and_no_other() throws IOException {
        String picture = Files.readString(ROOT.resolve("docs/architecture.md")).split("```")[1];
        assertThat(rooms(picture, "core")).isEqualTo(packages());
        assertThat(rooms(picture, "server")).isEqualTo(folders("server/src/main/java/org/unrulymarble/server"));
        assertThat(rooms(picture, "web")).isEqualTo(folders("web/src/views"));
    }

    @Test
    void the_words_of_our_own_are_explained_alike_in_the_pages_and_in_the_docs() throws IOException {
        String pages = Files.readString(ROOT.resolve("web/src/words/glossary.json"));
        String docs = Files.readString(ROOT.resolve("docs/words.md"));
        Matcher word = Pattern.compile("\"word\": \"([^\"]+)\",\\s*\"field\": \"([^\"]+)\",\\s*\"line\": \"([^\"]+)\"")
                .matcher(pages);
        List<String> rows = new ArrayList<>();
        while (word.find()) rows.add("| %s | %s | %s |".formatted(word.group(1), word.group(2), word.group(3)));
        assertThat(rows).hasSizeGreaterThan(20);
        assertThat(docs.lines().filter(l -> l.startsWith("| ") && !l.startsWith("| Here")))
                .containsExactlyElementsOf(rows);
    }

    /** The words of a floor's lines, up to what is said about them. */
    private static Set<String> rooms(String picture, String floor) {
        Set<String> rooms = new TreeSet<>();
        boolean here = false;
        for (String line : picture.lines().filter(l -> !l.isBlank()).toList()) {
            if (!line.startsWith(" ")) here = line.startsWith(floor + " ");
            if (here)
                rooms.addAll(Arrays.asList(line.substring(9).split(" {2,}")[0].split(" ")));
        }
        return rooms;
    }

    private static Set<String> packages() throws IOException {
        try (Stream<Path> all = Files.walk(CORE)) {
            return all.filter(p -> p.endsWith("package-info.java"))
                    .map(p -> CORE.relativize(p.getParent()).toString().replace('/', '.'))
                    .collect(Collectors.toCollection(TreeSet::new));
        }
    }

    private static Set<String> folders(String of) throws IOException {
        try (Stream<Path> all = Files.list(ROOT.resolve(of))) {
            return all.filter(Files::isDirectory)
                    .map(p -> p.getFileName().toString())
                    .collect(Collectors.toCollection(TreeSet::new));
        }
    }

    @Test
    void every_file_that_the_worked_changes_name_is_there() throws IOException {
        List<String> paths = paths(Files.readString(ROOT.resolve("CONTRIBUTING.md")));
        assertThat(paths).hasSizeGreaterThan(30).allMatch(p -> Files.exists(ROOT.resolve(p)));
    }

    @Test
    void every_finding_edit_and_measure_was_put_in_each_of_its_files() throws IOException {
        assertThat(leftOut(
                        "### A finding",
                        Stream.of(Finding.Code.values()).map(Enum::name).toList(),
                        "Finding.java",
                        "Provoked.java",
                        "words/findings.json"))
                .isEmpty();
        assertThat(leftOut("### An edit", names(Edit.class), "Edit.java")).isEmpty();
        assertThat(leftOut(
                        "### A measure",
                        names(Measure.class),
                        "Measure.java",
                        "measures.json",
                        "measures/index.ts",
                        "words/catalogue.json"))
                .isEmpty();
    }

    private static List<String> names(Class<?> sealed) {
        return Stream.of(sealed.getAnnotation(JsonSubTypes.class).value())
                .map(JsonSubTypes.Type::name)
                .toList();
    }

    /** Of a worked change: those of its kind that are missing in one of these of its files. */
    private static List<String> leftOut(String heading, List<String> names, String... files) throws IOException {
        String whole = Files.readString(ROOT.resolve("CONTRIBUTING.md"));
        String change = whole.substring(whole.indexOf(heading)).split("\n### ")[0];
        List<String> missing = new ArrayList<>();
        for (String file : files) {
            String path = paths(change).stream()
                    .filter(p -> p.endsWith("/" + file))
                    .findFirst()
                    .orElseThrow(() -> new AssertionError(heading + " does not name " + file));
            String text = text(ROOT.resolve(path));
            for (String name : names) if (!text.contains(name)) missing.add(name + " in " + path);
        }
        return missing;
    }

    /** A worked case may stand in any file beside the one that is named. */
    private static String text(Path file) throws IOException {
        if (!file.toString().endsWith(".json")
                || file.endsWith(Path.of("words", file.getFileName().toString()))) return Files.readString(file);
        StringBuilder all = new StringBuilder();
        try (Stream<Path> cases = Files.list(file.getParent())) {
            for (Path one : cases.toList()) all.append(Files.readString(one));
        }
        return all.toString();
    }

    private static List<String> paths(String text) {
        Matcher quoted =
                Pattern.compile("`((?:core|server|web|e2e|docs)/[^`' ]+)`").matcher(text);
        List<String> paths = new ArrayList<>();
        while (quoted.find()) paths.add(quoted.group(1));
        return paths;
    }
}
