package org.unrulymarble.server.ladder;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.lucene.analysis.Analyzer;
import org.apache.lucene.analysis.custom.CustomAnalyzer;
import org.apache.lucene.analysis.miscellaneous.PerFieldAnalyzerWrapper;
import org.apache.lucene.document.Document;
import org.apache.lucene.document.Field;
import org.apache.lucene.document.StringField;
import org.apache.lucene.document.TextField;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.BoostQuery;
import org.apache.lucene.search.ConstantScoreQuery;
import org.apache.lucene.search.DisjunctionMaxQuery;
import org.apache.lucene.search.FuzzyQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.PrefixQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.store.ByteBuffersDirectory;
import org.unrulymarble.core.check.Fields;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Part;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.Search;

/**
 * Ladders by a teacher's words, in an index in memory: names before texts, whole words before begun, stemmed and mistyped ones. What is asked in other
 * words than ours is widened by {@link Meant}. An index never changes; a changed catalogue has a new one.
 */
final class LadderWords implements Search.WordSearch {

    /** What a word weighs by where it stands. */
    private static final Map<String, Float> FIELDS = new LinkedHashMap<>();

    static {
        FIELDS.put("name", 12f);
        FIELDS.put("rungs", 6f);
        FIELDS.put("sports", 5f);
        FIELDS.put("about", 4f);
        FIELDS.put("texts", 1f);
    }

    /** The same words as they were written, for those that are only begun or mistyped. */
    private static final String WRITTEN = "-written";

    /** The whole name as one. */
    private static final String NAME = "whole-name";

    private static final float ITS_NAME = 100f;
    private static final float WHOLE = 1.3f;
    private static final float STEMMED = 1f;
    private static final float BEGUN = 0.8f;
    private static final float MISTYPED = 0.3f;
    private static final float MEANT = 0.7f;

    /** What it is worth that a word stands in more places than the best one. */
    private static final float EVERY_PLACE = 0.25f;

    private static final int LEAST_BEGUN = 3;
    private static final int LEAST_MISTYPED = 4;
    private static final int LONG = 8;

    private static final Analyzer STEMS = analyzer(true);
    private static final Analyzer AS_WRITTEN = analyzer(false);

    private static final Analyzer BY_FIELD = new PerFieldAnalyzerWrapper(
            STEMS, FIELDS.keySet().stream().collect(Collectors.toMap(field -> field + WRITTEN, field -> AS_WRITTEN)));

    private final List<Ladder> ladders;
    private final IndexSearcher searcher;

    LadderWords(List<Ladder> ladders) {
        this.ladders = List.copyOf(ladders);
        try {
            ByteBuffersDirectory memory = new ByteBuffersDirectory();
            try (IndexWriter writer = new IndexWriter(memory, new IndexWriterConfig(BY_FIELD))) {
                for (Ladder l : ladders) writer.addDocument(document(l));
                // In one piece: a ladder's place in the index is its place in the list.
                writer.forceMerge(1);
            }
            searcher = new IndexSearcher(DirectoryReader.open(memory));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Analyzer analyzer(boolean stems) {
        try {
            CustomAnalyzer.Builder builder = CustomAnalyzer.builder()
                    .withTokenizer("standard")
                    .addTokenFilter("lowercase")
                    .addTokenFilter("englishPossessive")
                    .addTokenFilter("asciiFolding");
            return (stems ? builder.addTokenFilter("porterStem") : builder).build();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Document document(Ladder l) {
        Document doc = new Document();
        put(doc, "name", l.name());
        doc.add(new StringField(NAME, String.join(" ", written(l.name())), Field.Store.NO));
        put(doc, "sports", String.join(" . ", l.sports()));
        put(doc, "about", about(l));
        put(doc, "rungs", l.rungs().stream().map(Rung::name).collect(Collectors.joining(" . ")));
        put(
                doc,
                "texts",
                Stream.concat(
                                l.cues().stream(),
                                l.rungs().stream().flatMap(r -> Stream.of(r.task(), r.change(), r.counts(), r.unit())))
                        .collect(Collectors.joining(" . ")));
        return doc;
    }

    /** What it is for, with how many and with what. */
    private static String about(Ladder l) {
        List<String> about = new ArrayList<>();
        about.add(Fields.small(l.family()));
        l.aspects().forEach(aspect -> about.add(Fields.small(aspect)));
        if (l.part() == Part.WARM_UP) about.add("warm-up");
        if (l.part() == Part.COOL_DOWN) about.add("cool-down");
        about.add(l.perSpot() == 1 ? "alone" : l.perSpot() == 2 ? "pairs" : "threes");
        about.add(Fields.small(l.noise()));
        if (l.footprint().needsWall()) about.add("wall");
        if (l.seated() != null) about.add("seated");
        l.roles().forEach(role -> about.add(role.name()));
        Stream.concat(l.kit().stream(), l.rungs().stream().flatMap(r -> r.kit().more().stream()))
                .forEach(kit -> {
                    about.add(kit.what());
                    about.add(kit.kind().replace('-', ' '));
                    kit.standIns().forEach(s -> about.add(s.kind().replace('-', ' ')));
                });
        l.ballOrder().forEach(ball -> about.add(ball.replace('-', ' ')));
        return String.join(" . ", about);
    }

    private static void put(Document doc, String field, String text) {
        doc.add(new TextField(field, text, Field.Store.NO));
        doc.add(new TextField(field + WRITTEN, text, Field.Store.NO));
    }

    @Override
    public List<Ladder> meant(String words) {
        List<Query> asked = Meant.of(words).stream().map(LadderWords::query).toList();
        if (asked.isEmpty()) return List.of();
        Query name = new TermQuery(new Term(NAME, String.join(" ", written(words))));
        List<Ladder> all = found(asked, asked.size(), name);
        // Where nothing has all of it, what has most of it.
        return all.isEmpty() && asked.size() > 1 ? found(asked, asked.size() - 1, name) : all;
    }

    private List<Ladder> found(List<Query> asked, int atLeast, Query name) {
        BooleanQuery.Builder words = new BooleanQuery.Builder().setMinimumNumberShouldMatch(atLeast);
        asked.forEach(q -> words.add(q, BooleanClause.Occur.SHOULD));
        BooleanQuery.Builder query = new BooleanQuery.Builder()
                .add(words.build(), BooleanClause.Occur.MUST)
                .add(new BoostQuery(new ConstantScoreQuery(name), ITS_NAME), BooleanClause.Occur.SHOULD);
        try {
            return Arrays.stream(searcher.search(query.build(), Math.max(1, ladders.size())).scoreDocs)
                    .map((ScoreDoc d) -> ladders.get(d.doc))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** One thing that is asked for: the words themselves, or one of those that mean it. */
    private static Query query(Meant.Asked asked) {
        List<Query> ways = new ArrayList<>();
        ways.add(allOf(asked.words(), true));
        asked.otherwise().forEach(other -> ways.add(new BoostQuery(allOf(other, false), MEANT)));
        return new DisjunctionMaxQuery(ways, 0.1f);
    }

    private static Query allOf(List<String> words, boolean mayBeMistyped) {
        BooleanQuery.Builder all = new BooleanQuery.Builder();
        words.forEach(word -> all.add(anywhere(word, mayBeMistyped), BooleanClause.Occur.MUST));
        return all.build();
    }

    private static Query anywhere(String word, boolean mayBeMistyped) {
        List<Query> places = new ArrayList<>();
        String stem = first(STEMS, word);
        FIELDS.forEach((field, weight) -> {
            Term written = new Term(field + WRITTEN, word);
            add(places, new TermQuery(written), weight * WHOLE);
            add(places, new TermQuery(new Term(field, stem)), weight * STEMMED);
            if (!mayBeMistyped) return;
            if (word.length() >= LEAST_BEGUN) add(places, new PrefixQuery(written), weight * BEGUN);
            if (word.length() < LEAST_MISTYPED) return;
            int edits = word.length() >= LONG ? 2 : 1;
            add(places, new FuzzyQuery(written, edits, 1), weight * MISTYPED);
            add(places, new FuzzyQuery(new Term(field, stem), 1, 1), weight * MISTYPED);
        });
        return new DisjunctionMaxQuery(places, EVERY_PLACE);
    }

    private static void add(List<Query> to, Query query, float weight) {
        to.add(new BoostQuery(new ConstantScoreQuery(query), weight));
    }

    private static String first(Analyzer analyzer, String word) {
        List<String> tokens = Meant.tokens(analyzer, word);
        return tokens.isEmpty() ? word : tokens.get(0);
    }

    /** Words as they are compared: small, without accents and endings of possession. */
    static List<String> written(String text) {
        return Meant.tokens(AS_WRITTEN, text);
    }
}
