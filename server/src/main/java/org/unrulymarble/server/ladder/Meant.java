package org.unrulymarble.server.ladder;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.lucene.analysis.Analyzer;
import org.apache.lucene.analysis.TokenStream;
import org.apache.lucene.analysis.tokenattributes.CharTermAttribute;
import org.apache.lucene.util.automaton.CharacterRunAutomaton;
import org.apache.lucene.util.automaton.LevenshteinAutomata;

/** What is meant by words that others use for the same thing; kept as data. */
final class Meant {

    private static final String FILE = "/search/meant.txt";

    /** Words that say nothing by themselves. */
    private static final Set<String> SMALL =
            Set.of("a", "an", "the", "of", "with", "and", "to", "in", "on", "at", "for", "or", "my", "some", "your");

    private static final int LONGEST = 4;
    private static final int LEAST_MISTYPED = 5;
    private static final int LONG = 8;

    /** By the words of a phrase, the other phrases of its groups. */
    private static final Map<List<String>, List<List<String>>> GROUPS = read();

    private Meant() {}

    /**
     * One thing that is asked for.
     *
     * @param words as they were asked
     * @param otherwise other words for it, any of which will do
     */
    record Asked(List<String> words, List<List<String>> otherwise) {}

    /** The longest phrases that are known, and single words between them. */
    static List<Asked> of(String text) {
        List<String> words = LadderWords.written(text);
        List<Asked> asked = new ArrayList<>();
        for (int from = 0; from < words.size(); ) {
            int to = Math.min(words.size(), from + LONGEST);
            while (to > from + 1 && !GROUPS.containsKey(words.subList(from, to))) to--;
            List<String> phrase = List.copyOf(words.subList(from, to));
            List<String> telling = withoutSmall(phrase);
            List<List<String>> otherwise = GROUPS.getOrDefault(phrase, List.of());
            if (otherwise.isEmpty() && phrase.size() == 1) otherwise = nearly(phrase.get(0));
            if (!telling.isEmpty()) asked.add(new Asked(telling, otherwise));
            from = to;
        }
        return asked;
    }

    /** What a word means that is mistyped: one letter wrong, more or less, two in a long one. */
    private static List<List<String>> nearly(String word) {
        if (word.length() < LEAST_MISTYPED) return List.of();
        CharacterRunAutomaton like = new CharacterRunAutomaton(
                new LevenshteinAutomata(word, true).toAutomaton(word.length() >= LONG ? 2 : 1));
        return GROUPS.keySet().stream()
                .filter(phrase -> phrase.size() == 1 && like.run(phrase.get(0)))
                .sorted(Comparator.comparing(phrase -> phrase.get(0)))
                .findFirst()
                .map(phrase -> {
                    List<List<String>> meant = new ArrayList<>(GROUPS.get(phrase));
                    meant.add(phrase);
                    return meant;
                })
                .orElse(List.of());
    }

    private static List<String> withoutSmall(List<String> phrase) {
        return phrase.stream().filter(w -> !SMALL.contains(w)).toList();
    }

    private static Map<List<String>, List<List<String>>> read() {
        Map<List<String>, List<List<String>>> groups = new HashMap<>();
        try (BufferedReader in = new BufferedReader(
                new InputStreamReader(Meant.class.getResourceAsStream(FILE), StandardCharsets.UTF_8))) {
            in.lines().filter(line -> !line.isBlank() && !line.startsWith("#")).forEach(line -> {
                String[] parts = line.split(">");
                List<List<String>> same = phrases(parts[0]);
                List<List<String>> all = new ArrayList<>(same);
                if (parts.length > 1) all.addAll(phrases(parts[1]));
                for (List<String> phrase : same)
                    all.stream()
                            .filter(other -> !other.equals(phrase))
                            .map(Meant::withoutSmall)
                            .forEach(other -> groups.computeIfAbsent(phrase, p -> new ArrayList<>())
                                    .add(other));
            });
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return groups;
    }

    private static List<List<String>> phrases(String listed) {
        return Arrays.stream(listed.split(","))
                .map(LadderWords::written)
                .filter(words -> !words.isEmpty())
                .toList();
    }

    static List<String> tokens(Analyzer analyzer, String text) {
        List<String> tokens = new ArrayList<>();
        try (TokenStream stream = analyzer.tokenStream("words", text)) {
            CharTermAttribute term = stream.addAttribute(CharTermAttribute.class);
            stream.reset();
            while (stream.incrementToken()) tokens.add(term.toString());
            stream.end();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return tokens;
    }
}
