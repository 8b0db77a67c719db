package org.unrulymarble.server.platform;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;

/** What went wrong outside of every controller, as a problem document too; whoever opens the address by hand finds nothing there. */
@Controller
class ErrorPage implements ErrorController {

    private final ProblemWriter problems;

    ErrorPage(ProblemWriter problems) {
        this.problems = problems;
    }

    @RequestMapping("/error")
    void error(HttpServletRequest request, HttpServletResponse response) throws IOException {
        Object told = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        HttpStatus known = told instanceof Integer code ? HttpStatus.resolve(code) : HttpStatus.NOT_FOUND;
        HttpStatus status = known == null ? HttpStatus.BAD_REQUEST : known;
        String key =
                status == HttpStatus.NOT_FOUND ? "not-found" : status.is5xxServerError() ? "unexpected" : "request";
        problems.write(response, status, key);
    }
}
