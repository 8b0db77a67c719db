package org.unrulymarble.server.platform;

import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;

/** An answer that the browser keeps as a file. */
public final class FileAnswer {

    private FileAnswer() {}

    public static void begin(HttpServletResponse response, String fileName) {
        begin(response, fileName, "text/csv; charset=UTF-8");
    }

    public static void begin(HttpServletResponse response, String fileName, String type) {
        response.setContentType(type);
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename(fileName, StandardCharsets.UTF_8)
                        .build()
                        .toString());
    }
}
