package org.unrulymarble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;
import tools.jackson.databind.JsonNode;

/**
 * Each of the pieces of work is put together from an empty lesson in a teacher's own words, with every press and key counted; ten of different kinds are
 * run and recorded, by a class and by one pupil alone.
 */
@ExtendWith(OneBrowser.class)
@Tag("long")
class PiecesJourneyTest {

    private static final int MOST_PRESSES = 25;
    private static final int MOST_KEYS = 60;
    /** A teacher reads no further down a list than this. */
    private static final int READ = 3;

    private final Browser browser = OneBrowser.browser();

    @AfterEach
    void asBefore() {
        browser.at(OneBrowser.server().address());
    }

    /** Of different kinds and measures; boules, rings and the practice at home have journeys of their own. */
    private static final List<String> PLAYED = List.of("1", "2", "3", "4", "7", "8", "12", "14", "16", "20");

    private record Piece(String number, String room, List<String> words, List<String> ladders) {}

    @Test
    void every_piece_is_put_together_in_few_presses_and_keys() throws IOException {
        try (MarbleServer own = new MarbleServer(true).start()) {
            browser.at(own.address());
            browser.signIn("okafor");
            Lessons lessons = new Lessons(browser);
            String classId = classOf(lessons, "Twelve", 12);
            SoftAssertions all = new SoftAssertions();
            List<Piece> pieces = pieces();
            assertThat(pieces).hasSize(21);
            for (Piece piece : pieces) {
                String lessonId = emptyLesson(lessons, classId, piece);
                browser.open("/plan/" + lessonId);
                browser.see("[data-testid=figures]");
                Newcomer teacher = new Newcomer(browser);
                for (int i = 0; i < piece.words().size(); i++)
                    take(teacher, piece.words().get(i), piece.ladders().get(i));
                List<String> planned = saved(lessons, lessonId, piece);
                all.assertThat(planned).as(piece.number()).containsExactlyElementsOf(piece.ladders());
                all.assertThat(teacher.presses())
                        .as(piece.number() + ": " + teacher.told())
                        .isLessThanOrEqualTo(MOST_PRESSES);
                all.assertThat(teacher.keys())
                        .as(piece.number() + ": " + teacher.told())
                        .isLessThanOrEqualTo(MOST_KEYS);
                System.out.println("piece " + piece.number() + ": " + teacher.told());
            }
            all.assertAll();
        }
    }

    @ParameterizedTest
    @CsvSource({"Ten, 10", "Alone, 1"})
    void ten_of_different_kinds_are_run_and_recorded(String name, int pupils) throws IOException {
        try (MarbleServer own = new MarbleServer(true).start()) {
            browser.at(own.address());
            browser.signIn("okafor");
            Lessons lessons = new Lessons(browser);
            String classId = classOf(lessons, name, pupils);
            String first =
                    lessons.get("/api/classes/" + classId).at("/pupils/0/id").stringValue();
            for (Piece piece : pieces()) {
                if (!PLAYED.contains(piece.number())) continue;
                String lessonId = emptyLesson(lessons, classId, piece);
                browser.open("/plan/" + lessonId);
                browser.see("[data-testid=figures]");
                for (int i = 0; i < piece.words().size(); i++)
                    take(
                            new Newcomer(browser),
                            piece.words().get(i),
                            piece.ladders().get(i));
                saved(lessons, lessonId, piece);

                String ladderId = playedOnce(new RunPage(browser, lessons), lessonId);
                assertThat(piece.ladders()).contains(ladderId);
                JsonNode tried =
                        lessons.get("/api/pupils/" + first + "/attempts").get(0);
                assertThat(tried.at("/attempt/ladderId").stringValue())
                        .as("piece " + piece.number())
                        .isEqualTo(ladderId);
                assertThat(tried.at("/attempt/countedBy").stringValue()).isEqualTo("ADULT");
                browser.open("/pupils/" + first);
                browser.see("[data-testid=attempts]");
                browser.seeText(lessons.get("/api/ladders")
                        .valueStream()
                        .filter(l -> l.get("id").stringValue().equals(ladderId))
                        .findFirst()
                        .orElseThrow()
                        .get("name")
                        .stringValue());
            }
        }
    }

    /** Runs the first round that is counted, three things of it on the first pupil's pad. @return whose ladder it was */
    private String playedOnce(RunPage run, String lessonId) {
        run.beginAnyhow(lessonId);
        JsonNode script = run.run().at("/sheet/script");
        JsonNode round = script.get("segments")
                .valueStream()
                .filter(s -> s.get("kind").stringValue().equals("WORK"))
                .filter(s -> script.at("/blocks/" + s.get("block").intValue() + "/counted")
                        .booleanValue())
                .findFirst()
                .orElseThrow();
        int block = round.get("block").intValue();
        run.jumpTo(round.get("index").intValue());
        browser.await(
                "the pads of block " + block,
                d -> browser.shows("section[aria-label=Pads][data-block='" + block + "']"));
        if (!browser.shows("section[aria-label=Pads] button[aria-pressed=true]")) browser.press("1 Pupil 1");
        browser.keys("q", "q", "q");
        run.awaitSent();
        run.finish();
        return script.at("/blocks/" + block + "/ladderId").stringValue();
    }

    private List<String> saved(Lessons lessons, String lessonId, Piece piece) {
        return browser.await("the lesson to be saved", d -> {
            List<String> ladders = ladders(lessons, lessonId);
            return ladders.size() == piece.ladders().size() ? ladders : null;
        });
    }

    /** The next block: asked for by a key, looked for in a few words, taken from the first lines of what is found. */
    private void take(Newcomer teacher, String words, String ladderId) {
        teacher.types("n");
        WebElement search = browser.labelled("Search ladders by words");
        browser.await(
                "the field to have the focus", d -> search.equals(d.switchTo().activeElement()));
        teacher.types(words);
        WebElement rung = browser.await(
                words + " to find " + ladderId,
                d -> d.findElements(By.cssSelector("[role=dialog] [data-ladder]")).stream()
                        .limit(READ)
                        .filter(row -> ladderId.equals(row.getDomAttribute("data-ladder")))
                        .map(row -> row.findElement(By.cssSelector("button")))
                        .findFirst()
                        .orElse(null));
        rung.click();
        teacher.pressed();
        browser.await("the sheet to close", d -> !browser.shows("[role=dialog]"));
    }

    private static List<String> ladders(Lessons lessons, String lessonId) {
        return lessons.get("/api/lessons/" + lessonId)
                .at("/lesson/blocks")
                .valueStream()
                .map(b -> b.get("ladderId").stringValue())
                .toList();
    }

    private String classOf(Lessons lessons, String name, int size) {
        String pupils = String.join(
                ",",
                IntStream.rangeClosed(1, size)
                        .mapToObj(n ->
                                "{\"details\":{\"firstName\":\"Pupil %d\",\"initial\":\"\",\"birthYear\":2014,\"strongHand\":\"RIGHT\"}}"
                                        .formatted(n))
                        .toList());
        return made(lessons, "/api/classes", "{\"name\":\"%s\",\"pupils\":[%s]}".formatted(name, pupils));
    }

    private String emptyLesson(Lessons lessons, String classId, Piece piece) {
        String spaceId = null;
        for (JsonNode space : lessons.get("/api/spaces"))
            if (space.get("name").stringValue().equals(piece.room()))
                spaceId = space.get("id").stringValue();
        return made(lessons, "/api/lessons", """
                {"version":null,"classId":"%s","spaceId":"%s","name":"Piece %s","onDay":"2030-01-08","lesson":{"minutes":40,
                "audience":"%s","restRule":"BETWEEN_SETS","transitionSec":30,"blocks":[]}}""".formatted(
                classId, spaceId, piece.number(), piece.room().equals("Home corner") ? "EACH_AT_HOME" : "CLASS"));
    }

    private String made(Lessons lessons, String path, String body) {
        var answer = browser.request("POST", path, body);
        assertThat(answer.get("status")).as("%s", answer.get("body")).isEqualTo(201L);
        return lessons.read((String) answer.get("body")).get("id").stringValue();
    }

    private static List<Piece> pieces() throws IOException {
        List<Piece> out = new ArrayList<>();
        try (InputStream file = PiecesJourneyTest.class.getResourceAsStream("/pieces.txt")) {
            String text = new String(file.readAllBytes(), StandardCharsets.UTF_8);
            for (String line :
                    text.lines().filter(l -> !l.startsWith("#") && !l.isBlank()).toList()) {
                String[] parts = line.split("\\|");
                List<String> words = new ArrayList<>();
                List<String> ladders = new ArrayList<>();
                for (String taken : parts[2].split(";")) {
                    words.add(taken.split(">")[0].strip());
                    ladders.add(taken.split(">")[1].strip());
                }
                out.add(new Piece(parts[0].strip(), parts[1].strip(), words, ladders));
            }
        }
        return out;
    }
}
