package org.unrulymarble.core.ladder;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.unrulymarble.core.kit.KitKind;
import org.unrulymarble.core.kit.KitKinds;
import org.unrulymarble.core.kit.StandIn;
import org.yaml.snakeyaml.DumperOptions;
import org.yaml.snakeyaml.Yaml;

/** Ladders as a file has them: what {@link LadderFiles} reads back is the same ladders. Each rung says all that holds for it. */
public final class LadderWriter {

    private static final int WIDTH = 140;

    private LadderWriter() {}

    /**
     * The whole file as mappings, lists, texts and numbers, for whoever writes JSON.
     *
     * @param own kinds of kit that another school does not know; those that the ladders name are written too
     */
    public static Map<String, Object> file(List<Ladder> ladders, Collection<KitKind> own) {
        Map<String, Object> file = new LinkedHashMap<>();
        file.put("format", LadderFiles.FORMAT);
        Set<String> named = ladders.stream().flatMap(LadderWriter::kindsOf).collect(Collectors.toSet());
        List<Map<String, Object>> kinds = own.stream()
                .filter(k -> named.contains(k.id()))
                .map(KitKinds.MAPPING::written)
                .toList();
        if (!kinds.isEmpty()) file.put("kinds", kinds);
        LadderMapping mapping = new LadderMapping(new KitKinds(List.of()), null);
        file.put("ladders", ladders.stream().map(mapping::written).toList());
        return file;
    }

    public static String yaml(List<Ladder> ladders, Collection<KitKind> own) {
        DumperOptions options = new DumperOptions();
        options.setDefaultFlowStyle(DumperOptions.FlowStyle.BLOCK);
        options.setWidth(WIDTH);
        options.setIndent(2);
        options.setAllowUnicode(true);
        return new Yaml(options).dump(file(ladders, own));
    }

    private static Stream<String> kindsOf(Ladder l) {
        Stream<String> kit = l.kit().stream()
                .flatMap(k -> Stream.concat(
                        Stream.of(k.kind()),
                        Stream.concat(k.standIns().stream().map(StandIn::kind), k.refused().stream())));
        return Stream.concat(kit, Stream.concat(l.ballOrder().stream(), l.gear().stream()));
    }
}
