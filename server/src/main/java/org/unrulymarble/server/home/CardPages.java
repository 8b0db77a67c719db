package org.unrulymarble.server.home;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.Template;
import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.unrulymarble.core.home.HomePractice;
import org.unrulymarble.core.home.HomeTold;
import org.unrulymarble.core.kit.KitKinds;
import tools.jackson.databind.json.JsonMapper;

/** A card as a page that stands alone, and cards as sheets of paper. */
@Component
class CardPages {

    /** What a card's page may do: play itself, and ask nobody for anything. */
    static final String POLICY =
            "default-src 'none'; img-src data:; font-src data:; style-src 'unsafe-inline'; script-src 'unsafe-inline'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'";

    private static final String FONTS = "/static/print/";

    private static final Template PAGE = Mustache.compiler().compile(CardText.resource("/home/page.mustache"));
    private static final Template PAPER = Mustache.compiler().compile(CardText.resource("/home/paper.mustache"));
    private static final String PAPER_STYLE = CardText.resource("/home/paper.css");

    private final JsonMapper json;
    private final KitKinds kinds;

    CardPages(JsonMapper json, KitKinds kinds) {
        this.kinds = kinds;
        this.json = json;
    }

    /** The sizes of paper that a school prints on. */
    enum Paper {
        A4("210mm 297mm", "9.1pt"),
        LETTER("8.5in 11in", "8.8pt");

        private final String size;
        private final String type;

        Paper(String size, String type) {
            this.size = size;
            this.type = type;
        }
    }

    /**
     * What the page's script plays; docs/formats.md, "Card".
     *
     * @param key by which its codes are made, in hexadecimal
     */
    record CardData(
            String format,
            int version,
            int card,
            String key,
            String firstName,
            List<PracticeData> practices,
            HomeTold.Asked home) {}

    /** @param on the day that it is meant for */
    record PracticeData(int practice, String on, HomePractice what) {}

    /** Everything inside: no request goes anywhere. */
    String page(CardsOut.CardOut out) {
        List<PracticeData> practices = new ArrayList<>();
        for (int k = 1; k <= out.body().practices().size(); k++)
            practices.add(new PracticeData(
                    k, out.week().dayOf(k).toString(), out.body().practice(k)));
        CardData data = new CardData(
                "unruly-marble-card",
                1,
                out.card().number(),
                out.card().secret(),
                out.firstName(),
                practices,
                HomeTold.asked(kinds));
        return PAGE.execute(Map.of(
                "firstName",
                out.firstName(),
                "style",
                CardText.resource("/static/player/player.css"),
                "practices",
                CardText.practices(out, HomeTold.asked(kinds)),
                // A script element ends at the first of these, wherever it stands.
                "data",
                json.writeValueAsString(data).replace("<", "\\u003c"),
                "script",
                CardText.resource("/static/player/player.js").replace("</script", "<\\/script")));
    }

    /** One side for each practice. @param title of the document */
    void paper(List<CardsOut.CardOut> cards, Paper paper, String title, OutputStream to) throws IOException {
        List<String> practices = new ArrayList<>();
        for (CardsOut.CardOut card : cards) practices.addAll(CardText.practices(card, HomeTold.asked(kinds)));
        if (!practices.isEmpty()) {
            int last = practices.size() - 1;
            practices.set(last, practices.get(last).replace("class=\"practice", "class=\"last practice"));
        }
        String style = "@page { size: " + paper.size + "; margin: 8mm 12mm; }\nbody { font-size: " + paper.type
                + "; }\n" + PAPER_STYLE;
        PdfRendererBuilder builder = new PdfRendererBuilder();
        builder.useSVGDrawer(new BatikSVGDrawer());
        builder.useFont(() -> font("regular.ttf"), "Card", 400, FontStyle.NORMAL, true);
        builder.useFont(() -> font("bold.ttf"), "Card", 700, FontStyle.NORMAL, true);
        builder.withHtmlContent(
                PAPER.execute(Map.of("title", title, "style", style, "practices", practices))
                        .replace("<!DOCTYPE html>", ""),
                null);
        builder.toStream(to);
        builder.run();
    }

    private static java.io.InputStream font(String name) {
        return CardPages.class.getResourceAsStream(FONTS + name);
    }
}
