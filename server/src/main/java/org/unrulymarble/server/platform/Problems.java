package org.unrulymarble.server.platform;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.orm.ObjectOptimisticLockingFailureException;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.ladder.BadLadderFile;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.InputCoercionException;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.exc.InvalidTypeIdException;
import tools.jackson.databind.exc.MismatchedInputException;

/** Every error leaves as a problem document (RFC 9457); bad fields are listed in {@code errors} with what they must be. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {

    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    /** More than that helps nobody, and an answer must not be much longer than its question. */
    static final int MOST_TOLD = 100;

    private final Words words;
    private final ProblemWriter problems;
    private final ApplicationEventPublisher events;

    Problems(Words words, ProblemWriter problems, ApplicationEventPublisher events) {
        this.problems = problems;
        this.words = words;
        this.events = events;
    }

    /** @param must what the field must be, ready to be shown */
    record FieldError(String field, String rule, String must) {}

    @ExceptionHandler
    ResponseEntity<Object> refused(Refused refused) {
        return badFields(refused.faults());
    }

    /** @param line in the file, from 1 */
    record FileError(int line, String ladder, String field, String rule, String must) {}

    @ExceptionHandler
    ResponseEntity<Object> badFile(BadLadderFile bad) {
        ProblemDetail problem =
                problem(HttpStatus.BAD_REQUEST, "bad-file", bad.troubles().size());
        problem.setProperty(
                "troubles",
                bad.troubles().stream()
                        .limit(MOST_TOLD)
                        .map(t -> new FileError(
                                t.line(),
                                t.ladder(),
                                t.fault().field(),
                                t.fault().rule().name(),
                                words.must(t.fault())))
                        .toList());
        return answer(problem);
    }

    @ExceptionHandler
    ResponseEntity<Object> notFound(NotFound e) {
        return answer(problem(HttpStatus.NOT_FOUND, "not-found"));
    }

    @ExceptionHandler
    ResponseEntity<Object> stale(Stale stale) {
        ProblemDetail problem = problem(HttpStatus.CONFLICT, "stale");
        problem.setProperty("currentVersion", stale.currentVersion());
        return answer(problem);
    }

    @ExceptionHandler
    ResponseEntity<Object> stale(ObjectOptimisticLockingFailureException e) {
        return answer(problem(HttpStatus.CONFLICT, "stale"));
    }

    @ExceptionHandler
    ResponseEntity<Object> inUse(InUse e) {
        return answer(problem(HttpStatus.CONFLICT, "in-use", e.lessons()));
    }

    @ExceptionHandler
    ResponseEntity<Object> tooManyTries(TooManyTries e) {
        return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS)
                .header(HttpHeaders.RETRY_AFTER, Long.toString(e.retryAfterSec()))
                .body(problem(HttpStatus.TOO_MANY_REQUESTS, "too-many-tries", e.retryAfterSec()));
    }

    @ExceptionHandler
    ResponseEntity<Object> tooManyWalls(TooManyWalls e) {
        return answer(problem(HttpStatus.TOO_MANY_REQUESTS, "walls", e.most()));
    }

    @ExceptionHandler
    ResponseEntity<Object> denied(AccessDeniedException e) {
        return answer(problem(HttpStatus.FORBIDDEN, "forbidden"));
    }

    @ExceptionHandler
    ResponseEntity<Object> notSignedIn(AuthenticationException e) {
        return answer(problem(HttpStatus.UNAUTHORIZED, "bad-credentials"));
    }

    @ExceptionHandler
    ResponseEntity<Object> badPath(MethodArgumentTypeMismatchException e) {
        // An id that is no id is an id that nothing is known under.
        return answer(problem(HttpStatus.NOT_FOUND, "not-found"));
    }

    @ExceptionHandler
    ResponseEntity<Object> unexpected(Exception e, HttpServletRequest request) {
        if (StoreFailure.in(e)) {
            events.publishEvent(new StoreFailure.Happened());
            return answer(problem(HttpStatus.INSUFFICIENT_STORAGE, "disk-failed"));
        }
        LOG.error("{} {} failed", request.getMethod(), request.getRequestURI(), e);
        return answer(problem(HttpStatus.INTERNAL_SERVER_ERROR, "unexpected"));
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        if (e.getCause() instanceof StreamConstraintsException)
            return answer(problem(HttpStatus.CONTENT_TOO_LARGE, "too-large"));
        if (e.getCause() instanceof InputCoercionException tooBig)
            return badFields(List.of(new Fault(path(tooBig), Fault.Rule.KIND, List.of(kind(tooBig.getTargetType())))));
        if (e.getCause() instanceof DatabindException bad) return badFields(faults(bad));
        return answer(problem(HttpStatus.BAD_REQUEST, "no-json"));
    }

    @Override
    protected ResponseEntity<Object> handleExceptionInternal(
            Exception e, Object body, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        HttpStatus known = HttpStatus.resolve(status.value());
        String key = status.value() == 404 ? "not-found" : "request";
        return ResponseEntity.status(status)
                .headers(headers)
                .body(problem(known == null ? HttpStatus.BAD_REQUEST : known, key));
    }

    private ResponseEntity<Object> badFields(List<Fault> faults) {
        ProblemDetail problem = problem(HttpStatus.BAD_REQUEST, "bad-fields", faults.size());
        problem.setProperty(
                "errors",
                faults.stream()
                        .limit(MOST_TOLD)
                        .map(f -> new FieldError(f.field(), f.rule().name(), words.must(f)))
                        .toList());
        return answer(problem);
    }

    /** What the JSON reader stumbled over: a core record that refused itself, or a value of the wrong kind. */
    private static List<Fault> faults(DatabindException e) {
        String path = path(e);
        for (Throwable cause = e; cause != null; cause = cause.getCause())
            if (cause instanceof Refused refused)
                return refused.faults().stream()
                        .map(f -> path.isEmpty() ? f : f.under(path))
                        .toList();
        // One of several variants, told apart by a word.
        if (e instanceof InvalidTypeIdException unknown)
            return List.of(new Fault("type", Fault.Rule.ONE_OF, List.of(variants(unknown))).under(path));
        Class<?> wanted = e instanceof MismatchedInputException mismatched ? mismatched.getTargetType() : null;
        if (wanted != null && wanted.isEnum())
            return List.of(new Fault(
                    path,
                    Fault.Rule.ONE_OF,
                    List.of(Arrays.stream(wanted.getEnumConstants())
                            .map(Object::toString)
                            .collect(Collectors.joining(", ")))));
        return List.of(new Fault(path, Fault.Rule.KIND, List.of(kind(wanted))));
    }

    private static String variants(InvalidTypeIdException unknown) {
        JsonSubTypes known = unknown.getBaseType() == null
                ? null
                : unknown.getBaseType().getRawClass().getAnnotation(JsonSubTypes.class);
        return known == null
                ? "a known type"
                : Arrays.stream(known.value()).map(JsonSubTypes.Type::name).collect(Collectors.joining(", "));
    }

    private static String kind(Class<?> wanted) {
        if (wanted == null) return "readable";
        if (wanted == Integer.class || wanted == Long.class || wanted == int.class || wanted == long.class)
            return "a whole number";
        if (Number.class.isAssignableFrom(wanted)) return "a number";
        if (wanted == Boolean.class) return "true or false";
        if (wanted == String.class) return "text";
        if (Iterable.class.isAssignableFrom(wanted)) return "a list";
        if (wanted.getSimpleName().equals("LocalDate")) return "a day such as 2026-01-31";
        if (wanted.getSimpleName().equals("UUID")) return "an id";
        return "an object";
    }

    private static String path(JacksonException e) {
        StringBuilder path = new StringBuilder();
        for (JacksonException.Reference step : new ArrayList<>(e.getPath())) {
            if (step.getPropertyName() == null)
                path.append('[').append(step.getIndex()).append(']');
            else path.append(path.isEmpty() ? "" : ".").append(step.getPropertyName());
        }
        return path.toString();
    }

    private ProblemDetail problem(HttpStatus status, String key, Object... figures) {
        return problems.problem(status, key, figures);
    }

    private static ResponseEntity<Object> answer(ProblemDetail problem) {
        return ResponseEntity.status(problem.getStatus()).body(problem);
    }
}
