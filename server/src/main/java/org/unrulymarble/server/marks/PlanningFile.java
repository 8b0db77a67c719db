package org.unrulymarble.server.marks;

import java.io.IOException;
import java.io.InputStream;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.unrulymarble.core.defaults.Planning;
import org.yaml.snakeyaml.LoaderOptions;
import org.yaml.snakeyaml.Yaml;
import org.yaml.snakeyaml.constructor.SafeConstructor;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** The planning values: the shipped file, or the school's own copy of it in the data folder. */
@Configuration
class PlanningFile {

    static final String OWN = "planning-values.yaml";
    private static final Logger LOG = LoggerFactory.getLogger(PlanningFile.class);

    /** A bad file stops the start and says which field is wrong: reckoning on with other values than the school's would be worse. */
    @Bean
    Planning planning(@Value("${marble.data}") Path data, JsonMapper json) throws IOException {
        Path own = data.resolve(OWN);
        if (!Files.exists(own)) return shipped(json);
        LOG.info("Planning values from {}", OWN);
        try (Reader reader = Files.newBufferedReader(own)) {
            return read(yaml().load(reader), json);
        } catch (JacksonException | org.yaml.snakeyaml.error.YAMLException e) {
            throw new IllegalStateException(OWN + " cannot be used: " + reason(e), e);
        }
    }

    static Planning shipped(JsonMapper json) throws IOException {
        try (InputStream in = Planning.class.getResourceAsStream("/defaults/values.yaml")) {
            return read(yaml().load(in), json);
        }
    }

    private static Planning read(Object yaml, JsonMapper json) {
        return json.convertValue(yaml, Planning.class);
    }

    private static Yaml yaml() {
        return new Yaml(new SafeConstructor(new LoaderOptions()));
    }

    private static String reason(Throwable e) {
        Throwable cause = e;
        while (cause.getCause() != null) cause = cause.getCause();
        return cause.getMessage();
    }
}
