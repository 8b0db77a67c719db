package org.unrulymarble.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Worked cases of a reckoning, kept under {@code /cases}. */
public final class Cases {

    public static final JsonMapper JSON = JsonMapper.builder().build();

    private Cases() {}

    public record Case(int number, JsonNode in, JsonNode out, double tolerance) {
        /** Every figure that the case gives must be in the answer, within the tolerance; the answer may hold more. */
        public void agreesWith(Object answer) {
            agree("", JSON.valueToTree(answer), out);
        }

        private void agree(String path, JsonNode got, JsonNode wanted) {
            if (wanted.isObject()) {
                wanted.propertyNames().forEach(name -> {
                    assertThat(got.has(name))
                            .as("case %d has %s/%s", number, path, name)
                            .isTrue();
                    agree(path + "/" + name, got.get(name), wanted.get(name));
                });
            } else if (wanted.isArray()) {
                assertThat(got.size()).as("case %d length of %s", number, path).isEqualTo(wanted.size());
                for (int i = 0; i < wanted.size(); i++) agree(path + "/" + i, got.get(i), wanted.get(i));
            } else if (wanted.isNumber()) {
                double value = wanted.doubleValue();
                assertThat(got.doubleValue())
                        .as("case %d %s", number, path)
                        .isCloseTo(value, within(tolerance * Math.max(1, Math.abs(value))));
            } else {
                assertThat(got).as("case %d %s", number, path).isEqualTo(wanted);
            }
        }
    }

    public static List<Case> of(String reckoning) {
        try (InputStream in = Cases.class.getResourceAsStream("/cases/" + reckoning + ".json")) {
            JsonNode file = JSON.readTree(in);
            List<Case> cases = new ArrayList<>();
            for (JsonNode c : file.get("cases"))
                cases.add(new Case(
                        cases.size(),
                        c.get("in"),
                        c.get("out"),
                        file.get("tolerance").doubleValue()));
            return cases;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
