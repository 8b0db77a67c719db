package org.unrulymarble.server.marks;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.http.server.ServletServerHttpRequest;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.server.platform.NotFound;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** One question, one answer, nothing kept; which there are is told by {@link Reckonings}. */
@RestController
class ReckonController {

    private final Reckonings reckonings;
    private final JsonMapper json;

    ReckonController(Reckonings reckonings, JsonMapper json) {
        this.reckonings = reckonings;
        this.json = json;
    }

    @PostMapping("/api/reckon/{name}")
    Object reckon(@PathVariable String name, @RequestBody JsonNode asked, HttpServletRequest request) {
        Reckonings.Reckoning<?, ?> reckoning = reckonings.byName().get(name);
        if (reckoning == null) throw new NotFound();
        return answer(reckoning, asked, new ServletServerHttpRequest(request));
    }

    private <A, R> R answer(Reckonings.Reckoning<A, R> reckoning, JsonNode asked, HttpInputMessage request) {
        A ask;
        try {
            ask = asked.isNull() ? null : json.treeToValue(asked, reckoning.ask());
        } catch (JacksonException e) {
            throw new HttpMessageNotReadableException("not what is asked there", e, request);
        }
        if (ask == null) throw new HttpMessageNotReadableException("nothing is asked", request);
        return reckoning.of().apply(ask);
    }
}
