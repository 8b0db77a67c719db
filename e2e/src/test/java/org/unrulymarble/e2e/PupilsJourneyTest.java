package org.unrulymarble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** From a question to the pupils it finds, to a plan, and to a pupil's page where the teacher has the last word. */
@ExtendWith(OneBrowser.class)
class PupilsJourneyTest {

    private final Browser browser = OneBrowser.browser();

    @BeforeEach
    void asTeacher() {
        browser.offline(false);
        browser.size(1280, 800);
        browser.signIn("okafor");
        browser.open("/pupils");
    }

    @Test
    void a_question_leads_to_a_block_for_those_it_found() {
        browser.press("Ready to go up");
        String ladder = browser.see("main section[aria-label]").getDomAttribute("aria-label");
        String pupil = browser.see("main section[aria-label] li a").getText();
        browser.press("Plan a block for them");
        browser.press("Lesson 1 of the term");
        browser.see("[data-testid=total]");
        // The new block is open on arrival.
        assertThat(browser.see("ol[aria-label=Blocks] > li:has(fieldset)").getText())
                .contains(ladder)
                .contains("each on their own rung", "Only for", "quiet task");

        browser.open("/pupils");
        browser.press("Ready to go up");
        browser.press(pupil);
        browser.seeText("ready to go up");
    }

    @Test
    void the_teacher_has_the_last_word_and_a_tally_is_corrected_in_sight() {
        browser.press("Ready to go up");
        browser.see("main section[aria-label] li a").click();
        browser.press("Another rung");
        browser.press("Keep it");
        browser.seeText("Why must be");
        browser.labelled("Why").sendKeys("saw it in the yard");
        browser.press("Keep it");
        browser.seeText("“saw it in the yard”");

        browser.press("correct");
        browser.type(browser.labelled("Score"), "3");
        browser.labelled("Why").sendKeys("misheard");
        browser.press("Keep the correction");
        browser.await(
                "for the correction on the page",
                d -> browser.see("[data-testid=attempts] tbody tr").getText().contains("“misheard”"));
        assertThat(browser.see("[data-testid=attempts] tbody tr").getText()).contains("3", "was ");

        browser.press("Type in a result");
        browser.labelled("Score").sendKeys("7");
        browser.press("Keep the result");
        browser.await(
                "for the result",
                d -> browser.see("[data-testid=attempts] tbody tr").getText().contains("typed in afterwards"));
        browser.press("confirm");
        browser.await(
                "for it to count in full",
                d -> !browser.see("[data-testid=attempts] tbody tr").getText().contains("not confirmed"));
    }

    @Test
    void a_class_list_comes_in_and_a_pupil_is_erased_after_it_was_said_what_goes() throws IOException {
        browser.request("POST", "/api/classes", "{\"name\":\"Whimbrel 4\",\"pupils\":[]}");
        Path list = Files.createTempFile("list", ".csv");
        Files.writeString(list, "first_name;initial;birth_year\nOda;K;2014\nMilo;R;14\n");
        browser.open("/store");
        browser.press("Whimbrel 4");
        browser.press("Class list in and out");
        browser.see("[role=dialog] input[type=file]").sendKeys(list.toString());
        browser.seeText("1 cell is wrong");
        browser.seeText("birth_year");
        Path mended = Files.createTempFile("list", ".csv");
        Files.writeString(mended, "first_name;initial;birth_year\nOda;K;2014\nMilo;R;2014\n");
        browser.see("[role=dialog] input[type=file]").sendKeys(mended.toString());
        browser.seeText("It would add: 2 (Oda K., Milo R.)");
        browser.press("Bring them in");
        browser.seeText("Added: 2 (Oda K., Milo R.)");

        String classes = (String) browser.request("GET", "/api/classes", null).get("body");
        Matcher id =
                Pattern.compile("\"id\":\"([^\"]+)\",\"name\":\"Oda K\\.\"").matcher(classes);
        assertThat(id.find()).isTrue();
        browser.open("/pupils/" + id.group(1));
        browser.press("Erase Oda K.");
        browser.seeText("Nothing but the name");
        browser.press("Keep");
        browser.request("POST", "/api/pupils/" + id.group(1) + "/standings", """
                {"ladderId":"clap-and-collect","rungId":"both-hands","reason":"seen"}""");
        browser.open("/pupils/" + id.group(1));
        browser.press("Erase Oda K.");
        browser.seeText("1 word on a rung");
        browser.press("Yes, erase");
        browser.seeText("Oda K. is gone");
        browser.press("Back to the class");
        browser.seeText("who stands where");
        assertThat(browser.request("GET", "/api/pupils/" + id.group(1) + "/record", null)
                        .get("status"))
                .isEqualTo(404L);
    }
}
