package org.unrulymarble.core.ladder;

import java.util.List;
import java.util.Map;
import org.unrulymarble.core.check.Checks;

/**
 * Markers with a word each, mostly a colour, one of which is called: as many of each as there are, and where they lie.
 *
 * @param markers 2 to 24, of two to eight words
 * @param everySec from call to call, 1 to 60
 */
public record CalledMarkers(List<CalledMarker> markers, Double everySec) {

    private static final double BODY_M = 0.5;

    /** @param word 1 to 20 characters; where it lies from a corner of the floor, along it and across it, 0 to 50 m, kept to centimetres */
    public record CalledMarker(String word, Double xM, Double yM) {
        public CalledMarker {
            new Checks()
                    .text("word", word, 20)
                    .range("xM", xM, 0, 50)
                    .range("yM", yM, 0, 50)
                    .done();
            word = word.strip();
            xM = Math.round(xM * 100) / 100.0;
            yM = Math.round(yM * 100) / 100.0;
        }
    }

    public CalledMarkers {
        new Checks()
                .entries("markers", markers, 2, 24)
                .range("everySec", everySec, 1, 60)
                .done();
        markers = List.copyOf(markers);
        new Checks()
                .entries(
                        "markers",
                        markers.stream().map(CalledMarker::word).distinct().toList(),
                        2,
                        8)
                .done();
    }

    /** What is called, each word once: whoever hears it goes to any marker of that word. */
    public List<String> words() {
        return markers.stream().map(CalledMarker::word).distinct().toList();
    }

    /** How they lie, in a few words: results compare where these are the same. */
    public String told() {
        return Message.ours(
                "laid",
                Map.of(
                        "n", markers.size(),
                        "alongM", spread(markers.stream().map(CalledMarker::xM).toList()),
                        "acrossM", spread(markers.stream().map(CalledMarker::yM).toList()),
                        "everySec", everySec));
    }

    /** The floor from the outermost marker to the other, and a body on either side. */
    public double alongM() {
        return 2 * BODY_M + spread(markers.stream().map(CalledMarker::xM).toList());
    }

    public double acrossM() {
        return 2 * BODY_M + spread(markers.stream().map(CalledMarker::yM).toList());
    }

    private static double spread(List<Double> at) {
        return at.stream().mapToDouble(d -> d).max().orElse(0)
                - at.stream().mapToDouble(d -> d).min().orElse(0);
    }
}
