package org.unrulymarble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.openqa.selenium.chromium.HasCdp;

/**
 * Every text of a file is marked and a third longer here: what is read without marks comes from the code or from the data, and what the data does not hold
 * is a fault, as is what has no room any more.
 */
@Tag("long")
@ExtendWith(OneBrowser.class)
class PseudoLanguageTest {

    private static final String SCRIPT = script();
    private static boolean listening;

    private final Browser browser = OneBrowser.browser();

    record View(String path, String shows, Consumer<Browser> then) {
        @Override
        public String toString() {
            return path + (then == null ? "" : " and more");
        }
    }

    static Stream<View> views() {
        return Stream.of(
                new View("/", "svg[role=img]", null),
                new View("/begin", "form, fieldset, input", null),
                new View("/plan", "main a[href^='/plan/']", null),
                new View("/run", "main", null),
                new View("/pupils", "main table, main section", null),
                new View("/home", "main", null),
                new View("/ladders?family=TARGET", "main a[href^='/ladders/']", null),
                new View("/ladders/claps-and-turns", "aside svg[role=img]", null),
                new View("/ladders/new", "main form, main input", null),
                new View("/marks/net", "[data-testid=sentence] p", null),
                new View("/marks/aim", "[data-testid=sentence] p", null),
                new View("/marks/ceiling", "[data-testid=sentence] p", null),
                new View("/marks/off-the-wall", "[data-testid=sentence] p", null),
                new View("/marks/off-the-wall?mode=along", "[data-testid=sentence] p", null),
                new View("/marks/in-a-row", "[data-testid=sentence] p", null),
                new View("/marks/step-by-step", "[data-testid=sentence] p", null),
                new View("/marks/room", "[data-testid=sentence] p", null),
                new View("/marks/markers", "[data-testid=sentence] p", null),
                new View("/marks/markers?mode=calls", "[data-testid=sentence] p", null),
                new View("/marks/markers?mode=numbers", "[data-testid=sentence] p", null),
                new View("/marks/jack", "[data-testid=sentence] p", null),
                new View("/marks/bowling", "[data-testid=sentence] p", null),
                new View("/marks/stations", "[data-testid=sentence] p", null),
                new View("/marks/stations?mode=partners", "[data-testid=sentence] p", null),
                new View("/store", "main ul", null),
                new View("/store/spaces", "main ul, main table", null),
                new View("/store/kit", "main input", null),
                new View("/words", "main dl, main section", null),
                new View("/me", "main input", null),
                new View("/trust", "main, h1", null),
                new View("/no-such-page", "main", null));
    }

    @BeforeEach
    void inPseudo() {
        if (!listening)
            ((HasCdp) browser.driver())
                    .executeCdpCommand(
                            "Page.addScriptToEvaluateOnNewDocument",
                            Map.of("source", "(() => {" + SCRIPT + "; window.pseudo.listen(); })()"));
        listening = true;
        browser.size(1280, 800);
        signIn("okafor");
    }

    /** Signing in is done in plain words. */
    private void signIn(String name) {
        browser.open("/trust");
        browser.script("localStorage.removeItem('marble-pseudo')");
        browser.signIn(name);
        browser.script("localStorage.setItem('marble-pseudo', 'on')");
    }

    @ParameterizedTest
    @MethodSource("views")
    void says_nothing_by_itself_and_cuts_nothing_off(View view) {
        browser.open(view.path());
        browser.see(view.shows());
        sound();
    }

    @Test
    void a_plan_with_a_block_open_and_its_page() {
        String id = lesson();
        browser.open("/plan/" + id);
        browser.see("main ol li button[aria-expanded]").click();
        browser.see("[aria-expanded=true]");
        sound();
        browser.open("/plan/" + id + "/page");
        browser.see("[data-testid=plan-page] svg[role=img]");
        sound();
    }

    @Test
    void a_pupil_and_the_page_for_the_family() {
        browser.open("/pupils");
        String pupil = browser.see("main a[href^='/pupils/']").getDomAttribute("href");
        browser.open(pupil);
        browser.see("main h1");
        browser.see("main section");
        sound();
        browser.open(pupil + "/family");
        browser.see("main p");
        sound();
    }

    @Test
    void the_school() {
        signIn("quay");
        for (String part : List.of("", "/audit", "/learnt", "/backups")) {
            browser.open("/school" + part);
            browser.see("main h1");
            browser.see("main table, main p");
            sound();
        }
    }

    @Test
    void what_is_found_is_told() {
        browser.open("/words");
        browser.see("main");
        browser.script("""
                document.querySelector('main').insertAdjacentHTML('afterbegin',
                  '<p>Own words of code</p><p style="width: 3em; overflow: hidden; white-space: nowrap">⟦A long text in a narrow box⟧</p>')
                """);
        assertThat(unmarked()).containsExactly("p: Own words of code");
        assertThat(list("return window.pseudo.cutOff()"))
                .singleElement()
                .asString()
                .startsWith("p: ⟦A long text");
    }

    @Test
    void a_run_and_its_numbers_to_collect() {
        browser.open("/run");
        browser.see("main");
        String run = (String) browser.request("POST", "/api/runs", "{\"lessonId\":\"" + lesson() + "\"}")
                .get("body");
        browser.open("/run/" + run.replaceAll("(?s)^.*?\"id\"\\s*:\\s*\"([^\"]+)\".*$", "$1"));
        browser.see("[role=timer]");
        sound();
    }

    private String lesson() {
        return (String) browser.script("return fetch('/api/lessons').then(r => r.json()).then(l => l[0].id)");
    }

    private void sound() {
        browser.await(
                "for nothing to be loading",
                d -> browser.script("return window.pseudo.settled()").equals(true));
        assertThat(unmarked()).as("not in a file of texts").isEmpty();
        for (int width : new int[] {1280, 390}) {
            browser.size(width, 844);
            assertThat(list("return window.pseudo.cutOff()"))
                    .as("cut off at %d", width)
                    .isEmpty();
        }
        browser.size(1280, 800);
    }

    private List<String> unmarked() {
        return list("return window.pseudo.unmarked()");
    }

    @SuppressWarnings("unchecked")
    private List<String> list(String code) {
        return (List<String>) browser.script(code);
    }

    private static String script() {
        try (var in = PseudoLanguageTest.class.getResourceAsStream("/pseudo.js")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }
}
