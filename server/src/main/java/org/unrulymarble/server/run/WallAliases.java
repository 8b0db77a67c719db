package org.unrulymarble.server.run;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.core.MethodParameter;
import org.springframework.http.MediaType;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.http.server.ServerHttpRequest;
import org.springframework.http.server.ServerHttpResponse;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.ResponseBodyAdvice;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** On a wall nobody learns an id that means anything elsewhere: each is told under another name, always the same one. */
@RestControllerAdvice
class WallAliases implements ResponseBodyAdvice<Object> {

    private static final Pattern ID =
            Pattern.compile("\"[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}\"");
    private static final int LENGTH = 12;
    /** Where an id says how it was made (RFC 9562): 7 begins with the time. */
    private static final int VERSION_AT = 14;
    /** Time and count; what comes after is chance. */
    private static final int ORDER_ENDS = 21;

    private final JsonMapper json;

    WallAliases(JsonMapper json) {
        this.json = json;
    }

    @Override
    public boolean supports(MethodParameter answer, Class<? extends HttpMessageConverter<?>> converter) {
        return answer.getParameterType() == WallController.WallFace.class;
    }

    @Override
    public Object beforeBodyWrite(
            Object face,
            MethodParameter answer,
            MediaType type,
            Class<? extends HttpMessageConverter<?>> converter,
            ServerHttpRequest request,
            ServerHttpResponse response) {
        return hidden(face);
    }

    /** The same, with every id in it, as a value or as a name, under its alias. */
    JsonNode hidden(Object told) {
        Matcher ids = ID.matcher(json.writeValueAsString(told));
        return json.readTree(ids.replaceAll(id -> "\"" + alias(id.group()) + "\""));
    }

    /** From an id that is drawn by chance nothing leads back to it; an event's alias keeps the order that stands in its id's time and count. */
    private static String alias(String quoted) {
        String id = quoted.substring(1, quoted.length() - 1);
        boolean inOrder = id.charAt(VERSION_AT) == '7';
        return (inOrder ? id.substring(0, ORDER_ENDS).replace("-", "") : "") + digest(id);
    }

    private static String digest(String id) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(id.getBytes(StandardCharsets.US_ASCII));
            return HexFormat.of().formatHex(digest).substring(0, LENGTH);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
