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
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;
import tools.jackson.databind.JsonNode;

/** Each of the pieces of work is put together from an empty lesson in a teacher's own words, with every press and key counted. */
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

    private record Piece(String number, String room, List<String> words, List<String> ladders) {}

    @Test
    void every_piece_is_put_together_in_few_presses_and_keys() throws IOException {
        try (MarbleServer own = new MarbleServer(true).start()) {
            browser.at(own.address());
            browser.signIn("okafor");
            Lessons lessons = new Lessons(browser);
            String classId = classOfTwelve(lessons);
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
                List<String> planned = browser.await("the lesson to be saved", d -> {
                    List<String> ladders = ladders(lessons, lessonId);
                    return ladders.size() == piece.ladders().size() ? ladders : null;
                });
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

    private String classOfTwelve(Lessons lessons) {
        String pupils = String.join(
                ",",
                IntStream.rangeClosed(1, 12)
                        .mapToObj(n ->
                                "{\"details\":{\"firstName\":\"Pupil %d\",\"initial\":\"\",\"birthYear\":2014,\"strongHand\":\"RIGHT\"}}"
                                        .formatted(n))
                        .toList());
        return made(lessons, "/api/classes", "{\"name\":\"Twelve\",\"pupils\":[%s]}".formatted(pupils));
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
