package org.unrulymarble.core.ladder;

import java.io.StringReader;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.yaml.snakeyaml.LoaderOptions;
import org.yaml.snakeyaml.Yaml;
import org.yaml.snakeyaml.constructor.SafeConstructor;
import org.yaml.snakeyaml.nodes.MappingNode;
import org.yaml.snakeyaml.nodes.Node;
import org.yaml.snakeyaml.nodes.NodeTuple;
import org.yaml.snakeyaml.nodes.ScalarNode;
import org.yaml.snakeyaml.nodes.SequenceNode;

/** On which line of a file something stands. */
final class Lines {

    private static final Pattern STEP = Pattern.compile("([^.\\[\\]]+)|\\[(\\d+)]");

    private final Node top;

    /** @param yaml that was readable */
    Lines(String yaml) {
        top = new Yaml(new SafeConstructor(new LoaderOptions())).compose(new StringReader(yaml));
    }

    /**
     * The line of a field, from 1; of what is nearest above it, where it is missing.
     *
     * @param path such as {@code ladders[2].rungs[0].pace.hitSec}
     */
    int of(String path) {
        Node at = top;
        int line = line(top);
        Matcher step = STEP.matcher(path);
        while (at != null && step.find()) {
            Optional<Step> next =
                    step.group(1) != null ? field(at, step.group(1)) : entry(at, Integer.parseInt(step.group(2)));
            if (next.isEmpty()) break;
            line = next.get().line();
            at = next.get().value();
        }
        return line;
    }

    private record Step(int line, Node value) {}

    private static Optional<Step> field(Node node, String name) {
        if (!(node instanceof MappingNode mapping)) return Optional.empty();
        for (NodeTuple tuple : mapping.getValue())
            if (tuple.getKeyNode() instanceof ScalarNode key && key.getValue().equals(name))
                return Optional.of(new Step(line(key), tuple.getValueNode()));
        return Optional.empty();
    }

    private static Optional<Step> entry(Node node, int index) {
        if (!(node instanceof SequenceNode sequence)
                || index >= sequence.getValue().size()) return Optional.empty();
        Node entry = sequence.getValue().get(index);
        return Optional.of(new Step(line(entry), entry));
    }

    private static int line(Node node) {
        return node == null ? 1 : node.getStartMark().getLine() + 1;
    }
}
