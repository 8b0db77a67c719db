package org.unrulymarble.server.home;

import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.Template;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.text.NumberFormat;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.home.HomePractice;
import org.unrulymarble.core.home.HomePractice.HomeBox;
import org.unrulymarble.core.home.HomePractice.HomeTask;
import org.unrulymarble.core.home.HomeTold;
import org.unrulymarble.core.home.ReturnCode;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.plan.Adaptation;

/** Fills a practice into its template: the same words on paper, in the page and where there is no script. */
final class CardText {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

    private static final Template PRACTICE =
            Mustache.compiler().nullValue("").emptyStringIsFalse(true).compile(resource("/home/practice.mustache"));

    private static final int A_LINE = 100;

    private CardText() {}

    static String resource(String path) {
        try (InputStream in = CardText.class.getResourceAsStream(path)) {
            if (in == null) throw new IllegalStateException(path + " is not there");
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Each practice of a card; of a home that is not known the one with most room on its sheet asks. */
    static List<String> practices(CardsOut.CardOut out, HomeTold.Asked asked) {
        List<String> all = new ArrayList<>();
        int roomiest = 1
                + IntStream.range(0, out.body().practices().size())
                        .boxed()
                        .min(Comparator.comparing(k -> length(out.body().practice(k + 1))))
                        .orElseThrow();
        for (int k = 1; k <= out.body().practices().size(); k++)
            all.add(practice(out, k, k == roomiest && !out.homeKnown() ? asked : null));
        return all;
    }

    /** Of what is printed, in letters or so: a row of boxes is worth a line of them. */
    private static int length(HomePractice practice) {
        return practice.tasks().stream()
                .mapToInt(t -> A_LINE * (t.counted() ? 5 : 3) + t.words().task().length())
                .sum();
    }

    private static String practice(CardsOut.CardOut out, int number, HomeTold.@Nullable Asked asked) {
        HomePractice practice = out.body().practice(number);
        String paper = ReturnCode.paper(out.card().number(), number, out.card().key());
        HomeTask widest = practice.tasks().stream()
                .reduce((a, b) -> b.lengthM() * b.widthM() > a.lengthM() * a.widthM() ? b : a)
                .orElseThrow();
        Map<String, Object> said = new HashMap<>();
        said.put("number", number);
        said.put("asked", asked);
        said.put("all", out.body().practices().size());
        said.put("firstName", out.firstName());
        said.put("large", out.pupil().details().adaptations().contains(Adaptation.SEES_LITTLE));
        said.put("minutes", (practice.totalSec() + 59) / 60);
        said.put("day", DAY.format(out.week().dayOf(number)));
        said.put("paper", paper);
        said.put("qr", CardDrawing.qr(paper));
        said.put(
                "gather",
                practice.gather().stream()
                        .map(item -> {
                            Map<String, Object> g = new HashMap<>();
                            g.put("count", item.count());
                            g.put("name", item.called());
                            g.put("make", item.make());
                            g.put("makeMin", item.makeMin() == 0 ? null : item.makeMin());
                            return g;
                        })
                        .toList());
        said.put("floor", floor(widest));
        said.put("wall", practice.tasks().stream().anyMatch(HomeTask::wall));
        List<Map<String, Object>> tasks = new ArrayList<>();
        for (int i = 0; i < practice.tasks().size(); i++) tasks.add(task(practice, i));
        said.put("tasks", tasks);
        said.put(
                "familyTask",
                practice.tasks().stream()
                        .reduce((before, last) -> last.counted() || !before.counted() ? last : before)
                        .orElseThrow()
                        .name());
        said.put(
                "called",
                practice.tasks().stream()
                        .anyMatch(t -> t.counted() && t.words().task().contains("called")));
        said.put(
                "cautions",
                practice.cautions().stream()
                        .map(c -> Map.of("words", CardWords.of("caution." + c)))
                        .toList());
        return PRACTICE.execute(said);
    }

    private static String floor(HomeTask widest) {
        Map<String, Object> figures = new HashMap<>();
        figures.put("lengthM", metres(widest.lengthM()));
        figures.put("widthM", metres(widest.widthM()));
        figures.put("length", widest.lengthShoes());
        figures.put("width", widest.widthShoes());
        return CardWords.of(widest.lengthShoes() == null ? "floor.m" : "floor.shoes", figures);
    }

    private static String metres(double m) {
        return NumberFormat.getInstance(Locale.ENGLISH).format(m) + " m";
    }

    private static Map<String, Object> task(HomePractice practice, int index) {
        HomeTask task = practice.tasks().get(index);
        Map<String, Object> said = new HashMap<>();
        said.put("index", index);
        said.put("drawing", CardDrawing.floor(task));
        said.put("name", task.name());
        said.put("what", task.words().name());
        said.put("step", task.step());
        said.put("steps", task.steps());
        said.put("task", task.words().task());
        said.put("with", task.with());
        said.put("instead", task.instead());
        said.put("otherwise", task.otherwise());
        said.put("cue", task.cues().isEmpty() ? null : task.cues().get(0));
        said.put("counts", task.words().counts());
        said.put("countsNot", task.words().countsNot());
        said.put("easier", task.words().easier());
        said.put("harder", task.words().harder());
        said.put("dose", dose(task));
        said.put("counted", task.counted());
        said.put(
                "boxes",
                practice.boxes().stream()
                        .filter(b -> b.task() == index)
                        .map(b -> box(task, b))
                        .toList());
        return said;
    }

    private static Map<String, Object> box(HomeTask task, HomeBox box) {
        Map<String, Object> said = new HashMap<>();
        said.put(
                "label", CardWords.of("box", Map.of("round", box.round(), "side", CardWords.of("side." + box.side()))));
        said.put("tries", task.tries());
        return said;
    }

    static String dose(HomeTask task) {
        boolean two = task.sides().size() > 1;
        boolean round = task.sides().contains(Side.CLOCKWISE);
        Map<String, Object> figures = new HashMap<>();
        figures.put("rounds", task.rounds());
        figures.put("sec", task.workSec());
        figures.put("n", task.tries());
        figures.put("sides", two ? "two" : "one");
        figures.put("turn", CardWords.of(round ? "turn.round" : "turn.hand"));
        figures.put("rest", task.rounds() > 1 ? task.restSec() : 0);
        return CardWords.of(task.byGoes() ? "dose.goes" : "dose.clock", figures);
    }
}
